import type { Evidence } from '../model/evidence';
import { Joint, type Weighed } from './joint';
import { CHANGED, FADES_A_YEAR, KIND_SHARE, SEEING, SLIPS, SLIP_TIMES, type Seeing } from './learn.table';
import { meetBounds, meetMeasure, type Normal } from './meet';
import {
  canTell,
  keyOf,
  kindOf,
  lastOf,
  mentionsOf,
  offOf,
  scaled,
  spreadOf,
  thingOf,
  type Mention,
} from './mention';

/** What the outcomes so far teach of one parameter of one thing, or of all things of its kind. */
export interface Learned {
  readonly param: string;
  /** What it belongs to. */
  readonly of: string;
  readonly start: { readonly value: number; readonly spread: number };
  /** In the parameter's unit; the spread is half the width from the 10th to the 90th percentile. */
  readonly mean: number;
  readonly spread: number;
  /** From how many outcomes, and when the last of them was, ms since the epoch. */
  readonly seen: number;
  readonly lastAt: number;
  /** By outcomes of its own; only together with others; or not at all, as others of its kind. */
  readonly by: 'itself' | 'others' | 'kind';
  /** Correlations with others that were learned of with it, by `param@of`; each pair stands with one of the two. */
  readonly ties: Readonly<Record<string, number>>;
  /** Its last outcomes lie so far from those before that it is taken for another thing; null where they do not. */
  readonly changedAt: number | null;
}

/** Half the width from the 10th to the 90th percentile of a normal distribution, in standard deviations. */
export const TENTH = 1.2816;
const YEAR_MS = 365 * 86_400_000;
/** Only so many outcomes are needed to see that a thing is another one. */
const RECENT = 3;
/** Of an outcome that goes by several things, one that makes up so much of its doubt was learned of by it. */
const TAUGHT = 0.05;
/** A tie looser than this changes no range that is shown. */
export const LOOSE = 0.08;
/** What became surer by less than this, and moved by less than a tenth of its spread, is as it was. */
const SURER = 0.03;
const MOVED = 0.1;

/**
 * Bayesian updating of the starting beliefs, all of one kitchen jointly. Of each parameter, what all things of a kind have in
 * common and what is each thing's own are normal; an outcome moves all that its figure rests on, each by how little it was
 * known and how much the figure goes by it. Looks bound the value from one side or from both; a slip moves it by no more than
 * its share; what was learned fades; a thing that is another one since is learned anew from its first outcome on.
 * @param evidence of any order; what is not taken to heart is left out
 * @param now ms since the epoch
 */
export const learn = (evidence: readonly Evidence[], now: number): Learned[] => taught(evidence, now).learned;

/** What a kitchen has learned, and what it took each thing to be just before each outcome of it. */
export interface Taught {
  readonly learned: Learned[];
  /** By the id of the outcome; of each thing's last ones only. */
  readonly before: ReadonlyMap<string, Pick<Learned, 'mean' | 'spread'>>;
}

/** The same as `learn`, with how it came about. */
export function taught(evidence: readonly Evidence[], now: number): Taught {
  const all = evidence
    .filter((one) => one.taken === 'yes' && canTell(one))
    .sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
  const { some, before } = lastOf(all);
  const anew = new Map<string, string>();
  for (;;) {
    // Each thing that is found to be another one is known to be so from the start of the next pass.
    const kitchen = new Kitchen(some, before, anew);
    const found = kitchen.meetAll(some);
    if (!found || anew.has(found.at)) return { learned: kitchen.told(now), before: kitchen.before };
    anew.set(found.at, found.thing);
  }
}

/** All things of a kind: what they have in common, and how much of each is its own. */
interface Kind {
  readonly param: string;
  readonly of: string;
  readonly seeing: Seeing;
  readonly common: number;
  /** Variance of a thing of its own before anything is seen of it; nought where the kind is the only thing. */
  readonly own: number;
  readonly things: Thing[];
}

interface Thing {
  readonly kind: Kind;
  readonly of: string;
  /** What is the thing's own; null where it is the kind itself. */
  readonly place: number | null;
  readonly parts: readonly Weighed[];
  start: Evidence['start'];
  /** Outcomes of itself, and those of others that went by it. */
  seen: number;
  beside: number;
  /** Whether any outcome was of itself. */
  itself: boolean;
  lastAt: number;
  recent: Recent[];
  changedAt: number | null;
}

/** One of a thing's last outcomes, what was expected of it, and of all else then. */
interface Recent {
  readonly of: Evidence;
  readonly expected: Normal;
  readonly means: readonly number[];
}

/** All that a kitchen's outcomes are about. */
class Kitchen {
  private readonly joint = new Joint();
  private readonly kinds = new Map<string, Kind>();
  private readonly things = new Map<string, Thing>();
  /** What only its own readings move: an oven's air, by which the dial is set. */
  private readonly held = new Set<number>();

  /** What each thing was taken to be just before an outcome of it, by the outcome's id. */
  readonly before = new Map<string, Pick<Learned, 'mean' | 'spread'>>();

  /**
   * @param earlier how many outcomes of each thing came before these
   * @param anew things that are another one since, by the id of the first outcome of the other
   */
  constructor(
    some: readonly Evidence[],
    private readonly earlier: ReadonlyMap<string, number>,
    private readonly anew: ReadonlyMap<string, string>,
  ) {
    const alone = new Map<string, boolean>();
    for (const one of some)
      for (const mention of mentionsOf(one)) {
        const key = `${mention.param}\n${kindOf(mention)}`;
        alone.set(key, (alone.get(key) ?? true) && thingOf(mention) === kindOf(mention));
      }
    for (const one of some) for (const mention of mentionsOf(one)) this.thing(mention, alone, one.at);
  }

  private thing(mention: Mention, alone: ReadonlyMap<string, boolean>, at: number): void {
    if (this.things.has(keyOf(mention))) return;
    const { param, start } = mention;
    const [of, common] = [thingOf(mention), kindOf(mention)];
    const seeing = SEEING[param];
    if (!seeing) throw new Error(`invariant: "${param}" can be learned`);
    const key = `${param}\n${common}`;
    let kind = this.kinds.get(key);
    if (!kind) {
      const variance = (spreadOf(start, seeing) / TENTH) ** 2;
      const share = alone.get(key) ? 1 : KIND_SHARE;
      const place = this.joint.add(variance * share);
      kind = { param, of: common, seeing, common: place, own: variance * (1 - share), things: [] };
      this.kinds.set(key, kind);
      if (seeing.held) this.held.add(place);
    }
    const place = of === common || kind.own === 0 ? null : this.joint.add(kind.own);
    if (place !== null && seeing.held) this.held.add(place);
    const parts = [kind.common, ...(place === null ? [] : [place])].map((one) => ({ place: one, weight: 1 }));
    const thing: Thing = {
      kind,
      of,
      place,
      parts,
      start,
      seen: 0,
      beside: 0,
      itself: false,
      lastAt: at,
      recent: [],
      changedAt: null,
    };
    kind.things.push(thing);
    this.things.set(keyOf(mention), thing);
  }

  private of(mention: Mention): Thing {
    const thing = this.things.get(keyOf(mention));
    if (!thing) throw new Error(`invariant: "${keyOf(mention)}" has a place`);
    return thing;
  }

  /** Takes outcomes in, in their order, up to the first that shows a thing to be another one since an earlier. */
  meetAll(some: readonly Evidence[]): { readonly at: string; readonly thing: string } | null {
    for (const one of some) {
      const found = this.meet(one);
      if (found) return found;
    }
    return null;
  }

  private meet(one: Evidence): { readonly at: string; readonly thing: string } | null {
    const thing = this.of(one);
    const { seeing } = thing.kind;
    if (this.anew.get(one.id) === keyOf(one)) this.startAnew(thing, one.at);
    const about = mentionsOf(one).map((mention) => this.of(mention));
    for (const other of new Set(about)) {
      this.fade(other, one.at);
      other.lastAt = one.at;
    }
    thing.start = one.start;
    const { mean, spread } = this.toldOf(thing, this.joint.expected(thing.parts));
    this.before.set(one.id, { mean, spread });
    const sum = this.sumOf(one);
    const before = this.joint.expected(sum);
    thing.seen += 1;
    thing.itself = true;
    thing.recent = [...thing.recent, { of: one, expected: before, means: this.joint.snapshot() }].slice(
      -RECENT,
    );
    const anew = thing.seen > RECENT ? this.changedRun(thing.recent, seeing) : 0;
    const first = anew > 0 ? thing.recent.at(-anew) : undefined;
    if (first && !this.anew.has(first.of.id)) return { at: first.of.id, thing: keyOf(one) };
    for (const mention of one.beside ?? []) {
      if (!canTell(mention)) continue;
      const other = this.of(mention);
      if (other === thing) continue;
      other.start = mention.start;
      const share = (mention.per ** 2 * this.joint.expected(other.parts).variance) / before.variance;
      if (share > TAUGHT) other.beside += 1;
    }
    const [low, high] = this.boundsOf(one);
    const noise = Math.hypot(seeing.noise, one.doubt ?? 0);
    const slip = { share: SLIPS, noise: noise * SLIP_TIMES };
    const after =
      low !== null && low === high
        ? meetMeasure(before, low, noise, slip)
        : meetBounds(before, low, high, noise, slip);
    this.joint.update(sum, before, after, seeing.held ? NONE : this.held);
    return null;
  }

  /** What is the thing's own is another's since. */
  private startAnew(thing: Thing, at: number): void {
    this.joint.forget(thing.place ?? thing.kind.common);
    thing.changedAt = at;
    thing.seen = 0;
    thing.recent = [];
  }

  private fade(thing: Thing, at: number): void {
    this.joint.fade(thing.place ?? thing.kind.common, (FADES_A_YEAR * (at - thing.lastAt)) / YEAR_MS);
  }

  /** What was seen as a sum of what it rests on: the parameter itself, and all beside by its weight. */
  private sumOf(one: Evidence): Weighed[] {
    const weights = new Map<number, number>();
    const put = (mention: Mention, by: number) => {
      for (const { place, weight } of this.of(mention).parts)
        weights.set(place, (weights.get(place) ?? 0) + weight * by);
    };
    put(one, 1);
    for (const mention of one.beside ?? []) if (canTell(mention)) put(mention, mention.per);
    return [...weights].map(([place, weight]) => ({ place, weight }));
  }

  /** Bounds of that sum, as its difference from where all of it started. */
  private boundsOf(one: Evidence): readonly [number | null, number | null] {
    const { seeing } = this.of(one).kind;
    let taken = 0;
    for (const mention of one.beside ?? [])
      if (canTell(mention))
        taken += mention.per * scaled(mention.was, mention.start, this.of(mention).kind.seeing);
    const bound = (value: number | null) =>
      value === null ? null : scaled(value, one.start, seeing) + taken;
    return [bound(one.low), bound(one.high)];
  }

  /**
   * How many of the last outcomes lie to one side of what was expected before the first of them, far enough together to be
   * of another thing; 0 where they do not.
   */
  private changedRun(recent: readonly Recent[], seeing: Seeing): number {
    for (let n = 2; n <= recent.length; n += 1) {
      const last = recent.slice(-n);
      const [first] = last;
      const far = CHANGED[n];
      if (!first || !far) continue;
      const offs = last.map(({ of }) => {
        const { mean } = this.joint.expected(this.sumOf(of), first.means);
        return offOf(this.boundsOf(of), mean, Math.hypot(seeing.noise, of.doubt ?? 0));
      });
      const side = Math.sign(offs[0] ?? 0);
      if (side === 0 || offs.some((off) => off * side < far.least)) continue;
      // One slip, however wild, is no other thing: each counts for so much and no more.
      const together = offs.reduce((sum, off) => sum + Math.min(far.most, off * side), 0);
      const doubt = first.expected.variance / seeing.noise ** 2;
      if (together / Math.sqrt(n + n * n * doubt) > far.together) return n;
    }
    return 0;
  }

  /** From how many outcomes a thing is known: of itself, or else of what went by it. */
  private seenOf({ kind, of, itself, seen, beside, changedAt }: Thing): number {
    if (!itself) return beside;
    return seen + (changedAt === null ? (this.earlier.get(`${kind.param}@${of}`) ?? 0) : 0);
  }

  told(now: number): Learned[] {
    for (const thing of this.things.values()) this.fade(thing, now);
    const known = [...this.things.values()].filter((thing) => thing.itself || this.surer(thing));
    const out = known.map((thing, i): Learned => ({
      ...this.toldOf(thing, this.joint.expected(thing.parts)),
      of: thing.of,
      seen: this.seenOf(thing),
      by: thing.itself ? 'itself' : 'others',
      ties: this.tiesOf(thing, known.slice(i + 1), known),
      changedAt: thing.changedAt,
    }));
    for (const kind of this.kinds.values()) {
      // A thing of the kind that has not been seen starts from what the others have in common.
      const seen = kind.things.filter(({ itself }) => itself);
      const [last] = [...seen].sort((a, b) => b.lastAt - a.lastAt);
      if (!last || kind.own === 0 || kind.seeing.apart || this.things.has(`${kind.param}@${kind.of}`))
        continue;
      const common = this.joint.expected([{ place: kind.common, weight: 1 }]);
      out.push({
        ...this.toldOf(last, { ...common, variance: common.variance + kind.own }),
        of: kind.of,
        seen: seen.reduce((sum, one) => sum + this.seenOf(one), 0),
        by: 'kind',
        ties: {},
        changedAt: null,
      });
    }
    return out;
  }

  /** Whether what was seen of others says anything of a thing. */
  private surer({ parts, start, kind }: Thing): boolean {
    const { mean, variance } = this.joint.expected(parts);
    const sd = spreadOf(start, kind.seeing) / TENTH;
    return variance < (1 - SURER) * sd * sd || Math.abs(mean) > MOVED * sd;
  }

  private toldOf({ start, kind, lastAt }: Thing, { mean, variance }: Normal) {
    const sd = Math.sqrt(variance);
    const at = (x: number) => (kind.seeing.on === 'log' ? start.value * Math.exp(x) : start.value + x);
    const spread = (at(mean + TENTH * sd) - at(mean - TENTH * sd)) / 2;
    return { param: kind.param, start, mean: at(mean), spread, lastAt };
  }

  /** Correlations with others: with those told after it, and with what is not told and stands as it began. */
  private tiesOf(thing: Thing, later: readonly Thing[], known: readonly Thing[]): Record<string, number> {
    const out: Record<string, number> = {};
    const told = new Set(known);
    const others = [...later, ...[...this.things.values()].filter((one) => !told.has(one))];
    const { variance } = this.joint.expected(thing.parts);
    for (const other of others) {
      const tie =
        this.joint.between(thing.parts, other.parts) /
        Math.sqrt(variance * this.joint.expected(other.parts).variance);
      if (Math.abs(tie) >= LOOSE) out[`${other.kind.param}@${other.of}`] = Math.max(-1, Math.min(1, tie));
    }
    return out;
  }
}
const NONE: ReadonlySet<number> = new Set();
