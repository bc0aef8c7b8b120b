import { useKitchen } from '../../state/store';
import { Card } from '../../ui/card';
import { Columns } from '../../ui/screen';
import { Body } from '../../ui/text';
import { KnownHere } from './KnownHere';
import { LogbookFrame } from './LogbookFrame';
import { Tables } from './Tables';
import { useClosedRuns } from './closedRuns';

/** What this kitchen has learned, and the logbook as tables. */
export function LearnedScreen() {
  const kitchen = useKitchen();
  const runs = useClosedRuns();
  const any =
    kitchen.beliefs.some(({ learned }) => learned) ||
    runs.some(({ closed }) => (closed?.evidence ?? []).length > 0);
  return (
    <LogbookFrame view="learned">
      <Columns>
        {any ? (
          <KnownHere kitchen={kitchen} />
        ) : (
          <Card title="Nothing is learned yet">
            <Body>
              Clock a load, weigh a bowl or a coated piece, and close the run: from then on plans go by what
              came.
            </Body>
          </Card>
        )}
        <Tables runs={runs} kitchen={kitchen} />
      </Columns>
    </LogbookFrame>
  );
}
