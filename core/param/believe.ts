import type { Start } from '../figure';
import type { Belief } from '../model/belief';
import { KITCHEN, type Param, type Scope } from './param';

/** What a kitchen knows, to be asked by parameter and scope. */
export class Beliefs {
  /** By parameter, then by what it belongs to: of most parameters nothing is known. */
  private readonly known = new Map<string, Map<string, Belief>>();

  constructor(kept: readonly Belief[]) {
    for (const belief of kept) {
      const of = this.known.get(belief.param) ?? new Map<string, Belief>();
      this.known.set(belief.param, of.set(belief.of, belief));
    }
  }

  /** The most specific thing known of a parameter; null where it is still the starting value. */
  find(param: string, scopes: readonly Scope[]): Belief | null {
    const known = this.known.get(param);
    if (!known) return null;
    for (const scope of scopes) {
      const found = known.get(scope);
      if (found) return found;
    }
    return null;
  }
}

/** What a parameter is taken to be, and from where. */
export interface Believed extends Start {
  /** Null where nothing is known beyond the starting value. */
  readonly belief: Belief | null;
  /** All that it can belong to, the most specific first; the whole kitchen last. */
  readonly scopes: readonly Scope[];
  /** The same wherever it stands: lines that share it move together. */
  readonly key: string;
}

/**
 * What is believed of a parameter: what was kept or learned for the most specific of its scopes, or what it starts from.
 * What was measured in the run itself comes before all of these, and is the ledger's matter.
 * @param of what it belongs to, the most specific first, without the kitchen
 */
export function believe(param: Param, of: readonly Scope[], beliefs: Beliefs, start: Start): Believed {
  const scopes = [...of, KITCHEN];
  const belief = beliefs.find(param.key, scopes);
  const key = `${param.key}@${scopes[0] ?? KITCHEN}`;
  const { value, spread, basis } = start;
  return belief
    ? { value: belief.mean, spread: belief.spread, basis: 'measured here', belief, scopes, key }
    : { value, spread, basis, belief, scopes, key };
}

/** The kitchen's beliefs with one put in; null takes it back. */
export function withBelief(
  kept: readonly Belief[],
  param: string,
  of: string,
  belief: Pick<Belief, 'mean' | 'spread' | 'seen' | 'since'> | null,
): Belief[] {
  const others = kept.filter((one) => one.param !== param || one.of !== of);
  return belief === null ? others : [...others, { param, of, ...belief }];
}
