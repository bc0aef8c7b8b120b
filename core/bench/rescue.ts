import type { Line, PopLine, RunDoc, RunFile } from '../model/documents';
import { doughIn, inWells } from '../model/references';
import {
  all,
  choose,
  edit,
  freeId,
  measure,
  moreOf,
  USUAL_BINDER,
  usualCoat,
  type LineAction,
} from '../line';
import { kindOf, planRun, type LinePlan } from '../plan';
import { crumbForExcessG } from '../process/bind';
import type { CrumbKind } from '../model/kinds';
import { FINISHES } from '../process/batter.table';
import { POP_G, REFILL, SPOONFUL_G } from './rescue.table';
import { RESCUE, SUMS } from './rescue.words';
import { coatShort, coatTrouble, frostingShort, frostingTrouble, lost, patched } from './rescueFinish';
import { byHand, notHere, type Out, type RescueSum, type Trouble } from './trouble';

/** The run as it goes on, what to do, and the sums of it. Measures in braces, for `inStyle`. */
export interface Rescue {
  readonly run: RunDoc;
  readonly words: readonly string[];
  readonly sums: readonly RescueSum[];
}

type File = Pick<RunFile, 'run' | 'formulas' | 'kitchen'>;

/**
 * The way out of a trouble: the run changed as it has to be, with what happened written down in its events.
 * @param now ms since the epoch, for the event
 */
export function rescue(file: File, lineId: string, trouble: Trouble, now: number): Rescue {
  const at = file.run.lines.findIndex((line) => line.id === lineId);
  const line = file.run.lines[at];
  const plan = planRun(file)[at];
  if (!line || !plan) throw new Error('invariant: the trouble is with a line of the run');
  if (!plan.planned) throw new Error('invariant: a line in work can be planned');
  const out = wayOut(file, line, plan, trouble);
  const next = out.actions.length === 0 ? line : edit(line, all(...out.actions));
  const lines = file.run.lines.flatMap((one) => (one.id === lineId ? [next, ...(out.added ?? [])] : [one]));
  const event = { at: now, lineId, kind: trouble.kind, words: out.words.join(' ') };
  return {
    run: { ...file.run, lines, events: [...(file.run.events ?? []), event] },
    words: out.words,
    sums: out.sums,
  };
}

function wayOut(file: File, line: Line, plan: LinePlan, trouble: Trouble): Out {
  switch (trouble.kind) {
    case 'stuck':
    case 'broken':
      return intoPops(file, line, trouble);
    case 'some lost':
      return someLost(file, line, plan, trouble);
    case 'batter short':
    case 'batter over':
      return weighed(plan, trouble.bowlG, trouble.kind === 'batter short');
    case 'binder overdone':
      return overdone(line, plan, trouble);
    case 'binder short':
      return binderShort(plan, trouble.addedG);
    case 'coat thick':
    case 'coat seized':
    case 'coat cracked':
    case 'coat dull':
      return coatTrouble(line, plan, trouble.kind);
    case 'coat short':
      return coatShort(line, plan, trouble.leftG);
    case 'frosting runny':
    case 'frosting stiff':
    case 'frosting curdled':
      return frostingTrouble(trouble);
    case 'frosting short':
      return frostingShort(line, plan, trouble.leftG);
    case 'domed':
      return byHand(RESCUE.domed(trouble.trimmedG), { what: SUMS.forPops, massG: trouble.trimmedG });
    case 'sunk':
    case 'overflowed':
      return refilled(line, plan, trouble.kind);
    case 'raw inside':
      return byHand(RESCUE.raw);
    case 'shell cracked':
      return patched(plan, trouble.pieces);
    case 'lost in the mould':
      return lost(plan, trouble.pieces);
  }
}

/** What is left goes on as it is; what is missing is baked as a line of its own, or done without. */
function someLost(
  { run }: File,
  line: Line,
  { parts }: LinePlan,
  trouble: Extract<Trouble, { kind: 'some lost' }>,
): Out {
  const made = parts.count.made.value;
  const lost = Math.min(trouble.pieces, made);
  const left = Math.max(made - lost, 1);
  const words = [RESCUE.someLeft(left, made)];
  if (trouble.then === 'do without')
    return { actions: [choose({ count: left })], words: [...words, RESCUE.without(lost)], sums: [] };
  // A bake of its own: nothing that was measured or ticked of the first is true of it.
  const again = moreOf(line, freeId(run.lines, `${line.id}-again`), lost);
  const portion = parts.portion?.value ?? 0;
  return {
    actions: [choose({ count: left })],
    added: [again],
    words: [...words, RESCUE.again(lost)],
    sums: portion > 0 ? [{ what: SUMS.bakedAgain, massG: lost * portion }] : [],
  };
}

/** Cake that stuck or broke becomes a line of pops of its own; what is left of the line goes on smaller. */
function intoPops(file: File, line: Line, trouble: Extract<Trouble, { kind: 'stuck' | 'broken' }>): Out {
  const { pieces, crumbG, vesselId } = trouble;
  const one: PopLine = {
    id: freeId(file.run.lines, `${line.id}-pops`),
    family: 'pop',
    count: 1,
    measured: {},
    ticks: [],
    stick: true,
    size: { by: 'mass', massG: POP_G },
    crumb: [{ from: 'trimmings', massG: crumbG, crumb: 'average' }],
    addIns: [],
    binder: USUAL_BINDER,
    coat: { ...usualCoat(vesselId), kind: 'compound' },
    lots: [],
  };
  const planned = (pops: PopLine) => planRun({ ...file, run: { ...file.run, lines: [pops] } })[0];
  const tried = planned(one);
  if (!tried?.planned) {
    const { fault, mend } = tried?.fault ?? { fault: '', mend: '' };
    return { actions: [], words: [fault, mend].filter(Boolean), sums: [] };
  }
  const count = Math.max(1, tried.parts.dough?.allows.value ?? 1);
  const pops: PopLine = { ...one, count };
  const plan = planned(pops);
  const dough = plan?.planned ? plan.parts.dough : null;
  if (!plan?.planned || !dough) throw new Error('invariant: more pops of the same dough can be planned');
  return {
    actions: [choose({ count: Math.max(line.count - pieces, 1) })],
    added: [pops],
    words: [RESCUE.intoPops(crumbG, count, POP_G, dough.first.value, dough.need.value), RESCUE.fewer(pieces)],
    sums: [
      { what: SUMS.crumb, massG: crumbG },
      { what: SUMS.toBind, massG: dough.need.value },
      { what: SUMS.toMelt, massG: plan.pots[0]?.melt.value ?? 0 },
    ],
  };
}

/** A bowl that came out otherwise than planned. */
function weighed({ parts }: LinePlan, bowlG: number, short: boolean): Out {
  const { bowl } = parts;
  if (!bowl) return notHere('bowl');
  const gap = Math.abs(bowl.mixed.value - bowlG);
  return {
    actions: [measure(bowl.mixed.id, bowlG)],
    words: [short ? RESCUE.batterShort(gap) : RESCUE.batterOver(gap)],
    sums: [{ what: short ? SUMS.missing : SUMS.over, massG: gap }],
  };
}

function binderShort({ parts }: LinePlan, addedG: number): Out {
  const { dough } = parts;
  if (!dough) return notHere('dough');
  return {
    actions: [measure(dough.added.id, addedG)],
    words: [RESCUE.binderIn(addedG)],
    sums: [{ what: SUMS.binderLeft, massG: Math.max(dough.need.value - addedG, 0) }],
  };
}

/** Too much binder: chilled, and then crumb by the spoonful, up to what would take up all that is over. */
function overdone(
  line: Line,
  plan: LinePlan,
  { addedG, mend }: Extract<Trouble, { kind: 'binder overdone' }>,
): Out {
  const of = doughIn(line);
  const { dough, table } = plan.parts;
  if (!of || !dough || !table) return notHere('dough');
  const kind: CrumbKind = mend === 'biscuit' ? 'biscuit' : 'average';
  const moreG = crumbForExcessG(
    {
      crumb: of.crumb.map((part, i) => ({ kind: kindOf(part), massG: dough.crumb[i]?.value ?? 0 })),
      alreadyG: dough.ownFrosting?.value ?? 0,
      binder: of.binder.kind,
      school: of.binder.school,
      learned: table.factor.value,
    },
    addedG,
    kind,
  );
  const what = mend === 'biscuit' ? SUMS.biscuit : SUMS.cake;
  // Nothing is baked for a wet dough: the cold comes first, then a spoonful at a time, and it is weighed after.
  return {
    actions: [...asBaked(plan), measure(dough.added.id, addedG)],
    words: [
      moreG < 1
        ? RESCUE.binderMay
        : RESCUE.binderOver(Math.min(moreG, SPOONFUL_G), Math.max(moreG, SPOONFUL_G), what.toLowerCase()),
    ],
    sums: moreG < 1 ? [] : [{ what: SUMS.atMost(what), massG: moreG }],
  };
}

/** What has been baked stays as it is. */
const asBaked = ({ parts }: LinePlan): LineAction[] =>
  parts.crumbBakes.flatMap(({ bowl, crumb }) => [
    measure(bowl.own.id, bowl.own.value),
    measure(crumb.id, crumb.value),
  ]);

/** Overflowed pieces are a matter of the fill. Sunk ones are not: more batter makes them sink deeper. */
function refilled(line: Line, { parts }: LinePlan, kind: 'sunk' | 'overflowed'): Out {
  const { well } = parts;
  if (!inWells(line) || !well) return notHere('well');
  if (kind === 'sunk') return byHand(RESCUE.sunk);
  const share = FINISHES.gentle.share / Math.max(well.finish.value, 0.05);
  const massG = Math.round(well.portion.value * Math.min(share, REFILL.most));
  return {
    actions: [choose({ fill: { by: 'mass', massG } })],
    words: [RESCUE.overflowed(massG)],
    sums: [{ what: SUMS.nextLoad, massG }],
  };
}

export type { RescueSum, Trouble };
