import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { clockPhase, hurried, lookOf, observedFactor } from '../../core/bench';
import type { BakeClock } from '../../core/bench/clocksIn';
import { nextPlace, ovenOf, placeWords } from '../../core/bench/places';
import type { LookResult, LookSaw, RunDoc } from '../../core/model/documents';
import { formatDuration, join, showText } from '../../core/quantity';
import { standsAt, takeBack, tell } from '../../state/bench';
import { onTheWall, useSteadyNow } from '../../state/clock';
import { useKitchen, useNumberStyle, useScreen } from '../../state/store';
import { clockOf } from '../../state/time';
import { QuietAction, MainAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { NumberSheet } from '../../ui/numberSheet';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { FONT, space, useTokens } from '../../ui/theme';

/** Minutes and seconds: 12:07. */
function countdown(seconds: number): string {
  const whole = Math.max(0, Math.ceil(seconds));
  const minutes = Math.floor(whole / 60);
  return `${minutes}:${String(whole % 60).padStart(2, '0')}`;
}

/** What a look showed. */
const SAW: Readonly<Record<LookSaw, string>> = {
  wet: 'wet in the middle',
  crumbs: 'a few crumbs',
  pale: 'clean, but pale',
  clean: 'clean',
  brown: 'too brown',
};

/** Two beside each other. */
const HALF = { flexBasis: '45%', flexGrow: 1 } as const;

const RESULT: Readonly<Record<LookResult, string>> = {
  'not yet': 'not yet',
  nearly: 'nearly',
  done: 'done',
  over: 'too far',
};

/** The clock of one load in the oven: time to the next look, the range it is likely done in, and the look's answer. */
export function LoadClock({
  run,
  clock,
  title,
  tests,
}: {
  readonly run: RunDoc;
  readonly clock: BakeClock;
  readonly title: string;
  /** How to tell that it is done. */
  readonly tests: readonly string[];
}) {
  const now = useSteadyNow(1000);
  const askWhy = useScreen((state) => state.askWhy);
  const { carnelian, carnelianSoft, raised } = useTokens();
  const phase = clockPhase(clock, now);
  const at = (seconds: number) => clockOf(onTheWall(clock.startedAt + seconds * 1000));
  const answer = (saw: LookSaw) =>
    tell(`Look at load ${clock.load}: ${SAW[saw]}`, run.id, lookOf(clock, saw));
  if (phase.phase === 'ended') {
    if (hurried(clock)) return <Hurried run={run} clock={clock} title={title} tookS={phase.tookS} />;
    const factor = observedFactor(clock) ?? 1;
    const off = Math.round((factor - 1) * 100);
    const against =
      off === 0 ? 'just as expected' : `${Math.abs(off)} % ${off > 0 ? 'longer' : 'shorter'} than expected`;
    return (
      <Card title={title}>
        <Strong
          style={{ fontSize: 22, lineHeight: 28 }}
        >{`Out after ${join(formatDuration(phase.tookS))}`}</Strong>
        <Body>{`${clock.pieces} pieces, ${against}. Last look: ${RESULT[phase.result]}.`}</Body>
        <Looks clock={clock} />
      </Card>
    );
  }
  const looking = phase.phase === 'look';
  return (
    <Card title={title} style={looking ? { backgroundColor: carnelianSoft } : { backgroundColor: raised }}>
      <View role="timer" aria-label={`Load ${clock.load}`}>
        <Small>
          {looking
            ? phase.late
              ? 'Past the usual range'
              : 'Open the door and look'
            : `Until the ${clock.looks.length === 0 ? 'first' : 'next'} look at ${clockOf(onTheWall(phase.nextLookAt))}`}
        </Small>
        <Body
          style={{
            fontFamily: FONT.sansStrong,
            fontSize: 64,
            lineHeight: 72,
            color: looking ? carnelian : undefined,
          }}
        >
          {looking ? 'Look now' : countdown(phase.untilLookS)}
        </Body>
      </View>
      <RangeBar clock={clock} now={now} />
      <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
        {(
          [
            ['First look', clock.firstLookS, 'bake.firstLook'],
            ['Expected', clock.expectedS, 'bake.time'],
            ['Latest', clock.latestS, 'bake.time'],
          ] as const
        ).map(([name, seconds, figureId]) => (
          <Tap
            key={name}
            label={`${name}: ${at(seconds)}. Why?`}
            onPress={() => askWhy(run.id, clock.lineId, figureId)}
          >
            <Small>{name}</Small>
            <Strong style={{ fontSize: 20 }}>{at(seconds)}</Strong>
          </Tap>
        ))}
      </View>
      <View>
        {tests.map((test) => (
          <Small key={test} soft={false}>{`– ${test}`}</Small>
        ))}
      </View>
      {clock.places.length > 0 ? <Place run={run} clock={clock} /> : null}
      <View style={{ flexDirection: 'row', gap: space(1), flexWrap: 'wrap' }}>
        <QuietAction title="Wet in the middle" large onPress={() => answer('wet')} style={HALF} />
        <QuietAction title="A few crumbs" large onPress={() => answer('crumbs')} style={HALF} />
        <QuietAction title="Clean, but pale" large onPress={() => answer('pale')} style={HALF} />
        <QuietAction title="Too brown: out" large onPress={() => answer('brown')} style={HALF} />
      </View>
      <MainAction title="Done, out it comes" large onPress={() => answer('clean')} />
      <Thermometer run={run} clock={clock} />
      <Looks clock={clock} />
    </Card>
  );
}

/** What a thermometer in the oven reads: the one thing that tells its air from how it bakes. */
function Thermometer({ run, clock }: { readonly run: RunDoc; readonly clock: BakeClock }) {
  const style = useNumberStyle();
  const kitchen = useKitchen();
  const line = run.lines.find(({ id }) => id === clock.lineId);
  const oven = line ? ovenOf(line, kitchen) : null;
  const [asked, setAsked] = useState(false);
  if (!oven) return null;
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: space(1), flexWrap: 'wrap' }}>
      {clock.airC === undefined ? null : (
        <Strong style={{ flex: 1 }}>{`Thermometer in it: ${showText(clock.airC, '°C', style)}`}</Strong>
      )}
      <QuietAction
        title={clock.airC === undefined ? 'A thermometer in it reads' : 'It reads otherwise'}
        onPress={() => setAsked(true)}
      />
      <NumberSheet
        ask={
          asked
            ? {
                title: 'The oven thermometer reads',
                hint: 'Through the glass, ten minutes after the door was shut. The dial goes by it in the next plan.',
                value: clock.airC ?? null,
                unit: '°C',
                min: 40,
                max: 400,
              }
            : null
        }
        onClose={() => setAsked(false)}
        onSave={(airC) => {
          tell('Thermometer in the oven', run.id, { what: 'load told', loadId: clock.id, airC });
          setAsked(false);
        }}
      />
    </View>
  );
}

/** Where it stands in the oven, and that it stands elsewhere. */
function Place({ run, clock }: { readonly run: RunDoc; readonly clock: BakeClock }) {
  const kitchen = useKitchen();
  const line = run.lines.find(({ id }) => id === clock.lineId);
  const other = line ? nextPlace(clock.places, ovenOf(line, kitchen)) : null;
  return (
    <View
      style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', gap: space(1) }}
    >
      <Strong style={{ flex: 1 }}>
        {placeWords(clock.places).replace(/^./, (first) => first.toUpperCase())}
      </Strong>
      {other ? (
        <QuietAction title={`No, ${placeWords([other])}`} onPress={() => standsAt(run, clock, other)} />
      ) : null}
    </View>
  );
}

function Looks({ clock }: { readonly clock: BakeClock }) {
  if (clock.looks.length === 0) return <Small>{`In at ${clockOf(clock.startedAt)}.`}</Small>;
  const looks = clock.looks
    .map((look) => `${clockOf(look.at)} ${look.saw ? SAW[look.saw] : RESULT[look.result]}`)
    .join(', ');
  return <Small>{`In at ${clockOf(clock.startedAt)}. Looks: ${looks}.`}</Small>;
}

/** The time from going in to the latest, with the likely range as a band and now as a needle. */
function RangeBar({ clock, now }: { readonly clock: BakeClock; readonly now: number }) {
  const { sunk, material, ink, carnelian } = useTokens();
  const end = clock.latestS * 1.1;
  const at = (seconds: number) => (Math.min(Math.max(seconds, 0), end) / end) * 100;
  const gone = (now - clock.startedAt) / 1000;
  return (
    <Svg width="100%" height={28} aria-hidden>
      <Rect x="0%" y={8} width="100%" height={12} rx={6} fill={sunk} />
      <Rect x="0%" y={8} width={`${at(gone)}%`} height={12} rx={6} fill={material.batter} />
      <Rect
        x={`${at(clock.firstLookS)}%`}
        y={8}
        width={`${at(clock.latestS) - at(clock.firstLookS)}%`}
        height={12}
        fill={material.crumb}
        opacity={0.75}
      />
      <Line
        x1={`${at(clock.expectedS)}%`}
        x2={`${at(clock.expectedS)}%`}
        y1={4}
        y2={24}
        stroke={ink}
        strokeWidth={2}
      />
      <Line x1={`${at(gone)}%`} x2={`${at(gone)}%`} y1={0} y2={28} stroke={carnelian} strokeWidth={4} />
    </Svg>
  );
}

/** A time that no such load takes: asked about before anything goes by it. */
function Hurried({
  run,
  clock,
  title,
  tookS,
}: {
  readonly run: RunDoc;
  readonly clock: BakeClock;
  readonly title: string;
  readonly tookS: number;
}) {
  return (
    <Card title={title}>
      <Strong>{`Out after ${join(formatDuration(tookS))}?`}</Strong>
      <Body>{`Expected were ${join(formatDuration(clock.expectedS))}. Nothing goes by this time until you say that it is a true one.`}</Body>
      <QuietAction
        title="It was a slip: start this load again"
        onPress={() => takeBack(`Load ${clock.load} again`, run.id, clock.id)}
      />
      <QuietAction
        title="It is true"
        onPress={() =>
          tell(`Load ${clock.load} as timed`, run.id, {
            what: 'load told',
            loadId: clock.id,
            confirmed: true,
          })
        }
      />
    </Card>
  );
}
