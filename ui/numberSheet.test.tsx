import { fireEvent, render, screen } from '@testing-library/react';
import { PaperProvider } from 'react-native-paper';
import { NumberSheet, numberFault, type NumberAsk } from './numberSheet';

const ASK: NumberAsk = { title: 'How many', value: 36, unit: '', min: 1, max: 5000, whole: true };
const plain = (n: number) => String(n);

describe('a number asked for', () => {
  it.each([
    ['', /Write a number/],
    ['dozen', /not a number/],
    ['0', /At least 1/],
    ['5001', /At most 5000/],
    ['1,5', /Whole/],
    ['24', null],
    [' 24 ', null],
  ])('"%s"', (text, fault) => {
    const found = numberFault(text, ASK, plain);
    if (fault === null) expect(found).toBeNull();
    else expect(found).toMatch(fault);
  });

  it('takes decimals, fractions and the unit’s bounds where they are wanted', () => {
    const grams = { ...ASK, unit: 'g', whole: false, min: 0.5 };
    expect(numberFault('1 1/2', grams, plain)).toBeNull();
    expect(numberFault('0.25', grams, plain)).toBe('At least 0.5 g.');
  });
});

function open(over: Partial<NumberAsk> = {}) {
  const saved: number[] = [];
  render(
    <PaperProvider settings={{ icon: () => null }}>
      <NumberSheet
        ask={{ ...ASK, ...over }}
        onClose={() => undefined}
        onSave={(value) => saved.push(value)}
      />
    </PaperProvider>,
  );
  return saved;
}

describe('the sheet', () => {
  it('replaces the old value with the first key and saves what was keyed', async () => {
    const saved = open();
    // The keys come with the picture after the field's.
    await screen.findByRole('button', { name: '4' });
    for (const key of ['4', '8']) fireEvent.click(screen.getByRole('button', { name: key }));
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(saved).toEqual([48]);
  });

  it('keeps a bad value in the field, says what is wrong, and saves nothing', () => {
    const saved = open();
    fireEvent.change(screen.getByRole('textbox'), { target: { value: '0' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(screen.getByRole('alert').textContent).toBe('At least 1.');
    expect(screen.getByRole<HTMLInputElement>('textbox').value).toBe('0');
    expect(saved).toEqual([]);
  });

  it('takes the decimal mark, a minus where one may be, and gives back the last figure', async () => {
    const saved = open({ unit: '°C', value: -5, min: -60, max: 60, whole: false });
    await screen.findByRole('button', { name: '−' });
    for (const key of ['−', '1', '2', '7']) fireEvent.click(screen.getByRole('button', { name: key }));
    fireEvent.click(screen.getByRole('button', { name: 'Erase' }));
    expect(screen.getByRole<HTMLInputElement>('textbox').value).toBe('−12');
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(saved).toEqual([-12]);
  });

  it('has the field in focus, ready to be replaced', async () => {
    open();
    await screen.findByRole('button', { name: '1' });
    expect(document.activeElement).toBe(screen.getByRole('textbox'));
  });

  it('takes what is often used in one tap', () => {
    const saved = open({ quick: [12, 48] });
    fireEvent.click(screen.getByRole('radio', { name: '48' }));
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(saved).toEqual([48]);
  });
});
