import type { Family, Line, RunDoc } from '../../core/model/documents';
import type { MiniStyle } from '../../core/line/newLine';

/** The families as they are called here, for one and for many. */
export const FAMILY_WORDS: Readonly<Record<Family, { readonly title: string; readonly detail: string }>> = {
  cupcake: { title: 'Cupcakes', detail: 'Minis and large ones too, by the tin you bake them in' },
  pop: { title: 'Cake pops and balls', detail: 'Crumb, bound, rolled, on sticks or without, dipped' },
  cakesicle: { title: 'Moulded pieces', detail: 'A shell in two coats, filled, closed with a back plate' },
  mug: { title: 'Mug cakes', detail: 'From the microwave, several mugs at once' },
  mini: { title: 'Mini cakes', detail: 'Cubes, filled fingers, paired halves, moulded ones' },
};

export const STYLE_WORDS: Readonly<Record<MiniStyle, { readonly title: string; readonly detail: string }>> = {
  cubes: { title: 'cubes', detail: 'Cut from a sheet and dipped.' },
  paired: { title: 'paired halves', detail: 'Two halves put together round a filling.' },
  fingers: { title: 'filled fingers', detail: 'Baked in bars, filled through a nozzle.' },
  moulded: { title: 'moulded cakes', detail: 'Baked in bowls, turned out, covered or bare.' },
  'base-layer': { title: 'cakes with a base layer', detail: 'Fruit or glaze below the batter, turned over.' },
};

/** "24 cake pops", in one word for what a line makes. */
export function pieceWords(line: Line): string {
  const one = line.count === 1;
  switch (line.family) {
    case 'cupcake':
      return one ? 'cupcake' : 'cupcakes';
    case 'pop':
      return line.stick ? (one ? 'cake pop' : 'cake pops') : one ? 'cake ball' : 'cake balls';
    case 'cakesicle':
      return one ? 'moulded piece' : 'moulded pieces';
    case 'mug':
      return one ? 'mug cake' : 'mug cakes';
    case 'mini':
      return STYLE_WORDS[line.style].title;
  }
}

/** "24 cupcakes, 12 cake pops". */
export const linesWords = ({ lines }: RunDoc, lineIds: readonly string[]): string =>
  lines
    .filter(({ id }) => lineIds.includes(id))
    .map((line) => `${line.count} ${pieceWords(line)}`)
    .join(', ');
