import { useState } from 'react';
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
  readonly hint: string;
  readonly value: number | null;
  readonly max: number;
  readonly onSave: (ml: number) => void;
}) {
  const [asking, setAsking] = useState(false);
  return (
    <>
      <QuietAction title="By the water test" icon="scale" onPress={() => setAsking(true)} />
      <NumberSheet
        ask={asking ? { title, hint, value, unit: 'g', min: 1, max } : null}
        onClose={() => setAsking(false)}
        onSave={(ml) => {
          setAsking(false);
          onSave(ml);
        }}
      />
    </>
  );
}
