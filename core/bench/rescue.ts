import type {
  CakesicleLine,
  CupcakeLine,
  Line,
  MiniWellsLine,
  PopLine,
  RunDoc,
  RunFile,
} from '../exchange/documents';
import { planRun, type LinePlan } from '../plan';
import { crumbForExcessG } from '../process/bind';
import type { CrumbKind } from '../process/bind.table';
import { FINISHES } from '../process/batter.table';
import { mendFrosting } from '../process/frost';
import { LOOK_EVERY_S } from '../process/oven.table';
import { isBaked, kindOf } from '../plan/links/dough';

/** What went wrong, with what somebody weighed or counted of it. */
export type Trouble =
  | {
      readonly kind: 'stuck' | 'broken';
      readonly pieces: number;
      readonly crumbG: number;
      readonly vesselId: string;
    }
  | { readonly kind: 'batter short' | 'batter over'; readonly bowlG: number }
  | { readonly kind: 'binder overdone'; readonly addedG: number; readonly mend: 'crumb' | 'biscuit' }
  | { readonly kind: 'binder short'; readonly addedG: number }
  | { readonly kind: 'coat thick' | 'coat seized' | 'coat cracked' | 'coat dull' }
  | { readonly kind: 'coat short'; readonly leftG: number }
  | {
      readonly kind: 'frosting runny' | 'frosting stiff' | 'frosting curdled';
      readonly bowlG: number;
      readonly roomC: number;
    }
  | { readonly kind: 'frosting short'; readonly leftG: number }
  | { readonly kind: 'domed'; readonly trimmedG: number }
  | { readonly kind: 'sunk' | 'overflowed' }
  | { readonly kind: 'raw inside'; readonly load: number }
  | { readonly kind: 'shell cracked' | 'lost in the mould'; readonly pieces: number };

export interface RescueSum {
  readonly what: string;
  readonly massG: number;
}

/** The run as it goes on, what to do, and the sums of it. Measures in braces, for `inStyle`. */
export interface Rescue {
  readonly run: RunDoc;
  readonly words: readonly string[];
  readonly sums: readonly RescueSum[];
}

const grams = (massG: number) => `{${Number(massG.toFixed(massG < 20 ? 1 : 0))} g}`;

/** Dough for a pop of usual size, g, and what binds it classically to a gram of crumb. Basis: typical. */
const POP_G = 25;
/** Cream that turns seized chocolate into a ganache, as a share of it. Basis: typical. */
const CREAM_SHARE = 0.5;
/** Fat stirred into a coat that is too thick, each time and at most, as a share. Basis: typical. */
const THIN = { step: 0.02, most: 0.06 } as const;

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

interface Out {
  readonly line: Line;
  readonly added?: readonly Line[];
  readonly words: readonly string[];
  readonly sums: readonly RescueSum[];
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

const v = (plan: LinePlan, id: string): number => plan.figure(id).value;
const has = (plan: LinePlan, id: string): boolean => plan.figures.some((figure) => figure.id === id);

function stating(line: Line, id: string, value: number): { line: Line } {
  return { line: { ...line, stated: { ...line.stated, [id]: value } } };
}

function notHere(line: Line, what: string): Out {
  return { line, words: [`This line has no ${what}.`], sums: [] };
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

type Coated = PopLine | MiniWellsLine;

function coatTrouble(
  line: Line,
  plan: LinePlan,
  kind: 'coat thick' | 'coat seized' | 'coat cracked' | 'coat dull',
): Out {
  const pot = has(plan, 'pot.1.melt') ? v(plan, 'pot.1.melt') : 0;
  const coat = line.family === 'pop' || line.family === 'mini' ? (line.coat ?? null) : null;
  const thinned = line.family === 'cakesicle' ? line.thinnedShare : (coat?.thinnedShare ?? null);
  if (thinned === null) return notHere(line, 'coat');
  const put = (over: Partial<NonNullable<Coated['coat']>>): Line =>
    line.family === 'cakesicle'
      ? { ...line, thinnedShare: over.thinnedShare ?? line.thinnedShare }
      : ({ ...line, coat: { ...coat, ...over } } as Line);
  switch (kind) {
    case 'coat thick': {
      const next = Math.min(thinned + THIN.step, THIN.most);
      const fatG = pot * (next - thinned);
      return {
        line: put({ thinnedShare: next }),
        words:
          fatG < 0.1
            ? ['It holds as much fat as it should. Warm it gently, a burst at a time, and never with water.']
            : [`Warm it first. Then stir in ${grams(fatG)} of coconut oil or cocoa butter, never water.`],
        sums: [{ what: 'Fat to stir in', massG: fatG }],
      };
    }
    case 'coat seized':
      return {
        line,
        words: [
          `Water got in: it will not coat again. With ${grams(pot * CREAM_SHARE)} of warm cream it is a ganache that binds or fills. Melt ${grams(pot)} anew, in a dry bowl.`,
        ],
        sums: [
          { what: 'Cream for a ganache', massG: pot * CREAM_SHARE },
          { what: 'To melt anew', massG: pot },
        ],
      };
    case 'coat cracked':
      return {
        line: put({ school: 'fridge-firm' }),
        words: [
          'The piece was colder than its coat and grew as it warmed. Leave the rest out for a few minutes before they are dipped; a second thin dip or a drizzle covers the cracks.',
        ],
        sums: [],
      };
    case 'coat dull':
      return {
        line,
        words: [
          'Cocoa butter has set in its own way: safe, only dull. Dust or drizzle over it. Temper the next pot, or use compound; keep what is dipped dry and under {20 °C}.',
        ],
        sums: [],
      };
  }
}

function coatShort(line: Line, plan: LinePlan, leftG: number): Out {
  if (!has(plan, 'pot.1.melt')) return notHere(line, 'coat');
  const needG = v(plan, 'pot.1.melt');
  const next: Line =
    line.family === 'cakesicle'
      ? { ...line, coatOnHandG: leftG }
      : line.family === 'pop' || line.family === 'mini'
        ? ({ ...line, coat: line.coat && { ...line.coat, onHandG: leftG } } as Line)
        : line;
  return {
    line: next,
    words: [
      'A narrower vessel leaves less in the pool; tilt it and spoon for the last ones. The count follows what is left.',
    ],
    sums: [{ what: 'Missing for all', massG: Math.max(needG - leftG, 0) }],
  };
}

function frostingTrouble(
  line: Line,
  {
    kind,
    bowlG,
    roomC,
  }: Extract<Trouble, { kind: 'frosting runny' | 'frosting stiff' | 'frosting curdled' }>,
): Out {
  if (kind === 'frosting curdled') {
    return {
      line,
      words: [
        'Too cold, most often: warm a third of it until soft, not melted, and beat it back in. If it is warm and soupy, chill the bowl for ten minutes and beat again.',
      ],
      sums: [{ what: 'To warm and beat back in', massG: bowlG / 3 }],
    };
  }
  const mend = mendFrosting(kind === 'frosting runny' ? 'runny' : 'stiff', bowlG, roomC);
  if (mend.kind === 'chill') {
    return {
      line,
      words: [`The kitchen is warm: chill the bowl for ${mend.minutes} minutes before anything goes in.`],
      sums: [],
    };
  }
  const sugar = mend.kind === 'sugar';
  return {
    line,
    words: [
      `${grams(mend.stepG)} of ${sugar ? 'icing sugar' : 'milk'}, beat, and look again. Then as much once more.`,
    ],
    sums: [{ what: sugar ? 'Icing sugar, each time' : 'Milk, each time', massG: mend.stepG }],
  };
}

function frostingShort(line: Line, plan: LinePlan, leftG: number): Out {
  if (!('frosting' in line) || !has(plan, 'frosting.needed')) return notHere(line, 'frosting');
  const wells = line as CupcakeLine;
  const needG = v(plan, 'frosting.needed');
  return {
    line: { ...wells, frosting: wells.frosting && { ...wells.frosting, onHandG: leftG } },
    words: ['Make the rest, or pipe a flatter style on all of them. The count follows what is left.'],
    sums: [{ what: 'Missing for all', massG: Math.max(needG - leftG, 0) }],
  };
}

/** Sunk and overflowed pieces are a matter of the fill: the next load is filled for a gentle dome. */
function refilled(line: Line, plan: LinePlan, kind: 'sunk' | 'overflowed'): Out {
  if (line.family !== 'cupcake' && !(line.family === 'mini' && line.style !== 'cubes'))
    return notHere(line, 'well');
  const wells = line as CupcakeLine;
  const share = FINISHES.gentle.share / Math.max(v(plan, 'finish.share'), 0.05);
  const massG = Math.round(
    v(plan, 'portion.mass') * (kind === 'overflowed' ? Math.min(share, 0.9) : Math.max(share, 1.1)),
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

function patched(line: Line, plan: LinePlan, pieces: number): Out {
  if (line.family !== 'cakesicle') return notHere(line, 'shell');
  const each = v(plan, 'shell.second');
  return {
    ...stating(line, 'patch.share', Math.min(pieces / Math.max(v(plan, 'count.made'), 1), 1)),
    words: [
      `Brush coat over the cracks: ${grams(pieces * each)} for ${pieces}. Two minutes in the cold, then once more where it shows.`,
    ],
    sums: [{ what: 'Coat for patching', massG: pieces * each }],
  };
}

/** Pieces that stay in the mould are made again: their dough is pressed back, their shell is melted with the rest. */
function lost(line: Line, plan: LinePlan, pieces: number): Out {
  if (line.family !== 'cakesicle') return notHere(line, 'mould');
  const doughG = pieces * v(plan, 'portion.mass');
  const shellG = pieces * v(plan, 'shell.taken');
  return {
    line,
    words: [
      `Freeze the mould for ten minutes more and press from behind. What breaks goes back into the dough, chocolate and all: ${grams(doughG + shellG)}. For ${pieces} more, ${grams(shellG)} of coat.`,
    ],
    sums: [
      { what: 'Back into the dough', massG: doughG + shellG },
      { what: 'Coat for as many again', massG: shellG },
    ],
  };
}
