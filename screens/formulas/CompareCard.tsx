import { useState } from 'react';
import { View } from 'react-native';
import type { FormulaDoc } from '../../core/model/documents';
import { readFormula, type ReadFormula } from '../../core/formula';
import { compareShares, densitiesOf } from '../../core/formula/compare';
import { formatNumber, showText } from '../../core/quantity';
import { formulasIn } from '../../state/documents';
import { useDocuments, useKitchen, useNumberStyle } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { ChoiceSheet } from '../../ui/sentence';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';

/** This formula beside another: what they are made of, how dense they are, what they say of the oven. */
export function CompareCard({ doc, read }: { readonly doc: FormulaDoc; readonly read: ReadFormula }) {
  const docs = useDocuments((state) => state.docs);
  const style = useNumberStyle();
  const kitchen = useKitchen();
  const [otherId, setOtherId] = useState<string | null>(null);
  const [choosing, setChoosing] = useState(false);
  const fixed = (n: number) => formatNumber(n, 2, style.decimal);
  const others = formulasIn(docs).filter(({ id }) => id !== doc.id);
  const other = others.find(({ id }) => id === otherId);
  const beside = other ? readFormula(other, kitchen) : null;
  if (others.length === 0) return null;
  const rows: readonly (readonly [string, string, string])[] =
    other && beside
      ? [
          ...compareShares({ doc, read }, { doc: other, read: beside }).map(
            (row) =>
              [row.name, showText(row.one, 'share', style), showText(row.other, 'share', style)] as const,
          ),
          ['batter, g a ml', fixed(densitiesOf(doc).batter), fixed(densitiesOf(other).batter)],
          ['baked, g a ml', fixed(densitiesOf(doc).cake), fixed(densitiesOf(other).cake)],
          ['one batch', showText(read.massG, 'g', style), showText(beside.massG, 'g', style)],
          ['still oven', showText(doc.ovenC, '°C', style), showText(other.ovenC, '°C', style)],
          ['minutes as written', minutes(doc), minutes(other)],
        ]
      : [];
  return (
    <Card title="Beside another">
      {other ? (
        <View>
          <Row cells={['', doc.name, other.name]} strong />
          {rows.map((cells) => (
            <Row key={cells[0]} cells={cells} />
          ))}
          <Small>Times in a given tin are reckoned in a run, where tin and portion are known.</Small>
        </View>
      ) : null}
      <QuietAction
        title={other ? 'Beside a third' : 'Put another beside it'}
        onPress={() => setChoosing(true)}
      />
      <ChoiceSheet
        title="Which one"
        visible={choosing}
        value={otherId}
        choices={others.map(({ id, name, method }) => ({ value: id, title: name, detail: method }))}
        onClose={() => setChoosing(false)}
        onChoose={(id) => {
          setChoosing(false);
          setOtherId(id);
        }}
      />
    </Card>
  );
}

const minutes = ({ statedMin }: FormulaDoc) => (statedMin ? String(statedMin) : 'not said');

function Row({ cells, strong = false }: { readonly cells: readonly string[]; readonly strong?: boolean }) {
  const { line } = useTokens();
  return (
    <View
      style={{
        flexDirection: 'row',
        gap: space(1),
        borderBottomWidth: 1,
        borderBottomColor: line,
        paddingVertical: 4,
      }}
    >
      {cells.map((cell, i) => (
        <View key={i} style={{ flex: 1 }}>
          {strong || i > 0 ? <Strong>{cell}</Strong> : <Body>{cell}</Body>}
        </View>
      ))}
    </View>
  );
}
