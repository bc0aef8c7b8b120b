import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import type { AnyDoc } from '../../core/model/documents';
import type { DocFault } from '../../core/exchange/read';
import { readInPieces, type Brought } from '../../state/bringing';
import { QuietAction } from '../../ui/actions';
import { Body } from '../../ui/text';
import { COLOR, space, useTokens } from '../../ui/theme';

type Why = Extract<Brought, { readonly ok: false }>['why'];

const WHY: Readonly<Record<Why, Omit<DocFault, 'field'>>> = {
  'no file of everything': {
    fault: 'This is no file of everything that Carnelian has saved.',
    mend: 'Choose another one; the file of one run or one page is smaller.',
  },
  'broken off': {
    fault: 'The file breaks off before its end.',
    mend: 'Copy it again from where it was saved. Nothing was brought in.',
  },
  'document too long': {
    fault: 'One document in it is longer than any that Carnelian saves.',
    mend: 'Choose another file. Nothing was brought in.',
  },
  'not to be unpacked': {
    fault: 'The file cannot be read or unpacked.',
    mend: 'Copy it again from where it was saved. Nothing was brought in.',
  },
};
const NOT_READ: Omit<DocFault, 'field'> = {
  fault: 'What reads the file stopped twice.',
  mend: 'Load the page again and try once more. Nothing was brought in.',
};

/** A file of everything that is read in pieces: how far it is, and a way to leave it. */
export function LargeFile({
  file,
  onRead,
  onFault,
  onCancel,
}: {
  readonly file: File;
  readonly onRead: (found: { readonly docs: readonly AnyDoc[]; readonly unread: number }) => void;
  readonly onFault: (fault: DocFault) => void;
  readonly onCancel: () => void;
}) {
  const { line } = useTokens();
  const [share, setShare] = useState(0);
  const hears = useRef({ onRead, onFault });
  useEffect(() => {
    hears.current = { onRead, onFault };
  });
  useEffect(() => {
    let wanted = true;
    const reading = readInPieces(file, (far) => {
      if (wanted) setShare(far);
    });
    const fail = (why: Omit<DocFault, 'field'>) => {
      if (wanted) hears.current.onFault({ field: '(document)', ...why });
    };
    reading.found.then(
      ({ docs, brought }) => {
        if (!brought.ok) fail(WHY[brought.why]);
        else if (wanted) hears.current.onRead({ docs, unread: brought.unread });
      },
      () => fail(NOT_READ),
    );
    return () => {
      wanted = false;
      reading.cancel();
    };
  }, [file]);
  const percent = Math.round(100 * share);
  return (
    <View style={{ gap: space(2) }}>
      <Body>{`Reading “${file.name}”, ${(file.size / 1e6).toFixed(1)} MB: ${percent} %.`}</Body>
      <View
        role="progressbar"
        aria-label="How much of the file is read"
        aria-valuenow={percent}
        aria-valuemin={0}
        aria-valuemax={100}
        style={{ height: 12, borderRadius: 6, backgroundColor: line, overflow: 'hidden' }}
      >
        <View style={{ width: `${percent}%`, height: 12, backgroundColor: COLOR.carnelian }} />
      </View>
      <QuietAction title="Cancel" onPress={onCancel} />
    </View>
  );
}
