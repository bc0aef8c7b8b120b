import { useState } from 'react';
import { NumberSheet, type NumberAsk } from './numberSheet';
import { Value } from './sentence';

/** A number in a sentence: a tap asks for another. */
export function NumberValue({
  text,
  label,
  after,
  ask,
  onSave,
  testID,
}: {
  readonly text: string;
  readonly label: string;
  readonly after?: string;
  readonly ask: NumberAsk;
  readonly onSave: (value: number) => void;
  readonly testID?: string;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Value text={text} label={label} after={after} onPress={() => setOpen(true)} testID={testID} />
      <NumberSheet
        ask={open ? ask : null}
        onClose={() => setOpen(false)}
        onSave={(value) => {
          setOpen(false);
          onSave(value);
        }}
      />
    </>
  );
}
