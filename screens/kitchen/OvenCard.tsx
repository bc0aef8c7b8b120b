import type { OvenDoc } from '../../core/exchange/documents';
import { fromShown, showText, toShown, typedUnit } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { NumberValue } from '../../ui/numberValue';
import { ChoiceValue, Sentence, Words } from '../../ui/sentence';
import { Removal } from './ThingCard';

export function OvenCard({
  oven,
  onChange,
  onRemove,
}: {
  readonly oven: OvenDoc;
  readonly onChange: (oven: OvenDoc) => void;
  readonly onRemove: (() => void) | null;
}) {
  const style = useNumberStyle();
  const offset = oven.offsetC;
  return (
    <Card title={oven.name}>
      <Sentence>
        <Words>An oven</Words>
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
        <Words>holding</Words>
        <NumberValue
          label="Racks"
          text={`${oven.racks}`}
          ask={{ title: 'Racks in use', value: oven.racks, unit: '', min: 1, max: 12, whole: true }}
          onSave={(racks) => onChange({ ...oven, racks })}
        />
        <Words>{oven.racks === 1 ? 'rack of' : 'racks of'}</Words>
        <NumberValue
          label="Tins on a rack"
          text={`${oven.tinsPerRack} ${oven.tinsPerRack === 1 ? 'tin' : 'tins'}`}
          ask={{ title: 'Tins on a rack', value: oven.tinsPerRack, unit: '', min: 1, max: 8, whole: true }}
          onSave={(tinsPerRack) => onChange({ ...oven, tinsPerRack })}
          after="."
        />
        <Words>Against its dial it runs</Words>
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
          onSave={(value) => onChange({ ...oven, offsetC: fromShown(value, 'K', style) })}
        />
      </Sentence>
      {offset !== null ? (
        <QuietAction title="Not measured any more" onPress={() => onChange({ ...oven, offsetC: null })} />
      ) : null}
      <Removal what="oven" onRemove={onRemove} />
    </Card>
  );
}
