import { words } from '../../figure';

export const PIECES = {
  pair: words('Two halves', 'A pair, before it is put together.'),
  layered: words('Cake with its base layer', 'Turned out, layer and all.'),
  volume: words('One cake, its volume', 'Mass over the density of the crumb.'),
} as const;

/** What the pieces of a family are called where they are counted. */
export const MANY = {
  cupcake: 'Cupcakes',
  mini: 'Mini cakes',
  mug: 'Mug cakes',
  cakesicle: 'Moulded pieces',
  pop: 'Pops',
  ball: 'Balls',
} as const;
