import { BIND_STEP_G } from '../process/bind.table';
import { bakeInsideS, sheetInsideS } from '../process/bakeSurrogate';
import type { LinePlan } from '../plan';
import type { Hidden } from './hidden';
import { SCENE } from './rehearse.words';

/** How the thing looks, for the cut that is shown of it. */
export type Looks =
  | 'wet'
  | 'crumbs'
  | 'clean'
  | 'brown'
  | 'dry'
  | 'right'
  | 'shining'
  | 'thick'
  | 'even'
  | 'hot'
  | 'warm'
  | 'asked';

/** What an answer ends in: pieces that are lost, and minutes that it took. */
export interface Came {
  readonly words: string;
  readonly lost: number;
}

/** A judgement that is asked for: what is shown, what can be answered, and what comes of each answer. */
export interface Scene {
  readonly kind: 'look' | 'squeeze' | 'coat' | 'out' | 'frost' | 'more';
  readonly title: string;
  readonly shows: string;
  readonly looks: Looks;
  readonly options: readonly { readonly id: string; readonly title: string }[];
  /** What follows from an answer: minutes gone, and either the scene again as it looks then, or its end. */
  readonly answer: (id: string) => { readonly minutes: number; readonly then: Scene | Came };
}

export const hasCome = (then: Scene | Came): then is Came => 'lost' in then;

const listed = (options: Readonly<Record<string, string>>, but: readonly string[] = []): Scene['options'] =>
  Object.entries(options)
    .filter(([id]) => !but.includes(id))
    .map(([id, title]) => ({ id, title }));

/** A share of pieces, rounded to whole ones: at least one where anything goes wrong. */
const some = (share: number, pieces: number): number =>
  share <= 0 ? 0 : Math.min(pieces, Math.max(1, Math.round(share * pieces)));

const lookMin = (opened: number): number => (opened > 0 ? 0.25 : 0);

/** A cake out sooner than it was done is raw, later than that dry, and much later burnt: as shares of its time. */
const DONE = { raw: 0.96, dry: 1.12, burnt: 1.3 } as const;
/** The middle is wet until this share of its time, and clean from that one on. */
export const SEEN = { wet: 0.86, clean: 0.985, brown: 1.2 } as const;

/** What a load truly takes in the oven as it is on this day, s. By the baking model at the oven's real air. */
export function trueBakeS(plan: LinePlan, { ovenOffK, bakeFactor }: Hidden): number | null {
  const question = plan.parts.ovenQuestion?.();
  const planned = plan.parts.clocked?.time.value;
  if (planned === undefined) return null;
  if (!question) return planned * bakeFactor;
  const inside = plan.parts.clocked?.of === 'sheet' ? sheetInsideS : bakeInsideS;
  const at = (offK: number) => inside({ ...question.input, airC: question.input.airC + offK });
  return planned * (at(ovenOffK) / at(0)) * bakeFactor;
}

export function lookScene(piece: string, pieces: number, trueS: number, atS: number, opened = 0): Scene {
  const share = (atS - lookMin(opened) * 60) / trueS;
  const words = SCENE.look;
  const looks: Looks =
    share < SEEN.wet ? 'wet' : share < SEEN.clean ? 'crumbs' : share < SEEN.brown ? 'clean' : 'brown';
  const ended = (): Came => {
    if (share < DONE.raw) {
      const lost = some(Math.min(1, (DONE.raw - share) * 6), pieces);
      return { words: words.came.raw(lost), lost };
    }
    if (share >= DONE.burnt) {
      const lost = some(Math.min(1, (share - DONE.burnt) * 4 + 0.2), pieces);
      return { words: words.came.burnt(lost), lost };
    }
    return { words: share >= DONE.dry ? words.came.dry : words.came.good, lost: 0 };
  };
  const MORE: Readonly<Record<string, number>> = { short: 2, middle: 4, long: 8 };
  return {
    kind: 'look',
    title: words.title(piece),
    shows: words[looks],
    looks,
    options: listed(words.options),
    answer: (id) => {
      const more = MORE[id];
      if (more === undefined) return { minutes: 0, then: ended() };
      return { minutes: more, then: lookScene(piece, pieces, trueS, atS + more * 60, opened + 1) };
    },
  };
}

/** Dough at so much binder. */
export function squeezeScene(pieces: number, trueG: number, inG: number, spoons = 0): Scene {
  const share = inG / trueG;
  const words = SCENE.squeeze;
  const looks: Looks = share < 0.86 ? 'dry' : share < 0.96 ? 'crumbs' : share <= 1.14 ? 'right' : 'shining';
  const shows = { dry: words.dry, crumbs: words.nearly, right: words.right, shining: words.wet }[looks];
  const ended = (): Came => {
    if (share < 0.93) {
      const lost = some((0.93 - share) * 1.6, pieces);
      return { words: words.came.dry(lost), lost };
    }
    if (share > 1.16) {
      const lost = some((share - 1.16) * 1.2, pieces);
      return { words: words.came.wet(lost), lost };
    }
    return { words: words.came.good(inG), lost: 0 };
  };
  return {
    kind: 'squeeze',
    title: words.title,
    shows,
    looks,
    options: listed(words.options, spoons > 12 ? ['spoon', 'tea'] : []),
    answer: (id) => {
      if (id === 'spoon')
        return { minutes: 1.5, then: squeezeScene(pieces, trueG, inG + BIND_STEP_G.spoon, spoons + 1) };
      if (id === 'tea')
        return { minutes: 1.5, then: squeezeScene(pieces, trueG, inG + BIND_STEP_G.teaspoon, spoons + 1) };
      if (id === 'chill')
        return {
          minutes: 35,
          then: share > 1.1 ? { words: words.came.mended, lost: 0 } : ended(),
        };
      return { minutes: 0, then: ended() };
    },
  };
}

/** What is melted beyond what the plan's coat takes, as a share: half of its pool can be saved. */
const IN_HAND = 0.08;

export function coatScene(pieces: number, thick: number): Scene {
  const words = SCENE.coat;
  const isThick = thick > 1.12;
  const ended = (factor: number): Came => {
    const lost = factor > 1 + IN_HAND ? some(1 - (1 + IN_HAND) / factor, pieces) : 0;
    return lost > 0 ? { words: words.came.short(lost), lost } : { words: words.came.good, lost: 0 };
  };
  return {
    kind: 'coat',
    title: words.title,
    shows: isThick ? words.thick : words.even,
    looks: isThick ? 'thick' : 'even',
    options: listed(words.options),
    answer: (id) => {
      if (id === 'warm') return { minutes: 3, then: ended(Math.min(thick, 1.04)) };
      if (id === 'oil')
        return {
          minutes: 2,
          then: isThick ? ended(Math.min(thick, 1.06)) : { words: words.came.thin, lost: some(0.05, pieces) },
        };
      if (id === 'water') return { minutes: 20, then: { words: words.came.seized, lost: 0 } };
      return { minutes: 0, then: ended(thick) };
    },
  };
}

export function outScene(pieces: number, sticks: boolean): Scene {
  const words = SCENE.out;
  return {
    kind: 'out',
    title: words.title,
    shows: sticks ? words.clings : words.hot,
    looks: 'hot',
    options: listed(words.options),
    answer: (id) => {
      if (id === 'wait') return { minutes: 5, then: { words: words.came.good, lost: 0 } };
      const share = id === 'now' ? (sticks ? 0.4 : 0.1) : sticks ? 0.3 : 0.12;
      const lost = some(share, pieces);
      return {
        minutes: id === 'cold' ? 25 : 0,
        then: { words: id === 'cold' ? words.came.stuck(lost) : words.came.tore(lost), lost },
      };
    },
  };
}

export function frostScene(pieces: number, warmRoom: boolean): Scene {
  const words = SCENE.frost;
  return {
    kind: 'frost',
    title: words.title,
    shows: words.warm,
    looks: 'warm',
    options: listed(words.options),
    answer: (id) => {
      if (id === 'fridge') return { minutes: 10, then: { words: words.came.wept, lost: 0 } };
      const share = id === 'now' ? (warmRoom ? 0.45 : 0.2) : warmRoom ? 0.08 : 0;
      const lost = some(share, pieces);
      return {
        minutes: id === 'wait' ? 15 : 0,
        then: lost > 0 ? { words: words.came.slid(lost), lost } : { words: words.came.good, lost: 0 },
      };
    },
  };
}

/** Somebody wants more. A wish that is not met counts as a piece that is lost. */
export function moreScene(wanted: number, portioned: boolean, batchMin: number): Scene {
  const words = SCENE.more;
  return {
    kind: 'more',
    title: words.title(wanted),
    shows: words.asks,
    looks: 'asked',
    options: listed(words.options),
    answer: (id) => {
      if (id === 'smaller')
        return portioned
          ? { minutes: 12, then: { words: words.came.late, lost: some(0.5, wanted) } }
          : { minutes: 3, then: { words: words.came.smaller, lost: 0 } };
      if (id === 'batch') return { minutes: batchMin, then: { words: words.came.batch, lost: 0 } };
      return { minutes: 0, then: { words: words.came.no(wanted), lost: wanted } };
    },
  };
}
