import { useState } from 'react';
import { TextInput } from 'react-native-paper';
import { useDraft } from '../state/drafts';
import { MainAction } from './actions';
import { FieldFault } from './fieldFault';
import { Sheet } from './sheet';
import { Small } from './text';

export interface TextAsk {
  readonly title: string;
  readonly hint?: string;
  readonly value: string;
  readonly multiline?: boolean;
  /** The field that it is typed into, where what is typed is to outlive the page. */
  readonly draft?: string;
  /** What is wrong with the text; null where it will do. */
  readonly fault?: (text: string) => string | null;
}

/** Asks for a line or two of text. */
export function TextSheet({
  ask,
  onClose,
  onSave,
}: {
  readonly ask: TextAsk | null;
  readonly onClose: () => void;
  readonly onSave: (text: string) => void;
}) {
  return (
    <Sheet title={ask?.title ?? ''} visible={ask !== null} onClose={onClose}>
      {ask ? <TextForm key={ask.title} ask={ask} onSave={onSave} /> : null}
    </Sheet>
  );
}

function TextForm({ ask, onSave }: { readonly ask: TextAsk; readonly onSave: (text: string) => void }) {
  const [plain, setPlain] = useState(ask.value);
  const kept = useDraft(ask.draft ?? '', ask.value);
  const text = ask.draft === undefined ? plain : kept.text;
  const setText = ask.draft === undefined ? setPlain : kept.put;
  const [fault, setFault] = useState<string | null>(null);
  const save = () => {
    const wrong = ask.fault?.(text) ?? null;
    setFault(wrong);
    if (wrong !== null) return;
    if (ask.draft !== undefined) kept.drop();
    onSave(text);
  };
  return (
    <>
      {ask.hint ? <Small>{ask.hint}</Small> : null}
      <TextInput
        mode="outlined"
        aria-label={ask.title}
        value={text}
        onChangeText={(next) => {
          setText(next);
          setFault(null);
        }}
        onSubmitEditing={ask.multiline ? undefined : save}
        multiline={ask.multiline}
        autoFocus
        error={fault !== null}
      />
      <FieldFault words={fault} />
      <MainAction title="Save" onPress={save} />
    </>
  );
}

/** A fault for a name that is missing or too long. */
export function nameFault(text: string): string | null {
  if (text.trim() === '') return 'Give it a name.';
  return text.trim().length > 120 ? 'Keep the name under 120 letters.' : null;
}
