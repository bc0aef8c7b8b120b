import { View } from 'react-native';
import type { KitchenDoc } from '../../core/model/documents';
import { ingredientOf, showText, type NumberStyle, type OwnThing } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { Card } from '../../ui/card';
import { IconTap } from '../../ui/screen';
import { Body, Small } from '../../ui/text';
import { space } from '../../ui/theme';

interface OwnThingsProps {
  readonly kitchen: KitchenDoc;
  readonly put: (label: string, over: Partial<KitchenDoc>) => void;
}

function toldOf({ like, cupG, pieceG, packG }: OwnThing, style: NumberStyle): string {
  const mass = (g: number) => showText(g, 'g', style);
  const kin = like === null ? null : ingredientOf(like);
  return [
    cupG === undefined ? null : `${mass(cupG)} a US cup`,
    pieceG === undefined ? null : `${mass(pieceG)} each`,
    ...Object.entries(packG ?? {}).map(([pack, g]) => `${mass(g)} a ${pack}`),
    kin ? `like ${kin.name}` : 'only weighed',
  ]
    .filter(Boolean)
    .join(', ');
}

/** What no table knew and somebody said once, from a line of a formula: here it can be taken back. */
export function OwnThings({ kitchen, put }: OwnThingsProps) {
  const style = useNumberStyle();
  const things = kitchen.ownThings ?? [];
  if (things.length === 0) return null;
  return (
    <Card title="Things told once">
      {things.map((thing) => (
        <View key={thing.name} style={{ flexDirection: 'row', alignItems: 'center', gap: space(1) }}>
          <View style={{ flex: 1 }}>
            <Body>{thing.name}</Body>
            <Small>{toldOf(thing, style)}</Small>
          </View>
          <IconTap
            name="bin"
            label={`Take out ${thing.name}`}
            onPress={() =>
              put(`Take out ${thing.name}`, { ownThings: things.filter((one) => one !== thing) })
            }
          />
        </View>
      ))}
      <Small>Formulas that name one are read with it. Taken out, it is asked about again.</Small>
    </Card>
  );
}
