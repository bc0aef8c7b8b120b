import type { Param } from './param';

/** How a person comes by a parameter, as what follows "measure it:". Left out where the name says it. */
const HOW: Readonly<Record<string, string>> = {
  'batter.density': 'weigh a level cup of batter, and the same cup of water',
  'cake.density': 'weigh one cold piece, and find its volume with rice in a measuring jug',
  'bake.lossShare': 'weigh one piece as it goes in and as it comes out',
  'bowl.lossShare': 'weigh the bowl before and after it is scraped',
  'egg.mass': 'weigh three of your eggs without their shells',
  'batter.temperature': 'hold a thermometer into the batter',
  'cake.done': 'hold a probe into the first one that is done',
  'bake.factor': 'time one load of it in this oven',
  'oven.offset': 'hang an oven thermometer in it and write the difference under Kitchen',
  'room.temperature': 'read a room thermometer',
  'mug.volume': 'weigh the mug empty and full of water',
  'micro.factor': 'time one mug of it, or run the water test under Kitchen',
  'micro.steam': 'weigh one mug before and after',
  'dough.density': 'weigh one ball and measure it across',
  'hand.lossShare': 'weigh the dough, and all portions of it',
  'bind.factor': 'weigh the binder that really goes in',
  'coat.mm': 'weigh ten pieces before and after they are coated',
  'coat.dripShare': 'weigh the pot before and after, and the pieces too',
  'coat.density': 'weigh a spoon of known size, full of melted coat',
  'frosting.style': 'weigh one piece before and after it is frosted',
  'frosting.density': 'weigh a level cup of it, and the same cup of water',
  'bag.loss': 'weigh an empty bag once it is used up',
  'filling.each': 'weigh one piece before and after it is filled',
  'set.usual': 'time the first few',
  'scoop.fill': 'weigh three level scoops of it',
  'portion.scatter': 'weigh ten of them as they come',
};

export const measuringWords = ({ key }: Pick<Param, 'key'>): string | null => HOW[key] ?? null;
