import type { ReactNode } from 'react';
import { Pressable, type PressableStateCallbackType, type StyleProp, type ViewStyle } from 'react-native';
import { useTokens } from './theme';

export interface TapProps {
  readonly children: ReactNode;
  readonly onPress: () => void;
  readonly label?: string;
  readonly role?: 'button' | 'radio' | 'checkbox' | 'tab' | 'link';
  readonly checked?: boolean;
  readonly selected?: boolean;
  readonly expanded?: boolean;
  readonly disabled?: boolean;
  readonly style?: StyleProp<ViewStyle>;
  readonly pressedColor?: string;
  readonly testID?: string;
}

/** react-native-web also says whether a pointer is on it. */
type WebState = PressableStateCallbackType & { readonly hovered?: boolean };

/** Anything that can be poked with a knuckle: at least 48 px each way, with a ring (drawn by the page's style) when the keyboard is on it. */
export function Tap({
  children,
  onPress,
  label,
  role = 'button',
  checked,
  selected,
  expanded,
  disabled = false,
  style,
  pressedColor,
  testID,
}: TapProps) {
  const { sunk } = useTokens();
  return (
    <Pressable
      role={role}
      testID={testID}
      aria-label={label}
      aria-checked={checked}
      aria-selected={role === 'tab' ? selected : undefined}
      aria-current={role === 'link' && selected ? 'page' : undefined}
      aria-expanded={expanded}
      aria-disabled={disabled || undefined}
      disabled={disabled}
      onPress={onPress}
      style={(state) => {
        const { pressed, hovered } = state as WebState;
        return [
          { minHeight: 48, minWidth: 48, justifyContent: 'center' },
          style,
          hovered && !disabled && { opacity: 0.92 },
          pressed && { backgroundColor: pressedColor ?? sunk },
          disabled && { opacity: 0.45 },
        ];
      }}
    >
      {children}
    </Pressable>
  );
}
