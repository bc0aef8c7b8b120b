import type { ReactNode } from 'react';
import { ScrollView, View, useWindowDimensions, type ViewStyle } from 'react-native';
import { Modal, Portal } from 'react-native-paper';
import { Icon } from './icons';
import { Tap } from './tap';
import { Heading } from './text';
import { WIDE, space, useTokens } from './theme';
import { useDialogKeys } from './useDialogKeys';

/** The sheet itself takes the focus only to hold it: no ring round the whole of it. */
const NO_RING = { outlineStyle: 'none' } as unknown as ViewStyle;

/** A sheet over the screen: from below on a phone, at the side of a wide screen. Closes by the cross, outside, or Escape. */
export function Sheet(props: SheetProps) {
  // A screen holds dozens of sheets; a closed one must cost nothing.
  return props.visible ? <OpenSheet {...props} /> : null;
}

interface SheetProps {
  readonly title: string;
  readonly visible: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

function OpenSheet({ title, visible, onClose, children }: SheetProps) {
  const { raised, ink } = useTokens();
  const { width, height } = useWindowDimensions();
  const wide = width >= WIDE;
  const dialog = useDialogKeys(visible, onClose);
  return (
    <Portal>
      <Modal
        visible={visible}
        onDismiss={onClose}
        contentContainerStyle={{
          backgroundColor: raised,
          borderRadius: 22,
          ...(wide ? {} : { borderBottomLeftRadius: 0, borderBottomRightRadius: 0 }),
          maxHeight: height * 0.9,
          width: wide ? 460 : width,
          alignSelf: wide ? 'flex-end' : 'center',
          marginRight: wide ? 24 : 0,
        }}
        style={{ justifyContent: wide ? 'center' : 'flex-end', marginTop: 0, marginBottom: 0 }}
      >
        <View
          ref={dialog}
          role="dialog"
          aria-modal
          aria-label={title}
          tabIndex={-1}
          style={[{ maxHeight: height * 0.9 }, NO_RING]}
        >
          <View
            style={{
              flexDirection: 'row',
              alignItems: 'center',
              justifyContent: 'space-between',
              paddingLeft: space(3),
              paddingRight: space(1),
              paddingTop: space(1),
            }}
          >
            <Heading level={2} style={{ flex: 1 }}>
              {title}
            </Heading>
            <Tap label="Close" onPress={onClose} style={{ alignItems: 'center' }}>
              <Icon name="close" color={ink} />
            </Tap>
          </View>
          <ScrollView contentContainerStyle={{ padding: space(3), paddingTop: space(1), gap: space(2) }}>
            {children}
          </ScrollView>
        </View>
      </Modal>
    </Portal>
  );
}
