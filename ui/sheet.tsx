import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View, useWindowDimensions, type ViewStyle } from 'react-native';
import { Portal } from 'react-native-paper';
import { Icon } from './icons';
import { Tap } from './tap';
import { Heading } from './text';
import { WIDE, space, useTokens } from './theme';
import { useDialogFocus } from './useDialogFocus';

/** The sheet itself takes the focus only to hold it: no ring round the whole of it. */
const NO_RING = { outlineStyle: 'none' } as unknown as ViewStyle;

/** A sheet over the screen: from below on a phone, at the side of a wide screen. Closes by the cross, outside, or Escape. */
export function Sheet(props: SheetProps) {
  // A screen holds dozens of sheets; a closed one must cost nothing.
  return props.visible ? (
    <Portal>
      <OpenSheet {...props} />
    </Portal>
  ) : null;
}

interface SheetProps {
  readonly title: string;
  readonly visible: boolean;
  readonly onClose: () => void;
  /** Wide enough for two columns, where the screen is. */
  readonly broad?: boolean;
  readonly children: ReactNode;
}

function OpenSheet({ title, onClose, broad, children }: SheetProps) {
  const { raised, ink } = useTokens();
  const { width, height } = useWindowDimensions();
  const wide = width >= WIDE;
  const dialog = useDialogFocus(onClose);
  return (
    <View style={[STYLES.over, wide ? STYLES.atSide : STYLES.atFoot]}>
      <Tap label="Close the sheet" onPress={onClose} pointerOnly style={STYLES.shade}>
        {null}
      </Tap>
      <View
        ref={dialog}
        role="dialog"
        aria-modal
        aria-label={title}
        tabIndex={-1}
        style={[
          wide ? STYLES.side : STYLES.foot,
          wide && broad ? STYLES.broad : null,
          { backgroundColor: raised, maxHeight: height * 0.9 },
          NO_RING,
        ]}
      >
        <View style={STYLES.head}>
          <Heading level={2} style={STYLES.title}>
            {title}
          </Heading>
          <Tap label="Close" onPress={onClose} style={STYLES.close}>
            <Icon name="close" color={ink} />
          </Tap>
        </View>
        <ScrollView contentContainerStyle={STYLES.body}>{children}</ScrollView>
      </View>
    </View>
  );
}

/** What a sheet is for, kept under the thumb however long the sheet is. Its last child. */
export function SheetFoot({ children }: { readonly children: ReactNode }) {
  const { raised } = useTokens();
  return <View style={[STYLES.sticks, STUCK, { backgroundColor: raised }]}>{children}</View>;
}

/** Only the browser knows it. */
const STUCK = { position: 'sticky' } as unknown as ViewStyle;

const STYLES = StyleSheet.create({
  sticks: { bottom: 0, paddingTop: space(1), paddingBottom: space(3), marginBottom: -space(3) },
  over: { ...StyleSheet.absoluteFill },
  atFoot: { justifyContent: 'flex-end' },
  atSide: { justifyContent: 'center', alignItems: 'flex-end' },
  shade: { ...StyleSheet.absoluteFill, backgroundColor: 'rgba(27, 19, 14, 0.45)' },
  foot: { width: '100%', borderTopLeftRadius: 22, borderTopRightRadius: 22 },
  side: { width: 460, marginRight: 24, borderRadius: 22 },
  broad: { width: 1060 },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    paddingLeft: space(3),
    paddingRight: space(1),
    paddingTop: space(1),
  },
  title: { flex: 1 },
  close: { alignItems: 'center' },
  body: { padding: space(3), paddingTop: space(1), gap: space(2) },
});
