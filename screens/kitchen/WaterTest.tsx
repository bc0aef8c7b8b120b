import { useState } from 'react';
import { fromShown, inStyle, toShown, typedUnit } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { NumberSheet } from '../../ui/numberSheet';

/** What something holds, by weighing the water in it. */
export function WaterTest({
  title,
  hint,
  value,
  max,
  onSave,
}: {
  readonly title: string;
  /** Measures in it stand in braces. */
  readonly hint: string;
  readonly value: number | null;
  readonly max: number;
  readonly onSave: (ml: number) => void;
}) {
  const style = useNumberStyle();
  const [asking, setAsking] = useState(false);
  // A gram of water is a millilitre: what the scale says, in the person's unit, is the room in it.
  const typed = (ml: number) => Number(toShown(ml, 'g', style).toPrecision(4));
  return (
    <>
      <QuietAction title="By the water test" icon="scale" onPress={() => setAsking(true)} />
      <NumberSheet
        ask={
          asking
            ? {
                title,
                hint: inStyle(hint, style),
                value: value === null ? null : typed(value),
                unit: typedUnit('g', style),
                decimals: 2,
                min: typed(1),
                max: typed(max),
              }
            : null
        }
        onClose={() => setAsking(false)}
        onSave={(weighed) => {
          setAsking(false);
          onSave(fromShown(weighed, 'g', style));
        }}
      />
    </>
  );
}
