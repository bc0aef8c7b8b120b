import type { Evidence } from '../model/evidence';
import { CHANGED, FADES_A_YEAR, KIND_SHARE, SEEING, SLIPS, SLIP_TIMES, type Seeing } from './learn.table';
import { meetBounds, meetMeasure, type Normal } from './meet';

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
  /** Formulas that it was seen with. */
  readonly with: readonly string[];
  /** Its last outcomes lie so far from those before that it is taken for another thing; null where they do not. */
  readonly changedAt: number | null;
}

/** Half the width from the 10th to the 90th percentile of a normal distribution, in standard deviations. */
export const TENTH = 1.2816;
const YEAR_MS = 365 * 86_400_000;
/** Only so many outcomes are needed to see that a thing is another one. */
const RECENT = 3;

/**
 * Bayesian updating of the starting beliefs. Of each parameter, what all things of a kind have in common and what is each
 * thing's own are normal; outcomes of one thing tell the common part as well, and so a start for things never seen. Looks
 * bound the value from one side or from both; a slip moves it by no more than its share; what was learned fades.
 * @param evidence of any order; what is not taken to heart is left out
 * @param now ms since the epoch
 */
export function learn(evidence: readonly Evidence[], now: number): Learned[] {
  const kinds = new Map<string, Evidence[]>();
  for (const one of evidence) {
    if (one.taken !== 'yes' || !canTell(one)) continue;
    const key = `${one.param}\n${kindOf(one)}`;
    const some = kinds.get(key);
    if (some) some.push(one);
    else kinds.set(key, [one]);
  }
  return [...kinds.values()].flatMap((all) => {
    const { some, before } = lastOf(all.sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1)));
    const kind = new Kind(some);
    for (const one of some) kind.meet(one);
    // What came before counts as seen, but of a thing that is another one since.
    const earlier = [...before.values()].reduce((sum, n) => sum + n, 0);
    return kind.told(now).map((one) => ({
      ...one,
      seen: one.seen + (one.changedAt === null ? (before.get(one.of) ?? earlier) : 0),
    }));
  });
}

/**
 * So many of a thing's last outcomes say all that there is to say of it: each more moves it by less than a hundredth of
 * its noise, and what is older has faded.
 */
const LAST = 60;

/** The last outcomes of every thing, in order, and how many came before them. */
function lastOf(all: readonly Evidence[]): {
  readonly some: readonly Evidence[];
  readonly before: ReadonlyMap<string, number>;
} {
  const counts = new Map<string, number>();
  const some: Evidence[] = [];
  for (let i = all.length - 1; i >= 0; i -= 1) {
    const one = all[i];
    if (!one) continue;
    const n = (counts.get(thingOf(one)) ?? 0) + 1;
    counts.set(thingOf(one), n);
    if (n <= LAST) some.push(one);
  }
  const before = new Map([...counts].map(([of, n]) => [of, Math.max(0, n - LAST)]));
  return { some: some.reverse(), before };
}

/** Whether an outcome can be read at all: a file may hold anything, and of a factor of nothing there is no logarithm. */
function canTell({ param, start }: Evidence): boolean {
  const seeing = SEEING[param];
  return seeing !== undefined && start.spread > LEAST && (seeing.on === 'plain' || start.value > LEAST);
}
const LEAST = 1e-6;

/** What an outcome belongs to by itself, and what it shares that with. */
const thingOf = ({ of }: Evidence): string => of[0] ?? 'kitchen';
/** The widest that is not the whole kitchen: a tin with two batters in turn is one thing of its size, not one of each. */
export const kindOf = ({ of }: Pick<Evidence, 'of'>): string =>
  of.length > 2 ? (of.filter((one) => one !== 'kitchen').at(-1) ?? 'kitchen') : (of[1] ?? of[0] ?? 'kitchen');

/** So many of its last formulas are kept with a thing. */
const WITH = 40;

/** One of a thing's last outcomes, and what was expected of it. */
interface Recent {
  readonly of: Evidence;
  readonly expected: Normal;
}

interface Thing {
  with: readonly string[];
  seen: number;
  lastAt: number;
  start: Evidence['start'];
  recent: Recent[];
  changedAt: number | null;
}

/** All things of a kind: place 0 is what they have in common, each other place what is one thing's own. */
class Kind {
  private readonly seeing: Seeing;
  private readonly param: string;
  private readonly common: string;
  private readonly mean: number[] = [0];
  private readonly cov: number[][] = [];
  private readonly places = new Map<string, number>();
  private readonly things = new Map<string, Thing>();
  /** Variance of a thing before anything is seen of it: in common, and its own. */
  private readonly prior: { readonly common: number; readonly own: number };

  constructor(some: readonly Evidence[]) {
    const [first] = some;
    if (!first) throw new Error('invariant: a kind has outcomes');
    const seeing = SEEING[first.param];
    if (!seeing) throw new Error(`invariant: "${first.param}" can be learned`);
    this.seeing = seeing;
    this.param = first.param;
    this.common = kindOf(first);
    const sd = spreadOf(first.start, seeing) / TENTH;
    const alone = some.every((one) => thingOf(one) === this.common);
    this.prior = alone
      ? { common: sd * sd, own: 0 }
      : { common: sd * sd * KIND_SHARE, own: sd * sd * (1 - KIND_SHARE) };
    this.cov.push([this.prior.common]);
  }

  /** What is expected of the next outcome of a thing, as its difference from where it started. */
  private expected(place: number): Normal {
    const [k, row] = [this.cov[0] ?? [], this.cov[place] ?? []];
    const own = place === 0 ? 0 : (row[place] ?? 0) + 2 * (row[0] ?? 0);
    return {
      mean: (this.mean[0] ?? 0) + (place === 0 ? 0 : (this.mean[place] ?? 0)),
      variance: Math.max(1e-12, (k[0] ?? 0) + own),
    };
  }

  meet(one: Evidence): void {
    const id = thingOf(one);
    const place = this.placeOf(id);
    const thing = this.things.get(id) ?? {
      seen: 0,
      lastAt: one.at,
      start: one.start,
      recent: [],
      changedAt: null,
      with: [],
    };
    this.things.set(id, thing);
    this.fade(place, one.at - thing.lastAt);
    const expected = this.expected(place);
    thing.seen += 1;
    thing.lastAt = one.at;
    thing.start = one.start;
    if (one.with) thing.with = [...new Set([...thing.with, ...one.with])].slice(-WITH);
    thing.recent = [...thing.recent, { of: one, expected }].slice(-RECENT);
    const anew = thing.seen > RECENT ? changedRun(thing.recent, this.seeing) : 0;
    if (anew > 0) {
      // Another thing of the same name: what was learned of the first is no evidence of it.
      const again = thing.recent.slice(-anew);
      thing.changedAt = again[0]?.of.at ?? one.at;
      thing.seen = anew;
      thing.with = one.with ?? [];
      this.forget(place);
      for (const { of } of again) this.update(of, place);
      thing.recent = [];
      return;
    }
    this.update(one, place);
  }

  private placeOf(id: string): number {
    if (id === this.common || this.prior.own === 0) return 0;
    const known = this.places.get(id);
    if (known !== undefined) return known;
    const place = this.mean.length;
    this.places.set(id, place);
    this.mean.push(0);
    for (const row of this.cov) row.push(0);
    this.cov.push([...Array.from({ length: place }, () => 0), this.prior.own]);
    return place;
  }

  private fade(place: number, ms: number): void {
    const most = place === 0 ? this.prior.common : this.prior.own;
    const row = this.cov[place];
    if (!row || ms <= 0) return;
    row[place] = Math.min(
      Math.max(most, row[place] ?? 0),
      (row[place] ?? 0) + most * FADES_A_YEAR * (ms / YEAR_MS),
    );
  }

  private forget(place: number): void {
    for (const [i, row] of this.cov.entries())
      for (let j = 0; j < row.length; j += 1) if (i === place || j === place) row[j] = 0;
    const row = this.cov[place];
    if (row) row[place] = place === 0 ? this.prior.common : this.prior.own;
    this.mean[place] = 0;
  }

  private update(one: Evidence, place: number): void {
    const before = this.expected(place);
    const [low, high] = boundsOf(one, this.seeing);
    const { noise } = this.seeing;
    const slip = { share: SLIPS, noise: noise * SLIP_TIMES };
    const after =
      low !== null && low === high
        ? meetMeasure(before, low, noise, slip)
        : meetBounds(before, low, high, noise, slip);
    // What a thing moves, its own part and the common part share by how little each was known.
    const n = this.mean.length;
    const gain = Array.from({ length: n }, (_, i) => {
      const row = this.cov[i] ?? [];
      return ((row[0] ?? 0) + (place === 0 ? 0 : (row[place] ?? 0))) / before.variance;
    });
    const moved = after.mean - before.mean;
    const shrunk = before.variance - after.variance;
    for (let i = 0; i < n; i += 1) {
      this.mean[i] = (this.mean[i] ?? 0) + (gain[i] ?? 0) * moved;
      const row = this.cov[i];
      if (!row) continue;
      for (let j = 0; j < n; j += 1) row[j] = (row[j] ?? 0) - (gain[i] ?? 0) * (gain[j] ?? 0) * shrunk;
    }
  }

  told(now: number): Learned[] {
    const { seeing } = this;
    const told = (of: string, thing: Thing, { mean, variance }: Normal): Learned => {
      const { value } = thing.start;
      const sd = Math.sqrt(variance);
      const at = (x: number) => (seeing.on === 'log' ? value * Math.exp(x) : value + x);
      return {
        param: this.param,
        of,
        start: thing.start,
        mean: at(mean),
        spread: (at(mean + TENTH * sd) - at(mean - TENTH * sd)) / 2,
        seen: thing.seen,
        lastAt: thing.lastAt,
        with: thing.with,
        changedAt: thing.changedAt,
      };
    };
    const out = [...this.things].map(([id, thing]) => {
      this.fade(this.placeOf(id), now - thing.lastAt);
      return told(id, thing, this.expected(this.placeOf(id)));
    });
    if (this.prior.own === 0 || this.things.has(this.common) || seeing.apart) return out;
    // A thing of the kind that has not been seen starts from what the others have in common.
    const all = [...this.things.values()];
    const [last] = [...all].sort((a, b) => b.lastAt - a.lastAt);
    const common = this.expected(0);
    if (last)
      out.push({
        ...told(this.common, last, { ...common, variance: common.variance + this.prior.own }),
        seen: all.reduce((sum, { seen }) => sum + seen, 0),
        with: [],
        changedAt: null,
      });
    return out;
  }
}

/** The spread of a start on the scale on which it is learned. */
const spreadOf = ({ value, spread }: Evidence['start'], { on }: Seeing): number =>
  on === 'log' ? spread / value : spread;

/** Bounds of an outcome as differences from the start, on the scale on which it is learned. */
function boundsOf({ low, high, start }: Evidence, { on }: Seeing): readonly [number | null, number | null] {
  const scaled = (one: number | null) =>
    one === null ? null : on === 'log' ? Math.log(Math.max(1e-9, one) / start.value) : one - start.value;
  return [scaled(low), scaled(high)];
}

/**
 * How many of the last outcomes lie to one side of what was expected before the first of them, far enough together to be of
 * another thing; 0 where they do not.
 */
function changedRun(recent: readonly Recent[], seeing: Seeing): number {
  for (let n = 2; n <= recent.length; n += 1) {
    const last = recent.slice(-n);
    const [first] = last;
    const far = CHANGED[n];
    if (!first || !far) continue;
    const offs = last.map(({ of }) => offOf(of, first.expected, seeing));
    const side = Math.sign(offs[0] ?? 0);
    if (side === 0 || offs.some((off) => off * side < far.least)) continue;
    // One slip, however wild, is no other thing: each counts for so much and no more.
    const together = offs.reduce((sum, off) => sum + Math.min(far.most, off * side), 0);
    const doubt = first.expected.variance / seeing.noise ** 2;
    if (together / Math.sqrt(n + n * n * doubt) > far.together) return n;
  }
  return 0;
}

/** How far an outcome lies off what was expected, in its own standard deviations; 0 where a look only bounds it from the far side. */
function offOf(one: Evidence, { mean }: Normal, seeing: Seeing): number {
  const [low, high] = boundsOf(one, seeing);
  if (low !== null && high !== null)
    return ((low + high) / 2 - mean) / Math.hypot(seeing.noise, (high - low) / Math.sqrt(12));
  if (low !== null && mean < low) return (low - mean) / seeing.noise;
  if (high !== null && mean > high) return (high - mean) / seeing.noise;
  return 0;
}
