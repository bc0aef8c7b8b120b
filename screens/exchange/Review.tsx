import { useMemo, useState } from 'react';
import { ScrollView, View, type ViewStyle } from 'react-native';
import { TextInput } from 'react-native-paper';
import type { FormulaDraft } from '../../core/exchange/bringIn';
import { shownText } from '../../core/exchange/pageText';
import { evidenceOfMeasures, readFormula, readSteps } from '../../core/formula';
import type { FormulaDoc } from '../../core/model/documents';
import { counted } from '../../core/quantity';
import { useKitchen } from '../../state/store';
import { Chip, Chips, MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { useWide } from '../../ui/screen';
import { Steps, asWritten } from '../../ui/steps';
import { nameFault } from '../../ui/textSheet';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { FormulaSentence } from '../formulas/FormulaFields';
import { ReadBack } from '../formulas/ReadBack';
import { useDoubts } from '../formulas/useDoubts';

/** Letters of the original that are shown beside what was understood. */
const SHOWN = 20_000;

/** In the thumb's reach however long the page is. */
const AT_FOOT = { position: 'sticky', bottom: 0 } as unknown as ViewStyle;

interface ReviewProps {
  readonly text: string;
  readonly drafts: readonly FormulaDraft[];
  readonly onBack: () => void;
  readonly onKeep: (drafts: readonly FormulaDraft[]) => void;
}

interface Looked {
  readonly doc: FormulaDoc;
  readonly keep: boolean;
}

/** Everything that was understood of a page, beside the page, before any of it is kept. */
export function Review({ text, drafts, onBack, onKeep }: ReviewProps) {
  const wide = useWide();
  const { line } = useTokens();
  const [looked, setLooked] = useState<readonly Looked[]>(() =>
    drafts.map((draft, i) => ({
      doc: { ...draft, kind: 'formula', version: 1, id: `read-${i}` } as FormulaDoc,
      keep: true,
    })),
  );
  const shown = useMemo(() => shownText(text).slice(0, SHOWN), [text]);
  const { by } = useMemo(() => evidenceOfMeasures(shown), [shown]);
  const put = (id: string, over: Partial<Looked>) =>
    setLooked((all) => all.map((one) => (one.doc.id === id ? { ...one, ...over } : one)));
  const kept = looked.filter(({ keep }) => keep);
  const unnamed = kept.some(({ doc }) => nameFault(doc.name) !== null);
  const original = (
    <View style={{ flex: wide ? 2 : undefined, gap: space(1) }}>
      <Strong>The page</Strong>
      <ScrollView
        style={{
          maxHeight: wide ? 560 : 260,
          borderWidth: 1,
          borderColor: line,
          borderRadius: 12,
          padding: space(1.5),
        }}
        // Only to be read: the keyboard must reach it to scroll.
        tabIndex={0}
        aria-label="The page as it was brought in"
      >
        <Body>{shown}</Body>
      </ScrollView>
    </View>
  );
  const understood = (
    <View style={{ flex: wide ? 3 : undefined, gap: space(2) }}>
      {by ? <Small>{`Cups, spoons and eggs are guessed by “${by}”: say so where it is wrong.`}</Small> : null}
      {looked.map((one) => (
        <Understood
          key={one.doc.id}
          {...one}
          alone={looked.length === 1}
          onPut={(over) => put(one.doc.id, over)}
        />
      ))}
    </View>
  );
  return (
    <>
      <View
        style={wide ? { flexDirection: 'row', gap: space(2), alignItems: 'flex-start' } : { gap: space(2) }}
      >
        {wide ? original : understood}
        {wide ? understood : original}
      </View>
      <MainAction
        style={AT_FOOT}
        title={
          kept.length === 0
            ? 'Nothing to keep'
            : unnamed
              ? 'Give each a name'
              : kept.length === 1
                ? 'Keep it'
                : `Keep ${counted(kept.length, 'formula')}`
        }
        disabled={kept.length === 0 || unnamed}
        onPress={() => onKeep(kept.map(({ doc }) => doc))}
      />
      <QuietAction title="Back to the text" icon="back" onPress={onBack} />
    </>
  );
}

function Understood({
  doc,
  keep,
  alone,
  onPut,
}: Looked & { readonly alone: boolean; readonly onPut: (over: Partial<Looked>) => void }) {
  const kitchen = useKitchen();
  const read = useMemo(() => readFormula(doc, kitchen), [doc, kitchen]);
  const put = (_: string, over: Partial<FormulaDoc>) => onPut({ doc: { ...doc, ...over } });
  const settling = useDoubts(doc, doc.text, read, put);
  const steps = useMemo(() => readSteps(doc.steps, read.lines), [doc.steps, read.lines]);
  const told = [
    doc.statedPieces ? `The page says that it makes ${doc.statedPieces}.` : null,
    doc.statedMin ? `It bakes ${doc.statedMin} min there.` : null,
  ].filter((words) => words !== null);
  return (
    <Card title={doc.name || 'A formula'}>
      {alone ? null : (
        <Chips label={`Keep ${doc.name}`}>
          <Chip title="Keep it" selected={keep} onPress={() => onPut({ keep: true })} />
          <Chip title="Leave it out" selected={!keep} onPress={() => onPut({ keep: false })} />
        </Chips>
      )}
      {keep ? (
        <>
          <TextInput
            mode="outlined"
            label="Name"
            aria-label="Name"
            value={doc.name}
            error={nameFault(doc.name) !== null}
            onChangeText={(name) => put('Name', { name })}
          />
          <FormulaSentence doc={doc} onChange={put} />
          {told.length > 0 ? <Small>{told.join(' ')}</Small> : null}
          <ReadBack
            read={read}
            {...settling}
            onTakenFor={(written, key) => {
              const { [written]: _, ...others } = doc.takenFor;
              put('A line', { takenFor: key === null ? others : { ...others, [written]: key } });
            }}
          />
          {steps.length > 0 ? <Strong>{counted(steps.length, 'step')}</Strong> : null}
          <Steps steps={steps} amountOf={asWritten} />
        </>
      ) : null}
    </Card>
  );
}
