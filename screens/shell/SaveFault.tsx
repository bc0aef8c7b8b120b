import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { counted } from '../../core/quantity';
import { toldJump, useClockJump, wasSetForward, type ClockJump } from '../../state/clock';
import type { Crossing, Docs, Refusal } from '../../state/documents';
import { useNewVersion } from '../../state/offline';
import { saveParts } from '../../state/saveFile';
import { everythingParts } from '../../state/snapshots';
import { useDocuments } from '../../state/store';
import { askSumsAgain, useSumsLost } from '../../state/sumsLost';
import { QuietAction } from '../../ui/actions';
import { Notice } from '../../ui/notice';
import { space } from '../../ui/theme';
import { spanText } from '../day/day.words';
import { CAUSE_WORDS, crossingWords } from './keeping.words';

/** Says what is not kept, what could not be read, and what two windows changed at once, with a way on for each. */
export function SaveFault() {
  const { unsaved, aside, crossings, lost, docs, newer, doubtful } = useDocuments();
  const router = useRouter();
  const [crossing] = crossings;
  const sumsLost = useSumsLost(({ lost: gone }) => gone);
  const jump = useClockJump((state) => state.jump);
  const doubts = Object.entries(doubtful);
  if (
    unsaved === null &&
    aside.length === 0 &&
    !crossing &&
    lost === null &&
    !newer &&
    !sumsLost &&
    doubts.length === 0
  )
    return null;
  return (
    <View style={{ padding: space(1), gap: space(1) }}>
      {sumsLost ? (
        <>
          <Notice
            fault="Some sums could not be worked out: what does them stopped twice."
            mend="Nothing that you wrote is touched."
          />
          <QuietAction title="Try again" onPress={askSumsAgain} />
        </>
      ) : null}
      {jump ? <Jumped {...jump} /> : null}
      {newer ? <Newer /> : null}
      {doubts.map(([key, fault]) => (
        <Notice
          key={key}
          fault={`${docs[key]?.name ? `“${docs[key].name}”` : key} would not open next time: ${fault}`}
          mend="Correct it, or undo the last change."
        />
      ))}
      {unsaved ? <Unsaved {...unsaved} /> : null}
      {crossing ? <Crossed crossing={crossing} docs={docs} /> : null}
      {lost ? <Lost lost={lost} /> : null}
      {aside.length > 0 ? (
        <>
          <Notice
            fault={`${counted(aside.length, 'kept document')} could not be read.`}
            mend={`Set aside as found, and nothing is written over ${aside.length === 1 ? 'it' : 'them'}. The rest opened as usual.`}
          />
          <QuietAction
            title={aside.length === 1 ? 'See it under Kitchen' : 'See them under Kitchen'}
            onPress={() => router.navigate({ pathname: '/kitchen', params: { part: 'kept' } })}
          />
        </>
      ) : null}
    </View>
  );
}

/** The clock of this device and the time that passed disagree: what timers go by, and what to say where that is wrong. */
function Jumped({ byMs, followed }: ClockJump) {
  const span = spanText(Math.abs(byMs) / 60_000);
  const back = byMs < 0;
  return (
    <>
      <Notice
        fault={`This device’s clock went ${back ? 'back' : 'forward'} by ${span}.`}
        mend={
          back
            ? followed
              ? 'It had gone forward by as much before. Timers go on by the time that really passed; check those started in between.'
              : 'Timers go on by the time that really passed.'
            : 'It looks as if the device slept, so timers count that time. If somebody set the clock, say so.'
        }
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        {back ? null : <QuietAction title="The clock was set" onPress={wasSetForward} />}
        <QuietAction title={back ? 'Understood' : 'It slept'} onPress={toldJump} />
      </View>
    </>
  );
}

/** This window is of an older version than what is kept: it writes nothing over it. */
function Newer() {
  const take = useNewVersion((state) => state.take);
  return (
    <>
      <Notice
        fault="A newer version of Carnelian is open in another window, and has changed what is kept."
        mend="This window is older and writes nothing over that. Load it again: what you changed here comes along."
      />
      <QuietAction title="Load this page again" onPress={take ?? (() => window.location.reload())} />
    </>
  );
}

function Unsaved({ count, cause }: { readonly count: number; readonly cause: Refusal }) {
  return (
    <>
      <Notice fault={`${counted(count, 'change')} not kept yet.`} mend={CAUSE_WORDS[cause]} />
      <SaveEverything />
    </>
  );
}

/** All that stands on the screen, as a file: whatever the browser does with it. */
export function SaveEverything({ packed = false }: { readonly packed?: boolean }) {
  return (
    <QuietAction
      title={packed ? 'Save everything compressed' : 'Save everything as a file'}
      onPress={() =>
        void everythingParts().then((parts) => saveParts('kitchen-and-runs.json', parts, packed))
      }
    />
  );
}

function Crossed({ crossing, docs }: { readonly crossing: Crossing; readonly docs: Docs }) {
  const { settle } = useDocuments.getState();
  const { fault, mend, stays, other } = crossingWords(crossing, docs);
  return (
    <>
      <Notice fault={fault} mend={mend} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        <QuietAction title={stays} onPress={() => settle(crossing.id, 'as it stands')} />
        <QuietAction title={other} onPress={() => settle(crossing.id, 'the other')} />
      </View>
    </>
  );
}

function Lost({ lost }: { readonly lost: 'let go' | 'written again' }) {
  const router = useRouter();
  const { toldLost } = useDocuments.getState();
  return lost === 'written again' ? (
    <>
      <Notice
        fault="The browser had let go of what was kept here."
        mend="All that stood in this window has been written again."
      />
      <QuietAction title="Good" onPress={toldLost} />
    </>
  ) : (
    <>
      <Notice
        fault="What was kept in this browser is gone."
        mend="The browser has let go of it, or its data were cleared. Bring in a file that you saved, or look whether something is left under Safe keeping."
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        <QuietAction
          title="To Safe keeping"
          onPress={() => router.navigate({ pathname: '/kitchen', params: { part: 'kept' } })}
        />
        <QuietAction title="Begin anew" onPress={toldLost} />
      </View>
    </>
  );
}
