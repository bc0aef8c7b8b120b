import { useKitchen } from '../../state/store';
import { Charts } from './Charts';
import { LogbookFrame } from './LogbookFrame';
import { useClosedRuns } from './closedRuns';

/** What looking at shows sooner than reading. */
export function ChartsScreen() {
  const kitchen = useKitchen();
  const runs = useClosedRuns();
  return (
    <LogbookFrame view="charts">
      <Charts runs={runs} kitchen={kitchen} />
    </LogbookFrame>
  );
}
