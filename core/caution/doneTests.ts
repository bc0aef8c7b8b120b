import { massOf } from '../formula';
import type { ReadLine } from '../quantity';

/** More cocoa, treacle or brown sugar than this, as a share of the batter, and its colour tells nothing. */
const DARK_SHARE = 0.02;
const DARK_KEYS = new Set(['cocoa', 'treacle', 'chocolate']);
/** With less egg and sugar than this, as a share of the batter, a cake stays pale however long it bakes. */
const PALE_SUGAR_SHARE = 0.12;

/** What the colour of a batter tells: nothing of a dark one, and a pale one never gets any. */
function colourOf(lines: readonly ReadLine[]): 'gold' | 'dark' | 'pale' {
  const all = lines.reduce((sum, line) => sum + line.massG, 0);
  const dark = lines.reduce(
    (sum, line) => sum + (line.ingredient && DARK_KEYS.has(line.ingredient.key) ? line.massG : 0),
    0,
  );
  if (dark > DARK_SHARE * all) return 'dark';
  return massOf(lines, 'sugar') < PALE_SUGAR_SHARE * all ? 'pale' : 'gold';
}

/** Whether a batter that is done inside is waited for until it is pale gold. */
export const colourTells = (lines: readonly ReadLine[]): boolean => colourOf(lines) === 'gold';

/**
 * How to tell that a piece is done, in the order in which a baker looks: only the tests that fit this batter.
 * @param doneC what the coldest place has to reach in this kitchen, °C: less the higher it lies
 */
export function doneTests(lines: readonly ReadLine[], doneC: number, microwave = false): string[] {
  const colour = colourOf(lines);
  const tests = ['A skewer in the middle comes out clean, or with a few dry crumbs.'];
  if (microwave) {
    tests.push(
      'The top is dull and springs back; a shine in the middle is raw batter.',
      'It draws away from the mug. It goes on cooking while it stands.',
    );
  } else {
    tests.push('A light press springs back.');
    if (colour === 'dark')
      tests.push('The edge draws away from the liner. Colour tells little on this batter.');
    else if (colour === 'pale')
      tests.push('The edge draws away from the liner. This batter stays pale when it is done.');
    else tests.push('The edge is pale gold and draws away from the liner.');
  }
  tests.push(`A probe in the coldest place reads {${Math.round(doneC)} °C}.`);
  return tests;
}
