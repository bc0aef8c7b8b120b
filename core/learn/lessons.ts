import type { Belief, Closed, KitchenDoc, RunDoc, RunFile } from '../model/documents';
import type { Evidence } from '../model/evidence';
import { stageWords } from '../process/stages';
import { paramOf, PARAMS, scopeParts } from '../param';
import { gramsText, planWhole, type LinePlan, type RunPlan } from '../plan';
import { allEvidence, beliefOf, withoutLearned } from './beliefs';
import { formatDuration, join } from '../quantity';
import { learn, type Learned } from './learner';
import { LESSON } from './lessons.words';

/** What one run taught of one thing. Its words hold measures in braces. */
export interface Lesson {
  readonly key: string;
  readonly words: readonly string[];
  /** Evidence of the run that it rests on. */
  readonly evidence: readonly string[];
  readonly taken: Evidence['taken'];
  /** What is learned of it by now, with this run if it is taken to heart; and where it stood without this run. */
  readonly now: Learned;
  readonly before: { readonly mean: number; readonly spread: number };
}

type File = Pick<RunFile, 'run' | 'formulas' | 'kitchen'>;

/** Of the many things that a run says, so many are told. */
const TOLD = 3;

/** What changes the day or the look, and no piece, is told after what does. Basis: judgement. */
const LESS: ReadonlySet<string> = new Set([PARAMS.workPace.key, PARAMS.portionScatter.key]);

/**
 * The lessons of a closed run that matter most: by how much each moves what was believed, against how sure that was.
 * @param runs all runs of the kitchen, this one among them
 * @param now ms since the epoch
 */
export function lessonsOf(file: File, runs: readonly RunDoc[], now: number): Lesson[] {
  const { run, kitchen } = file;
  const own = run.closed?.evidence ?? [];
  if (own.length === 0) return [];
  const taken = own.map((one): Evidence => ({ ...one, taken: 'yes' }));
  const before = runs.filter(({ id }) => id !== run.id);
  const without = learn(allEvidence(before, kitchen), now);
  const withIt = learn(
    allEvidence([...before, { closed: { ...run.closed, evidence: taken } as Closed }], kitchen),
    now,
  );
  // The plan as it will be, with all of it taken to heart; and as it would be had nothing ever been learned.
  const plans = (of: KitchenDoc) =>
    planWhole({
      ...file,
      run: { ...run, lines: run.lines.map((line) => ({ ...line, measured: {} })), log: [], closed: null },
      kitchen: of,
    });
  const whole = plans({ ...kitchen, beliefs: believed(kitchen, withIt) });
  const first = plans(withoutLearned(kitchen));
  const byThing = new Map<string, Evidence[]>();
  for (const one of own) {
    const key = `${one.param}@${one.of[0] ?? ''}`;
    byThing.set(key, [...(byThing.get(key) ?? []), one]);
  }
  return [...byThing]
    .flatMap(([key, some]): (Lesson & { readonly weight: number })[] => {
      const [one] = some;
      const found = withIt.find(({ param, of }) => `${param}@${of}` === key);
      if (!one || !found) return [];
      const old = without.find(({ param, of }) => `${param}@${of}` === key);
      const before = old ?? { mean: one.start.value, spread: one.start.spread };
      const moved = Math.abs(found.mean - before.mean) / Math.max(before.spread, 1e-9);
      const weight = moved * (LESS.has(one.param) ? 0.5 : 1);
      const lineOf = ({ lines }: RunPlan) => lines.find(({ line }) => line.id === one.lineId);
      return [
        {
          key,
          words: sentences(found, lineOf(whole), lineOf(first), kitchen),
          evidence: some.map(({ id }) => id),
          taken: one.taken,
          now: found,
          before: { mean: before.mean, spread: before.spread },
          weight,
        },
      ];
    })
    .sort((a, b) => b.weight - a.weight)
    .slice(0, TOLD);
}

/** What the kitchen would hold with these learned: all else of it as it is, and what somebody said by hand before all. */
function believed({ beliefs }: KitchenDoc, learned: readonly Learned[]): Belief[] {
  const keyOf = ({ param, of }: { readonly param: string; readonly of: string }) => `${param}@${of}`;
  const anew = new Set(learned.map(keyOf));
  const stands = beliefs.filter((one) => !one.learned || !anew.has(keyOf(one)));
  const said = new Set(stands.map(keyOf));
  return [...stands, ...learned.filter((one) => !said.has(keyOf(one))).map((one) => beliefOf(one, learned))];
}

function sentences(
  { param, of, mean, start, changedAt }: Learned,
  planned: RunPlan['lines'][number] | undefined,
  reckoned: RunPlan['lines'][number] | undefined,
  kitchen: KitchenDoc,
): string[] {
  const plan = planned?.planned ? planned : null;
  const fresh = reckoned?.planned ? reckoned.parts.clocked : null;
  const factor = mean / start.value;
  const out: string[] = [...(changedAt === null ? [] : [LESSON.changed])];
  const clocked = plan?.parts.clocked;
  switch (param) {
    case PARAMS.bakeFactor.key:
    case PARAMS.microFactor.key:
      // Its time is what a baker goes by: the oven's share of it, and what batter and tin have to do with it, together.
      out.unshift(
        LESSON.oven(nameOf(of, kitchen), clocked && fresh ? clocked.time.value / fresh.time.value : factor),
      );
      if (clocked && fresh)
        out.push(
          LESSON.from(told(clocked.time.value), told(fresh.time.value), told(clocked.firstLook.value)),
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
