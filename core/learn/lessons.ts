import type { Belief, KitchenDoc, RunDoc, RunFile } from '../model/documents';
import type { Evidence } from '../model/evidence';
import { stageWords } from '../process/stages';
import { paramOf, PARAMS, scopeParts } from '../param';
import { gramsText, planWhole, type LinePlan, type RunPlan } from '../plan';
import type { Unit } from '../figure';
import { beliefKey, beliefOf, taughtBy, withoutLearned } from './beliefs';
import { formatDuration, join } from '../quantity';
import type { Learned, Taught } from './learner';
import { keyOf } from './mention';
import { LESSON } from './lessons.words';

/** A value with half the width of its range. */
interface Amount {
  readonly mean: number;
  readonly spread: number;
}

/** What one run taught of one thing. Its words hold measures in braces. */
export interface Lesson {
  readonly key: string;
  readonly words: readonly string[];
  /** Evidence of the run that it rests on. */
  readonly evidence: readonly string[];
  readonly taken: Evidence['taken'];
  /** What it is told of: a figure of the plan, or the parameter itself. */
  readonly of: { readonly label: string; readonly unit: Unit };
  /** What that is by now, from how many outcomes; what it was just before this run; and at first. */
  readonly now: Amount & { readonly seen: number };
  /** Null for a run so far back that it no longer counts by itself. */
  readonly was: Amount | null;
  readonly first: Amount;
}

type File = Pick<RunFile, 'run' | 'formulas' | 'kitchen'>;

/** Of the many things that a run says, so many are told. */
const TOLD = 3;

/** What changes the day or the look, and no piece, is told after what does. Basis: judgement. */
const LESS: ReadonlySet<string> = new Set([PARAMS.workPace.key, PARAMS.portionScatter.key]);

/**
 * The lessons of a closed run that matter most: by how much each moved what was believed, against how sure that was.
 * @param runs all runs of the kitchen, this one among them
 * @param now ms since the epoch
 * @param known what all runs have taught by then, where somebody has worked it out
 */
export function lessonsOf(
  file: File,
  runs: readonly RunDoc[],
  now: number,
  known: Taught = taughtBy(runs, file.kitchen, now),
): Lesson[] {
  const { run, kitchen } = file;
  const own = run.closed?.evidence ?? [];
  if (own.length === 0) return [];
  // What waits or is refused is told as it would be.
  const { learned, before } = own.every(({ taken }) => taken === 'yes')
    ? known
    : taughtBy(allTaken(runs, run.id), kitchen, now);
  // The plan as it will be, with all of it taken to heart; and as it would be had nothing ever been learned.
  const plans = (of: KitchenDoc) =>
    planWhole({
      ...file,
      run: { ...run, lines: run.lines.map((line) => ({ ...line, measured: {} })), log: [], closed: null },
      kitchen: of,
    });
  const whole = plans({ ...kitchen, beliefs: believed(kitchen, learned) });
  const fresh = plans(withoutLearned(kitchen));
  const byThing = new Map<string, Evidence[]>();
  for (const one of own) {
    const key = keyOf(one);
    byThing.set(key, [...(byThing.get(key) ?? []), one]);
  }
  return [...byThing]
    .flatMap(([key, some]): (Lesson & { readonly weight: number })[] => {
      const [one] = some;
      const found = learned.find((other) => beliefKey(other) === key);
      if (!one || !found) return [];
      const was = before.get(one.id) ?? null;
      const moved = was ? Math.abs(found.mean - was.mean) / Math.max(was.spread, 1e-9) : 0;
      const weight = moved * (LESS.has(one.param) ? 0.5 : 1);
      const planned = planOf(whole, one.lineId);
      const reckoned = planOf(fresh, one.lineId);
      const times =
        TIMES.has(one.param) && planned?.parts.clocked && reckoned?.parts.clocked
          ? { now: planned.parts.clocked, first: reckoned.parts.clocked }
          : null;
      return [
        {
          key,
          words: sentences(found, planned, times, kitchen),
          evidence: some.map(({ id }) => id),
          taken: one.taken,
          // Its time is what a baker goes by: the oven's share of it, and what batter and tin have to do with it, together.
          ...(times
            ? {
                of: { label: times.now.time.label, unit: 's' as const },
                now: { ...amountOf(times.now.time), seen: found.seen },
                was: null,
                first: amountOf(times.first.time),
              }
            : {
                of: {
                  label: paramOf(one.param)?.label ?? one.param,
                  unit: paramOf(one.param)?.unit ?? 'times',
                },
                now: { mean: found.mean, spread: found.spread, seen: found.seen },
                was,
                first: { mean: found.start.value, spread: found.start.spread },
              }),
          weight,
        },
      ];
    })
    .sort((a, b) => b.weight - a.weight)
    .slice(0, TOLD);
}

/** Parameters that are told by the baking time which they make. */
const TIMES: ReadonlySet<string> = new Set([PARAMS.bakeFactor.key, PARAMS.microFactor.key]);

const amountOf = ({ value, low, high }: { value: number; low: number; high: number }): Amount => ({
  mean: value,
  spread: (high - low) / 2,
});

/** The runs with all that one of them says taken to heart. */
const allTaken = (runs: readonly RunDoc[], id: string): Pick<RunDoc, 'closed'>[] =>
  runs.map(({ id: of, closed }) =>
    of === id && closed
      ? {
          closed: {
            ...closed,
            evidence: (closed.evidence ?? []).map((one): Evidence => ({ ...one, taken: 'yes' })),
          },
        }
      : { closed },
  );

function planOf({ lines }: RunPlan, lineId: string): LinePlan | null {
  const found = lines.find(({ line }) => line.id === lineId);
  return found?.planned ? found : null;
}

/** What the kitchen would hold with these learned: all else of it as it is, and what somebody said by hand before all. */
function believed({ beliefs }: KitchenDoc, learned: readonly Learned[]): Belief[] {
  const said = new Set(beliefs.filter((one) => !one.learned).map(beliefKey));
  const stands = beliefs.filter((one) => !one.learned);
  return [
    ...stands,
    ...learned.filter((one) => !said.has(beliefKey(one))).map((one) => beliefOf(one, learned)),
  ];
}

type Clocked = NonNullable<LinePlan['parts']['clocked']>;

function sentences(
  { param, of, mean, start, changedAt }: Learned,
  plan: LinePlan | null,
  times: { readonly now: Clocked; readonly first: Clocked } | null,
  kitchen: KitchenDoc,
): string[] {
  const factor = mean / start.value;
  const out: string[] = [...(changedAt === null ? [] : [LESSON.changed])];
  switch (param) {
    case PARAMS.bakeFactor.key:
    case PARAMS.microFactor.key:
      out.unshift(
        LESSON.oven(nameOf(of, kitchen), times ? times.now.time.value / times.first.time.value : factor),
      );
      if (times)
        out.push(
          LESSON.from(
            told(times.now.time.value),
            told(times.first.time.value),
            told(times.now.firstLook.value),
          ),
        );
      return out;
    case PARAMS.ovenOffset.key:
      out.unshift(LESSON.air(nameOf(of, kitchen), mean));
      if (plan?.has('oven.setting')) out.push(LESSON.airFrom(plan.figure('oven.setting').value));
      return out;
    case PARAMS.bindFactor.key:
      out.unshift(LESSON.binder(factor));
      if (plan?.parts.dough)
        out.push(
          LESSON.binderFrom(gramsText(plan.parts.dough.need.value), Math.round(plan.parts.count.made.value)),
        );
      return out;
    case PARAMS.coatThickness.key:
      out.unshift(LESSON.coat(factor));
      if (plan?.parts.coat)
        out.push(LESSON.coatFrom(gramsText(plan.parts.coat.taken.value), gramsText(meltOf(plan))));
      return out;
    case PARAMS.cakeDensity.key:
      out.unshift(LESSON.rises(start.value / mean));
      if (plan?.parts.portion) out.push(LESSON.portionFrom(gramsText(plan.parts.portion.value)));
      return out;
    case PARAMS.setting.key:
      out.unshift(LESSON.sets(scopeParts(of).id ?? '', factor));
      out.push(LESSON.setsFrom(told(mean)));
      return out;
    case PARAMS.workPace.key:
      out.unshift(LESSON.pace(stageWords(scopeParts(of).id ?? ''), factor));
      out.push(LESSON.paceFrom);
      return out;
    case PARAMS.scoopFill.key: {
      const portion = plan?.parts.portion ?? plan?.parts.dough?.portion;
      const made = Math.round(plan?.parts.count.made.value ?? 0);
      const number = scopeParts(of).id ?? '';
      // As its number has it: what the plan had, before it was rounded to the scale.
      const level =
        plan?.has('size.scoop') && plan.has('dough.density')
          ? plan.figure('size.scoop').value * plan.figure('dough.density').value * start.value
          : null;
      out.unshift(
        portion && level !== null
          ? LESSON.scoop(number, gramsText(portion.value), gramsText(level))
          : LESSON.other(`Scoop ${number}`, factor),
      );
      // Of as much dough.
      const fewer = made - Math.floor(made / factor + 1e-9);
      if (fewer !== 0) out.push(LESSON.scoopFrom(fewer));
      return out;
    }
    case PARAMS.portionScatter.key:
      out.unshift(LESSON.scatter(mean, factor));
      return out;
    case PARAMS.rackRatio.key:
      out.unshift(LESSON.racks(nameOf(of, kitchen), mean));
      if (Math.abs(mean - 1) >= 0.02) out.push(LESSON.racksFrom);
      return out;
    case PARAMS.frostingStyle.key: {
      const each = plan && plan.has('frosting.each') ? plan.figure('frosting.each').value : null;
      out.unshift(LESSON.frosting(factor));
      if (each !== null) out.push(LESSON.frostingFrom(gramsText(each)));
      return out;
    }
    default:
      out.unshift(LESSON.other(paramOf(param)?.label ?? param, factor));
      return out;
  }
}

/** As it is set: to the half minute, to ten seconds where it is short. */
const told = (seconds: number): string => {
  const step = seconds < 300 ? 10 : 30;
  return join(formatDuration(Math.round(seconds / step) * step));
};

const meltOf = ({ pots }: LinePlan): number => pots.reduce((sum, { melt }) => sum + melt.value, 0);

function nameOf(of: string, kitchen: KitchenDoc): string {
  const { id } = scopeParts(of);
  const named = [...kitchen.ovens, ...(kitchen.microwaves ?? [])].find((one) => one.id === id);
  return named?.name ?? 'This oven';
}
