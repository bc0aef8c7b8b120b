import { fromShown, showText, toShown, typedUnit } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { NumberValue } from '../../ui/numberValue';

/** Grams in the person's unit, changed in place. */
export function MassValue({
  label,
  massG,
  onSave,
}: {
  readonly label: string;
  readonly massG: number;
  readonly onSave: (massG: number) => void;
}) {
  const style = useNumberStyle();
  const typed = (n: number) => Number(toShown(n, 'g', style).toPrecision(4));
  return (
    <NumberValue
      label={label}
      text={showText(massG, 'g', style)}
      ask={{
        title: label,
        value: typed(massG),
        unit: typedUnit('g', style),
        decimals: 2,
        min: typed(0.1),
        max: typed(100_000),
      }}
      onSave={(value) => onSave(fromShown(value, 'g', style))}
    />
  );
}
