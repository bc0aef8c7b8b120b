import { fireEvent, render, screen } from '@testing-library/react';
import { Text } from 'react-native';
import { Tap, type TapProps } from './tap';

function poke(over: Partial<TapProps> = {}) {
  const onPress = jest.fn();
  const outer = jest.fn();
  render(
    <div onClick={outer}>
      <Tap label="Poke" onPress={onPress} {...over}>
        <Text>Poke</Text>
      </Tap>
    </div>,
  );
  const role = over.role ?? 'button';
  return { onPress, outer, target: () => screen.getByRole(role, { name: 'Poke' }) };
}

describe('what can be poked', () => {
  it('answers a click once, and nothing round it hears of it', () => {
    const { onPress, outer, target } = poke();
    fireEvent.click(target());
    expect(onPress).toHaveBeenCalledTimes(1);
    expect(onPress).toHaveBeenCalledWith();
    expect(outer).not.toHaveBeenCalled();
  });

  it('is a real button, which answers Enter and Space by itself', () => {
    const { target } = poke();
    expect(target().tagName).toBe('BUTTON');
    expect(target().getAttribute('tabindex')).toBe('0');
  });

  it.each(['radio', 'checkbox', 'tab', 'link'] as const)(
    'answers Enter and Space as a %s, and no other key',
    (role) => {
      const { onPress, target } = poke({ role });
      fireEvent.keyDown(target(), { key: 'a' });
      fireEvent.keyDown(target(), { key: 'Tab' });
      expect(onPress).not.toHaveBeenCalled();
      fireEvent.keyDown(target(), { key: 'Enter' });
      // The page must not scroll on a space that pokes something.
      const space = fireEvent.keyDown(target(), { key: ' ' });
      expect(space).toBe(false);
      expect(onPress).toHaveBeenCalledTimes(2);
    },
  );

  it('says what it is: chosen, open, or the place one stands in', () => {
    const { target } = poke({ role: 'radio', checked: true });
    expect(target().getAttribute('aria-checked')).toBe('true');
    render(
      <Tap role="link" label="Here" selected onPress={() => undefined}>
        <Text>Here</Text>
      </Tap>,
    );
    expect(screen.getByText('Here').closest('[aria-current]')?.getAttribute('aria-current')).toBe('page');
  });

  it('does nothing while it cannot be used, and the keyboard passes it by', () => {
    const { onPress, target } = poke({ disabled: true });
    fireEvent.click(target());
    fireEvent.keyDown(target(), { key: 'Enter' });
    expect(onPress).not.toHaveBeenCalled();
    expect(target().getAttribute('tabindex')).toBe('-1');
  });

  it('may be for the pointer alone: unseen by keyboard and by ear', () => {
    const onPress = jest.fn();
    const { container } = render(
      <Tap label="Shade" onPress={onPress} pointerOnly>
        {null}
      </Tap>,
    );
    const shade = container.querySelector('[aria-hidden="true"]') as HTMLElement;
    expect(shade.getAttribute('tabindex')).toBe('-1');
    fireEvent.click(shade);
    expect(onPress).toHaveBeenCalledTimes(1);
  });
});
