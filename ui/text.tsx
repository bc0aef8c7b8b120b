import type { ReactNode } from 'react';
import { Text as PlainText, type StyleProp, type TextStyle } from 'react-native';
import { FONT, useTokens } from './theme';

interface TextProps {
  readonly children: ReactNode;
  readonly style?: StyleProp<TextStyle>;
  readonly soft?: boolean;
  readonly numberOfLines?: number;
}

const SIZES = { 1: [30, 36], 2: [22, 28], 3: [18, 24] } as const;

export function Heading({ children, level = 2, style }: TextProps & { readonly level?: 1 | 2 | 3 }) {
  const { ink } = useTokens();
  const [fontSize, lineHeight] = SIZES[level];
  return (
    <PlainText
      role="heading"
      // Sections stand right under the screen's title, however large they are set.
      aria-level={level === 1 ? 1 : 2}
      style={[{ fontFamily: FONT.serif, fontSize, lineHeight, color: ink, letterSpacing: -0.2 }, style]}
    >
      {children}
    </PlainText>
  );
}

export function Body({ children, style, soft = false, numberOfLines }: TextProps) {
  const { ink, inkSoft } = useTokens();
  return (
    <PlainText
      numberOfLines={numberOfLines}
      style={[
        {
          fontFamily: FONT.sans,
          fontSize: 16,
          lineHeight: 24,
          color: soft ? inkSoft : ink,
          fontVariant: ['tabular-nums'],
        },
        style,
      ]}
    >
      {children}
    </PlainText>
  );
}

/** A small line under or beside a figure. */
export function Small({ children, style, soft = true }: TextProps) {
  return (
    <Body soft={soft} style={[{ fontSize: 14, lineHeight: 20 }, style]}>
      {children}
    </Body>
  );
}

export function Strong({ children, style }: TextProps) {
  return <Body style={[{ fontFamily: FONT.sansStrong }, style]}>{children}</Body>;
}
