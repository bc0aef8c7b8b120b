import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { runsIn } from '../../state/documents';
import { useDocuments } from '../../state/store';
import { Chip, Chips } from '../../ui/actions';
import { Body, Heading } from '../../ui/text';
import { space } from '../../ui/theme';
import { ClosedRows, RunRow, useRunWords } from './RunList';

/** So many closed runs show at once when one is looked for. */
const FOUND = 12;

/** All runs, to look for one by its name, its pieces or its date, and in the order of when they are wanted. */
export function RunSearch() {
  const runs = runsIn(useDocuments((state) => state.docs));
  const words = useRunWords();
  const [sought, setSought] = useState('');
  const [last, setLast] = useState(false);
  const parts = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const found = runs.filter((run) => {
    const text = `${run.name} ${words(run)} ${run.readyAt}`.toLowerCase();
    return parts.every((part) => text.includes(part));
  });
  const byWhen = [...found].sort((a, b) => (a.readyAt < b.readyAt ? -1 : Number(a.readyAt > b.readyAt)));
  const shown = last ? byWhen.reverse() : byWhen;
  const open = shown.filter(({ closed }) => !closed);
  const closed = shown.filter((run) => run.closed);
  return (
    <View style={{ gap: space(1.5) }}>
      <Heading level={3}>{`All ${runs.length} runs`}</Heading>
      <TextInput
        mode="outlined"
        label="Look for a run"
        aria-label="Look for a run"
        value={sought}
        onChangeText={setSought}
      />
      <Chips label="Order">
        <Chip title="Soonest first" selected={!last} onPress={() => setLast(false)} />
        <Chip title="Latest first" selected={last} onPress={() => setLast(true)} />
      </Chips>
      {found.length === 0 ? <Body>No run has that in its name, its pieces or its date.</Body> : null}
      {open.map((run) => (
        <RunRow key={run.id} run={run} />
      ))}
      <ClosedRows runs={closed} most={parts.length > 0 ? FOUND : 3} />
    </View>
  );
}
