import { words } from '../../figure';

export const SET = {
  usual: (massG: number) => `For a piece of {${massG} g}.`,
  usualCoat: (mm: number) => `For a coat of {${mm} mm}.`,
  dab: 'A dab, whatever the ball weighs.',
  firm: (frozen: boolean) =>
    frozen
      ? words('Freezing through', 'Hard to the middle.')
      : words(
          'Firming in the fridge',
          'Firm all through, not frozen. In a freezer it takes about half as long.',
        ),
  anchor: words('Sticks set', 'Until the dab of chocolate at the stick is hard.'),
  coat: (frozen: boolean) =>
    words(
      'Coat sets',
      frozen ? 'At once, from the cold inside.' : 'In a cool room; some minutes less in the fridge.',
    ),
  coatOnRack: words('Coat sets', 'On a rack, over paper.'),
  shell: words('A shell coat sets', 'Thin, against a cold mould: minutes.'),
  filled: words('Filled piece sets, frozen', 'Until it lets go of the mould by itself.'),
} as const;
