import type { AnyDoc } from '../core/model/documents';
import { DEMO_FORMULAS, DEMO_KITCHEN, demoDay, demoRuns } from '../demo';
import type { Past } from '../demo/past';
import { keyOf, type Docs } from './docs';

export const byKey = (docs: readonly AnyDoc[]): Docs =>
  Object.fromEntries(docs.map((doc) => [keyOf(doc), doc]));

/** The demo kitchen as it stands at an hour, with its past where that is known. */
export function demoDocs(at: string, past: Past | null): Docs {
  const now = demoDay(at);
  const { runs, beliefs } = past ?? { runs: [], beliefs: DEMO_KITCHEN.beliefs };
  return byKey([{ ...DEMO_KITCHEN, beliefs: [...beliefs] }, ...DEMO_FORMULAS, ...demoRuns(now), ...runs]);
}
