import { TextInput } from 'react-native-paper';

/** Anything to remember of a batch, in its own words. */
export function NoteField({
  note,
  onNote,
}: {
  readonly note: string;
  readonly onNote: (note: string) => void;
}) {
  return (
    <TextInput
      mode="outlined"
      label="Anything to remember"
      aria-label="Anything to remember"
      value={note}
      onChangeText={onNote}
      multiline
      maxLength={2000}
    />
  );
}
