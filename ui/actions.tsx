import { StyleSheet, View, useWindowDimensions, type StyleProp, type ViewStyle } from 'react-native';
import { Icon, type IconName } from './icons';
import { Tap } from './tap';
import { Body, Strong } from './text';
import { COLOR, FONT, WIDE, space, useTokens } from './theme';

interface ActionProps {
  readonly title: string;
  readonly onPress: () => void;
  readonly icon?: IconName;
  readonly disabled?: boolean;
  readonly large?: boolean;
  readonly style?: StyleProp<ViewStyle>;
}

/** The one main action of a screen. */
export function MainAction({ title, onPress, icon, disabled, large = false, style }: ActionProps) {
  const { carnelian, onCarnelian } = useTokens();
  const wide = useWindowDimensions().width >= WIDE;
  return (
    <Tap
      onPress={onPress}
      disabled={disabled}
      pressed="ink"
      style={[
        {
          minHeight: large ? 64 : 56,
          borderRadius: 16,
          backgroundColor: carnelian,
          flexDirection: 'row',
          alignItems: 'center',
          gap: space(1),
          paddingHorizontal: space(3),
        },
        wide && STYLES.atDesk,
        style,
      ]}
    >
      {icon ? <Icon name={icon} color={onCarnelian} /> : null}
      <Body
        style={{
          color: onCarnelian,
          fontFamily: FONT.sansStrong,
          fontSize: large ? 20 : 18,
          textAlign: 'center',
        }}
      >
        {title}
      </Body>
    </Tap>
  );
}

/** A lesser action: ink on paper with a line round it. */
export function QuietAction({
  title,
  label,
  onPress,
  icon,
  disabled,
  large = false,
  style,
}: ActionProps & {
  /** What is read out, where the title alone says too little. */
  readonly label?: string;
}) {
  const { ink } = useTokens();
  const wide = useWindowDimensions().width >= WIDE;
  return (
    <Tap
      {...(label === undefined ? {} : { label })}
      onPress={onPress}
      disabled={disabled}
      style={[STYLES.quiet, large && STYLES.large, wide && STYLES.asWide, style]}
    >
      {icon ? <Icon name={icon} color={ink} size={20} /> : null}
      <Strong style={STYLES.centred}>{title}</Strong>
    </Tap>
  );
}

/** One of a few values to take with a tap. */
export function Chip({
  title,
  detail,
  selected,
  onPress,
  label,
  among = 'one',
}: {
  readonly title: string;
  /** One of them is chosen, or any number. */
  readonly among?: 'one' | 'any';
  readonly detail?: string;
  readonly selected: boolean;
  readonly onPress: () => void;
  readonly label?: string;
}) {
  const { line, raised, ink, carnelianSoft, carnelian } = useTokens();
  return (
    <Tap
      role={among === 'one' ? 'radio' : 'checkbox'}
      checked={selected}
      label={label ?? (detail ? `${title}, ${detail}` : title)}
      onPress={onPress}
      style={{
        borderRadius: 12,
        borderWidth: selected ? 2 : 1.5,
        borderColor: selected ? carnelian : line,
        backgroundColor: selected ? carnelianSoft : raised,
        paddingHorizontal: space(2),
        paddingVertical: space(1),
        maxWidth: '100%',
      }}
    >
      <Strong style={{ color: ink }}>{title}</Strong>
      {detail ? (
        <Body soft style={{ fontSize: 14, lineHeight: 18 }}>
          {detail}
        </Body>
      ) : null}
    </Tap>
  );
}

export function Chips({
  children,
  label,
  among = 'one',
}: {
  readonly children: React.ReactNode;
  readonly label: string;
  readonly among?: 'one' | 'any';
}) {
  return (
    <View
      role={among === 'one' ? 'radiogroup' : 'group'}
      aria-label={label}
      style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}
    >
      {children}
    </View>
  );
}

const STYLES = StyleSheet.create({
  quiet: {
    minHeight: 48,
    borderRadius: 14,
    borderWidth: 1.5,
    borderColor: COLOR.line,
    backgroundColor: COLOR.raised,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: space(1),
    paddingHorizontal: space(2),
    paddingVertical: space(0.75),
  },
  large: { minHeight: 64 },
  centred: { textAlign: 'center' },
  /** At a desk a button is as wide as what it says, at the left edge of its column. */
  asWide: { alignSelf: 'flex-start' },
  atDesk: { alignSelf: 'flex-start', minWidth: 280, justifyContent: 'center' },
});
