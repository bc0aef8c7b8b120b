import { View } from 'react-native';
import type { Health, Instrument, InstrumentKind } from '../../core/instruments/reading';
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
          <Reading one={one} text={showText(one.value, '°C', style)} />
        </View>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        <QuietAction
          title={inStyle('Oven to {175 °C}', style)}
          onPress={() => source.deed({ do: 'oven to', settingC: 175 })}
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

/** The scale at a step that portions: a settled weight is taken by a tap on it. */
export function ScaleTap({
  aimG,
  onTake,
}: {
  readonly aimG: number;
  readonly onTake: (massG: number) => void;
}) {
  const { source, all, broken } = useInstruments();
  const style = useNumberStyle();
  const { raised, ink, line } = useTokens();
  const scale = all.get('scale');
  if (!source) return null;
  const trouble = broken || !scale ? 'lost' : scale.health === 'good' ? null : scale.health;
  if (trouble || !scale)
    return (
      <View role="status">
        <Strong>{`Scale: ${TROUBLE[trouble ?? 'lost']}. Weigh by hand, and tap what it showed.`}</Strong>
      </View>
    );
  const settled = scale.settled !== null && scale.settled > 1 ? scale.settled : null;
  const text = showText(settled ?? scale.value, 'g', style);
  return (
    <View style={{ gap: space(1) }}>
      <Tap
        label={settled === null ? `On the scale ${text}, moving` : `On the scale ${text}: take it`}
        onPress={() => {
          if (settled !== null) onTake(Math.round(settled * 10) / 10);
        }}
        style={{
          minHeight: 64,
          paddingHorizontal: space(2),
          flexDirection: 'row',
          alignItems: 'center',
          justifyContent: 'space-between',
          borderRadius: 12,
          borderWidth: settled === null ? 1.5 : 3,
          borderColor: settled === null ? line : ink,
          backgroundColor: raised,
        }}
      >
        <Strong style={{ fontSize: 28, lineHeight: 34 }}>{text}</Strong>
        <Small soft={false}>{settled === null ? 'moving' : 'take it'}</Small>
      </Tap>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        <QuietAction title="Put a piece on" onPress={() => source.deed({ do: 'portion', aimG })} />
        <QuietAction title="Take it off" onPress={() => source.deed({ do: 'take off' })} />
        <QuietAction title="Tare" onPress={() => source.deed({ do: 'tare' })} />
      </View>
    </View>
  );
}
