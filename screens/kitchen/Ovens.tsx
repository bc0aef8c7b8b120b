import { useDeferredValue } from 'react';
import { View } from 'react-native';
import { DIALS, type Dial } from '../../core/model/kinds';
import { ovenSchema, type OvenDoc, type TinDoc } from '../../core/model/documents';
import { rackFromAbove, tinLayout, tinsOnRack } from '../../core/piece';
import { fromShown, showText, toShown, typedUnit, counted, plural } from '../../core/quantity';
import { newId } from '../../state/ids';
import { useNumberStyle } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { NumberValue } from '../../ui/numberValue';
import { SectionDrawing } from '../../ui/section';
import { ChoiceValue, Sentence, Words } from '../../ui/sentence';
import { Small } from '../../ui/text';
import { useTokens } from '../../ui/theme';
import { List, type KitchenProps } from './List';
import { Removal, ThingName } from './ThingCard';

const DIAL_NAMES: Readonly<Record<Dial, string>> = { C: '°C', F: '°F', gas: 'gas marks' };

/** The ovens, one at least. */
export function Ovens({ kitchen }: KitchenProps) {
  const { ovens, tins } = kitchen;
  // The tin itself shows what was changed first, then the racks it is laid on.
  const tin = useDeferredValue(tins[0]);
  if (!tin) throw new Error('invariant: a kitchen has a tin');
  return (
    <List<OvenDoc>
      list="ovens"
      title="Ovens"
      another="Another oven"
      things={ovens}
      keepOne
      most={12}
      fresh={() => ({
        id: newId('oven'),
        name: `Oven ${ovens.length + 1}`,
        fan: false,
        offsetC: null,
        racks: 1,
        tinsPerRack: 1,
      })}
      card={(oven, change, remove) => (
        <OvenCard
          oven={oven}
          tin={tin}
          onChange={(next) => change(ovenSchema.parse(next))}
          onRemove={remove}
        />
      )}
    />
  );
}

/** A rack where nobody has measured one, mm. Basis: ordinary ovens. */
const USUAL_RACK = { widthMm: 440, depthMm: 370 } as const;

/** A rack of the oven from above, with the kitchen's first tin laid on it as often as it goes. */
function Rack({ oven, tin }: { readonly oven: OvenDoc; readonly tin: TinDoc }) {
  const style = useNumberStyle();
  const { warn } = useTokens();
  const measured = oven.rackWidthMm !== undefined && oven.rackDepthMm !== undefined;
  const rack = {
    widthMm: oven.rackWidthMm ?? USUAL_RACK.widthMm,
    depthMm: oven.rackDepthMm ?? USUAL_RACK.depthMm,
  };
  const wells = { longMm: tin.shape === 'bar' ? (tin.lengthMm ?? tin.topMm) : tin.topMm, wideMm: tin.topMm };
  const layout = tinLayout(tin.wells, wells.longMm, wells.wideMm);
  const { fit } = tinsOnRack(rack, layout);
  const size = `about ${showText(layout.acrossMm, 'mm', style)} by ${showText(layout.deepMm, 'mm', style)}`;
  const fits =
    fit === 0
      ? `${tin.name}, ${size}, does not go on such a rack.`
      : `Of ${tin.name}, ${size}, ${fit} ${fit === 1 ? 'goes' : 'go'} on a rack.`;
  const tooMany = measured && fit < oven.tinsPerRack;
  return (
    <>
      <View style={{ alignItems: 'center' }}>
        <SectionDrawing
          section={rackFromAbove(rack, layout, wells, oven.tinsPerRack)}
          width={300}
          height={190}
          label={`A rack of ${oven.name} from above, to scale`}
        />
      </View>
      <Small style={tooMany ? { color: warn } : undefined}>
        {measured ? fits : `Drawn as a usual rack; measure yours. ${fits}`}
      </Small>
    </>
  );
}

function OvenCard({
  oven,
  tin,
  onChange,
  onRemove,
}: {
  readonly oven: OvenDoc;
  readonly tin: TinDoc;
  readonly onChange: (oven: OvenDoc) => void;
  readonly onRemove: (() => void) | null;
}) {
  const style = useNumberStyle();
  const drawn = useDeferredValue(oven);
  const offset = oven.offsetC;
  const rackSide = (key: 'rackWidthMm' | 'rackDepthMm', label: string, hint: string) => (
    <NumberValue
      label={label}
      text={oven[key] === undefined ? 'unmeasured' : showText(oven[key], 'mm', style)}
      ask={{ title: label, hint, value: oven[key] ?? null, unit: 'mm', min: 150, max: 1200 }}
      onSave={(value) => onChange({ ...oven, [key]: value })}
    />
  );
  return (
    <Card>
      <Rack oven={drawn} tin={tin} />
      <Sentence>
        <ThingName what="oven" name={oven.name} onName={(name) => onChange({ ...oven, name })} />
        <ChoiceValue
          label="Fan"
          title="Fan"
          value={oven.fan ? 'fan' : 'still'}
          text={oven.fan ? 'with a fan' : 'without a fan'}
          choices={[
            { value: 'still', title: 'without a fan' },
            {
              value: 'fan',
              title: 'with a fan',
              detail: `The dial is set ${showText(20, 'K', style)} lower than a formula for a still oven says.`,
            },
          ]}
          onChoose={(value) => onChange({ ...oven, fan: value === 'fan' })}
          after=","
        />
        <Words>its dial marked in</Words>
        <ChoiceValue
          label="Dial"
          title="The dial"
          value={oven.dial ?? style.temperature}
          text={DIAL_NAMES[oven.dial ?? style.temperature]}
          choices={DIALS.map((dial) => ({ value: dial, title: DIAL_NAMES[dial] }))}
          onChoose={(dial) => onChange({ ...oven, dial })}
          after=","
        />
        <Words>holding</Words>
        <NumberValue
          label="Racks"
          text={`${oven.racks}`}
          ask={{ title: 'Racks in use', value: oven.racks, unit: '', min: 1, max: 12, whole: true }}
          onSave={(racks) => onChange({ ...oven, racks })}
        />
        <Words>{`${plural('rack', oven.racks)} of`}</Words>
        <NumberValue
          label="Tins on a rack"
          text={`${counted(oven.tinsPerRack, 'tin')}`}
          ask={{ title: 'Tins on a rack', value: oven.tinsPerRack, unit: '', min: 1, max: 8, whole: true }}
          onSave={(tinsPerRack) => onChange({ ...oven, tinsPerRack })}
          after=","
        />
        <Words>a rack</Words>
        {rackSide('rackWidthMm', 'Rack from side to side', 'Where a tin can stand, without the guides.')}
        <Words>wide and</Words>
        {rackSide('rackDepthMm', 'Rack from door to back', 'With the door shut.')}
        <Words>deep. Against its dial it runs</Words>
        <NumberValue
          label="Oven against its dial"
          text={offset === null ? 'unmeasured' : `${offset > 0 ? '+' : ''}${showText(offset, 'K', style)}`}
          ask={{
            title: 'Oven against its dial',
            hint: 'Stand a thermometer in the middle, wait for twenty minutes, read it, and take the dial away. Below the dial is a minus.',
            value: offset === null ? null : Math.round(toShown(offset, 'K', style)),
            unit: typedUnit('K', style),
            min: Math.round(toShown(-60, 'K', style)),
            max: Math.round(toShown(60, 'K', style)),
          }}
          onSave={(value) =>
            onChange({ ...oven, offsetC: fromShown(value, 'K', style), offsetBy: 'thermometer' })
          }
          after="."
        />
      </Sentence>
      {offset !== null ? (
        <QuietAction title="Not measured any more" onPress={() => onChange({ ...oven, offsetC: null })} />
      ) : null}
      <Removal what="oven" onRemove={onRemove} />
    </Card>
  );
}
