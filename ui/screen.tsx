import { Children, type ReactNode } from 'react';
import { ScrollView, View, useWindowDimensions } from 'react-native';
import { useDocuments } from '../state/store';
import { StoneBands } from './card';
import { Icon, type IconName } from './icons';
import { Tap } from './tap';
import { Heading, Small } from './text';
import { WIDE, space, useTokens } from './theme';

/** Letters of a title from which on it is set smaller. */
const LONG_TITLE = 32;
const LONG = { fontSize: 22, lineHeight: 28 } as const;

export const useWide = (): boolean => useWindowDimensions().width >= WIDE;

interface ScreenProps {
  readonly title: string;
  /** A line under the title. */
  readonly under?: string;
  readonly onBack?: () => void;
  readonly actions?: ReactNode;
  /** Under the title and above the scroll, such as the stages of a run. */
  readonly band?: ReactNode;
  /** Stays at the bottom, in the thumb's reach. */
  readonly foot?: ReactNode;
  readonly children: ReactNode;
  /** Only to be read: the keyboard must reach it to scroll. */
  readonly reading?: boolean;
  /** Let the work take the whole width, for two columns side by side. */
  readonly broad?: boolean;
  /** Stands to the right of the work where there is room. */
  readonly beside?: ReactNode;
  /** What was changed stands there already, the figures that follow from it do not yet. */
  readonly busy?: boolean;
}

/** The frame of every screen: title, undo, the work, and the main action at the thumb. */
export function Screen({
  title,
  under,
  onBack,
  actions,
  band,
  foot,
  children,
  broad = false,
  reading = false,
  beside,
  busy = false,
}: ScreenProps) {
  const wide = useWide();
  const { ground, line } = useTokens();
  return (
    <View style={{ flex: 1, minHeight: 0 }}>
      <View
        style={{ paddingHorizontal: space(wide ? 4 : 2), paddingTop: space(wide ? 3 : 1.5), gap: space(1) }}
      >
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: space(0.5) }}>
          {onBack ? <IconTap name="back" label="Back" onPress={onBack} /> : null}
          <View style={{ flex: 1 }}>
            {/* A long name is set smaller, so that the work keeps its place. */}
            <Heading level={1} numberOfLines={3} style={title.length > LONG_TITLE ? LONG : undefined}>
              {title}
            </Heading>
            {under ? <Small>{under}</Small> : null}
          </View>
          {actions}
          <Undo />
        </View>
        {band ?? <StoneBands />}
      </View>
      <View aria-busy={busy} style={{ flex: 1, minHeight: 0, flexDirection: 'row' }}>
        <ScrollView
          {...(reading ? { tabIndex: 0 as const, 'aria-label': title } : {})}
          style={{ flex: 1 }}
          contentContainerStyle={{
            paddingHorizontal: space(wide ? 4 : 2),
            paddingTop: space(2),
            paddingBottom: space(4),
            gap: space(2),
            maxWidth: broad ? 1180 : 760,
            width: '100%',
          }}
        >
          {children}
        </ScrollView>
        {beside ? (
          <ScrollView
            tabIndex={0}
            role="region"
            aria-label="Drawing and sums"
            style={{ width: 400, flexGrow: 0, borderLeftWidth: 1, borderLeftColor: line }}
            contentContainerStyle={{ padding: space(3), gap: space(2) }}
          >
            {beside}
          </ScrollView>
        ) : null}
      </View>
      {foot ? (
        <View
          style={{
            paddingHorizontal: space(wide ? 4 : 2),
            paddingVertical: space(1),
            backgroundColor: ground,
            borderTopWidth: 1,
            borderTopColor: line,
            gap: space(1),
          }}
        >
          <View style={wide ? { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) } : { gap: space(1) }}>
            {foot}
          </View>
        </View>
      ) : null}
    </View>
  );
}

/** Cards one under another; where there is room, two beside each other. */
export function Columns({ children }: { readonly children: ReactNode }) {
  const wide = useWide();
  if (!wide) return children;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(2), alignItems: 'flex-start' }}>
      {Children.toArray(children).map((child, i) => (
        <View key={i} style={{ flexBasis: 400, flexGrow: 1, maxWidth: 580 }}>
          {child}
        </View>
      ))}
    </View>
  );
}

export function IconTap({
  name,
  label,
  onPress,
  disabled,
}: {
  readonly name: IconName;
  readonly label: string;
  readonly onPress: () => void;
  readonly disabled?: boolean;
}) {
  const { ink } = useTokens();
  return (
    <Tap
      label={label}
      onPress={onPress}
      disabled={disabled}
      style={{ alignItems: 'center', borderRadius: 24 }}
    >
      <Icon name={name} color={ink} />
    </Tap>
  );
}

/** Takes back the last change, whatever it was, and says which. */
function Undo() {
  const last = useDocuments((state) => state.undoable.at(-1));
  const undo = useDocuments((state) => state.undo);
  return (
    <IconTap
      name="undo"
      label={last ? `Undo: ${last.label}` : 'Nothing to undo'}
      disabled={!last}
      onPress={undo}
    />
  );
}
