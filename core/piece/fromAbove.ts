import { ellipse, rectangle, walls, type CutPoint, type Patch, type Section } from './outline';

/** Metal between two wells, and from the last to the rim, mm. Basis: ordinary tins. */
export const WELL_APART_MM = 14;
/** Between mugs that turn together, mm. Basis: assumption. */
const MUGS_APART_MM = 5;
/** Wall of a mug, mm. Basis: ordinary mugs. */
const MUG_WALL_MM = 4;

/** How wells lie in a tin, and how much room it takes. */
export interface TinLayout {
  readonly columns: number;
  readonly rows: number;
  readonly acrossMm: number;
  readonly deepMm: number;
}

/**
 * The rows that wells lie in so that the tin's rim is shortest, longer side across.
 * Basis: geometry, with the metal between wells assumed.
 * @param wells whole, from 1
 * @param longMm a well's longer side at the top, mm; wideMm the shorter one: both its diameter where it is round
 */
export function tinLayout(wells: number, longMm: number, wideMm: number): TinLayout {
  const side = (n: number, each: number) => n * each + (n + 1) * WELL_APART_MM;
  const ways = Array.from({ length: wells }, (_, i) => i + 1)
    .filter((columns) => wells % columns === 0)
    .map((columns) => ({
      columns,
      rows: wells / columns,
      acrossMm: side(columns, longMm),
      deepMm: side(wells / columns, wideMm),
    }));
  const [best] = ways.sort(
    (a, b) => a.acrossMm + a.deepMm - (b.acrossMm + b.deepMm) || b.acrossMm - a.acrossMm,
  );
  if (!best) throw new Error(`invariant: a tin of ${wells} wells`);
  return best;
}

interface Room {
  readonly widthMm: number;
  readonly depthMm: number;
}

/** Tins on a rack, all turned one way or all the other: whichever takes more. */
export function tinsOnRack(
  rack: Room,
  { acrossMm, deepMm }: TinLayout,
): { readonly fit: number; readonly turned: boolean } {
  const laid = (across: number, deep: number) =>
    Math.floor(rack.widthMm / across) * Math.floor(rack.depthMm / deep);
  const straight = laid(acrossMm, deepMm);
  const turned = laid(deepMm, acrossMm);
  return turned > straight ? { fit: turned, turned: true } : { fit: straight, turned: false };
}

/** A rack of an oven from above, its door below, with as many tins laid on it as go and are wanted. */
export function rackFromAbove(
  rack: Room,
  layout: TinLayout,
  wells: { readonly longMm: number; readonly wideMm: number },
  wanted: number,
): Section {
  const half = rack.widthMm / 2;
  const { fit, turned } = tinsOnRack(rack, layout);
  const across = turned ? layout.deepMm : layout.acrossMm;
  const deep = turned ? layout.acrossMm : layout.deepMm;
  const columns = Math.max(1, Math.floor(rack.widthMm / across));
  const n = Math.min(fit, wanted);
  const inRow = Math.min(columns, n);
  const rows = Math.ceil(n / columns);
  const tins = Array.from({ length: n }, (_, i): Patch[] => {
    // Tins stand with even room round them.
    const left = -half + (rack.widthMm / inRow) * ((i % columns) + 0.5) - across / 2;
    const bottom = (rack.depthMm / rows) * (Math.floor(i / columns) + 0.5) - deep / 2;
    return [
      { material: 'vessel', points: rectangle(left, left + across, bottom, bottom + deep) },
      ...Array.from({ length: layout.columns * layout.rows }, (_, k): Patch => {
        const column = k % layout.columns;
        const row = Math.floor(k / layout.columns);
        const u = WELL_APART_MM + column * (wells.longMm + WELL_APART_MM) + wells.longMm / 2;
        const v = WELL_APART_MM + row * (wells.wideMm + WELL_APART_MM) + wells.wideMm / 2;
        const [dx, dy] = turned ? [v, u] : [u, v];
        const [a, b] = turned ? [wells.wideMm / 2, wells.longMm / 2] : [wells.longMm / 2, wells.wideMm / 2];
        return { material: 'batter', points: ellipse(a, b, { x: left + dx, y: bottom + dy }) };
      }),
    ];
  });
  return {
    // The door is where nothing is drawn.
    patches: [
      { material: 'vessel', points: upsideDown(walls(half, rack.depthMm, 6), rack.depthMm) },
      ...tins.flat(),
    ],
    marks: [{ words: 'door', y: 4, fromX: half + 6 }],
    fill: null,
  };
}

const upsideDown = (points: readonly CutPoint[], heightMm: number): CutPoint[] =>
  points.map(({ x, y }) => ({ x, y: heightMm - y }));

/**
 * Mugs that stand on a turning plate, in a ring with none in its middle, where the heat is least sure.
 * Basis: geometry; handles turned outwards are left out.
 */
export function mugsOnPlate(plateMm: number, mugMm: number): number {
  if (mugMm > plateMm) return 0;
  const ring = (plateMm - mugMm) / 2;
  let n = 1;
  while (n < 12 && 2 * ring * Math.sin(Math.PI / (n + 1)) >= mugMm + MUGS_APART_MM) n += 1;
  return n;
}

/** A turning plate from above with mugs in a ring on it. A single mug stands at its side as well. */
export function plateFromAbove(plateMm: number, mugInsideMm: number, wanted: number): Section {
  const mug = mugInsideMm + 2 * MUG_WALL_MM;
  const n = Math.min(wanted, mugsOnPlate(plateMm, mug));
  const ring = (plateMm - mug) / 2;
  const middle = { x: 0, y: plateMm / 2 };
  const mugs = Array.from({ length: n }, (_, i): Patch[] => {
    const angle = 2 * Math.PI * (i / n + 0.25);
    const centre = { x: middle.x + ring * Math.cos(angle), y: middle.y + ring * Math.sin(angle) };
    return [
      { material: 'vessel', points: ellipse(mug / 2, mug / 2, centre) },
      { material: 'crumb', points: ellipse(mugInsideMm / 2, mugInsideMm / 2, centre) },
    ];
  });
  return {
    patches: [{ material: 'stick', points: ellipse(plateMm / 2, plateMm / 2, middle) }, ...mugs.flat()],
    marks: [{ words: 'plate', y: plateMm / 2, fromX: plateMm / 2 }],
    fill: null,
  };
}

/** Outer width of a mug of that inner width, mm. */
export const mugOuterMm = (insideMm: number): number => insideMm + 2 * MUG_WALL_MM;

/** A tray from above, with balls in rows on it. */
export function trayFromAbove(lengthMm: number, widthMm: number, ballMm: number, apartMm: number): Section {
  const step = ballMm + apartMm;
  const columns = Math.floor(lengthMm / step);
  const rows = Math.floor(widthMm / step);
  const balls = Array.from({ length: columns * rows }, (_, i): Patch => {
    const x = -lengthMm / 2 + (lengthMm / columns) * ((i % columns) + 0.5);
    const y = (widthMm / rows) * (Math.floor(i / columns) + 0.5);
    return { material: 'crumb', points: ellipse(ballMm / 2, ballMm / 2, { x, y }) };
  });
  return {
    patches: [{ material: 'vessel', points: rectangle(-lengthMm / 2, lengthMm / 2, 0, widthMm) }, ...balls],
    marks: [{ words: 'tray', y: widthMm * 0.5, fromX: lengthMm / 2 }],
    fill: null,
  };
}
