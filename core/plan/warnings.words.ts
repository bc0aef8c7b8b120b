import { ALLERGEN_NAMES, allergenNames, listWords } from '../caution/allergens.words';
import { gramsText } from './figures';
import type { Fault } from '../quantity';
import type { Promised } from './promise';

/** What is likely to go wrong with a line, with what the words need to say it. */
export type WarningCase =
  | { readonly code: 'finish'; readonly name: string; readonly mend: string }
  | { readonly code: 'batter lacks'; readonly lacks: readonly string[]; readonly formula: string }
  | { readonly code: 'lines unread'; readonly lines: number; readonly formula: string }
  | { readonly code: 'written for lower down'; readonly heightM: number; readonly formula: string }
  | { readonly code: 'batter waits'; readonly waitMin: number; readonly allowedMin: number }
  | { readonly code: 'scale too coarse' }
  | {
      readonly code: 'bowl too small';
      readonly litres: number;
      readonly bowl: string | null;
      readonly bowlLitres: number;
    }
  | { readonly code: 'sheet runs over'; readonly highMm: number; readonly depthMm: number }
  | {
      readonly code: 'vessel shallow';
      readonly vessel: string;
      readonly deepMm: number;
      readonly neededMm: number;
    }
  | { readonly code: 'vessel narrow'; readonly vessel: string; readonly ballMm: number }
  | { readonly code: 'coat thick'; readonly mm: number }
  | { readonly code: 'ball heavy' }
  | { readonly code: 'shell thin'; readonly mm: number; readonly leastMm: number; readonly usualMm: number }
  | { readonly code: 'shell thick'; readonly mm: number; readonly mostMm: number; readonly usualMm: number }
  | { readonly code: 'mug overfull'; readonly share: number }
  | { readonly code: 'microwave long' }
  | {
      readonly code: 'groups uneven';
      readonly groups: readonly number[];
      readonly last: { readonly timeS: number; readonly lookS: number } | null;
    }
  | { readonly code: 'low power' }
  | { readonly code: 'oven not fitted'; readonly airC: number }
  | { readonly code: 'promise broken'; readonly name: string; readonly broken: Promised['broken'] }
  | {
      readonly code: 'promise not known';
      readonly name: string;
      readonly of: Promised['of'];
      readonly toRead: readonly string[];
    }
  | { readonly code: 'promise beside'; readonly name: string; readonly of: Promised['of'] }
  | {
      readonly code: 'promise shares bowl';
      readonly name: string;
      readonly of: Promised['of'];
      readonly bowl: string;
    }
  | { readonly code: 'promise shares vessel'; readonly name: string; readonly of: Promised['of'] }
  | {
      readonly code: 'binder in excess';
      readonly overG: number;
      readonly cakeG: number;
      readonly biscuitG: number;
      readonly scrape: boolean;
    }
  | { readonly code: 'leftovers old'; readonly days: number; readonly mostDays: number }
  | { readonly code: 'late'; readonly byMin: number }
  | { readonly code: 'formula says otherwise'; readonly said: Fault }
  | { readonly code: 'measured and not used'; readonly ids: readonly string[] };

/** "gluten (wheat) and milk". */
const freeWords = (of: Promised['of']): string => listWords(allergenNames(of));

/** A warning in words, with its case for whoever has to tell it apart. */
export type Warning = Fault & { readonly why: WarningCase };
export const warning = (why: WarningCase): Warning => ({ why, ...warningWords(why) });

function warningWords(why: WarningCase): Fault {
  switch (why.code) {
    case 'finish':
      return { fault: `These come out ${why.name}.`, mend: why.mend };
    case 'batter lacks':
      return {
        fault: `No ${why.lacks.join(' and no ')} was found in "${why.formula}": everything below is worked out without.`,
        mend: 'Open the formula: a line may be missing, or read as a note.',
      };
    case 'lines unread': {
      const one = why.lines === 1;
      return {
        fault: `${why.lines} ${one ? 'line' : 'lines'} of "${why.formula}" could not be read and ${one ? 'is' : 'are'} left out of these sums.`,
        mend: 'Open the formula and mend what is marked.',
      };
    }
    case 'written for lower down':
      return {
        fault: `This kitchen lies at ${Math.round(why.heightM)} m, and "${why.formula}" is written for lower down: it rises too far and falls.`,
        mend: 'Its page has the changes for this height with their sums. Fill a little less, and look early.',
      };
    case 'batter waits':
      return {
        fault: `The last load's batter waits about ${Math.round(why.waitMin)} min; this one keeps its lift for about ${why.allowedMin}.`,
        mend: 'The day mixes it in several bowls, the later ones while the first bakes.',
      };
    case 'scale too coarse':
      return {
        fault: 'A well takes less than five steps of the scale.',
        mend: 'Weigh the whole tin as you fill it, or portion with a spoon.',
      };
    case 'bowl too small': {
      const litres = (n: number) => `${Number(n.toFixed(1))} litres`;
      const bowl = why.bowl === null ? 'a mixing bowl of usual size' : `"${why.bowl}"`;
      return {
        fault: `That is ${litres(why.litres)} of batter: more than ${bowl} of ${litres(why.bowlLitres)} mixes at once.`,
        mend: `The day mixes it in several bowls.${why.bowl === null ? ' Count your bowls under Kitchen, and it goes by them.' : ''}`,
      };
    }
    case 'sheet runs over':
      return {
        fault: `The cake would stand {${Math.round(why.highMm)} mm} high in a sheet {${why.depthMm} mm} deep: it runs over.`,
        mend: 'Bake it lower, or in a deeper tin.',
      };
    case 'vessel shallow':
      return {
        fault: `"${why.vessel}" is {${why.deepMm} mm} deep; these need {${Math.round(why.neededMm)} mm} of coat.`,
        mend: 'Take a deeper vessel, or spoon the coat over.',
      };
    case 'vessel narrow':
      return {
        fault: `"${why.vessel}" is too narrow for a ball of {${Math.round(why.ballMm)} mm}.`,
        mend: 'Take a wider vessel, or make them smaller.',
      };
    case 'coat thick':
      return { fault: `A coat of {${why.mm} mm} is thick to bite.`, mend: 'Warm it, or thin it a little.' };
    case 'ball heavy':
      return {
        fault: 'Balls as heavy as these slide down a stick.',
        mend: 'Make them lighter, chill them hard, or serve them without a stick.',
      };
    case 'shell thin':
      return {
        fault: `A shell of {${why.mm} mm} is likely to crack when it comes out.`,
        mend: `Make it at least {${why.leastMm} mm}; about {${why.usualMm} mm} is usual.`,
      };
    case 'shell thick':
      return {
        fault: `A shell of {${why.mm} mm} is hard to bite through.`,
        mend: `Stay under {${why.mostMm} mm}; about {${why.usualMm} mm} is usual.`,
      };
    case 'mug overfull':
      return {
        fault: `The mugs are ${Math.round(why.share * 100)} % full: it is likely to climb over the rim.`,
        mend: 'Fill them to half at most, or take larger mugs and stand them on a plate.',
      };
    case 'microwave long':
      return {
        fault: 'That is long for a microwave: the rim dries before the middle is done.',
        mend: 'Turn fewer at once, or use full power.',
      };
    case 'groups uneven': {
      const few = why.groups.at(-1) ?? 0;
      return {
        fault: `The groups are ${why.groups.join(', ')}: the last one is smaller and done sooner.`,
        mend: why.last
          ? `Give the last ${few} about ${Math.round(why.last.timeS)} s, and look at ${Math.round(why.last.lookS)} s.`
          : 'Look at it earlier, by its share of the grams.',
      };
    }
    case 'low power':
      return {
        fault: 'At a low setting most ovens switch on and off: it rises and falls in turns.',
        mend: 'Half power or more makes a more even crumb.',
      };
    case 'oven not fitted':
      return {
        fault: `The model was not fitted for an oven of {${Math.round(why.airC)} °C}: its times are a guess here.`,
        mend: 'Look early and often, and trust the skewer.',
      };
    case 'promise broken':
      return {
        fault: `"${why.name}" is promised free of ${freeWords(why.broken.map(({ allergen }) => allergen))}, but it holds ${listWords(
          why.broken.map(({ allergen, by }) =>
            by.length === 0 ? ALLERGEN_NAMES[allergen] : `${ALLERGEN_NAMES[allergen]} (${by.join(', ')})`,
          ),
        )}.`,
        mend: 'Make it without these, or take the promise back.',
      };
    case 'promise not known':
      return {
        fault: `"${why.name}" is promised free of ${freeWords(why.of)}, and nobody has read the packet of ${listWords(why.toRead)} yet.`,
        mend: 'Read them, and tick them where the promise stands. Ask where leftover cake came from.',
      };
    case 'promise beside':
      return {
        fault: `"${why.name}" is promised free of ${freeWords(why.of)}; other pieces of this line have it.`,
        mend: 'Finish these first, with their own bag, pot and tray, and keep them apart. Clean tools alone may not be enough: ask whoever eats.',
      };
    case 'promise shares bowl':
      return {
        fault: `"${why.name}" is promised free of ${freeWords(why.of)} and shares the bowl of ${why.bowl} with pieces that have it.`,
        mend: 'Put its share into a clean bowl first, before the rest is finished, or make it apart.',
      };
    case 'promise shares vessel':
      return {
        fault: `"${why.name}" is promised free of ${freeWords(why.of)} and shares the dipping vessel with pieces that have it.`,
        mend: 'Dip it first, in a clean vessel of its own. Clean tools alone may not be enough: ask whoever eats.',
      };
    case 'binder in excess':
      return {
        fault: `What is in the crumb already brings ${gramsText(why.overG)} more binder than it takes: the dough comes out wet.`,
        mend: `${gramsText(why.cakeG)} more plain crumb would take it up, or ${gramsText(why.biscuitG)} of crushed biscuit${why.scrape ? '; or scrape some of the frosting off first' : ''}. Add none of the binder.`,
      };
    case 'leftovers old':
      return {
        fault: `The cake for the crumb is ${why.days} days old: cake with anything on it keeps ${why.mostDays} days in the fridge.`,
        mend: 'Let it go, or use plain cake that was frozen fresh. When in doubt, leave it out.',
      };
    case 'late':
      return {
        fault: `The latest safe start was ${Math.round(why.byMin)} min ago.`,
        mend: 'Move the hour it must be ready, make fewer, or leave out softening by hand: cut butter small, warm eggs in water.',
      };
    case 'formula says otherwise':
      return why.said;
    case 'measured and not used':
      return {
        fault: `Something was measured here that no sum of this line takes any more: ${why.ids.join(', ')}.`,
        mend: 'What it described has changed. Measure anew where it matters; undo brings back what was before.',
      };
  }
}
