import { fromShown, showText, toShown, typedUnit } from '../core/quantity';
import { useNumberStyle } from '../state/store';
import { NumberValue } from './numberValue';

/** An oven temperature in a sentence, asked for and shown in the person's degrees. Kept in °C, from 100 to 260. */
export function TemperatureValue({
  celsius,
  hint,
  after,
  onSave,
  testID,
}: {
  readonly celsius: number;
  readonly hint?: string;
  readonly after?: string;
  readonly onSave: (celsius: number) => void;
  readonly testID?: string;
}) {
  const style = useNumberStyle();
  const typed = (value: number) => Math.round(toShown(value, '°C', style));
  return (
    <NumberValue
      testID={testID}
      label="Still-oven temperature"
      text={showText(celsius, '°C', style)}
      after={after}
      ask={{
        title: 'Still-oven temperature',
        hint,
        value: typed(celsius),
        unit: typedUnit('°C', style),
        min: typed(100),
        max: typed(260),
      }}
      onSave={(value) => onSave(fromShown(value, '°C', style))}
    />
  );
}
