import { words } from '../../figure';
import type { CoatChoice } from '../../model/documents';

export const COATED = {
  ball: words('One ball', 'Mass over density.'),
  diameter: words('Ball, across', 'The ball that holds so much.'),
  ballArea: words('Surface of a piece', 'Geometry of a ball.'),
  ballCurve: words(
    'Roundness of a piece',
    'How much a coat’s surface grows as it gets thicker: for a ball, 2π times its diameter.',
  ),
  area: (says: string) => words('Surface of a piece', says),
  curve: words('Roundness of a piece', 'How much a coat’s surface grows as it rounds the edges.'),
  height: (says: string) => words('Piece, high', says),
  box: words('One piece', 'Length by width by height.'),
} as const;

const THICKNESS: Readonly<Record<CoatChoice['thickness'], string>> = {
  thin: 'Thinned and warm.',
  usual: 'As it usually falls.',
  thick: 'Cool or unthinned.',
};

export const COAT_WORDS = {
  density: 'Usual for melted chocolate and compound.',
  thickness: (coat: CoatChoice) =>
    `${THICKNESS[coat.thickness]} Kind, thinning and the cold of the piece move it together${
      coat.school === 'frozen' ? ': on a frozen piece it sets before it has run off' : ''
    }.`,
  each: words(
    'Coat all round',
    'The piece grown by the coat all round, less the piece. Weigh one before and after its dip.',
  ),
  anchor: 'What the stick carries into the ball.',
  drips: { label: 'Drips and film', sentence: 'What runs off and what clings to vessel and spoon.' },
  scrapings: {
    label: 'Scrapings and film',
    sentence: 'What is scraped off the mould and clings to bowl and brush.',
  },
  taken: words('Coat on a piece', 'All round it, and on its stick where it has one.'),
  perPiece: words('Coat that a piece takes from the pot', 'With its drips.'),
  vessel: (name: string) => words(`"${name}", across`, 'Measured inside, as kept in Kitchen.'),
  depth: words('Working depth', 'The piece and a centimetre: shallower than that it cannot be dipped whole.'),
  stranded: words(
    'Pool left in the vessel',
    'What must stay deep enough for the last piece and cannot be used. While that piece is under, it takes up its own room.',
  ),
  pools: words('Pools of all pots', 'One for each kind of coat.'),
  potCount: (kind: string, dipped: boolean) =>
    words(
      `Pieces in ${kind}`,
      dipped ? 'All lots that are dipped in this pot.' : 'All lots of this chocolate.',
    ),
  potCoat: (kind: string) => words(`Coat on the pieces, ${kind}`, 'With the anchors of the sticks.'),
  potDrips: (kind: string) => words(`Drips and film, ${kind}`, 'Lost to paper, vessel and spoon.'),
  melt: (kind: string) =>
    words(`To melt, ${kind}`, 'On the pieces, drips, and the pool that the vessel needs to the last.'),
  meltForShells: (kind: string) =>
    words(
      `To melt, ${kind}`,
      'For the pieces, with scrapings and patching, and what must be in the mould to be poured out again.',
    ),
  meltToSpoon: (kind: string) =>
    words(
      `To melt, ${kind}`,
      'Spooned over each: a pool deep enough to dip in would leave far more than they take. A fifth more than dipped runs off and is used again.',
    ),
  pool: (kind: string, spooned: boolean) =>
    words(
      `Left when all are coated, ${kind}`,
      spooned ? 'What ran off the spooned ones.' : 'The pool that the last piece was dipped in.',
    ),
  chocolate: (kind: string) =>
    words(`Chocolate in the pot, ${kind}`, 'What is melted, less the fat that thins it.'),
  onHand: words('Coat on the table', 'As stated.'),
  dipped: words('Dipped whole', 'As long as the vessel stays deep enough.'),
  covers: words(
    'The coat allows',
    'Dipped while the vessel is deep enough; what is left then is spooned over the last ones, which take a fifth more.',
  ),
  saved: (kind: string) =>
    words(
      `Saved from the pool, ${kind}`,
      'Tilt the vessel and spoon for the last ones: about half of the pool. The rest keeps for another day.',
    ),
  thinner: (kind: string) =>
    words(
      `Coconut oil or cocoa butter, ${kind}`,
      'Stirred into the melted chocolate. It softens the set, and above {24 °C} it stays tacky.',
    ),
} as const;

export const SHELL = {
  side: (label: string, mould: string) => words(label, `Measured on "${mould}" in Kitchen.`),
  volume: words(
    'A cavity to the brim',
    'By its measures. Fill one with water and weigh it to know better: {100 ml} of it weigh {100 g}.',
  ),
  wall: words('Wall of a cavity', 'What a shell lines: floor and sides.'),
  opening: words('Opening of a cavity', 'What the back plate closes.'),
  stick: words('Stick inside', 'Room that the stick takes from the filling.'),
  thickness: 'Both coats together, as chosen; a brush does not lay it even.',
  shell: words('Shell of a piece', 'Wall times thickness.'),
  back: (mm: number) => words('Back plate of a piece', `The opening, {${mm} mm} thick.`),
  first: words('First coat of a piece', 'Brushed or poured all over, then set in the cold.'),
  second: words('Second coat of a piece', 'On thin spots, rims and the stick’s slot: hold it to the light.'),
  backMass: words('Back plate of a piece', 'Spread over the filling and scraped level.'),
  taken: words('Chocolate on a piece', 'Both coats and the back plate. Weigh an empty shell to know yours.'),
  patch: 'Shells that crack or show a hole when they come out.',
  perPiece: words(
    'Chocolate that a piece takes from the pot',
    'With what is scraped off, and its share of the patching.',
  ),
  cavities: (owned: number, mould: string, each: number) =>
    words('Cavities in a round', `${owned} of "${mould}" with ${each} each.`),
  poured: (pour: boolean) =>
    pour
      ? words(
          'Poured out again each round',
          'The cavities are filled to the brim and emptied: all but the first coat comes back to the pot, and must be melted all the same.',
        )
      : words('Poured out again', 'Brushed in, nothing has to be poured out.'),
  room: words('Room for the filling', 'The cavity, less shell, back plate and the stick inside.'),
  portion: words(
    'Dough in a cavity',
    'Pressed in, it packs a little closer. What to weigh for each, to the step of the scale.',
  ),
  roundsAllowed: (most: number | null) =>
    most === null
      ? words('Rounds that the order needs', 'No bound was set, so as many as the order needs.')
      : words('Rounds at most', 'As chosen.'),
  allows: (mould: string) => words('The cavities allow', `Cavities of "${mould}", times the rounds.`),
  rounds: words('Rounds of the mould', 'As few as the cavities allow, evened out.'),
  total: words('Shells and back plates', 'On all pieces.'),
  patching: words('For patching', 'Brushed over cracks, about as much as a second coat.'),
} as const;
