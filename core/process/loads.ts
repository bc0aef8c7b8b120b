/**
 * Splits pieces over oven loads, or over rounds of a mould, so that all are alike: as few loads as the wells allow, none more than one
 * piece larger than another. Returns the pieces of each load, larger loads first; empty for no pieces.
 */
export function evenLoads(pieces: number, wellsPerLoad: number): number[] {
  if (wellsPerLoad < 1) throw new Error('invariant: a load has wells');
  const loads = Math.ceil(pieces / wellsPerLoad);
  return Array.from({ length: loads }, (_, i) => Math.floor(pieces / loads) + (i < pieces % loads ? 1 : 0));
}

/** The same pieces with every load but the last full, for saying what evening out avoids. */
export function fullLoads(pieces: number, wellsPerLoad: number): number[] {
  const loads = Math.ceil(pieces / wellsPerLoad);
  return Array.from({ length: loads }, (_, i) => Math.min(wellsPerLoad, pieces - i * wellsPerLoad));
}
