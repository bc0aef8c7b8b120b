import { recipeLd, recipeMarkdown } from '../../core/exchange/recipe';
import { fileStem, saveFile } from '../../state/saveFile';
import { counted } from '../../core/quantity';
import { useRouter } from 'expo-router';
import { useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import { formulasNamed } from '../../core/model/references';
import type { FormulaDoc } from '../../core/model/documents';
import { tooLongFor } from '../../core/model/formulaDoc';
import { lackFault, madeHolds, readFormula, readSteps } from '../../core/formula';
import { substitute } from '../../core/formula/substitute';
import { formulaIn, formulaKey, formulasIn, runsIn } from '../../state/documents';
import { useDraft } from '../../state/drafts';
import { newId } from '../../state/ids';
import { change, useDocuments, useKitchen } from '../../state/store';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Notice } from '../../ui/notice';
import { Screen, useWide } from '../../ui/screen';
import { Steps, asWritten } from '../../ui/steps';
import { Body } from '../../ui/text';
import { TextSheet, nameFault, type TextAsk } from '../../ui/textSheet';
import { space } from '../../ui/theme';
import { FormulaSentence, LinesField } from './FormulaFields';
import { CompareCard } from './CompareCard';
import { HeightCard } from './HeightCard';
import { PartsCard } from './PartsCard';
import { ReadBack } from './ReadBack';
import { useDoubts } from './useDoubts';
import { ScaleCard } from './ScaleCard';
import { Held, Shares } from './Shares';

/** One formula: as written on one side, as read on the other. */
export function FormulaScreen({ id }: { readonly id: string }) {
  const doc = useDocuments((state) => formulaIn(state.docs, id));
  const router = useRouter();
  const toList = () => router.navigate('/formulas');
  if (!doc) {
    return (
      <Screen
        title="No such formula"
        onBack={toList}
        foot={<MainAction title="To the formulas" onPress={toList} />}
      >
        <Notice
          fault="This formula is not in this browser."
          mend="It may have been taken out, or the link is from another device."
        />
      </Screen>
    );
  }
  return <FormulaEditor key={doc.id} doc={doc} />;
}

type Asking = 'name' | 'steps' | null;

function FormulaEditor({ doc }: { readonly doc: FormulaDoc }) {
  const router = useRouter();
  const wide = useWide();
  const docs = useDocuments((state) => state.docs);
  const kitchen = useKitchen();
  // What is being typed is shown at once and kept when the field is left, as one step that can be undone; until then it
  // is a draft that outlives the page.
  const { text, typed, put: type, drop } = useDraft(`${formulaKey(doc.id)}/text`, doc.text);
  const [asking, setAsking] = useState<Asking>(null);
  // The letter stands first; what the lines come to follows it.
  const settled = useDeferredValue(text);
  const settledDoc = useMemo(() => ({ ...doc, text: settled }), [doc, settled]);
  const read = useMemo(() => readFormula(settledDoc, kitchen), [settledDoc, kitchen]);
  const put = (label: string, over: Partial<FormulaDoc>) => {
    change(`${label} of ${doc.name}`, {
      [formulaKey(doc.id)]: { ...doc, ...(tooLongFor('text', text) === null ? { text } : {}), ...over },
    });
    if (tooLongFor('text', text) === null) drop();
  };
  const steps = useMemo(() => readSteps(doc.steps, read.lines), [doc.steps, read.lines]);
  const settling = useDoubts(settledDoc, text, read, put);
  const keepText = () => {
    // Too much to be kept is told beside the field and stays there as it was typed.
    if (typed !== null && tooLongFor('text', typed) !== null) return;
    if (typed !== null && typed !== doc.text) put('Lines', { text: typed });
    else if (typed !== null) drop();
  };
  const takenFor = (written: string, key: string | null) => {
    const next: Record<string, string> = { ...doc.takenFor };
    if (key === null) delete next[written];
    else next[written] = key;
    put('A line', { takenFor: next });
  };
  // With all that it is made of: a filling of a filling is eaten too.
  const holds = () => madeHolds({ ...doc, text }, formulasIn(useDocuments.getState().docs), kitchen);
  const users = runsIn(docs).filter((run) => !run.closed && formulasNamed(run.lines).has(doc.id));
  const asks: Readonly<Record<'name' | 'steps', TextAsk>> = {
    name: {
      title: 'Name of the formula',
      value: doc.name,
      fault: nameFault,
      draft: `${formulaKey(doc.id)}/name`,
    },
    steps: {
      title: 'Steps',
      hint: 'One step a line.',
      value: doc.steps,
      multiline: true,
      fault: (value) => tooLongFor('steps', value),
      draft: `${formulaKey(doc.id)}/steps`,
    },
  };
  return (
    <Screen
      broad
      title={doc.name}
      under={settling.doubts.length > 0 ? `${counted(settling.doubts.length, 'line')} to settle` : undefined}
      onBack={() => router.navigate('/formulas')}
      foot={
        <MainAction
          title="Bake it"
          onPress={() => router.navigate({ pathname: '/runs/new', params: { formula: doc.id } })}
        />
      }
    >
      {read.lacks.length > 0 ? <Notice {...lackFault(read.lacks)} /> : null}
      <FormulaSentence doc={doc} onChange={put} />
      <View
        style={wide ? { flexDirection: 'row', gap: space(2), alignItems: 'flex-start' } : { gap: space(2) }}
      >
        <View style={wide ? { flex: 1 } : undefined}>
          <LinesField text={text} onText={type} onBlur={keepText} />
        </View>
        <View style={wide ? { flex: 1 } : undefined}>
          <ReadBack
            read={read}
            {...settling}
            onTakenFor={takenFor}
            onSubstitute={(index, substitution) =>
              put(substitution.title, {
                text: substitute({ ...doc, text }, kitchen, index, substitution).text,
              })
            }
          />
        </View>
      </View>
      <Card title="Made of">
        <Shares lines={read.lines} />
        <Held lines={read.lines} />
      </Card>
      <HeightCard doc={{ ...doc, text: settled }} read={read} onTake={(over) => put('Height', over)} />
      <ScaleCard doc={settledDoc} read={read} onKeep={(next) => put('Scale', { text: next })} />
      <CompareCard doc={doc} read={read} />
      <PartsCard doc={doc} onChange={put} />
      <Card title="Steps">
        {steps.length === 0 ? <Body soft>No steps written.</Body> : null}
        <Steps steps={steps} amountOf={asWritten} />
        <QuietAction title="Change the steps" onPress={() => setAsking('steps')} />
      </Card>
      <QuietAction title="Rename" onPress={() => setAsking('name')} />
      <QuietAction
        title="Duplicate"
        onPress={() => {
          const copy: FormulaDoc = { ...doc, id: newId('formula'), name: `${doc.name}, varied`, text };
          change(`Duplicate ${doc.name}`, { [formulaKey(copy.id)]: copy });
          router.navigate({ pathname: '/formulas/[id]', params: { id: copy.id } });
        }}
      />
      <QuietAction
        title="Save as a recipe file"
        label="Save as a recipe file that other programs read"
        icon="down"
        onPress={() =>
          saveFile(
            `${fileStem(doc.name) || 'formula'}.recipe.json`,
            recipeLd({ ...doc, text }, holds()),
            'application/ld+json',
          )
        }
      />
      <QuietAction
        title="Save as text"
        label="Save as text in Markdown"
        icon="down"
        onPress={() =>
          saveFile(
            `${fileStem(doc.name) || 'formula'}.md`,
            recipeMarkdown({ ...doc, text }, holds()),
            'text/markdown',
          )
        }
      />
      <QuietAction
        title={
          users.length > 0
            ? `Take it out (${counted(users.length, 'open run')} ${users.length === 1 ? 'uses' : 'use'} it)`
            : 'Take it out'
        }
        icon="bin"
        onPress={() => {
          router.navigate('/formulas');
          change(`Take out ${doc.name}`, { [formulaKey(doc.id)]: null });
        }}
      />
      <TextSheet
        ask={asking ? asks[asking] : null}
        onClose={() => setAsking(null)}
        onSave={(value) => {
          if (asking === 'name') put('Name', { name: value.trim() });
          if (asking === 'steps') put('Steps', { steps: value });
          setAsking(null);
        }}
      />
    </Screen>
  );
}
