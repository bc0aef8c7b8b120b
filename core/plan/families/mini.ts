import type { CubeLine, MiniWellsLine } from '../../model/documents';
import type { Sampling } from '../../figure';
import { planCut } from '../compose/cut';
import { MANY } from '../compose/pieces.words';
import { planInWells } from '../compose/wells';
import type { RunContext } from '../context';
import type { Planning } from '../linePlan';
import { NOTES } from '../notes.words';

/** Mini cakes: cut from a sheet, or baked in wells as halves to pair, fingers to fill, moulded or over a base layer. */
export function planMini(
  run: RunContext,
  line: CubeLine | MiniWellsLine,
  sampling: Sampling | null,
): Planning {
  switch (line.style) {
    case 'cubes':
      return planCut(run, line, MANY.mini, sampling);
    case 'paired':
      return inWells(run, line, sampling, line.spareHalves, [NOTES.trimHalves]);
    case 'fingers':
    case 'moulded':
    case 'base-layer':
      return inWells(run, line, sampling, null, []);
  }
}

const inWells = (
  run: RunContext,
  line: MiniWellsLine,
  sampling: Sampling | null,
  spareHalves: number | null,
  notes: readonly string[],
): Planning =>
  planInWells(
    run,
    line,
    {
      many: MANY.mini,
      liner: 'none',
      spareHalves,
      coat: line.coat,
      fondant: line.fondant ?? false,
      boards: line.boards,
      supplies: () => [],
      prepares: (tin) => ({ do: 'grease well', tin }),
      notes,
    },
    sampling,
  );
