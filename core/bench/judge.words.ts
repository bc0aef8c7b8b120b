import type { ChoreDoes } from '../model/choreDoes';
import { gramsText as grams } from '../plan';

/** °C in braces, for `inStyle`. */
const c = (value: number): string => `{${Math.round(value)} °C}`;

export const JUDGE = {
  squeeze: {
    title: 'Squeeze a handful',
    how: 'It holds in one lump, no crumbs fall, and the palm does not shine.',
    answers: [
      ['crumbles', 'Crumbs fall'],
      ['holds', 'It holds'],
      ['wet', 'It smears, it shines'],
    ],
    first: (firstG: number, needG: number) =>
      `${grams(firstG)} first, then squeeze. About ${grams(needG)} in all are reckoned.`,
    more: (stepG: number, spoon: string, inAllG: number) =>
      `${grams(stepG)} more, ${spoon}: ${grams(inAllG)} then. Work it in and squeeze again.`,
    far: (inAllG: number, needG: number) =>
      `${grams(inAllG)} are in, far more than the ${grams(needG)} reckoned. Look at the scale and at the crumb before another spoon: a cold dough crumbles too, and holds once it is warm.`,
    holds: (inAllG: number, needG: number, doughG: number) =>
      `${grams(inAllG)} it took, ${grams(needG)} were reckoned. The dough is about ${grams(doughG)}.`,
    wet: (crumbG: number) =>
      `Half an hour in the fridge, then squeeze again: most soft doughs only want that. If it still shines, ${grams(crumbG)} of crumb takes up one spoon; knead that in and squeeze.`,
    goOn: 'Plan on from this',
  },
  stiffness: {
    title: 'How stiff is it?',
    how: 'A peak on the whisk: it stands and only its tip bends.',
    answers: [
      ['runny', 'It runs'],
      ['right', 'It stands'],
      ['stiff', 'It tears the cake'],
    ],
    open: (allG: number) => `About ${grams(allG)} are in the bowl.`,
    sugar: (stepG: number, chillMin: number) =>
      `${chillMin} min in the cold and beat again. If it still runs, ${grams(stepG)} of icing sugar, and look again.`,
    liquid: (stepG: number) => `${grams(stepG)} of milk or water, beaten in, and look again.`,
    cream: 'In short bursts, by hand at the end: a moment too long and it is butter.',
    creamStiff: (stepG: number) =>
      `Fold in ${grams(stepG)} of cold cream by hand. Grainy, it does not come back.`,
    ganache: (chillMin: number) => `Let it stand another ${chillMin} min and stir: it thickens as it cools.`,
    ganacheStiff: 'A few seconds over warm water, and stir.',
    meringue:
      'Beat on until the bowl is cold. Runny when cold, it does not stand any more: use it as a glaze.',
    meringueStiff: 'It is ready: pipe at once, it sets as it stands.',
    right: 'Good. Keep what waits covered, and cool.',
  },
  coat: {
    title: 'How does the coat run?',
    how: 'Dip one, tap it, count to ten: it has stopped dripping, no ridge, no bare spot.',
    answers: [
      ['thin', 'Bare spots'],
      ['right', 'Even'],
      ['thick', 'Ridges, a foot'],
    ],
    open: (eachG: number) => `About ${grams(eachG)} on a piece are reckoned. Weigh one before and after.`,
    weighed: (gotG: number, eachG: number, enoughFor: number, made: number) =>
      gotG > eachG * 1.1 && enoughFor < made
        ? `${grams(gotG)} on a piece, not ${grams(eachG)}: what is melted is enough for ${enoughFor} of ${made}.`
        : `${grams(gotG)} on a piece against ${grams(eachG)}: what is melted is enough.`,
    thin: 'Let it cool by a degree or two, stirring, and dip again. Two thin coats are better than one that runs off.',
    thickCompound: (oilG: number) =>
      `Warm it to ${c(40)} first. Then up to ${grams(oilG)} of coconut oil, never water.`,
    thickTempered: (topC: number) =>
      `Warm it gently to ${c(topC)} and no further: above that it has to be tempered again.`,
    right: 'Good. Stir between lots: it cools from the rim.',
    measure: 'Temperature of the coat',
    inBand: (at: number, low: number, high: number) => `${c(at)}: in its band of ${c(low)} to ${c(high)}.`,
    below: (at: number, low: number) =>
      `${c(at)}: below ${c(low)} it coats thick. Warm it a little at a time.`,
    above: (at: number, high: number) =>
      `${c(at)}: over ${c(high)} the temper goes. Stir in a handful of unmelted chocolate, cool it, and test a drop on paper.`,
    hot: (at: number) => `${c(at)}: thin and slow to set. Let it cool to about ${c(40)}.`,
  },
  syrup: {
    title: 'How hot is the syrup?',
    measure: 'Temperature of the syrup',
    open: (low: number, high: number, shift: number) =>
      shift >= 1
        ? `Off the heat at ${c(low)} to ${c(high)}: ${Math.round(shift)} °C less than at the sea, for water boils sooner up here.`
        : `Off the heat at ${c(low)} to ${c(high)}.`,
    below: (at: number, low: number) =>
      `${c(at)}: ${Math.ceil(low - at)} °C to go, and the last ones are quick.`,
    at: (at: number) => `${c(at)}: off the heat now, and pour it in a thin stream.`,
    over: (at: number) =>
      `${c(at)}: past it. A spoon of hot water and boil down to it again; brown, begin anew.`,
  },
  cool: {
    measure: 'Temperature in the middle',
    now: (nowC: number, lowC: number, highC: number) =>
      `By now about ${c(nowC)} in the middle, ${c(lowC)} to ${c(highC)}: by its size and time.`,
    still: (minutes: number, toC: number) => `About ${minutes} min until ${c(toC)}.`,
    there: (toC: number) => `Cooler than ${c(toC)}: go on.`,
    never: (roomC: number, toC: number) =>
      `A kitchen of ${c(roomC)} does not get it to ${c(toC)}: half an hour in the fridge.`,
  },
} as const;

/** By a wait's name, what shows that it is over. */
export const SIGNS: Readonly<Partial<Record<ChoreDoes, string>>> = {
  cool: 'No warmth left underneath, against the back of the hand.',
  firm: 'It keeps its shape when it is lifted, and is cold through.',
  anchor: 'The stick does not turn.',
  'coat-sets': 'No mark of a finger at the back.',
  'set-a': 'Dull all over, no wet shine in the corners.',
  'set-b': 'Dull all over, and the rim is firm.',
  freeze: 'Drawn from the rim, and the back plate rings when it is tapped.',
  'top-sets': 'It does not cling to a finger.',
  'mould-dries': 'No drop in the corners: water spoils a coat.',
  'frosting-out': 'It gives under a finger.',
  'butter-out': 'A finger leaves a dent and does not slide through.',
};
