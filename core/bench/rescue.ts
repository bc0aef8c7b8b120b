import type { CakesicleLine, CupcakeLine, Line, PopLine, RunDoc, RunFile } from '../model/documents';
import { planRun, type LinePlan } from '../plan';
import { crumbForExcessG } from '../process/bind';
import type { CrumbKind } from '../process/bind.table';
import { FINISHES } from '../process/batter.table';
import { LOOK_EVERY_S } from '../process/oven.table';
import { isBaked, kindOf } from '../plan/links/dough';
import {
  coatShort,
  coatTrouble,
  frostingShort,
  frostingTrouble,
  grams,
  has,
  lost,
  notHere,
  patched,
  stating,
  v,
  type Out,
  type RescueSum,
  type Trouble,
} from './rescueFinish';
import { POP_G, REFILL } from './rescue.table';

/** The run as it goes on, what to do, and the sums of it. Measures in braces, for `inStyle`. */
export interface Rescue {
  readonly run: RunDoc;
  readonly words: readonly string[];
  readonly sums: readonly RescueSum[];
}

/**
 * The way out of a trouble: the run changed as it has to be, with what happened written down in its events.
 * @param now ms since the epoch, for the event
 */
export function rescue(
  file: Pick<RunFile, 'run' | 'formulas' | 'kitchen'>,
  lineId: string,
  trouble: Trouble,
  now: number,
): Rescue {
  const at = file.run.lines.findIndex((line) => line.id === lineId);
  const line = file.run.lines[at];
  const plan = planRun(file)[at];
  if (!line || !plan) throw new Error('invariant: the trouble is with a line of the run');
  if (!plan.planned) throw new Error('invariant: a line in work can be planned');
  const out = wayOut(file, line, plan, trouble);
  const lines = file.run.lines.flatMap((one) =>
    one.id === lineId ? [out.line, ...(out.added ?? [])] : [one],
  );
  const event = { at: now, lineId, kind: trouble.kind, words: out.words.join(' ') };
  return {
    run: { ...file.run, lines, events: [...(file.run.events ?? []), event] },
    words: out.words,
    sums: out.sums,
  };
}

type File = Pick<RunFile, 'run' | 'formulas' | 'kitchen'>;

function wayOut(file: File, line: Line, plan: LinePlan, trouble: Trouble): Out {
  switch (trouble.kind) {
    case 'stuck':
    case 'broken':
      return intoPops(file, line, trouble);
    case 'batter short':
    case 'batter over':
      return pinned(line, 'batter.mixed', trouble.bowlG, plan, trouble.kind === 'batter short');
    case 'binder overdone':
      return overdone(line, plan, trouble);
    case 'binder short':
      return {
        ...stating(line, 'binder.added', trouble.addedG),
        words: [`${grams(trouble.addedG)} are in. Add a teaspoon, {5 g}, squeeze, and stop when it holds.`],
        sums: [
          { what: 'Still likely to be needed', massG: Math.max(v(plan, 'binder.need') - trouble.addedG, 0) },
        ],
      };
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
      return frostingTrouble(line, trouble);
    case 'frosting short':
      return frostingShort(line, plan, trouble.leftG);
    case 'domed':
      return {
        line,
        words: [
          `Cut the domes level: ${grams(trouble.trimmedG)} of trimmings. Next time fill for a flat top, or set the oven {10 °C} lower.`,
        ],
        sums: [{ what: 'Crumb to keep for pops', massG: trouble.trimmedG }],
      };
    case 'sunk':
    case 'overflowed':
      return refilled(line, plan, trouble.kind);
    case 'raw inside':
      return {
        line,
        words: [
          `Back into the oven at once, and look every ${LOOK_EVERY_S / 60} min. Once cold it will not rise again: crumb it for pops instead.`,
        ],
        sums: [],
      };
    case 'shell cracked':
      return patched(line, plan, trouble.pieces);
    case 'lost in the mould':
      return lost(line, plan, trouble.pieces);
  }
}

/** Cake that stuck or broke becomes a line of pops of its own; what is left of the line goes on smaller. */
function intoPops(file: File, line: Line, trouble: Extract<Trouble, { kind: 'stuck' | 'broken' }>): Out {
  const { pieces, crumbG, vesselId } = trouble;
  const pops: PopLine = {
    id: `${line.id}-pops`,
    family: 'pop',
    count: 1,
    stated: {},
    ticks: [],
    stick: true,
    size: { by: 'mass', massG: POP_G },
    crumb: [{ from: 'trimmings', massG: crumbG, crumb: 'average' }],
    addIns: [],
    binder: { kind: 'buttercream', school: 'classic', formulaId: null, onHandG: null },
    coat: {
      kind: 'compound',
      thickness: 'usual',
      vesselId,
      thinnedShare: 0,
      school: 'fridge-firm',
      onHandG: null,
    },
    lots: [],
  };
  const [tried] = planRun({ ...file, run: { ...file.run, lines: [pops] } });
  if (!tried?.planned) {
    return { line, words: [tried?.fault.fault ?? '', tried?.fault.mend ?? ''].filter(Boolean), sums: [] };
  }
  const count = Math.max(1, v(tried, 'count.dough'));
  const [planned] = planRun({ ...file, run: { ...file.run, lines: [{ ...pops, count }] } });
  if (!planned?.planned) throw new Error('invariant: more pops of the same dough can be planned');
  const kept = Math.max(line.count - pieces, 1);
  return {
    line: { ...line, count: kept, ...('lots' in line ? { lots: [] } : {}) },
    added: [{ ...pops, count }],
    words: [
      `${grams(crumbG)} of crumb makes ${count} pops of ${grams(POP_G)}: ${grams(v(planned, 'binder.first'))} of buttercream first, about ${grams(v(planned, 'binder.need'))} in all.`,
      `${pieces} fewer of what was planned.`,
    ],
    sums: [
      { what: 'Crumb', massG: crumbG },
      { what: 'Buttercream to bind', massG: v(planned, 'binder.need') },
      { what: 'Coat to melt', massG: v(planned, 'pot.1.melt') },
    ],
  };
}

function pinned(line: Line, id: string, bowlG: number, plan: LinePlan, short: boolean): Out {
  const planned = v(plan, id);
  const gap = Math.abs(planned - bowlG);
  return {
    ...stating(line, id, bowlG),
    words: [
      short
        ? `${grams(gap)} less than planned. Fill fewer wells, fill all a little lighter, or mix the rest.`
        : `${grams(gap)} more than planned. Fill more wells, or keep it for a mug.`,
    ],
    sums: [{ what: short ? 'Missing' : 'Over', massG: gap }],
  };
}

/** Too much binder: crumb that takes up what is over, as a part of its own. */
function overdone(
  line: Line,
  plan: LinePlan,
  { addedG, mend }: Extract<Trouble, { kind: 'binder overdone' }>,
): Out {
  if (line.family !== 'pop' && line.family !== 'cakesicle') return notHere(line, 'dough');
  const kind: CrumbKind = mend === 'biscuit' ? 'biscuit' : 'average';
  const moreG = crumbForExcessG(
    {
      crumb: line.crumb.map((part, i) => ({ kind: kindOf(part), massG: v(plan, `crumb.${i + 1}`) })),
      alreadyG: has(plan, 'frosting.own') ? v(plan, 'frosting.own') : 0,
      binder: line.binder.kind,
      school: line.binder.school,
      learned: v(plan, 'bind.factor'),
    },
    addedG,
    kind,
  );
  const part =
    mend === 'biscuit'
      ? ({ from: 'biscuit', massG: Math.max(moreG, 1) } as const)
      : ({ from: 'trimmings', massG: Math.max(moreG, 1), crumb: 'average' } as const);
  const next: PopLine | CakesicleLine = {
    ...line,
    crumb: moreG < 1 || line.crumb.length >= 8 ? line.crumb : [...line.crumb, part],
    stated: { ...line.stated, ...asBaked(line, plan), 'binder.added': addedG },
  };
  return {
    line: next,
    words:
      moreG < 1
        ? ['That is no more than it may take. Chill it for half an hour and squeeze again.']
        : [
            `${grams(moreG)} of ${mend === 'biscuit' ? 'biscuit crumb' : 'cake crumb'} takes up what is over. Without any: half an hour in the fridge, and a coat soon after.`,
          ],
    sums: [{ what: mend === 'biscuit' ? 'Biscuit crumb' : 'Cake crumb', massG: moreG }],
  };
}

/** What has been baked stays as it is, whatever crumb is put beside it. */
function asBaked(line: PopLine | CakesicleLine, plan: LinePlan): Record<string, number> {
  const out: Record<string, number> = {};
  let bakes = 0;
  line.crumb.forEach((part, i) => {
    if (!isBaked(part)) return;
    bakes += 1;
    const p = bakes === 1 ? '' : `bake${bakes}.`;
    const bowl = has(plan, `${p}batter.own`) ? `${p}batter.own` : `${p}batter.mixed`;
    if (!has(plan, bowl)) return;
    out[bowl] = v(plan, bowl);
    out[`crumb.${i + 1}`] = v(plan, `crumb.${i + 1}`);
  });
  return out;
}

/** Sunk and overflowed pieces are a matter of the fill: the next load is filled for a gentle dome. */
function refilled(line: Line, plan: LinePlan, kind: 'sunk' | 'overflowed'): Out {
  if (line.family !== 'cupcake' && !(line.family === 'mini' && line.style !== 'cubes'))
    return notHere(line, 'well');
  const wells = line as CupcakeLine;
  const share = FINISHES.gentle.share / Math.max(v(plan, 'finish.share'), 0.05);
  const massG = Math.round(
    v(plan, 'portion.mass') *
      (kind === 'overflowed' ? Math.min(share, REFILL.most) : Math.max(share, REFILL.least)),
  );
  return {
    line: { ...wells, fill: { by: 'mass', massG } },
    words: [
      kind === 'overflowed'
        ? `Fill the next load ${grams(massG)} each, and stand a tray below. Cut the brims off while warm.`
        : `Fill the next load ${grams(massG)} each. Sunk ones are level for frosting; sunk and wet in the middle were not done.`,
    ],
    sums: [{ what: 'Into each well of the next load', massG }],
  };
}

export type { RescueSum, Trouble };
