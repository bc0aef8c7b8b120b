import { useRouter } from 'expo-router';
import { useState } from 'react';
import { TextInput } from 'react-native-paper';
import type { DocFault } from '../../core/exchange/read';
import { bringIn, type FormulaDraft } from '../../core/exchange/bringIn';
import { useDraft } from '../../state/drafts';
import { bring, bringAll, keepFormulas, manyIn } from '../../state/exchange';
import { keepNow } from '../../state/snapshots';
import { useScreen } from '../../state/store';
import { MainAction, QuietAction } from '../../ui/actions';
import { Notice } from '../../ui/notice';
import { Body, Small } from '../../ui/text';
import { Incoming } from './Incoming';
import { Review } from './Review';
import { LargeFile } from './LargeFile';
import { isLarge, textOf } from './textOf';

/** More than this is not shown in the field: it would only be slow. */
const SHOWN = 20_000;
/** And more than this is not put down as a draft: the file is still there. */
const MOST_DRAFT = 100_000;

export function BringForm({
  start,
  onDone,
}: {
  /** What was dropped: a text, or a file that is read in pieces. */
  readonly start: string | File | null;
  readonly onDone: () => void;
}) {
  const router = useRouter();
  // What was pasted and not kept yet outlives the page.
  const draft = useDraft('bring-in', '');
  const [large, setLarge] = useState<File | null>(start instanceof File ? start : null);
  const [text, put] = useState(typeof start === 'string' ? start : draft.text);
  const setText = (next: string) => {
    put(next);
    draft.put(next.slice(0, MOST_DRAFT));
  };
  const [review, setReview] = useState<readonly FormulaDraft[] | null>(null);
  const [many, setMany] = useState<ReturnType<typeof manyIn>>(null);
  const [faults, setFaults] = useState<readonly DocFault[]>([]);
  const [said, setSaid] = useState<{ readonly words: string; readonly go: () => void } | null>(null);
  const take = (from: string) => {
    const read = bringIn(from);
    if (read.ok && read.what === 'formulas') {
      setText(from);
      setFaults([]);
      setReview(read.formulas);
      return;
    }
    const all = manyIn(from);
    if (all) {
      setFaults([]);
      setMany(all);
      return;
    }
    const outcome = bring(from);
    if (!outcome.ok) {
      setFaults(outcome.faults);
      setText(from);
      return;
    }
    told(outcome);
  };
  const told = (outcome: Extract<ReturnType<typeof bring>, { readonly ok: true }>) => {
    const { run, formula } = outcome.go;
    setFaults([]);
    draft.drop();
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
    input.accept = '.json,.gz,.txt,.html,.htm,.md,application/json,application/gzip,text/*';
    input.onchange = () => {
      const [file] = input.files ?? [];
      if (file && isLarge(file)) setLarge(file);
      else if (file) void textOf(file).then(take);
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
  if (large) {
    return (
      <LargeFile
        file={large}
        onRead={(found) => {
          setLarge(null);
          setMany(found);
        }}
        onFault={(fault) => {
          setLarge(null);
          setFaults([fault]);
        }}
        onCancel={() => setLarge(null)}
      />
    );
  }
  if (many) {
    return (
      <Incoming
        docs={many.docs}
        unread={many.unread}
        onBack={() => setMany(null)}
        onTake={(which) => {
          setMany(null);
          const outcome = bringAll('Bring in a file', many.docs, which, many.unread);
          if (outcome.ok) told(outcome);
        }}
      />
    );
  }
  if (review) {
    return (
      <Review
        text={text}
        drafts={review}
        onBack={() => setReview(null)}
        onKeep={(drafts) => {
          void keepNow('before bringing in');
          const outcome = keepFormulas(drafts);
          setReview(null);
          if (!outcome.ok) return setFaults(outcome.faults);
          const { awaiting } = useScreen.getState();
          draft.drop();
          if (!awaiting || !outcome.go.formula) return told(outcome);
          onDone();
          awaiting(outcome.go.formula);
        }}
      />
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
          numberOfLines={Math.min(14, Math.max(6, text.split('\n').length + 1))}
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
