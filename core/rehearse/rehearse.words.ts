import { gramsText as grams } from '../plan';

/** What is shown and can be answered in a rehearsal; measures in braces, for `inStyle`. */
export const SCENE = {
  look: {
    title: (piece: string) => `A look into the oven: ${piece}`,
    wet: 'A skewer comes out wet, and the middle trembles.',
    crumbs: 'A few damp crumbs cling to the skewer.',
    clean: 'The skewer is clean, the top springs back.',
    brown: 'Dark at the rim, and the top is hard.',
    options: {
      out: 'Out with it',
      short: 'In again, 2 min',
      middle: 'In again, 4 min',
      long: 'In again, 8 min',
    },
    came: {
      raw: (n: number) => `Raw in the middle: ${n} sank and are lost.`,
      good: 'Done, and moist.',
      dry: 'Done, and dry: it will take more binder or a soak.',
      burnt: (n: number) => `Burnt: ${n} are lost.`,
    },
  },
  squeeze: {
    title: 'A handful of dough',
    dry: 'It falls apart in crumbs.',
    nearly: 'It just holds, and cracks at the edges.',
    right: 'It holds in one lump, and the palm is dry.',
    wet: 'It smears, and the palm shines.',
    options: {
      spoon: 'Another spoon, {15 g}',
      tea: 'A teaspoon, {5 g}',
      roll: 'Good: roll them',
      chill: 'Half an hour in the fridge, and crumb by the spoon',
    },
    came: {
      dry: (n: number) => `Too dry: ${n} cracked on their sticks.`,
      good: (g: number) => `It held with ${grams(g)} of binder.`,
      wet: (n: number) => `Too soft: ${n} slid off their sticks.`,
      mended: 'The cold firmed it, a spoon of crumb took up the rest.',
    },
  },
  coat: {
    title: 'The first piece out of the coat',
    thick: 'Ridges down the side, and a foot where it stands.',
    even: 'It has stopped dripping, smooth all round.',
    options: {
      dip: 'Go on dipping',
      warm: 'Warm it gently, and stir',
      oil: 'A little coconut oil',
      water: 'A spoon of warm water',
    },
    came: {
      good: 'An even coat on all of them.',
      short: (n: number) => `The pot ran out: ${n} stayed without a coat.`,
      seized: 'Water made it seize: a new pot had to be melted.',
      thin: 'The oil went into a coat that needed none: it sets soft and shows fingers.',
    },
  },
  out: {
    title: 'The tin is out of the oven',
    hot: 'The rims are still hard to the tin. It has stood for a minute.',
    clings: 'One turned for a try clings to its well.',
    options: {
      now: 'Turn them out now',
      wait: 'Let it stand another five minutes',
      cold: 'Leave it until it is cold',
    },
    came: {
      tore: (n: number) => `${n} tore in two.`,
      good: 'They came out whole.',
      stuck: (n: number) => `Cold, the sugar had set: ${n} stayed in the tin.`,
    },
  },
  frost: {
    title: 'Ready to frost?',
    warm: 'The cakes are a little warm underneath.',
    options: {
      now: 'Frost them now',
      wait: 'A quarter of an hour more',
      fridge: 'Ten minutes in the fridge',
    },
    came: {
      slid: (n: number) => `The swirls slid off ${n} of them.`,
      good: 'The frosting stands.',
      wept: 'Cool at once, and no harm done.',
    },
  },
  more: {
    title: (n: number) => `“Could it be ${n} more?”`,
    asks: 'Somebody at the door, friendly, and in a hurry.',
    options: { no: 'No, not today', smaller: 'Yes: each a little smaller', batch: 'Yes: another bowl' },
    came: {
      no: (n: number) => `${n} wishes were not met.`,
      smaller: 'The dough was shared out anew: all of them a little smaller.',
      late: 'It was portioned already: they were made of scraps, uneven.',
      batch: 'Another bowl, another load.',
    },
  },
} as const;
