import { View } from 'react-native';
import type { Deed } from '../../core/instruments/littleKitchen';
import {
  DRIFT,
  driftOf,
  type Health,
  type Instrument,
  type InstrumentKind,
} from '../../core/instruments/reading';
import { inStyle, showText } from '../../core/quantity';
import { connect, disconnect, practiceKitchen, useInstruments } from '../../state/instruments';
import { useNumberStyle } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';

const NAMES: Readonly<Record<InstrumentKind, string>> = {
  scale: 'Scale',
  'oven air': 'Air in the oven',
  core: 'Middle of the cake',
  syrup: 'Syrup',
  coat: 'Coat',
  microwave: 'Microwave, left of its burst',
};
const TROUBLE: Readonly<Record<Exclude<Health, 'good'>, string>> = {
  stale: 'a moment old',
  lost: 'lost: nothing is heard of it',
  frozen: 'stuck: the very same figure for long',
  lying: 'cannot be: not believed',
};

/** What instruments say, each with how far it is to be believed; here those of a simulated kitchen, for practice. */
export function Instruments() {
  const { source, all, broken } = useInstruments();
  const style = useNumberStyle();
  const { line } = useTokens();
  if (!source)
    return (
      <QuietAction title="Practise with a scale and probes" onPress={() => connect(practiceKitchen())} />
    );
  const shown = [...all.values()].filter(({ kind }) => kind !== 'scale');
  return (
    <Card title="Practice instruments">
      <Small soft={false}>
        A simulated kitchen, not yours: its oven and its hand have values of their own.
      </Small>
      {broken ? (
        <Strong>The instruments are away. Go on by hand; they come back by themselves.</Strong>
      ) : null}
      {all.size === 0 && !broken ? <Small>Listening.</Small> : null}
      {shown.map((one) => (
        <View
          key={one.id}
          style={{
            flexDirection: 'row',
            gap: space(2),
            borderBottomWidth: 1,
            borderBottomColor: line,
            paddingVertical: space(0.75),
          }}
        >
          <Body style={{ flex: 1 }}>{NAMES[one.kind]}</Body>
          <Reading one={one} text={showText(one.value, one.kind === 'microwave' ? 's' : '°C', style)} />
        </View>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        <QuietAction
          title={inStyle('Oven to {175 °C}', style)}
          onPress={() => source.deed({ do: 'oven to', settingC: 175 })}
        />
        <QuietAction
          title="A mug for 30 s at 800 W"
          onPress={() => source.deed({ do: 'burst', massG: 100, watts: 800, seconds: 30 })}
        />
        <QuietAction title="Put them away" onPress={disconnect} />
      </View>
    </Card>
  );
}

/** A figure, or what is wrong with it in its place: a doubtful figure never stands alone. */
function Reading({ one, text }: { readonly one: Instrument; readonly text: string }) {
  const { broken } = useInstruments();
  if (broken || one.health === 'lost' || one.health === 'lying')
    return <Small soft={false}>{TROUBLE[broken ? 'lost' : (one.health as 'lost' | 'lying')]}</Small>;
  return (
    <View style={{ alignItems: 'flex-end' }}>
      <Strong>{text}</Strong>
      {one.health === 'good' ? null : <Small soft={false}>{TROUBLE[one.health]}</Small>}
    </View>
  );
}

/** The scale at a step that weighs: a settled weight is taken by a tap on it. */
export function ScaleTap({
  put,
  fromG = 0,
  onTake,
}: {
  /** What is put on it at this step, where the scale is that of a kitchen that is only simulated. */
  readonly put: { readonly title: string; readonly deed: Extract<Deed, { do: 'put on' | 'portion' }> };
  /** What the scale shows before, g: left in the bowl and not tared away. */
  readonly fromG?: number;
  readonly onTake: (massG: number) => void;
}) {
  const { source, all, broken } = useInstruments();
  const style = useNumberStyle();
  const scale = all.get('scale');
  if (!source) return null;
  const trouble = broken || !scale ? 'lost' : scale.health === 'good' ? null : scale.health;
  if (trouble || !scale)
    return (
      <View role="status">
        <Strong>{`Scale: ${TROUBLE[trouble ?? 'lost']}. Weigh by hand, and tap what it showed.`}</Strong>
      </View>
    );
  const wantedG = 'aimG' in put.deed ? put.deed.aimG : put.deed.massG;
  // A pinch weighs no more than what a scale drifts by: there only a hand can tell.
  const drift = wantedG > 2 * DRIFT.toG && fromG === 0 ? driftOf(scale) : null;
  const onG = scale.settled === null ? 0 : scale.settled - fromG;
  const settled = drift === null && onG > Math.min(1, wantedG / 2) ? onG : null;
  return (
    <View style={{ gap: space(1) }}>
      <TakeTap
        on="scale"
        text={showText(settled ?? scale.value - fromG, 'g', style)}
        waits={settled === null ? (drift === null ? 'moving' : 'empty') : null}
        onTake={() => {
          if (settled !== null) onTake(Math.round(settled * 10) / 10);
        }}
      />
      {drift === null ? null : (
        <Strong>{`Empty, it shows ${showText(drift, 'g', style)}: it has drifted. Tare it before the next.`}</Strong>
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        <QuietAction title={put.title} onPress={() => source.deed(put.deed)} />
        <QuietAction title="Take it off" onPress={() => source.deed({ do: 'take off' })} />
        <QuietAction title="Tare" onPress={() => source.deed({ do: 'tare' })} />
      </View>
    </View>
  );
}

/** A probe where a temperature is asked for: what it shows is taken by a tap, where it can be believed. */
export function ProbeTap({
  kind,
  onTake,
}: {
  readonly kind: Exclude<InstrumentKind, 'scale' | 'microwave'>;
  readonly onTake: (celsius: number) => void;
}) {
  const { source, all, broken } = useInstruments();
  const style = useNumberStyle();
  if (!source) return null;
  const probe = [...all.values()].find((one) => one.kind === kind);
  const trouble = broken || !probe ? 'lost' : probe.health === 'good' ? null : probe.health;
  if (trouble || !probe)
    return (
      <Strong>{`${NAMES[kind]}: ${TROUBLE[trouble ?? 'lost']}. Go by eye, or write what it shows.`}</Strong>
    );
  return (
    <TakeTap
      on="probe"
      beside={NAMES[kind]}
      text={showText(probe.value, '°C', style)}
      waits={null}
      onTake={() => onTake(Math.round(probe.value * 10) / 10)}
    />
  );
}

/** A reading as large as a thumb: taken by a tap, or with what it waits for. */
function TakeTap({
  on,
  beside,
  text,
  waits,
  onTake,
}: {
  readonly on: 'scale' | 'probe';
  /** What it is in, where that has to be said. */
  readonly beside?: string;
  readonly text: string;
  readonly waits: string | null;
  readonly onTake: () => void;
}) {
  const { raised, ink, line } = useTokens();
  return (
    <Tap
      label={waits === null ? `On the ${on} ${text}: take it` : `On the ${on} ${text}, ${waits}`}
      onPress={onTake}
      style={{
        minHeight: 64,
        paddingHorizontal: space(2),
        flexDirection: 'row',
        alignItems: 'center',
        justifyContent: 'space-between',
        borderRadius: 12,
        borderWidth: waits === null ? 3 : 1.5,
        borderColor: waits === null ? ink : line,
        backgroundColor: raised,
      }}
    >
      <Strong style={{ fontSize: 28, lineHeight: 34 }}>{text}</Strong>
      <Small soft={false}>{[beside, waits ?? 'take it'].filter(Boolean).join(': ')}</Small>
    </Tap>
  );
}
