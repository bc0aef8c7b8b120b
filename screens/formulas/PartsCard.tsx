import { useState } from 'react';
import { View } from 'react-native';
import type { FormulaDoc } from '../../core/model/documents';
import { cycleFrom } from '../../core/model/references';
import { formulasIn } from '../../state/documents';
import { useDocuments } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { FieldFault } from '../../ui/fieldFault';
import { IconTap } from '../../ui/screen';
import { ChoiceSheet } from '../../ui/sentence';
import { Body, Small } from '../../ui/text';
import { space } from '../../ui/theme';
import { MassValue } from './MassValue';

/** Other formulas that a batch of this one takes: a syrup in a buttercream, a paste in a batter. */
export function PartsCard({
  doc,
  onChange,
}: {
  readonly doc: FormulaDoc;
  readonly onChange: (label: string, over: Partial<FormulaDoc>) => void;
}) {
  const docs = useDocuments((state) => state.docs);
  const [choosing, setChoosing] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const all = formulasIn(docs);
  const parts = doc.parts ?? [];
  const add = (formulaId: string) => {
    setChoosing(false);
    const next = [...parts, { formulaId, massG: 50 }];
    const grown = { ...doc, parts: next };
    const cycle = cycleFrom(
      grown,
      all.map((one) => (one.id === doc.id ? grown : one)),
    );
    if (cycle) setFault(`It would be made of itself: ${cycle.join(' → ')}.`);
    else {
      setFault(null);
      onChange('A part', { parts: next });
    }
  };
  return (
    <Card title="Takes of other formulas">
      {parts.map((part, i) => (
        <View key={part.formulaId} style={{ flexDirection: 'row', alignItems: 'center', gap: space(1) }}>
          <MassValue
            label={`How much of it, part ${i + 1}`}
            massG={part.massG}
            onSave={(massG) =>
              onChange('A part', { parts: parts.map((one, k) => (k === i ? { ...one, massG } : one)) })
            }
          />
          <Body style={{ flex: 1 }}>
            {all.find(({ id }) => id === part.formulaId)?.name ?? 'a formula that is gone'}
          </Body>
          <IconTap
            name="bin"
            label={`Take part ${i + 1} out`}
            onPress={() => onChange('A part', { parts: parts.filter((_, k) => k !== i) })}
          />
        </View>
      ))}
      {parts.length === 0 ? <Small>None. A run makes each part once for all that take it.</Small> : null}
      <FieldFault words={fault} />
      {parts.length < 20 && all.length > 1 ? (
        <QuietAction title="A part" icon="plus" onPress={() => setChoosing(true)} />
      ) : null}
      <ChoiceSheet
        title="Which formula goes in"
        visible={choosing}
        value={null}
        choices={all
          .filter(({ id }) => id !== doc.id && !parts.some(({ formulaId }) => formulaId === id))
          .map(({ id, name, makes }) => ({ value: id, title: name, detail: makes ?? 'batter' }))}
        onClose={() => setChoosing(false)}
        onChoose={add}
      />
    </Card>
  );
}
