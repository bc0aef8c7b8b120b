import { Figures, words, type Ref, type Sampling, type Start, type Unit } from '../figure';
import { believe, type Beliefs, type Param, type Scope } from '../param';

/** How a parameter stands in a plan. */
export interface Asked {
  /** Id of its figure; the parameter's key where nothing is said. */
  readonly id?: string;
  /** What it is called here, where the registry's own word says too little. */
  readonly label?: string;
  /** What it belongs to, the most specific first; none for what is this run's alone. */
  readonly of: readonly Scope[];
  readonly start: Start;
  readonly sentence: string;
}

/** The figures of a plan, with what the kitchen believes. */
export class PlanFigures extends Figures {
  constructor(
    owner: string,
    measured: Readonly<Record<string, number>>,
    readonly beliefs: Beliefs,
    sampling: Sampling | null = null,
    prefix = '',
    ledger?: ConstructorParameters<typeof Figures>[4],
  ) {
    super(owner, measured, sampling, prefix, ledger);
  }

  override within(prefix: string): PlanFigures {
    if (prefix === '') return this;
    return new PlanFigures('', {}, this.beliefs, null, `${this.prefix}${prefix}`, this.ledger);
  }

  /** Adds what is believed of a parameter: measured in this run, kept or learned, or the usual figure. */
  believe<U extends Unit>(param: Param<U>, { id, label, of, start, sentence }: Asked): Ref<U> {
    const { min, max, unit, keep } = param;
    const believed = believe(param, of, this.beliefs, start);
    return this.root({
      id: id ?? param.key,
      words: words(label ?? param.label, sentence),
      unit,
      value: believed.value,
      spread: believed.spread,
      basis: believed.basis,
      replace: { min, max },
      known: { param: param.key, of: believed.scopes, keep },
      // What is this run's alone is no other line's.
      key: keep ? believed.key : undefined,
      ...(believed.belief?.ties ? { ties: believed.belief.ties } : {}),
      ...(believed.belief ? { tiedAs: `${param.key}@${believed.belief.of}` } : {}),
      expected: believed.belief ? { value: start.value, spread: start.spread } : undefined,
    });
  }
}

/** A mass inside a sentence, for the reader's own units: `{54 g}`. */
export const gramsText = (massG: number): string => `{${Number(massG.toFixed(massG < 20 ? 1 : 0))} g}`;
