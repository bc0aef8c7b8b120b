import type { Evidence } from '../model/evidence';
import type { Figure } from '../figure';
import { PARAMS } from '../param';
import type { LinePlan } from '../plan';
import { SEEING } from './learn.table';

/** Between which values something lay; null where a side is open. */
export type Bounds = readonly [low: number | null, high: number | null];

/** What moves a figure by less than this, as a share, is left out of what was seen of it. */
const SLIGHT = 0.002;

/** What else there is to say of an outcome. */
interface Further {
  /** The figure of the parameter, where a plan has several. */
  readonly rootId?: string | null;
  /** What is doubted of it beyond the noise of its kind: a standard deviation, as a share of the figure. */
  readonly doubt?: number;
  /** By how many K above its dial the oven was taken to be. */
  readonly airK?: number | null;
}

/** What a figure of the plan started from before anything was learned of it. */
export function startOf({ value, low, high, expected }: Figure): Evidence['start'] {
  const from = expected ?? { value, low, high };
  return { value: from.value, spread: (from.high - from.low) / 2 };
}

/** Collects what a line says. Its plan is as the kitchen knew it then: each outcome is held against that. */
export class Seen {
  constructor(
    private readonly plan: LinePlan,
    private readonly runId: string,
    private readonly at: number,
    readonly all: Evidence[] = [],
  ) {}

  /** What was seen of a parameter itself. */
  of(
    param: string,
    scopes: readonly string[],
    [low, high]: Bounds,
    start: Evidence['start'],
    seen?: Evidence['seen'],
    further: Pick<Evidence, 'beside' | 'doubt'> = {},
  ): void {
    if (low === null && high === null) return;
    const id = `${this.runId}/${this.plan.line.id}/${param}/${this.all.length + 1}`.slice(-120);
    this.all.push({
      id,
      param,
      of: [...scopes],
      at: this.at,
      lineId: this.plan.line.id,
      low,
      high,
      start,
      ...(seen ? { seen } : {}),
      ...further,
      taken: 'yes',
    });
  }

  /** A parameter that was measured itself. */
  direct(figureId: string, value: number): void {
    const figure = this.plan.figure(figureId);
    const { known } = figure;
    const start = startOf(figure);
    if (!known || start.spread <= 0) return;
    this.of(known.param, known.of, [value, value], start, { figureId, expected: figure.value, came: value });
  }

  /**
   * A figure that came out between bounds: what that says of a parameter that it rests on, with all else that it rests on as it
   * was taken to be; and how much it goes by each of those.
   * @param shown what is told of it
   */
  through(
    figureId: string,
    paramKey: string,
    [low, high]: Bounds,
    shown: number,
    further: Further = {},
  ): void {
    const { plan } = this;
    const { rootId = null, doubt, airK = null } = further;
    if (!plan.has(figureId)) return;
    const figure = plan.figure(figureId);
    const known = plan.figures.filter((one) => one.known && SEEING[one.known.param]);
    const root = known.find(
      ({ id, known: of }) => of?.param === paramKey && (rootId === null || id === rootId),
    );
    if (!root?.known || figure.value <= 0) return;
    const goesBy = this.goesBy(figure, known);
    const own = goesBy.get(rootKey(root));
    // Said by hand, or of no weight here: nothing to learn.
    if (!own) return;
    const plain = SEEING[paramKey]?.on === 'plain';
    // A small share: the figure goes straight with it. Else both go on logarithms.
    const back = (value: number | null) =>
      value === null
        ? null
        : plain
          ? root.value + (value - figure.value) / (own.power * figure.value)
          : root.value * (value / figure.value) ** (1 / own.power);
    const beside = [...goesBy].flatMap(([key, { of, share, power }]) =>
      key === rootKey(root) || !of.known || share < SLIGHT
        ? []
        : [
            {
              param: of.known.param,
              of: [...of.known.of],
              was: of.known.param === PARAMS.ovenOffset.key ? (airK ?? of.value) : of.value,
              start: startOf(of),
              per: power / own.power,
            },
          ],
    );
    this.of(
      paramKey,
      root.known.of,
      own.power > 0 ? [back(low), back(high)] : [back(high), back(low)],
      startOf(root),
      { figureId, expected: figure.value, came: shown },
      {
        ...(beside.length > 0 ? { beside } : {}),
        ...(doubt === undefined ? {} : { doubt: doubt / Math.abs(own.power) }),
      },
    );
  }

  /**
   * How a figure goes by each parameter that can be learned: by how much its logarithm rises with one more of the parameter, on
   * the scale on which that is learned (an elasticity where that is the logarithm), and which share its doubt moves it by.
   */
  private goesBy(
    figure: Figure,
    known: readonly Figure[],
  ): Map<string, { readonly of: Figure; readonly power: number; readonly share: number }> {
    const out = new Map<string, { of: Figure; power: number; share: number }>();
    const moves = new Map(this.plan.movesOf(figure.id).map((move) => [move.key, move]));
    for (const of of known) {
      const move = moves.get(rootKey(of));
      const spread = (of.high - of.low) / 2;
      if (!move || spread <= 0 || move.up === move.down) continue;
      const [up, down] = [figure.value + move.up, figure.value + move.down];
      if (up <= 0 || down <= 0) continue;
      const rise = Math.log(up / down);
      const plain = SEEING[of.known?.param ?? '']?.on === 'plain';
      if (!plain && of.low <= 0) continue;
      const power = rise / (plain ? 2 * spread : Math.log(of.high / of.low));
      if (Number.isFinite(power) && power !== 0)
        out.set(rootKey(of), { of, power, share: Math.abs(rise) / 2 });
    }
    return out;
  }
}

const rootKey = ({ known }: Figure): string => `${known?.param ?? ''}@${known?.of[0] ?? 'kitchen'}`;
