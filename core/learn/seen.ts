import type { Evidence } from '../model/evidence';
import { PARAMS } from '../param';
import type { LinePlan } from '../plan';
import { SEEING } from './learn.table';

/** Between which values something lay; null where a side is open. */
export type Bounds = readonly [low: number | null, high: number | null];

/** Roots whose doubt is the oven's and the batter's own, and is learned together as its factor. */
const OVENS_OWN = /(^|[./:])(oven\.(offset|fan)|tin\.factor|cake\.done|bake\.lossShare)\b/;

/** What is learned together with what nobody has measured of a formula: its heat at the centre, how its tin takes heat up. */
const WITH_FORMULA: ReadonlySet<string> = new Set([PARAMS.bakeFactor.key]);

/** Collects what a line says. */
export class Seen {
  constructor(
    private readonly plan: LinePlan,
    private readonly runId: string,
    private readonly at: number,
    readonly all: Evidence[] = [],
  ) {}

  /** What was seen of a parameter that no figure of the plan rests on. */
  of(
    param: string,
    scopes: readonly string[],
    bounds: Bounds,
    start: Evidence['start'],
    told?: Evidence['seen'],
  ): void {
    this.put(param, scopes, bounds, start, told);
  }

  private put(
    param: string,
    of: readonly string[],
    [low, high]: Bounds,
    start: Evidence['start'],
    seen?: Evidence['seen'],
    air?: Evidence['air'],
  ): void {
    if (low === null && high === null) return;
    const formulas = new Set(this.plan.batches.map(({ formula }) => formula.id));
    const id = `${this.runId}/${this.plan.line.id}/${param}/${this.all.length + 1}`.slice(-120);
    this.all.push({
      id,
      param,
      of: [...of],
      at: this.at,
      lineId: this.plan.line.id,
      low,
      high,
      start,
      ...(seen ? { seen } : {}),
      ...(air ? { air } : {}),
      ...(WITH_FORMULA.has(param) ? { with: [...formulas] } : {}),
      taken: 'yes',
    });
  }

  /** A parameter that was measured itself. */
  direct(figureId: string, value: number): void {
    const figure = this.plan.figure(figureId);
    const { known } = figure;
    if (!known) return;
    const start = { value: figure.value, spread: (figure.high - figure.low) / 2 };
    if (start.spread <= 0) return;
    this.put(known.param, known.of, [value, value], start, { figureId, expected: figure.value, came: value });
  }

  /**
   * A figure that came out between bounds: what that says of a parameter that it rests on, by how the figure moves with it.
   * @param shown what is told of it
   * @param rootId the figure of that parameter, where a plan has several
   * @param air what the oven was taken to give, for what was baked in it
   */
  through(
    figureId: string,
    paramKey: string,
    [low, high]: Bounds,
    shown: number,
    rootId: string | null = null,
    air?: Evidence['air'],
  ): void {
    const { plan } = this;
    if (!plan.has(figureId)) return;
    const figure = plan.figure(figureId);
    const root = plan.figures.find(
      ({ id, known }) => known?.param === paramKey && (rootId === null || id === rootId),
    );
    if (!root?.known || figure.value <= 0) return;
    const moves = plan.movesOf(figureId);
    const own = moves.find(({ key }) => key === `${paramKey}@${root.known?.of[0] ?? 'kitchen'}`);
    const spread = (root.high - root.low) / 2;
    // Said by hand, or of no weight here: nothing to learn.
    if (!own || spread <= 0 || own.up === own.down) return;
    const [up, down] = [figure.value + own.up, figure.value + own.down];
    if (up <= 0 || down <= 0) return;
    if (SEEING[paramKey]?.on === 'plain') {
      // A small share: the figure goes straight with it.
      const slope = (up - down) / (2 * spread);
      const back = (value: number | null) =>
        value === null ? null : root.value + (value - figure.value) / slope;
      this.put(
        paramKey,
        root.known.of,
        slope > 0 ? [back(low), back(high)] : [back(high), back(low)],
        { value: root.value, spread },
        { figureId, expected: figure.value, came: shown },
      );
      return;
    }
    // How the figure goes with the parameter, on logarithms: 1 where twice the one is twice the other.
    const power = Math.log(up / down) / Math.log((root.value + spread) / (root.value - spread));
    const back = (value: number | null) =>
      value === null ? null : root.value * (value / figure.value) ** (1 / power);
    // What of the oven nobody has measured is learned with its factor: the doubt is wider by that.
    const others = moves.filter(({ key }) => WITH_FORMULA.has(paramKey) && OVENS_OWN.test(key));
    const wider = others.reduce((sum, one) => sum + ((one.up - one.down) / 2 / figure.value / power) ** 2, 0);
    const start = {
      value: root.value,
      spread: root.value * Math.hypot(spread / root.value, Math.sqrt(wider)),
    };
    this.put(
      paramKey,
      root.known.of,
      power > 0 ? [back(low), back(high)] : [back(high), back(low)],
      start,
      { figureId, expected: figure.value, came: shown },
      air,
    );
  }
}
