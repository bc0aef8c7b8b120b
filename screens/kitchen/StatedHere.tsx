import { View } from 'react-native';
import type { KitchenDoc } from '../../core/model/documents';
import { formatNumber } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { Card } from '../../ui/card';
import { IconTap } from '../../ui/screen';
import { Body, Small } from '../../ui/text';
import { space } from '../../ui/theme';

/** Figures that were said to hold always in this kitchen. */
export function StatedHere({
  kitchen,
  put,
}: {
  readonly kitchen: KitchenDoc;
  readonly put: (label: string, over: Partial<KitchenDoc>) => void;
}) {
  const { decimal } = useNumberStyle();
  const entries = Object.entries(kitchen.stated);
  if (entries.length === 0) return null;
  return (
    <Card title="Always in this kitchen">
      <Small>Measured here and used in every run in place of the usual figure.</Small>
      {entries.map(([id, value]) => (
        <View key={id} style={{ flexDirection: 'row', alignItems: 'center', gap: space(1) }}>
          <Body style={{ flex: 1 }}>{NAMES[id] ?? id}</Body>
          <Body>{formatNumber(value, value < 10 ? 2 : 0, decimal)}</Body>
          <IconTap
            name="bin"
            label={`Back to the usual figure: ${NAMES[id] ?? id}`}
            onPress={() =>
              put('Back to the usual figure', {
                stated: Object.fromEntries(Object.entries(kitchen.stated).filter(([key]) => key !== id)),
              })
            }
          />
        </View>
      ))}
    </Card>
  );
}

const NAMES: Readonly<Record<string, string>> = {
  'batter.density': 'Batter, g a ml',
  'cake.density': 'Cake, g a ml',
  'bake.lossShare': 'Lost in baking, share',
  'bowl.lossShare': 'Left on bowl and spoon, share',
  'egg.mass': 'One egg without shell, g',
  'batter.temperature': 'Batter as it goes in, °C',
  'cake.done': 'Done at the centre, °C',
  'bake.factor': 'Oven and batter against the usual, times',
  'room.temperature': 'Room, °C',
  'cool.constant': 'Cooling constant, s',
  turnaround: 'Between two loads, s',
};
