import { act, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { PaperProvider } from 'react-native-paper';
import { NumberSheet } from './numberSheet';

const wait = () => act(() => new Promise((done) => setTimeout(done, 20)));

function Page() {
  const [open, setOpen] = useState(false);
  return (
    <PaperProvider settings={{ icon: () => null }}>
      <button onClick={() => setOpen(true)}>How many</button>
      <NumberSheet
        ask={open ? { title: 'Count', value: 36, unit: '', min: 1, max: 50 } : null}
        onClose={() => setOpen(false)}
        onSave={() => setOpen(false)}
      />
    </PaperProvider>
  );
}

async function opened(): Promise<HTMLElement> {
  render(<Page />);
  const opener = screen.getByRole('button', { name: 'How many' });
  opener.focus();
  fireEvent.click(opener);
  await wait();
  return opener;
}

describe('a sheet at a keyboard', () => {
  it('puts the focus into its field', async () => {
    await opened();
    expect(document.activeElement).toBe(screen.getByRole('textbox'));
  });

  it('closes on Escape from within its field, also after a refusal, and gives the focus back', async () => {
    const opener = await opened();
    const field = screen.getByRole('textbox');
    fireEvent.change(field, { target: { value: '900' } });
    fireEvent.keyDown(field, { key: 'Enter' });
    await screen.findByRole('alert');
    expect(document.activeElement).toBe(field);
    fireEvent.keyDown(field, { key: 'Escape' });
    await wait();
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(document.activeElement).toBe(opener);
  });

  it('keeps Tab inside', async () => {
    await opened();
    const last = screen.getByRole('button', { name: 'Save' });
    last.focus();
    fireEvent.keyDown(last, { key: 'Tab' });
    expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Close' }));
    fireEvent.keyDown(screen.getByRole('button', { name: 'Close' }), { key: 'Tab', shiftKey: true });
    expect(document.activeElement).toBe(last);
  });
});
