import { useWindowDimensions } from 'react-native';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import type { Family, RunDoc } from '../../core/model/documents';
import { newLine } from '../../core/line/newLine';
import { lineFromPiece } from '../../core/model/pieceDoc';
import { shareLots } from '../../core/line/lots';
import { useNow } from '../../state/clock';
import { piecesIn } from '../../state/documents';
import { newId } from '../../state/ids';
import { useRunNow, type RunPlan } from '../../state/plans';
import { takeOutRun } from '../../state/learned';
import { changeLines, changeRunOf, useDocuments, useKitchen, useScreen } from '../../state/store';
import { whenText } from '../../state/time';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { FieldFault } from '../../ui/fieldFault';
import { ChoiceSheet, Sentence, Value, Words } from '../../ui/sentence';
import { TextSheet, nameFault } from '../../ui/textSheet';
import { EXTRA_WIDE } from '../../ui/theme';
import { useFormulas } from './pieces/fields';
import { Again, AskWhen } from './Again';
import { LineCard } from './pieces/LineCard';
import { KitchenAsk } from './KitchenAsk';
import { RunFrame } from './RunFrame';
import { stageHref } from './stages';
import { FAMILY_WORDS } from './words';

/** What, how many, made how, for when: sentences in which every value can be changed, one a line. */
export function PiecesScreen({ id }: { readonly id: string }) {
  const router = useRouter();
  const wide = useWindowDimensions().width >= EXTRA_WIDE;
  return (
    <RunFrame
      id={id}
      stage="pieces"
      foot={() => <MainAction title="See the sums" onPress={() => router.navigate(stageHref(id, 'sums'))} />}
    >
      {({ run, whole, line }) => <Lines settled={run} whole={whole} beside={wide ? line.line.id : null} />}
    </RunFrame>
  );
}

/** The sentences as they stand now; what is reckoned of them follows. */
function Lines({
  settled,
  whole,
  beside,
}: {
  readonly settled: RunDoc;
  readonly whole: RunPlan;
  /** The line that is drawn beside the sentences: not once more among them. */
  readonly beside: string | null;
}) {
  const run = useRunNow(settled);
  return (
    <>
      <KitchenAsk run={run} />
      <Ready run={run} />
      {run.lines.map((line) => (
        <LineCard
          key={line.id}
          run={run}
          line={line}
          planned={whole.lines.find((one) => one.line.id === line.id) ?? null}
          draw={line.id !== beside}
        />
      ))}
      <AnotherLine run={run} />
      <Again run={run} />
      <RunName run={run} />
    </>
  );
}

function Ready({ run }: { readonly run: RunDoc }) {
  const now = useNow(60_000);
  const [asking, setAsking] = useState(false);
  return (
    <Card>
      <Sentence>
        <Words>Ready</Words>
        <Value
          testID="value-ready"
          label="Ready when"
          text={whenText(run.readyAt, now)}
          onPress={() => setAsking(true)}
        />
      </Sentence>
      <AskWhen
        run={run}
        asking={asking}
        onDone={(readyAt) => {
          setAsking(false);
          if (readyAt) changeRunOf('Ready when', run.id, (now) => ({ ...now, readyAt }));
        }}
      />
    </Card>
  );
}

/** Another line in the same run: of any family, to be worded afterwards. */
function AnotherLine({ run }: { readonly run: RunDoc }) {
  const kitchen = useKitchen();
  const formulas = useFormulas();
  const lookAt = useScreen((state) => state.lookAt);
  const [choosing, setChoosing] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const pieces = piecesIn(useDocuments((state) => state.docs));
  const add = (choice: string) => {
    setChoosing(false);
    const id = newId('line');
    const piece = pieces.find((one) => one.id === choice);
    if (piece) {
      const line = shareLots(lineFromPiece(piece, id, piece.line.count));
      changeLines(`Add ${piece.name}`, run.id, (lines) => [...lines, line]);
      lookAt(run.id, id);
      return;
    }
    const family = choice as Family;
    const mug = formulas.find(({ method }) => method === 'mug');
    const formula = (family === 'mug' ? mug : formulas.find((doc) => doc !== mug)) ?? formulas[0];
    const made = newLine({
      id,
      family,
      count: family === 'mug' ? 4 : 24,
      crumb: formula ? { from: 'formula', formula } : { from: 'leftovers', massG: 400 },
      kitchen,
    });
    if (!made.ok) {
      setFault(`The kitchen has no ${made.missing} yet. Add one under Kitchen, then come back.`);
      return;
    }
    setFault(null);
    changeLines(`Add ${FAMILY_WORDS[family].title.toLowerCase()}`, run.id, (lines) => [...lines, made.line]);
    lookAt(run.id, id);
  };
  if (run.lines.length >= 60) return null;
  const families = (Object.keys(FAMILY_WORDS) as Family[]).filter(
    (family) => formulas.length > 0 || family === 'pop' || family === 'cakesicle',
  );
  return (
    <>
      <QuietAction title="Another line" icon="plus" onPress={() => setChoosing(true)} />
      <FieldFault words={fault} />
      <ChoiceSheet
        title="What else"
        visible={choosing}
        value={null}
        choices={[
          ...families.map((family) => ({ value: family, ...FAMILY_WORDS[family] })),
          ...pieces.map(({ id, name, line }) => ({
            value: id,
            title: name,
            detail: `${line.count}, as you kept them`,
          })),
        ]}
        onClose={() => setChoosing(false)}
        onChoose={add}
      />
    </>
  );
}

function RunName({ run }: { readonly run: RunDoc }) {
  const router = useRouter();
  const [asking, setAsking] = useState(false);
  return (
    <>
      <QuietAction
        title="On paper, or as a file"
        icon="logbook"
        onPress={() => router.navigate({ pathname: '/runs/[id]/print', params: { id: run.id } })}
      />
      <QuietAction title="Rename this run" onPress={() => setAsking(true)} />
      <QuietAction
        title="Take this run out"
        icon="bin"
        onPress={() => {
          router.navigate('/');
          takeOutRun(run);
        }}
      />
      <TextSheet
        ask={asking ? { title: 'Name of the run', value: run.name, fault: nameFault } : null}
        onClose={() => setAsking(false)}
        onSave={(name) => {
          setAsking(false);
          changeRunOf('Name', run.id, (now) => ({ ...now, name: name.trim() }));
        }}
      />
    </>
  );
}
