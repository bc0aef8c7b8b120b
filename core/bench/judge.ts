import type { FrostingChoice, KitchenDoc, Line } from '../model/documents';
import type { FrostingKind } from '../model/kinds';
import type { LinePlan } from '../plan';
import { boilingShiftK, syrupBandC } from '../process/altitude';
import { nextBinderG } from '../process/bind';
import { BIND_STEP_G } from '../process/bind.table';
import { MEND } from '../process/frost.table';
import { TEMPERING } from '../process/temper.table';
import type { Chore } from '../schedule/chores/chore';
import { JUDGE } from './judge.words';
import type { Answered } from './log';

/** A judgement at the step where it is due: what to look at, what can be said, and what follows from what was said. */
export interface Judgement {
  readonly asks: 'squeeze' | 'stiffness' | 'coat' | 'syrup';
  readonly title: string;
  readonly how: string;
  readonly answers: readonly { readonly id: string; readonly title: string }[];
  /** What may be measured as well. */
  readonly measures: { readonly id: string; readonly title: string; readonly unit: 'g' | '°C' } | null;
  /** Sentences with measures in braces, for `inStyle`: what to do now. */
  readonly says: readonly string[];
  /** It is as it should be: the step can go on. */
  readonly settled: boolean;
  /** A figure that this has measured, to plan on from. */
  readonly found: { readonly lineId: string; readonly figureId: string; readonly value: number } | null;
}

interface About {
  readonly chore: Chore;
  readonly plan: LinePlan;
  readonly kitchen: KitchenDoc;
  readonly answers: readonly Answered[];
}

/** The judgement that belongs to a step; null where it asks for none. */
export function judgementFor(about: About): Judgement | null {
  switch (about.chore.does) {
    case 'bind':
      return squeeze(about);
    case 'frosting':
      return syrup(about) ?? stiffness(about);
    case 'soften':
    case 'frost':
      return stiffness(about);
    case 'make':
      // Not at whatever else is made for the line: no fruit butter is boiled to 118 °C.
      return about.chore.makes === frostingOf(about.plan.line)?.formulaId ? syrup(about) : null;
    case 'dip':
      return coat(about);
    default:
      return null;
  }
}

const titled = (answers: readonly (readonly [string, string])[]): Judgement['answers'] =>
  answers.map(([id, title]) => ({ id, title }));

const mineOf = ({ answers }: About, asks: Judgement['asks']): readonly Answered[] =>
  answers.filter(({ to }) => to === asks);

/** Binder worked in: a first addition, then spoons with a squeeze between, teaspoons near the end. */
function squeeze(about: About): Judgement | null {
  const { dough } = about.plan.parts;
  if (!dough || dough.need.value <= 0) return null;
  const need = dough.need.value;
  const mine = mineOf(about, 'squeeze');
  let added = dough.first.value;
  let step = 0;
  for (const { answer } of mine) {
    step = nextBinderG(added, need);
    if (answer === 'crumbles') added += step;
  }
  const last = mine.at(-1)?.answer;
  const words = JUDGE.squeeze;
  const crumbG = dough.crumbTotal.value;
  const says =
    last === undefined
      ? [words.first(added, need)]
      : last === 'holds'
        ? [words.holds(added, need, crumbG + (dough.ownFrosting?.value ?? 0) + added)]
        : last === 'wet'
          ? // A spoon of binder is taken up by as much crumb as it would have bound.
            [words.wet((BIND_STEP_G.spoon * crumbG) / need)]
          : added > need * FAR
            ? [words.far(added, need)]
            : [words.more(step, step === BIND_STEP_G.spoon ? 'a tablespoon' : 'a teaspoon', added)];
  return {
    asks: 'squeeze',
    title: words.title,
    how: words.how,
    answers: titled(words.answers),
    measures: null,
    says,
    settled: last === 'holds',
    found:
      last === 'holds' && Math.abs(added - dough.added.value) >= 1
        ? { lineId: about.plan.line.id, figureId: dough.added.id, value: added }
        : null,
  };
}
/** Binder beyond so many times what was reckoned is not put down to thirsty crumb any more. Basis: its range and as much again. */
const FAR = 1.6;

const frostingOf = (line: Line): FrostingChoice | null =>
  'frosting' in line ? (line.frosting as FrostingChoice | null) : null;
const frostingKind = (line: Line): FrostingKind | undefined => frostingOf(line)?.kind;

const CREAMS: ReadonlySet<FrostingKind> = new Set(['whipped cream', 'cream with yoghurt']);
const MERINGUES: ReadonlySet<FrostingKind> = new Set(['cooked meringue']);

/** Frosting before it goes on: runny or stiff, and the step that mends it. */
function stiffness(about: About): Judgement | null {
  const { line, parts } = about.plan;
  const kind = frostingKind(line);
  const allG = parts.frostingNeeded?.value ?? 0;
  if (!kind || kind === 'glaze' || allG <= 0) return null;
  const mine = mineOf(about, 'stiffness');
  const last = mine.at(-1)?.answer;
  const words = JUDGE.stiffness;
  const liquidG = Math.max(1, allG * MEND.liquidStep);
  const runny = CREAMS.has(kind)
    ? words.cream
    : MERINGUES.has(kind)
      ? words.meringue
      : kind === 'ganache'
        ? words.ganache(MEND.chillMin)
        : words.sugar(allG * MEND.sugarStep, MEND.chillMin);
  const stiff = CREAMS.has(kind)
    ? words.creamStiff(allG * MEND.sugarStep)
    : MERINGUES.has(kind)
      ? words.meringueStiff
      : kind === 'ganache'
        ? words.ganacheStiff
        : words.liquid(liquidG);
  return {
    asks: 'stiffness',
    title: words.title,
    how: words.how,
    answers: titled(words.answers),
    measures: null,
    says: [
      last === undefined
        ? words.open(allG)
        : last === 'runny'
          ? runny
          : last === 'stiff'
            ? stiff
            : words.right,
    ],
    settled: last === 'right',
    found: null,
  };
}

/** Oil that thins a coat at most, as a share of it: the upper end of what it takes. */
const OIL_SHARE = 0.02;
/** A coat that needs no temper is worked about so warm, °C. Basis: typical. */
const COMPOUND_C = { low: 36, high: 45 } as const;

/** A coat on its first piece: how it runs, what it weighs, how warm it is. */
function coat(about: About): Judgement | null {
  const { coat: part, count } = about.plan.parts;
  if (!part) return null;
  const mine = mineOf(about, 'coat');
  const words = JUDGE.coat;
  const kind = part.choice.kind;
  const eachG = part.taken.value;
  const meltedG = part.perPiece.value * count.made.value;
  const run = mine.filter(({ answer }) => words.answers.some(([id]) => id === answer)).at(-1)?.answer;
  const weighed = mine.filter(({ answer, value }) => answer === 'weighed' && value !== null).at(-1)?.value;
  const warm = mine.filter(({ answer, value }) => answer === 'measured' && value !== null).at(-1)?.value;
  const band = kind === 'compound' ? null : TEMPERING.of[kind].workC;
  const says: string[] = [];
  if (weighed != null) {
    const enoughFor = Math.floor(meltedG / (weighed * (1 + part.drips.value)));
    says.push(words.weighed(weighed, eachG, enoughFor, count.made.value));
  }
  if (warm != null) says.push(warmth(warm, band));
  if (run === 'thin') says.push(words.thin);
  if (run === 'thick')
    says.push(band ? words.thickTempered(band[1]) : words.thickCompound(meltedG * OIL_SHARE));
  if (run === 'right') says.push(words.right);
  if (says.length === 0) says.push(words.open(eachG));
  return {
    asks: 'coat',
    title: words.title,
    how: words.how,
    answers: titled(words.answers),
    measures: { id: 'measured', title: words.measure, unit: '°C' },
    says,
    settled: run === 'right',
    found: null,
  };
}

function warmth(atC: number, band: readonly [number, number] | null): string {
  const words = JUDGE.coat;
  if (!band)
    return atC > COMPOUND_C.high
      ? words.hot(atC)
      : atC < COMPOUND_C.low
        ? words.below(atC, COMPOUND_C.low)
        : words.inBand(atC, COMPOUND_C.low, COMPOUND_C.high);
  const [low, high] = band;
  return atC > high + 0.5
    ? words.above(atC, high)
    : atC < low - 0.5
      ? words.below(atC, low)
      : words.inBand(atC, low, high);
}

/** A syrup that is boiled for what is made: to how many degrees here. */
function syrup(about: About): Judgement | null {
  const frosting = frostingOf(about.plan.line);
  const kind = frosting?.kind;
  if (kind !== 'cooked meringue' && kind !== 'meringue buttercream') return null;
  // Bought or left over: there is nothing to boil.
  if (typeof frosting?.onHandG === 'number') return null;
  const shift = boilingShiftK(about.kitchen.altitudeM ?? 0);
  const [low, high] = syrupBandC(about.kitchen.altitudeM ?? 0);
  const words = JUDGE.syrup;
  const at = mineOf(about, 'syrup').at(-1)?.value ?? null;
  return {
    asks: 'syrup',
    title: words.title,
    how: '',
    answers: [],
    measures: { id: 'measured', title: words.measure, unit: '°C' },
    says: [
      words.open(low, high, shift),
      ...(at === null
        ? []
        : [at < low - 0.5 ? words.below(at, low) : at <= high + 0.5 ? words.at(at) : words.over(at)]),
    ],
    settled: at !== null && at >= low - 0.5 && at <= high + 0.5,
    found: null,
  };
}

/** How cool something is by now, by its size and how long it has stood; with its range, °C. */
export interface CoolNow {
  readonly nowC: number;
  readonly lowC: number;
  readonly highC: number;
  /** Down to what it has to come, and the room it stands in. */
  readonly toC: number;
  readonly roomC: number;
  /** Until then, s; 0 where it is there, null where this room never gets it there. */
  readonly leftS: number | null;
}

export interface Cooling {
  readonly room: { readonly value: number };
  readonly constant: { readonly value: number; readonly low: number; readonly high: number };
  readonly time: { readonly value: number };
}

/** From how warm it cools, °C. */
const FROM_C = 95;

/**
 * Exponential approach to the room.
 * @param stoodS s since it came out of the heat
 * @param probeC what a probe shows in the middle; null without one: then by size and time alone
 */
export function coolNow(cooling: Cooling, stoodS: number, probeC: number | null): CoolNow {
  const roomC = cooling.room.value;
  const at = (constantS: number) => roomC + (FROM_C - roomC) * Math.exp(-stoodS / constantS);
  const toC = roomC + (FROM_C - roomC) * Math.exp(-cooling.time.value / cooling.constant.value);
  const nowC = probeC ?? at(cooling.constant.value);
  const leftS =
    nowC <= toC ? 0 : toC <= roomC ? null : cooling.constant.value * Math.log((nowC - roomC) / (toC - roomC));
  return {
    nowC,
    lowC: probeC ?? at(cooling.constant.low),
    highC: probeC ?? at(cooling.constant.high),
    toC,
    roomC,
    leftS,
  };
}

/** The same in words with measures in braces. */
export function coolWords({ nowC, lowC, highC, toC, roomC, leftS }: CoolNow, probed: boolean): string[] {
  const words = JUDGE.cool;
  const left =
    leftS === 0
      ? words.there(toC)
      : leftS === null
        ? words.never(roomC, toC)
        : words.still(Math.ceil(leftS / 60), toC);
  return probed ? [left] : [words.now(nowC, lowC, highC), left];
}
