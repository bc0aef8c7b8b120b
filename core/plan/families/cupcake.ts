import type { CupcakeLine } from '../../model/documents';
import type { Sampling } from '../../figure';
import { planInWells } from '../compose/wells';
import { MANY } from '../compose/pieces.words';
import type { RunContext } from '../context';
import type { Planning } from '../linePlan';
import { counted } from '../stations/count';

/** Cupcakes: paper cases in the wells of a tin, filled, frosted and finished in lots. */
export const planCupcake = (run: RunContext, line: CupcakeLine, sampling: Sampling | null): Planning =>
  planInWells(
    run,
    line,
    {
      many: MANY.cupcake,
      liner: line.liner,
      spareHalves: null,
      coat: null,
      fondant: false,
      linersOnHand: line.linersOnHand,
      supplies: (f) => counted(f, 'liners', line.linersOnHand),
      prepares: (tin) =>
        line.liner && line.liner !== 'none' ? { do: 'cases into tin', tin } : { do: 'grease and flour', tin },
      notes: [],
    },
    sampling,
  );
