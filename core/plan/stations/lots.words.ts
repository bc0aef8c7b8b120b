import { words } from '../../figure';

export const LOT = {
  count: (name: string, asked: number, given: number) =>
    words(
      `${name}, pieces`,
      given < asked
        ? `${asked} were asked for; the lots before it took what there is.`
        : 'As many as this lot was asked for.',
    ),
  all: words('Pieces finished alike', 'No lots were made, so all are finished alike.'),
  rest: words('In no lot', 'What the lots leave.'),
  allName: 'All',
  restName: 'The rest',
  finished: (name: string) =>
    words(`${name}, one piece finished`, 'All that a person bites into; a stick is not counted.'),
  lotTotal: words('The lot, finished', 'All its pieces.'),
  total: words('All pieces, finished', 'Every lot together.'),
  piece: (dough: boolean) =>
    words(
      'One piece, before toppings',
      dough ? 'Dough, coat and the anchor of its stick.' : 'Cake and all that goes in and on it.',
    ),
  moulded: words('One piece, before toppings', 'Dough, shell and back plate.'),
  mugTop: words('Top of a piece', 'What a topping can cover.'),
} as const;

export const TOPPING = {
  top: words('Area that takes the topping', 'The top, as it is frosted or open.'),
  faces: words('Area that takes the topping', 'Five faces: what it stands on takes none.'),
  onPieceLabel: (what: string) => `${what} on a piece`,
  chosen: 'As chosen for this lot.',
  soakLabel: (what: string) => `${what}, share of the cake`,
  soakShare: 'What the pricked cake is to take up, of its own mass, as chosen.',
  soaked: (what: string) =>
    words(`${what} soaked into a piece`, 'Spooned over the pricked cake, a little at a time.'),
  coverLabel: (what: string) => `${what} on a cm²`,
  cover: 'Usual for this kind, rolled or pressed on.',
  coverShare: (what: string) =>
    words(`${what}, share covered`, 'How much of the piece it covers, as chosen.'),
  covered: (what: string) => words(`${what} on a piece`, 'So much on every cm² that it covers.'),
  total: (what: string) => words(`${what} in all`, 'For all pieces of the lot.'),
} as const;
