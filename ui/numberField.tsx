import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { FieldFault } from './fieldFault';

/** A field for a number as typed, with its fault under it. What is typed stays. */
export function NumberField({
  label,
  text,
  onText,
  fault,
  mode = 'decimal',
}: {
  readonly label: string;
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly fault: string | null;
  readonly mode?: 'decimal' | 'numeric' | 'text';
}) {
  return (
    <View>
      <TextInput
        mode="outlined"
        label={label}
        aria-label={label}
        value={text}
        inputMode={mode}
        onChangeText={onText}
        error={fault !== null}
      />
      <FieldFault words={fault} />
    </View>
  );
}
