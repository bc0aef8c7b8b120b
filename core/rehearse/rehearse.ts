/**
 * A run baked before flour is touched: its own steps in its own order, in a kitchen that is not quite as planned. What has
 * been answered is all that is kept; everything else follows from it and the seed.
 */
import { loadOf } from '../bench/standing';
import type { LinePlan, RunPlan } from '../plan';
import type { Chore } from '../schedule/chores/chore';
import { hiddenOf, type Hidden, type Level } from './hidden';
import {
  coatScene,
  frostScene,
  hasCome,
  lookScene,
  moreScene,
  outScene,
  squeezeScene,
  trueBakeS,
  type Came,
  type Scene,
} from './scenes';

export interface Rehearsal {
  readonly seed: number;
  readonly level: Level;
  /** `done` for a step, else the answer to a scene. */
  readonly answers: readonly string[];
}

/** What a rehearsal goes by: the run's steps in the order of its day. */
export interface Script {
  readonly whole: RunPlan;
  readonly chores: readonly Chore[];
  /** What a line is called. */
  readonly named: (lineId: string) => string;
}

/** A judgement that has been made, with what it came to and what the best one would have. */
export interface Judged {
  readonly kind: Scene['kind'];
  readonly title: string;
  readonly chore: string;
  /** What was seen at first, and what was answered, in order. */
  readonly shown: string;
  readonly answered: readonly string[];
  readonly came: Came;
  readonly minutes: number;
  readonly best: {
    readonly answers: readonly string[];
    /** The same as they are shown. */
    readonly titles: readonly string[];
    readonly lost: number;
    readonly minutes: number;
  };
}

export interface Moment {
  /** The step that is due; null at the end. */
  readonly chore: Chore | null;
  /** What has to be judged at it; null where it only has to be done. */
  readonly scene: Scene | null;
  /** What the last judgement came to. */
  readonly last: Judged | null;
  readonly judged: readonly Judged[];
  readonly lost: number;
  /** Minutes beyond those of the best answers. */
  readonly extraMin: number;
  /** Steps done, of how many. */
  readonly done: number;
  readonly of: number;
}

/** A piece that is lost counts as much as so many minutes. Basis: judgement; it weighs one mishap against another. */
export const PIECE_MIN = 3;
/** Answers one after another that are looked through for the best one. */
const DEEP = 9;

const costOf = (lost: number, minutes: number): number => lost * PIECE_MIN + minutes;

/** The best answers to a scene, known what nobody at the bench knows. */
export function bestOf(scene: Scene): Judged['best'] {
  return bestWithin(scene, DEEP, Infinity) ?? { answers: [], titles: [], lost: Infinity, minutes: Infinity };
}

/** The best that costs less than so much; null where nothing does. */
function bestWithin(scene: Scene, deep: number, budget: number): Judged['best'] | null {
  let best: Judged['best'] | null = null;
  let least = budget;
  for (const { id, title } of scene.options) {
    const { minutes, then } = scene.answer(id);
    if (minutes >= least) continue;
    const rest = hasCome(then)
      ? { answers: [], titles: [], lost: then.lost, minutes: 0 }
      : deep > 0
        ? bestWithin(then, deep - 1, least - minutes)
        : null;
    if (!rest) continue;
    const found = {
      answers: [id, ...rest.answers],
      titles: [title, ...rest.titles],
      lost: rest.lost,
      minutes: minutes + rest.minutes,
    };
    const cost = costOf(found.lost, found.minutes);
    if (cost >= least) continue;
    best = found;
    least = cost;
  }
  return best;
}

/** Steps that one has hands on or an oven for: the rest goes by itself. */
const worked = (chores: readonly Chore[]): Chore[] =>
  chores.filter(({ kind }) => kind === 'hands' || kind === 'oven');

/** A scene for so many pieces as are still there of its line, as a share; of none there is nothing to judge. */
type Set = (left: number) => Scene;

/** The scenes of a day, by the step that they come at. */
function scenesOf({ whole, chores, named }: Script, hidden: Hidden): ReadonlyMap<string, Set> {
  const out = new Map<string, Set>();
  const seen = new Set<string>();
  const steps = worked(chores);
  const plans = new Map(
    whole.lines.flatMap((line): [string, LinePlan][] => (line.planned ? [[line.line.id, line]] : [])),
  );
  /** Once for each line. */
  const once = (what: string, lineId: string): boolean => {
    const key = `${what}:${lineId}`;
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  };
  for (const chore of steps) {
    const [lineId = ''] = chore.lineIds;
    const plan = plans.get(lineId);
    if (!plan) continue;
    const { does } = chore;
    const pieces = chore.pieces ?? plan.parts.count.made.value;
    const { clocked, dough, coat } = plan.parts;
    const trueS = chore.kind === 'oven' && loadOf(chore) !== null ? trueBakeS(plan, hidden) : null;
    if (trueS !== null && clocked && once('look', lineId))
      out.set(chore.id, (left) =>
        lookScene(named(lineId), Math.min(left, pieces), trueS, clocked.firstLook.value),
      );
    else if (does === 'out' && once('out', lineId))
      out.set(chore.id, (left) => outScene(Math.min(left, pieces), hidden.sticks));
    else if (does === 'bind' && dough && dough.need.value > 0)
      out.set(chore.id, (left) => squeezeScene(left, dough.need.value * hidden.thirst, dough.first.value));
    else if (does === 'dip' && coat && once('dip', lineId))
      out.set(chore.id, (left) => coatScene(left, hidden.coatThick));
    else if (does === 'frost' && once('frost', lineId))
      out.set(chore.id, (left) => frostScene(Math.min(left, pieces), hidden.warmRoom));
  }
  if (hidden.more) {
    const at = Math.floor(hidden.more.atShare * steps.length);
    // At the first step from there on that has no judgement of its own.
    const chore = steps.slice(at).find(({ id }) => !out.has(id));
    const place = chore ? steps.indexOf(chore) : -1;
    const portioned = steps
      .slice(0, Math.max(0, place))
      .some((one) => one.does === 'roll' || one.does === 'fill');
    const wanted = hidden.more.pieces;
    if (chore) out.set(chore.id, () => moreScene(wanted, portioned, batchMinOf(plans, chore)));
  }
  return out;
}

/** Another bowl of a line, from weighing to cool, min: what it adds where nothing else runs beside it. */
function batchMinOf(plans: ReadonlyMap<string, LinePlan>, { lineIds }: Chore): number {
  const plan = plans.get(lineIds[0] ?? '') ?? [...plans.values()][0];
  const bakeS = plan?.parts.clocked?.time.value ?? 900;
  return Math.round(20 + bakeS / 60);
}

/** Where a rehearsal stands after its answers. What can't be answered there is passed over. */
export function momentOf(script: Script, { seed, level, answers }: Rehearsal): Moment {
  const hidden = hiddenOf(seed, level);
  const scenes = scenesOf(script, hidden);
  const steps = worked(script.chores);
  const judged: Judged[] = [];
  const left = new Map(
    script.whole.lines.flatMap((line): [string, number][] =>
      line.planned ? [[line.line.id, line.parts.count.made.value]] : [],
    ),
  );
  /** The scene of a step, where anything is left of its line to be judged. */
  const sceneAt = (place: number): Scene | null => {
    const chore = steps[place];
    const there = left.get(chore?.lineIds[0] ?? '') ?? 0;
    return there > 0 ? (scenes.get(chore?.id ?? '')?.(there) ?? null) : null;
  };
  let at = 0;
  let open = sceneAt(0);
  let first: Scene | null = open;
  let told: string[] = [];
  let minutes = 0;
  const next = () => {
    at += 1;
    open = sceneAt(at);
    [first, told, minutes] = [open, [], 0];
  };
  for (const answer of answers) {
    const chore = steps[at];
    if (!chore) break;
    if (!open) {
      if (answer === 'done') next();
      continue;
    }
    if (!open.options.some(({ id }) => id === answer)) continue;
    const came = open.answer(answer);
    told.push(open.options.find(({ id }) => id === answer)?.title ?? answer);
    minutes += came.minutes;
    if (!hasCome(came.then)) {
      open = came.then;
      continue;
    }
    const scene = first ?? open;
    const [lineId = ''] = chore.lineIds;
    // A wish that is not met takes nothing away.
    if (scene.kind !== 'more') left.set(lineId, Math.max(0, (left.get(lineId) ?? 0) - came.then.lost));
    judged.push({
      kind: scene.kind,
      title: scene.title,
      chore: chore.label,
      shown: scene.shows,
      answered: told,
      came: came.then,
      minutes,
      best: bestOf(scene),
    });
    next();
  }
  return {
    chore: steps[at] ?? null,
    scene: open,
    last: judged.at(-1) ?? null,
    judged,
    lost: judged.reduce((sum, one) => sum + one.came.lost, 0),
    extraMin: judged.reduce((sum, one) => sum + one.minutes - one.best.minutes, 0),
    done: at,
    of: steps.length,
  };
}

/** Answers that play a rehearsal to its end, each chosen by a rule; steps are done as they come. */
export function played(
  script: Script,
  start: Rehearsal,
  choose: (scene: Scene) => readonly string[],
): Rehearsal {
  const answers = [...start.answers];
  for (let guard = 0; guard < 4000; guard += 1) {
    const { chore, scene } = momentOf(script, { ...start, answers });
    if (!chore) break;
    answers.push(...(scene ? choose(scene) : ['done']));
  }
  return { ...start, answers };
}

/** Goes on to the next judgement, or to the end. */
export function toNextScene(script: Script, start: Rehearsal): Rehearsal {
  const answers = [...start.answers];
  for (;;) {
    const { chore, scene } = momentOf(script, { ...start, answers });
    if (!chore || scene) break;
    answers.push('done');
  }
  return { ...start, answers };
}
