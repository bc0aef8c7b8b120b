import type { BinderKind, BindSchool, ChocolateKind, DipSchool } from '../model/kinds';
import { BIND_SCHOOLS } from '../process/bind.table';
import type { Bursts } from '../process/microwave';
import { DIP_SCHOOLS } from '../process/set.table';
import { gramsText } from './figures';

/** How a real chocolate is brought into temper, °C and g. */
interface Temper {
  readonly seedG: number;
  readonly meltC: readonly [number, number];
  readonly downC: number;
  readonly workC: readonly [number, number];
}

const degrees = (c: number) => `{${c} °C}`;

/** Which schools the sums follow, and what to watch for. Measures in braces, for `inStyle`. */
export const NOTES = {
  bound: (school: BindSchool, kind: BinderKind) =>
    `Bound ${BIND_SCHOOLS[school].name}, with ${kind}. ${BIND_SCHOOLS[school].meaning}`,
  partedFirst: (ownG: number, whats: readonly string[]) =>
    // Whether the day mixes it in one bowl or in two is told by the day: this holds either way.
    `These have the same base as those with ${whats.join(' and ')}. Mixed in one bowl, take ${gramsText(ownG)} into a clean bowl before ${whats.length === 1 ? 'that is' : 'those are'} anywhere near it; mixed apart, mix this one first. Fill and bake these first, in a tin and with tools of their own.`,
  stirredIn: (whats: readonly { readonly name: string; readonly massG: number }[]) =>
    `Once the pieces without have their part of the base, or are mixed apart from these, stir ${whats.map(({ name, massG }) => `${gramsText(massG)} of ${name}`).join(' and ')} into what is left for these.`,
  noBinder: 'The crumb brings all the binder it takes: squeeze it before anything is added.',
  addBinder: (firstG: number, spoons: number, small: number) => {
    const steps = [
      spoons > 0 ? `${spoons} by the tablespoon ({15 g})` : '',
      small > 0 ? `${small} by the teaspoon ({5 g})` : '',
    ].filter(Boolean);
    return `Add ${gramsText(firstG)} first, then at most ${steps.join(' and ') || 'a little more'}. Stop as soon as a squeezed handful holds, no crumbs fall and the palm does not shine.`;
  },
  wetOrDry: 'Too wet: crumb, or biscuit crumb, or half an hour in the fridge. Too dry: the next spoonful.',
  dipped: (school: DipSchool) =>
    `Dipped ${school}. ${DIP_SCHOOLS[school].meaning} ${DIP_SCHOOLS[school].watch}`,
  thin: 'Thin with coconut oil or cocoa butter, never with water: a drop of it seizes the pot.',
  lots: (kind: ChocolateKind) =>
    kind === 'compound'
      ? 'Take 3 to 6 at a time from the cold. Warm the pot again after 8 to 15 pieces, or when it falls to {34 °C}.'
      : `Take 3 to 6 at a time from the cold. Warm the ${kind} again after 8 to 15 pieces, to the top of the band that it is worked in and no higher.`,
  spooned:
    'Too few for a pool: stand each over the pot or on a rack, spoon the coat over, let it run off, and use that again.',
  narrower: (vessel: string, savesG: number) =>
    `"${vessel}" is narrower: it would leave ${gramsText(savesG)} less in the pool.`,
  melt: (
    kind: ChocolateKind,
    massG: number,
    { setting, burstS, count, lowCount, highCount, ceilingC }: Bursts,
  ) =>
    `Melt ${gramsText(massG)} of ${kind} in about ${count} bursts of ${burstS} s (${lowCount} to ${highCount}) at ${Math.round(setting * 100)} % power, stirring between; stop with a quarter still solid. Never above {${ceilingC[0]} °C} to {${ceilingC[1]} °C}. A water bath is slower and stays warm longer: bowl above the water, no steam on the chocolate.`,
  noTemper: 'Compound needs no temper.',
  temper: (kind: ChocolateKind, { seedG, meltC, downC, workC }: Temper) =>
    `To temper the ${kind}: melt it to ${degrees(meltC[0])} to ${degrees(meltC[1])}, stir in ${gramsText(seedG)} unmelted a handful at a time until it has come down to ${degrees(downC)}, take out what has not melted, and warm it to ${degrees(workC[0])} to ${degrees(workC[1])}. Hold it there. A smear on paper sets shiny within five minutes; dull or streaky, it has lost its temper: melt it again and start over.`,
  gentle: (kind: ChocolateKind, massG: number, mostC: number) =>
    `Or the gentle way, and then only that: melt all ${gramsText(massG)} of the ${kind} slowly and never let it pass ${degrees(mostC)}, so that it keeps the temper it was sold with.`,
  garnish: (lot: number) =>
    `Garnish while the coat is wet: no more than ${lot} dipped before the first gets its topping.`,
  shells: (firstG: number, secondG: number, backG: number) =>
    `First coat ${gramsText(firstG)}, second ${gramsText(secondG)}, back plate ${gramsText(backG)} a piece.`,
  poured: (backG: number) =>
    `Poured in and out: ${gramsText(backG)} come back each round. Tap out the air before it is emptied.`,
  brushed: 'Brushed in: hold the shell against the light and go over thin spots.',
  patch:
    'Crack at turning out: brush coat over it from the outside, or from inside before the filling. One that is lost in the mould goes back into the dough bowl, chocolate and all.',
  turnOutWarm:
    'Turn them out while warm, after 5 to 10 minutes: a sticky layer that has cooled stays in the tin.',
  greaseCorners: 'Grease every corner of the mould. Turn out once it is firm, after 5 to 10 minutes.',
  trimHalves: 'Trim the halves flat, pair those of a size, and keep the spares for the ones that break.',
  keepCores: 'Keep the crumb of the cores: it is good for pops.',
  frostCool:
    'Frost when the cake is cool all through; a warm one melts what stands on it. Kitchens above {24 °C} run soft: chill the bowl for ten minutes.',
  aloneAndTogether: (aloneS: number, group: number, togetherS: number) =>
    `One alone would take about ${Math.round(aloneS)} s; ${group} together take about ${Math.round(togetherS)} s.`,
  deepMug:
    'Deeper than waves get: turn it at half to two thirds of the power and let it stand three minutes, or share it out over more mugs.',
  thickMug: 'A thick mug and the side with the handle heat late: turn it half-way.',
  cuts: (acrossMm: readonly number[], alongMm: readonly number[]) => {
    const places = (mm: readonly number[]) => mm.map((one) => Math.round(one)).join(', ') || 'nothing';
    return `Chill the sheet before it is cut. Cut from the centre outwards: across at ${places(acrossMm)}, along at ${places(alongMm)} mm from the trimmed edge. Wipe the knife each time.`;
  },
} as const;
