import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { observedFactor } from '../../core/bench';
import { beliefsCsv, logCsv, outcomesCsv } from '../../core/exchange/tables';
import type { KitchenDoc, RunDoc } from '../../core/model/documents';
import { saveFile } from '../../state/exchange';
import { formatDuration, join } from '../../core/quantity';
import { runsIn } from '../../state/documents';
import { useDocuments, useKitchen } from '../../state/store';
import { momentText } from '../../state/time';
import { Again } from '../runs/Again';
import { Card } from '../../ui/card';
import { Columns, Screen } from '../../ui/screen';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { FINISH_WORDS } from '../runs/CloseSheet';
import { useRunWords } from '../runs/RunList';
import { QuietAction } from '../../ui/actions';
import { KnownHere } from './KnownHere';
import { Lessons } from './Lessons';

/** What was planned and what happened, for every closed run. */
export function LogbookScreen() {
  const docs = useDocuments((state) => state.docs);
  const kitchen = useKitchen();
  const closed = runsIn(docs)
    .filter((run) => run.closed !== null)
    .sort((a, b) => (b.closed?.at ?? 0) - (a.closed?.at ?? 0));
  const words = useRunWords();
  const [sought, setSought] = useState('');
  const [shown, setShown] = useState(PAGE);
  const parts = sought.toLowerCase().split(/\s+/).filter(Boolean);
  // What stands there is said once a text is sought: of thousands of batches nobody asks on every visit.
  const found =
    parts.length === 0
      ? closed
      : closed.filter((run) => {
          const { at = 0, note = '', finish = '' } = run.closed ?? {};
          const text = `${run.name} ${words(run)} ${momentText(at)} ${finish} ${note}`.toLowerCase();
          return parts.every((part) => text.includes(part));
        });
  const latest = new Set(closed.slice(0, LATEST).map(({ id }) => id));
  return (
    <Screen title="Logbook" broad>
      {closed.length === 0 ? (
        <Card title="No run is closed yet">
          <Body>Close a run after baking and it stands here: what was planned beside what came out.</Body>
        </Card>
      ) : null}
      <Columns>
        {closed.length > 0 ? (
          <View style={{ gap: space(2) }}>
            {closed.length > FEW ? (
              <TextInput
                mode="outlined"
                label="Look for a batch"
                aria-label="Look for a batch"
                value={sought}
                onChangeText={(text) => {
                  setSought(text);
                  setShown(PAGE);
                }}
              />
            ) : null}
            {found.length === 0 ? (
              <Body>No batch has that in its name, its pieces, its day or its note.</Body>
            ) : null}
            {found.slice(0, shown).map((run) => (
              <Record key={run.id} run={run} latest={latest.has(run.id)} />
            ))}
            {found.length > shown ? (
              <QuietAction
                title={`${Math.min(PAGE, found.length - shown)} more of ${found.length - shown}`}
                onPress={() => setShown(shown + PAGE)}
              />
            ) : null}
          </View>
        ) : null}
        <View style={{ gap: space(2) }}>
          <KnownHere kitchen={kitchen} />
          {closed.length > 0 ? <Tables runs={closed} kitchen={kitchen} /> : null}
        </View>
      </Columns>
    </Screen>
  );
}

/** The logbook as tables that every spreadsheet reads. */
function Tables({ runs, kitchen }: { readonly runs: readonly RunDoc[]; readonly kitchen: KitchenDoc }) {
  const save = (name: string, text: string) => saveFile(`${name}.csv`, text, 'text/csv');
  return (
    <Card title="As tables">
      <Small soft={false}>For a spreadsheet: a comma between cells, dates as 2026-11-28.</Small>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        <QuietAction title="What happened" icon="down" onPress={() => save('log', logCsv(runs))} />
        <QuietAction
          title="Expected and came"
          icon="down"
          onPress={() => save('outcomes', outcomesCsv(runs))}
        />
        <QuietAction title="What is known" icon="down" onPress={() => save('known', beliefsCsv(kitchen))} />
      </View>
    </Card>
  );
}

/** So many batches are looked through without searching, and so many stand there at once. */
const FEW = 4;
const PAGE = 20;

/** So many of the last runs show at once what they taught. */
const LATEST = 2;

function Record({ run, latest }: { readonly run: RunDoc; readonly latest: boolean }) {
  const [asked, setAsked] = useState(latest);
  const words = useRunWords();
  const { line } = useTokens();
  const { closed } = run;
  if (!closed) return null;
  const wanted = run.lines.reduce((sum, item) => sum + item.count, 0);
  return (
    <Card title={run.name}>
      <Small>{`${momentText(closed.at)}. ${words(run)}.`}</Small>
      <Compare name="Pieces" planned={String(wanted)} happened={String(closed.made)} />
      <Compare name="Ended" planned="" happened={FINISH_WORDS[closed.finish]} />
      {run.clocks.map((clock) => {
        const factor = observedFactor(clock);
        if (factor === null || clock.endedAt === null) return null;
        return (
          <Compare
            key={clock.id}
            name={`Load ${clock.load}, oven`}
            planned={join(formatDuration(clock.expectedS))}
            happened={`${join(formatDuration((clock.endedAt - clock.startedAt) / 1000))} (×${factor.toFixed(2)})`}
          />
        );
      })}
      {closed.note ? (
        <View style={{ borderTopWidth: 1, borderTopColor: line, paddingTop: space(1) }}>
          <Body>{closed.note}</Body>
        </View>
      ) : null}
      {asked ? (
        <Lessons run={run} />
      ) : (closed.evidence ?? []).length > 0 ? (
        <QuietAction title="What it taught" onPress={() => setAsked(true)} />
      ) : null}
      <Again run={run} title="Bake it again" label={`Bake ${run.name} again, on another date`} />
    </Card>
  );
}

function Compare({
  name,
  planned,
  happened,
}: {
  readonly name: string;
  readonly planned: string;
  readonly happened: string;
}) {
  return (
    <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: space(2) }}>
      <Body style={{ flex: 1 }}>{name}</Body>
      {planned ? <Body soft>{`planned ${planned}`}</Body> : null}
      <Strong>{happened}</Strong>
    </View>
  );
}
