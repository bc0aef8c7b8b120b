/**
 * Bakes the demo kitchen's past in the simulated kitchen and writes it to `public/demo-past.json`: a dozen closed runs and what they
 * taught. A test keeps it in step.
 */
import { writeFileSync } from 'node:fs';
import { CAKESICLES, CUBES, CUPCAKES, MUGS, POPS } from '../demo/families';
import { DEMO_FORMULAS, DEMO_KITCHEN } from '../demo';
import { evidenceOf } from '../core/learn';
import { withLearned } from '../core/learn/beliefs';
import { benchStateOf, goingOn } from '../core/bench/log';
import { localOf, minutesOf } from '../core/model/localTime';
import type { KitchenDoc, Line, RunDoc } from '../core/model/documents';
import { planWhole } from '../core/plan';
import { bakedRun, endedHow, type Hands, type Mishap } from '../core/rehearse/bakedRun';
import { chanceOf } from '../core/schedule/solver';

/** The Saturday that the demo's evening falls on as this is written: the past lies whole weeks before it. */
export const PAST_SATURDAY = '2026-11-28T16:00';

/** What is true of the kitchen at Hollow Lane, and nobody has written down. */
const TRUE = {
  ovens: { 'oven-main': 1.07, 'oven-fan': 0.95, microwave: 1.12 } as Readonly<Record<string, number>>,
  thirst: 1.14,
  coat: 1.16,
  loss: 0.012,
  sets: 1.2,
  rises: 1.05,
} as const;
const HANDS: Hands = { pace: 1.12, scatter: 0.03, drift: 0.05, spoilt: 2 };

interface Batch {
  readonly name: string;
  readonly weeksBefore: number;
  readonly line: Line;
  readonly note: string;
  readonly mishap?: Mishap;
}

const at = <T>(all: readonly T[], i: number): T => all[i] as T;
const pops = (count: number): Line => ({ ...at(POPS, 0), count, lots: [] });
const cakes = (count: number, over: Partial<Line> = {}): Line =>
  ({ ...at(CUPCAKES, 1), formulaId: 'formula-honey-thyme', count, ...over }) as Line;

const PAST: readonly Batch[] = [
  {
    name: 'Seed swap',
    weeksBefore: 30,
    line: pops(24),
    note: 'First time with the jug. The last six were dipped out of a cup.',
  },
  { name: 'Work morning', weeksBefore: 27, line: cakes(18), note: '' },
  {
    name: 'Open plots',
    weeksBefore: 24,
    line: pops(36),
    note: 'Dough wanted more buttercream than was made.',
  },
  {
    name: 'Strawberry supper',
    weeksBefore: 21,
    line: { ...at(CUBES, 0), count: 30, columns: 6, rows: 5, lots: [] },
    note: '',
  },
  {
    name: 'Stewards’ break',
    weeksBefore: 19,
    line: { ...at(MUGS, 0), count: 6, frosting: null },
    note: '',
  },
  {
    name: 'Bean feast',
    weeksBefore: 16,
    line: { ...at(CAKESICLES, 0), count: 12, lots: [] },
    note: '',
  },
  {
    name: 'Late picnic',
    weeksBefore: 14,
    line: cakes(24),
    note: 'Somebody came for jars and the door stood open.',
    mishap: { bakes: 1.35 },
  },
  { name: 'Harvest table', weeksBefore: 11, line: pops(40), note: '' },
  {
    name: 'Makers’ tea',
    weeksBefore: 9,
    line: cakes(20, { formulaId: 'formula-beetroot-ginger', ovenId: 'oven-fan' }),
    note: 'In the small oven, as the hall was taken.',
  },
  { name: 'Apple day', weeksBefore: 6, line: { ...at(MUGS, 0), count: 9, frosting: null }, note: '' },
  { name: 'Bulb planting', weeksBefore: 4, line: cakes(24), note: '' },
  {
    name: 'Lantern making',
    weeksBefore: 2,
    line: pops(30),
    note: 'Tried out for the evening.',
  },
];

export interface Past {
  readonly saturday: string;
  readonly runs: readonly RunDoc[];
  readonly beliefs: KitchenDoc['beliefs'];
}

export function demoPast(): Past {
  const formulas = [...DEMO_FORMULAS];
  const runs: RunDoc[] = [];
  for (const [i, { name, weeksBefore, line, note, mishap }] of PAST.entries()) {
    const chance = chanceOf(700 + i);
    const readyAt = localOf(minutesOf(PAST_SATURDAY) - weeksBefore * 7 * 1440);
    const ready = minutesOf(readyAt) * 60_000;
    const kitchen = withLearned(DEMO_KITCHEN, runs, ready - 86_400_000);
    const oven = ovenOf(line);
    const run: RunDoc = {
      kind: 'run',
      version: 4,
      id: `run-past-${i + 1}`,
      name,
      createdAt: ready - 2 * 86_400_000,
      readyAt,
      lines: [{ ...line, id: 'line-1' }],
      closed: null,
    };
    const baked = bakedRun(
      { kind: 'run file', version: 4, run, formulas, kitchen },
      {
        ovenOffK: 0,
        bakeFactor: TRUE.ovens[oven] ?? 1,
        thirst: TRUE.thirst,
        coatThick: TRUE.coat,
        loss: TRUE.loss,
        sets: TRUE.sets,
        rises: TRUE.rises,
        sticks: false,
        warmRoom: false,
        more: null,
      },
      HANDS,
      chance,
      mishap ?? {},
    );
    const closedAt = ready + 5_400_000;
    const file = { run: baked, formulas, kitchen };
    const state = benchStateOf(baked.log ?? []);
    const made = planWhole(file).lines.reduce(
      (sum, plan) =>
        sum + (plan.planned ? goingOn(state, plan.line.id, Math.round(plan.parts.count.made.value)) : 0),
      0,
    );
    const closed = { at: closedAt, made, finish: endedHow(file, TRUE.rises), finishTold: true, note };
    const evidence = evidenceOf({ ...file, run: { ...baked, closed } }, closedAt);
    runs.push({ ...baked, closed: { ...closed, evidence } });
  }
  const learned = withLearned(DEMO_KITCHEN, runs, minutesOf(PAST_SATURDAY) * 60_000);
  return { saturday: PAST_SATURDAY, runs, beliefs: learned.beliefs };
}

function ovenOf(line: Line): string {
  if (line.family === 'mug') return 'microwave';
  if (line.family !== 'pop' && line.family !== 'cakesicle') return line.ovenId;
  const [part] = line.crumb;
  return part?.from === 'bake' ? part.ovenId : '';
}

/** To six digits: what is beyond says nothing, and fills the file. */
const short = (_: string, value: unknown): unknown =>
  typeof value === 'number' && !Number.isInteger(value) ? Number(value.toPrecision(6)) : value;

export const pastText = (): string => `${JSON.stringify(demoPast(), short)}\n`;

if (process.argv[1]?.endsWith('demo-past.ts')) writeFileSync('public/demo-past.json', pastText());
