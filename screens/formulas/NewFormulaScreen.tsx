import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { formulaSchema, type FormulaDoc } from '../../core/model/documents';
import { readWith } from '../../core/exchange/readWith';
import { guessMeasures, guessMethod, readFormula } from '../../core/formula';
import { formulaKey } from '../../state/documents';
import { useDraft } from '../../state/drafts';
import { newId } from '../../state/ids';
import { change, useKitchen } from '../../state/store';
import { MainAction } from '../../ui/actions';
import { Notice } from '../../ui/notice';
import { Screen, useWide } from '../../ui/screen';
import { nameFault } from '../../ui/textSheet';
import { space } from '../../ui/theme';
import { FormulaSentence, LinesField } from './FormulaFields';
import { ReadBack } from './ReadBack';
import { useDoubts } from './useDoubts';

const BLANK: FormulaDoc = {
  kind: 'formula',
  version: 1,
  id: 'new',
  name: '',
  text: '',
  measures: 'metric',
  method: 'creamed',
  ovenC: 175,
  takenFor: {},
  steps: '',
};

/** A formula being written, and what of it somebody has chosen that is guessed until then. */
interface Written {
  readonly doc: FormulaDoc;
  /** Which cups and eggs. */
  readonly chosen: boolean;
  /** How it is mixed. */
  readonly mixed: boolean;
}

/** What was begun before and not kept, or nothing. */
function begun(text: string): Written {
  try {
    const data = JSON.parse(text || 'null') as {
      readonly doc?: unknown;
      readonly chosen?: unknown;
      readonly mixed?: unknown;
    } | null;
    const doc = formulaSchema.safeParse({ ...(data?.doc ?? {}), id: 'new', name: 'draft' });
    const name = (data?.doc as { readonly name?: unknown } | undefined)?.name;
    if (doc.success && typeof name === 'string')
      return { doc: { ...doc.data, name }, chosen: data?.chosen === true, mixed: data?.mixed === true };
  } catch {
    // A draft that cannot be read is none.
  }
  return { doc: BLANK, chosen: false, mixed: false };
}

interface Faults {
  readonly name: string | null;
  readonly text: string | null;
}

/** A formula typed or pasted as people write one, read back as it is written. */
export function NewFormulaScreen() {
  const router = useRouter();
  const wide = useWide();
  const kitchen = useKitchen();
  // All of it is a draft that outlives the page, until it is kept.
  const written = useDraft('new-formula', '');
  const [{ doc, chosen, mixed }, setWritten] = useState(() => begun(written.text));
  const [faults, setFaults] = useState<Faults>({ name: null, text: null });
  // Cups and spoons are guessed from the text until somebody says which they are.
  const measures = chosen ? doc.measures : guessMeasures(doc.text);
  const read = useMemo(() => readFormula({ ...doc, measures }, kitchen), [doc, measures, kitchen]);
  // So is how it is mixed, which decides how heavy the batter is.
  const method = mixed ? doc.method : guessMethod(read.lines, doc.steps).method;
  const current = useMemo(() => ({ ...doc, measures, method }), [doc, measures, method]);
  const set = (over: Partial<FormulaDoc>) => {
    const next = {
      doc: { ...doc, ...over },
      chosen: chosen || over.measures !== undefined,
      mixed: mixed || over.method !== undefined,
    };
    setWritten(next);
    written.put(JSON.stringify(next));
    setFaults({ name: null, text: null });
  };
  const settling = useDoubts(current, doc.text, read, (_, over) => set(over));
  const keep = () => {
    const name = nameFault(doc.name);
    const text =
      read.massG > 0 ? null : 'No line with an amount yet. Write at least one, such as 120 g butter.';
    setFaults({ name, text });
    if (name || text) return;
    const made = readWith<FormulaDoc>(formulaSchema, {
      ...current,
      id: newId('formula'),
      name: doc.name.trim(),
    });
    if (!made.ok) {
      setFaults({ name: null, text: made.faults[0]?.fault ?? null });
      return;
    }
    written.drop();
    change(`New formula ${made.value.name}`, { [formulaKey(made.value.id)]: made.value });
    router.replace({ pathname: '/formulas/[id]', params: { id: made.value.id } });
  };
  return (
    <Screen
      broad
      title="New formula"
      onBack={() => router.navigate('/formulas')}
      foot={<MainAction title="Keep it" onPress={keep} />}
    >
      <TextInput
        mode="outlined"
        label="Name"
        aria-label="Name"
        value={doc.name}
        onChangeText={(name) => set({ name })}
        error={faults.name !== null}
      />
      {faults.name ? <Notice fault={faults.name} mend="Any name you will know it by." /> : null}
      <View
        style={wide ? { flexDirection: 'row', gap: space(2), alignItems: 'flex-start' } : { gap: space(2) }}
      >
        <View style={wide ? { flex: 1, gap: space(1) } : { gap: space(1) }}>
          <LinesField text={doc.text} onText={(text) => set({ text })} />
          {faults.text ? <Notice fault={faults.text} mend="What you wrote stays as it is." /> : null}
        </View>
        <View style={wide ? { flex: 1 } : undefined}>
          <ReadBack
            read={read}
            {...settling}
            onTakenFor={(written, key) => {
              const takenFor: Record<string, string> = { ...doc.takenFor };
              if (key === null) delete takenFor[written];
              else takenFor[written] = key;
              set({ takenFor });
            }}
          />
        </View>
      </View>
      <FormulaSentence doc={current} onChange={(_, over) => set(over)} />
    </Screen>
  );
}
