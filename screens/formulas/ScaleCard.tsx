import { useState } from 'react';
import { View } from 'react-native';
import type { FormulaDoc } from '../../core/model/documents';
import type { ReadFormula } from '../../core/formula';
import { factorOf, scaledLines, scaledText, type ScaleBy } from '../../core/formula/scale';
import { formatNumber, fromShown, readNumberField, showText, typedUnit } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { Chip, Chips, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { NumberField } from '../../ui/numberField';
import { Body, Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';

/** The formula times something: to a mass, to pieces, or to what there is of one thing. */
export function ScaleCard({
  doc,
  read,
  onKeep,
}: {
  readonly doc: FormulaDoc;
  readonly read: ReadFormula;
  readonly onKeep: (text: string) => void;
}) {
  const style = useNumberStyle();
  const [by, setBy] = useState<ScaleBy['by']>('mass');
  const [lineIndex, setLineIndex] = useState<number | null>(null);
  const [text, setText] = useState('');
  const lines = read.lines.map((line, i) => ({ line, i })).filter(({ line }) => line.status === 'read');
  const chosen = lineIndex ?? lines[0]?.i ?? 0;
  const typed = readNumberField(text);
  const massG = typed === null ? 0 : fromShown(typed, 'g', style);
  const to: ScaleBy =
    by === 'pieces'
      ? { by, pieces: typed ?? 0 }
      : by === 'mass'
        ? { by, massG }
        : { by, lineIndex: chosen, massG };
  const factor = typed === null ? null : factorOf(read, doc, to);
  const fault =
    text.trim() === ''
      ? null
      : typed === null
        ? 'That is not a number. Write it like 300 or 12.5.'
        : typed <= 0
          ? 'More than nothing.'
          : by === 'pieces' && !doc.statedPieces
            ? 'This formula does not say how many it makes. Scale it by weight, or start a run: it reckons by the tin.'
            : factor !== null && factor > 1000
              ? 'That is over a thousand times the formula.'
              : null;
  if (lines.length === 0) return null;
  return (
    <Card title="Scaled">
      <Chips label="Scale by">
        <Chip title="to a weight" selected={by === 'mass'} onPress={() => setBy('mass')} />
        <Chip title="to pieces" selected={by === 'pieces'} onPress={() => setBy('pieces')} />
        <Chip title="to what there is" selected={by === 'ingredient'} onPress={() => setBy('ingredient')} />
      </Chips>
      {by === 'ingredient' ? (
        <Chips label="What there is">
          {lines.map(({ line, i }) => (
            <Chip
              key={i}
              title={line.called || line.name}
              selected={i === chosen}
              onPress={() => setLineIndex(i)}
            />
          ))}
        </Chips>
      ) : null}
      <NumberField
        label={
          by === 'pieces'
            ? 'Pieces'
            : by === 'mass'
              ? `All of it, ${typedUnit('g', style)}`
              : `There is, ${typedUnit('g', style)}`
        }
        text={text}
        onText={setText}
        fault={fault}
      />
      {factor !== null && fault === null ? (
        <>
          <Strong>{`${formatNumber(factor, 2, style.decimal)} times as written`}</Strong>
          {scaledLines(read.lines, factor).map((line, i) => (
            <View key={i} style={{ flexDirection: 'row', justifyContent: 'space-between', gap: space(2) }}>
              <Body style={{ flex: 1 }}>{line.name}</Body>
              <Strong>
                {line.count === null
                  ? showText(line.massG, 'g', style)
                  : `${formatNumber(line.count, Number.isInteger(line.count) ? 0 : 2, style.decimal)} (${showText(line.massG, 'g', style)})`}
              </Strong>
            </View>
          ))}
          <QuietAction title="Write it so" onPress={() => onKeep(scaledText(doc, read, factor))} />
          <Small>In grams, what is counted to a quarter. Undo brings the old lines back.</Small>
        </>
      ) : null}
    </Card>
  );
}
