import { useEffect, useState } from 'react';
import { View } from 'react-native';
import type { Snapshot } from '../../core/exchange/snapshot';
import { counted } from '../../core/quantity';
import { keyOf } from '../../state/documents';
import { saveFile, saveParts } from '../../state/saveFile';
import {
  goBackTo,
  keepNow,
  listSnapshots,
  loadSnapshot,
  putBack,
  snapshotParts,
  useSnapshots,
  type Kept,
} from '../../state/snapshots';
import { useDocuments } from '../../state/store';
import { dateOf, dayText } from '../../state/time';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Notice } from '../../ui/notice';
import { Sheet } from '../../ui/sheet';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';
import { SaveEverything } from '../shell/SaveFault';

/** Everything as it stood on other days, what was set aside, and a file of it all. */
export function SafeKeeping() {
  return (
    <>
      <SetAside />
      <Snapshots />
      <Card title="A file of everything">
        <Body>
          Formulas, runs, pieces and the kitchen in one file, to be brought in here or in another browser.
        </Body>
        <SaveEverything />
        <SaveEverything packed />
      </Card>
    </>
  );
}

const REASONS: Readonly<Record<Kept['why'], string>> = {
  'the day': 'as the day began',
  'before bringing in': 'before something was brought in',
  'before an update': 'before an update wrote it anew',
  'before starting empty': 'before starting empty',
  'before the demo': 'before the demo was laid out',
  'before going back': 'before going back to another day',
  'by hand': 'kept by hand',
};

function Snapshots() {
  const { list, refused } = useSnapshots();
  const [open, setOpen] = useState<Kept | null>(null);
  useEffect(() => void listSnapshots(), []);
  return (
    <Card title="As it stood">
      <Body>
        Kept once a day, and before anything that replaces a lot. Older ones thin out to one a day, a week, a
        month; the oldest go when there is no room.
      </Body>
      {refused ? (
        <Notice
          fault="The last one could not be kept."
          mend="The browser has no room for it, or does not allow it. Save everything as a file."
        />
      ) : null}
      {list.length === 0 ? <Small>None yet.</Small> : null}
      {list.map((one) => (
        <Tap key={one.key} onPress={() => setOpen(one)} label={`${whenOf(one)}, ${REASONS[one.why]}`}>
          <View style={{ paddingVertical: space(1) }}>
            <Strong>{whenOf(one)}</Strong>
            <Small>{`${REASONS[one.why]}; ${counted(one.documents, 'document')}`}</Small>
          </View>
        </Tap>
      ))}
      <QuietAction title="Keep it as it is now" onPress={() => void keepNow('by hand')} />
      <SnapshotSheet kept={open} onClose={() => setOpen(null)} />
    </Card>
  );
}

const whenOf = ({ at }: Kept): string => {
  const day = dayText(dateOf(at), Date.now());
  return `${(day[0] ?? '').toUpperCase()}${day.slice(1)} ${at.slice(11, 16)}`;
};

function SnapshotSheet({ kept, onClose }: { readonly kept: Kept | null; readonly onClose: () => void }) {
  return (
    <Sheet title={kept ? whenOf(kept) : ''} visible={kept !== null} onClose={onClose}>
      {kept ? <SnapshotParts kept={kept} onClose={onClose} /> : null}
    </Sheet>
  );
}

function SnapshotParts({ kept, onClose }: { readonly kept: Kept; readonly onClose: () => void }) {
  const [snapshot, setSnapshot] = useState<Snapshot | 'lost' | null>(null);
  useEffect(() => {
    loadSnapshot(kept.key).then(
      (found) => setSnapshot(found ?? 'lost'),
      () => setSnapshot('lost'),
    );
  }, [kept.key]);
  if (snapshot === null) return <Small>Opening it.</Small>;
  if (snapshot === 'lost')
    return <Notice fault="It cannot be read any more." mend="Choose another day, or bring in a file." />;
  const { docs, unread } = snapshot;
  return (
    <>
      <QuietAction
        title="Put everything back as it stood"
        onPress={() => {
          goBackTo(snapshot, kept.key);
          onClose();
        }}
      />
      <QuietAction
        title="Save it as a file"
        onPress={() =>
          void snapshotParts(kept.key).then((parts) => {
            if (parts !== null) return saveParts(`kitchen-${kept.at.slice(0, 10)}.json`, parts, false);
          })
        }
      />
      {unread > 0 ? <Small>{`${counted(unread, 'document')} of it cannot be read.`}</Small> : null}
      <Small>Or one of them:</Small>
      {docs.map((doc) => (
        <QuietAction
          key={keyOf(doc)}
          title={`${KIND_WORDS[doc.kind]}: ${doc.name}`}
          onPress={() => {
            putBack(doc);
            onClose();
          }}
        />
      ))}
    </>
  );
}

const KIND_WORDS = { formula: 'Formula', run: 'Run', piece: 'Piece', kitchen: 'Kitchen' } as const;

function SetAside() {
  const aside = useDocuments((state) => state.aside);
  const { tryAside, letGoAside } = useDocuments.getState();
  const [said, setSaid] = useState<Readonly<Record<string, string>>>({});
  if (aside.length === 0) return null;
  return (
    <Card title="Set aside">
      <Body>These were kept here and cannot be read. Nothing is written over them.</Body>
      {aside.map(({ key, from, text, fault }) => (
        <View key={key} style={{ gap: space(1), paddingVertical: space(1) }}>
          <Strong>{from}</Strong>
          <Small>{said[key] ?? fault}</Small>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
            <QuietAction
              title="Save as a file"
              onPress={() => saveFile(`${from.replace(/[^a-z0-9]+/gi, '-')}.txt`, text)}
            />
            <QuietAction
              title="Try again"
              onPress={() => {
                const wrong = tryAside(key);
                if (wrong !== null) setSaid({ ...said, [key]: `Still not: ${wrong}` });
              }}
            />
            <QuietAction title="Let go" icon="bin" onPress={() => letGoAside(key)} />
          </View>
        </View>
      ))}
    </Card>
  );
}
