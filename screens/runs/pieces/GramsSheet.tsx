import { fromShown, toShown, typedUnit } from '../../../core/quantity';
import { useNumberStyle } from '../../../state/store';
import { NumberSheet } from '../../../ui/numberSheet';

/** Asks for a mass in the person's units: kept in grams. */
export function GramsSheet({
  title,
  open,
  valueG,
  minG,
  maxG,
  onClose,
  onSave,
}: {
  readonly title: string;
  readonly open: boolean;
  /** Null where none has been chosen. */
  readonly valueG: number | null;
  readonly minG: number;
  readonly maxG: number;
  readonly onClose: () => void;
  readonly onSave: (massG: number) => void;
}) {
  const style = useNumberStyle();
  return (
    <NumberSheet
      ask={
        open
          ? {
              title,
              value: valueG === null ? null : Number(toShown(valueG, 'g', style).toPrecision(4)),
              unit: typedUnit('g', style),
              decimals: 2,
              min: Number(toShown(minG, 'g', style).toPrecision(2)),
              max: Number(toShown(maxG, 'g', style).toPrecision(4)),
            }
          : null
      }
      onClose={onClose}
      onSave={(value) => {
        onClose();
        onSave(fromShown(value, 'g', style));
      }}
    />
  );
}
