import { clocksIn } from '../../core/bench/clocksIn';
import { usePathname, useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { View, useWindowDimensions } from 'react-native';
import { runsIn } from '../../state/documents';
import { useNewVersion } from '../../state/offline';
import { useDocuments } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { PartMissing } from '../../ui/guard';
import { Notice } from '../../ui/notice';
import { WhySheet } from '../../ui/whySheet';
import { Icon } from '../../ui/icons';
import { Tap } from '../../ui/tap';
import { Small } from '../../ui/text';
import { FONT, WIDE, space, useTokens } from '../../ui/theme';
import { BringIn } from '../exchange/BringIn';
import { ClockStrip } from './ClockStrip';
import { PLACES } from './places';
import { SaveFault } from './SaveFault';
import { Shortcuts } from './Shortcuts';

export function Shell({
  missing,
  children,
}: {
  /** The rest of the app could not be loaded. */
  readonly missing: boolean;
  readonly children: ReactNode;
}) {
  const { width } = useWindowDimensions();
  const { ground } = useTokens();
  const wide = width >= WIDE;
  return (
    <View style={{ flex: 1, backgroundColor: ground, flexDirection: wide ? 'row' : 'column' }}>
      {wide ? <Places wide /> : null}
      <View role="main" style={{ flex: 1, minHeight: 0 }}>
        <SaveFault />
        {missing ? <PartMissing /> : null}
        <NewVersion />
        {wide ? <ClockStrip /> : null}
        {children}
      </View>
      {wide ? null : <ClockStrip />}
      {wide ? null : <Places wide={false} />}
      <WhySheet />
      <BringIn />
      <Shortcuts />
    </View>
  );
}

/** A newer version is offered where nothing is in the oven, and waits for as long as somebody likes. */
function NewVersion() {
  const take = useNewVersion((state) => state.take);
  const baking = useDocuments((state) =>
    runsIn(state.docs).some((run) => clocksIn(run).some(({ endedAt }) => endedAt === null)),
  );
  if (take === null || baking) return null;
  return (
    <View style={{ padding: space(1), gap: space(1) }}>
      <Notice
        fault="A newer Carnelian is here."
        mend="It takes its place when you load it; what you wrote is kept."
      />
      <QuietAction title="Load it now" onPress={take} />
    </View>
  );
}

function Places({ wide }: { readonly wide: boolean }) {
  const path = usePathname();
  const router = useRouter();
  const { raised, carnelian, inkSoft, line, carnelianSoft } = useTokens();
  const here = PLACES.find((place) => path.startsWith(place.path)) ?? PLACES[0];
  return (
    <View
      role="navigation"
      aria-label="Places"
      style={
        wide
          ? {
              width: 96,
              paddingVertical: space(2),
              gap: space(1),
              alignItems: 'center',
              borderRightWidth: 1,
              borderRightColor: line,
            }
          : {
              flexDirection: 'row',
              backgroundColor: raised,
              borderTopWidth: 1,
              borderTopColor: line,
              paddingHorizontal: space(0.5),
            }
      }
    >
      {PLACES.map((place) => {
        const selected = place === here;
        return (
          <Tap
            key={place.name}
            role="link"
            selected={selected}
            label={place.name}
            onPress={() => router.navigate(place.href)}
            style={{
              flex: wide ? undefined : 1,
              width: wide ? 84 : undefined,
              minHeight: 60,
              alignItems: 'center',
              borderRadius: 14,
              paddingVertical: 4,
            }}
          >
            {/* A band over the place one stands in. */}
            <View
              style={{
                paddingHorizontal: space(2),
                paddingVertical: 3,
                borderRadius: 10,
                backgroundColor: selected ? carnelianSoft : undefined,
              }}
            >
              <Icon name={place.icon} color={selected ? carnelian : inkSoft} />
            </View>
            <Small style={selected ? { color: carnelian, fontFamily: FONT.sansStrong } : undefined}>
              {place.name}
            </Small>
          </Tap>
        );
      })}
    </View>
  );
}
