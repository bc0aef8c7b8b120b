import { useRouter } from 'expo-router';
import { useState } from 'react';
import { runAgain } from '../../core/line/runAgain';
import type { RunDoc } from '../../core/model/documents';
import { useNow } from '../../state/clock';
import { newId } from '../../state/ids';
import { changeRun } from '../../state/store';
import { onText } from '../../state/time';
import { QuietAction } from '../../ui/actions';
import { WhenSheet } from '../../ui/whenSheet';
import { stageHref } from './stages';

/** Asks for an hour, from the run's own on; null where nobody gives one. */
export function AskWhen({
  run,
  asking,
  onDone,
}: {
  readonly run: RunDoc;
  readonly asking: boolean;
  readonly onDone: (readyAt: string | null) => void;
}) {
  const now = useNow(60_000);
  return (
    <WhenSheet visible={asking} value={run.readyAt} now={now} onClose={() => onDone(null)} onSave={onDone} />
  );
}

/** The same run for another date, planned with what the kitchen knows by then. */
export function Again({
  run,
  title = 'The same for another date',
  label,
}: {
  readonly run: RunDoc;
  readonly title?: string;
  readonly label?: string;
}) {
  const router = useRouter();
  const [asking, setAsking] = useState(false);
  return (
    <>
      <QuietAction
        title={title}
        {...(label === undefined ? {} : { label })}
        icon="runs"
        onPress={() => setAsking(true)}
      />
      {asking ? (
        <AskWhen
          run={run}
          asking
          onDone={(readyAt) => {
            setAsking(false);
            if (!readyAt) return;
            // A date in its name is the old one's.
            const name = `${run.name.replace(`, ${onText(run.readyAt)}`, '')}, ${onText(readyAt)}`.slice(
              0,
              120,
            );
            const again = runAgain(run, { id: newId('run'), name, createdAt: Date.now(), readyAt });
            changeRun(`${run.name} again`, again);
            router.navigate(stageHref(again.id, 'glance'));
          }}
        />
      ) : null}
    </>
  );
}
