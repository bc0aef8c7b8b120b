import type { ComponentType, ReactNode } from 'react';
import { StyleSheet, View, type StyleProp, type ViewProps, type ViewStyle } from 'react-native';

export interface TapProps {
  readonly children: ReactNode;
  readonly onPress: () => void;
  readonly label?: string;
  readonly role?: 'button' | 'radio' | 'checkbox' | 'tab' | 'link';
  readonly checked?: boolean;
  readonly selected?: boolean;
  readonly expanded?: boolean;
  readonly disabled?: boolean;
  /** For what has another way by keyboard and by ear, such as the shade behind a sheet. */
  readonly pointerOnly?: boolean;
  readonly style?: StyleProp<ViewStyle>;
  /** How it answers a finger: the main action darkens to ink, everything else sinks. */
  readonly pressed?: 'ink' | 'sunk';
  readonly testID?: string;
}

/** What react-native-web knows of a View besides: attributes for the page's own style. */
type WebProps = ViewProps & {
  readonly dataSet?: Readonly<Record<string, string>>;
  readonly onClick?: (event: { readonly stopPropagation: () => void }) => void;
  readonly onKeyDown?: (event: Key) => void;
};
const WebView = View as ComponentType<WebProps>;

/**
 * Anything that can be poked with a knuckle: at least 48 px each way, with a ring when the keyboard is on it. A plain
 * View and the page's style (public/index.html) rather than a Pressable: a keypad is drawn in half the time.
 */
export function Tap({
  children,
  onPress,
  label,
  role = 'button',
  checked,
  selected,
  expanded,
  disabled = false,
  pointerOnly = false,
  style,
  pressed = 'sunk',
  testID,
}: TapProps) {
  return (
    <WebView
      role={role}
      testID={testID}
      aria-label={label}
      aria-checked={checked}
      aria-selected={role === 'tab' ? selected : undefined}
      aria-current={role === 'link' && selected ? 'page' : undefined}
      aria-expanded={expanded}
      aria-disabled={disabled || undefined}
      aria-hidden={pointerOnly || undefined}
      tabIndex={disabled || pointerOnly ? -1 : 0}
      dataSet={disabled ? undefined : DATA[pressed]}
      onClick={
        disabled
          ? undefined
          : (event) => {
              event.stopPropagation();
              onPress();
            }
      }
      // A real button answers Enter and Space by itself.
      onKeyDown={role === 'button' || disabled ? undefined : (event) => pressByKey(event, onPress)}
      style={[STYLES.tap, style, disabled && STYLES.disabled]}
    >
      {children}
    </WebView>
  );
}

const DATA = { ink: { tap: 'ink' }, sunk: { tap: 'sunk' } } as const;

const STYLES = StyleSheet.create({
  tap: {
    minHeight: 48,
    minWidth: 48,
    justifyContent: 'center',
    cursor: 'pointer',
    userSelect: 'none',
  },
  disabled: { opacity: 0.45, cursor: 'auto' },
});

interface Key {
  readonly nativeEvent: { readonly key: string };
  readonly preventDefault: () => void;
}

function pressByKey(event: Key, onPress: () => void): void {
  if (event.nativeEvent.key !== 'Enter' && event.nativeEvent.key !== ' ') return;
  event.preventDefault();
  onPress();
}
