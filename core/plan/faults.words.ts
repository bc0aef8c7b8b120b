import { showText } from '../quantity';
import type { Fault } from '../quantity';
import type { Unit } from '../figure';
import type { RefKind } from '../model/references';

/** Why a line cannot be planned as it stands, with what the words need to say it. */
export type FaultCase =
  | { readonly code: 'thing gone'; readonly kind: Exclude<RefKind, 'formula'> }
  | { readonly code: 'formula gone' }
  | { readonly code: 'formula made of itself'; readonly name: string; readonly ring: readonly string[] }
  | { readonly code: 'formula without amounts'; readonly name: string }
  | { readonly code: 'lots too many'; readonly promised: number; readonly count: number }
  | { readonly code: 'shell too thick'; readonly shellMm: number; readonly mould: string }
  | {
      readonly code: 'pieces too small';
      readonly columns: number;
      readonly rows: number;
      readonly sheet: string;
    }
  | { readonly code: 'not reckoned' }
  | { readonly code: 'core too wide'; readonly coreMm: number; readonly mostMm: number }
  | { readonly code: 'core too deep'; readonly coreMm: number; readonly mostMm: number }
  | {
      readonly code: 'measured out of bounds';
      readonly label: string;
      readonly unit: Unit;
      readonly value: number;
      readonly min: number;
      readonly max: number;
    };

const mm = (value: number): string => `{${Math.floor(value)} mm}`;

/** The fault in words: what is wrong, and what would mend it. Measures in braces, for `inStyle`. */
export function faultWords(fault: FaultCase): Fault {
  switch (fault.code) {
    case 'thing gone':
      return {
        fault: `The ${fault.kind} of this run is gone from the kitchen.`,
        mend: `Choose another ${fault.kind}.`,
      };
    case 'formula gone':
      return { fault: 'Its formula is gone.', mend: 'Choose another formula.' };
    case 'formula made of itself':
      return {
        fault: `"${fault.name}" is made of itself: ${fault.ring.join(' → ')}.`,
        mend: 'Take one of these parts out.',
      };
    case 'formula without amounts':
      return {
        fault: `"${fault.name}" has no line with an amount that can be read.`,
        mend: 'Open the formula and write its ingredients, one a line.',
      };
    case 'lots too many':
      return {
        fault: `The lots come to ${fault.promised} pieces, and the line has ${fault.count}.`,
        mend: `Make ${fault.promised}, or make a lot smaller by ${fault.promised - fault.count}.`,
      };
    case 'shell too thick':
      return {
        fault: `A shell of ${fault.shellMm} mm leaves no room in "${fault.mould}".`,
        mend: 'Make the shell thinner, or take a larger mould.',
      };
    case 'pieces too small':
      return {
        fault: `${fault.columns} × ${fault.rows} leaves pieces under 5 mm on "${fault.sheet}".`,
        mend: 'Cut it into fewer, trim less, or take a larger sheet.',
      };
    case 'not reckoned':
      return {
        fault: 'This could not be reckoned: a fault of Carnelian, not of yours.',
        mend: 'Undo the last change, or change it another way. The other lines stand.',
      };
    case 'core too wide':
      return {
        fault: `A core of ${mm(fault.coreMm)} across is too wide for this piece: its walls would break.`,
        mend: `Take a corer of ${mm(fault.mostMm)} at most, or a larger tin.`,
      };
    case 'core too deep':
      return {
        fault: `A core ${mm(fault.coreMm)} deep goes too near the bottom of this piece.`,
        mend: `Cut it ${mm(fault.mostMm)} deep at most, or bake it higher.`,
      };
    case 'measured out of bounds': {
      const { label, unit, value, min, max } = fault;
      const low = value < min;
      return {
        fault: `"${label}" is stated as ${showText(value, unit)}; it cannot be ${low ? 'less' : 'more'} than ${showText(low ? min : max, unit)}.`,
        mend: 'Weigh or measure it again, or take the value back.',
      };
    }
  }
}
