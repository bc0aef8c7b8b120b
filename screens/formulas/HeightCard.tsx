import { View } from 'react-native';
import { useRouter } from 'expo-router';
import type { FormulaDoc } from '../../core/model/documents';
import type { ReadFormula } from '../../core/formula';
import { atHeight } from '../../core/formula/altitude';
import { formatNumber, showText } from '../../core/quantity';
import { formulaKey } from '../../state/documents';
import { newId } from '../../state/ids';
import { change, useKitchen, useNumberStyle } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Body, Small } from '../../ui/text';
import { Compared } from '../../ui/compared';

/** What the height of this kitchen asks of a formula that is written for lower down: taken by choice. */
export function HeightCard({
  doc,
  read,
  onTake,
}: {
  readonly doc: FormulaDoc;
  readonly read: ReadFormula;
  readonly onTake: (over: Partial<FormulaDoc>) => void;
}) {
  const { altitudeM = 0 } = useKitchen();
  const style = useNumberStyle();
  const router = useRouter();
  const high = atHeight({ doc, read }, altitudeM);
  if (!high) return null;
  const over = { text: high.text, ovenC: high.ovenC, writtenForM: altitudeM };
  const percent = (share: number) =>
    `${share < 0 ? '−' : '+'}${formatNumber(Math.abs(share) * 100, 0, style.decimal)} %`;
  return (
    <Card title={`At ${Math.round(altitudeM)} m`}>
      <Body>
        Water boils cooler here and air is thinner: this batter, written for lower down, rises too far and
        falls again. Usual changes, for a first bake to try:
      </Body>
      <Compared
        whole
        rows={[
          ...high.lines.map(({ name, fromG, toG, share }) => ({
            label: name,
            now: showText(fromG, 'g', style),
            then: showText(toG, 'g', style),
            by: percent(share),
          })),
          {
            label: 'still oven',
            now: showText(doc.ovenC, '°C', style),
            then: showText(high.ovenC, '°C', style),
            by: `+${showText(high.ovenC - doc.ovenC, 'K', style)}`,
          },
        ]}
      />
      <Small>Fill a little less than usual, and look early. Undo brings the old lines back.</Small>
      <View>
        <QuietAction title="Write it so" onPress={() => onTake(over)} />
        <QuietAction
          title="As a formula of its own"
          icon="plus"
          onPress={() => {
            const copy: FormulaDoc = {
              ...doc,
              ...over,
              id: newId('formula'),
              name: `${doc.name}, ${Math.round(altitudeM)} m`.slice(0, 120),
            };
            change(`${doc.name} for ${Math.round(altitudeM)} m`, { [formulaKey(copy.id)]: copy });
            router.navigate({ pathname: '/formulas/[id]', params: { id: copy.id } });
          }}
        />
      </View>
    </Card>
  );
}
