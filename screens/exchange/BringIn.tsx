import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { TextInput } from 'react-native-paper';
import { MOST_LETTERS } from '../../core/exchange/bringIn';
import type { DocFault } from '../../core/exchange/read';
import { bring } from '../../state/exchange';
import { useScreen } from '../../state/store';
import { MainAction, QuietAction } from '../../ui/actions';
import { Notice } from '../../ui/notice';
import { Sheet } from '../../ui/sheet';
import { Body, Small } from '../../ui/text';

/** Words that a file may take, as the letters that may be in it and some for signs of several bytes. */
const MOST_BYTES = MOST_LETTERS * 3;

/** Brings in a run, a formula, a kitchen: dropped anywhere on the page, pasted, or picked. */
export function BringIn() {
  const open = useScreen((state) => state.bringing);
  const setOpen = useScreen((state) => state.setBringing);
  const [dropped, setDropped] = useState<string | null>(null);
  useEffect(() => {
    const over = (event: DragEvent) => {
      if (event.dataTransfer?.types.some((type) => type === 'Files' || type === 'text/plain'))
        event.preventDefault();
    };
    const drop = (event: DragEvent) => {
      const [file] = event.dataTransfer?.files ?? [];
      const text = event.dataTransfer?.getData('text/plain');
      if (!file && !text) return;
      event.preventDefault();
      setOpen(true);
      if (file) void textOf(file).then(setDropped);
      else setDropped(text ?? null);
    };
    window.addEventListener('dragover', over);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragover', over);
      window.removeEventListener('drop', drop);
    };
  }, [setOpen]);
  return (
    <Sheet title="Bring in" visible={open} onClose={() => setOpen(false)}>
      {open ? (
        <BringForm
          key={dropped ?? ''}
          start={dropped}
          onDone={() => {
            setDropped(null);
            setOpen(false);
          }}
        />
      ) : null}
    </Sheet>
  );
}

/** The text of a file; of one that is too large only as much as shows that it is. */
async function textOf(file: File): Promise<string> {
  return file.size > MOST_BYTES ? file.slice(0, MOST_BYTES).text() : file.text();
}

/** More than this is not shown in the field: it would only be slow. */
const SHOWN = 20_000;

function BringForm({ start, onDone }: { readonly start: string | null; readonly onDone: () => void }) {
  const router = useRouter();
  const [text, setText] = useState(start ?? '');
  const [faults, setFaults] = useState<readonly DocFault[]>([]);
  const [said, setSaid] = useState<{ readonly words: string; readonly go: () => void } | null>(null);
  const take = (from: string) => {
    const outcome = bring(from);
    if (!outcome.ok) {
      setFaults(outcome.faults);
      setText(from);
      return;
    }
    const { run, formula } = outcome.go;
    setFaults([]);
    setSaid({
      words: outcome.words,
      go: () => {
        onDone();
        if (run) router.navigate({ pathname: '/runs/[id]/sums', params: { id: run } });
        else if (formula) router.navigate({ pathname: '/formulas/[id]', params: { id: formula } });
      },
    });
  };
  const pick = () => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = '.json,.txt,.html,.htm,.md,application/json,text/*';
    input.onchange = () => {
      const [file] = input.files ?? [];
      if (file) void textOf(file).then(take);
    };
    input.click();
  };
  if (said) {
    return (
      <>
        <Body>{said.words}</Body>
        <MainAction title="Look at it" onPress={said.go} />
      </>
    );
  }
  const long = text.length > SHOWN;
  return (
    <>
      <Small>
        A run that Carnelian has saved, a page or file with a recipe in it, or a formula as plain text. Drop
        it anywhere on the page, paste it here, or pick the file.
      </Small>
      {long ? (
        <Body>{`${Math.round(text.length / 1000)} thousand letters.`}</Body>
      ) : (
        <TextInput
          mode="outlined"
          label="Paste it here"
          aria-label="Paste it here"
          value={text}
          onChangeText={(next) => {
            setText(next);
            setFaults([]);
          }}
          multiline
          numberOfLines={6}
        />
      )}
      {faults.slice(0, 4).map(({ field, fault, mend }) => (
        <Notice
          key={`${field} ${fault}`}
          fault={field === '(document)' ? fault : `${field}: ${fault}`}
          mend={mend}
        />
      ))}
      {faults.length > 4 ? <Small>{`And ${faults.length - 4} more.`}</Small> : null}
      {text.trim() !== '' ? <MainAction title="Bring it in" onPress={() => take(text)} /> : null}
      <QuietAction title="Pick a file" icon="down" onPress={pick} />
      {text !== '' ? (
        <QuietAction
          title="Empty the field"
          icon="erase"
          onPress={() => {
            setText('');
            setFaults([]);
          }}
        />
      ) : null}
    </>
  );
}
