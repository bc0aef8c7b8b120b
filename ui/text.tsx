import type { ReactNode } from 'react';
import { StyleSheet, Text as PlainText, type StyleProp, type TextStyle } from 'react-native';
import { COLOR, FONT } from './theme';

interface TextProps {
  readonly children: ReactNode;
  readonly style?: StyleProp<TextStyle>;
  readonly soft?: boolean;
  readonly numberOfLines?: number;
}

export function Heading({
  children,
  level = 2,
  style,
  numberOfLines,
}: TextProps & { readonly level?: 1 | 2 | 3 }) {
  return (
    <PlainText
      role="heading"
      numberOfLines={numberOfLines}
      // Sections stand right under the screen's title, however large they are set.
      aria-level={level === 1 ? 1 : 2}
      style={[STYLES.heading, HEADINGS[level], style]}
    >
      {children}
    </PlainText>
  );
}

export function Body({ children, style, soft = false, numberOfLines }: TextProps) {
  return (
    <PlainText numberOfLines={numberOfLines} style={[STYLES.body, soft && STYLES.soft, style]}>
      {children}
    </PlainText>
  );
}

/** A small line under or beside a figure. */
export function Small({ children, style, soft = true, numberOfLines }: TextProps) {
  return (
    <Body soft={soft} numberOfLines={numberOfLines} style={[STYLES.small, style]}>
      {children}
    </Body>
  );
}

export function Strong({ children, style }: TextProps) {
  return <Body style={[STYLES.strong, style]}>{children}</Body>;
}

// Classes once and for all, with the theme's colours as the page's own variables: text is most of what is drawn.
const STYLES = StyleSheet.create({
  heading: { fontFamily: FONT.serif, color: COLOR.ink, letterSpacing: -0.2 },
  body: {
    fontFamily: FONT.sans,
    fontSize: 16,
    lineHeight: 24,
    color: COLOR.ink,
    fontVariant: ['tabular-nums'],
  },
  soft: { color: COLOR.inkSoft },
  small: { fontSize: 14, lineHeight: 20 },
  strong: { fontFamily: FONT.sansStrong },
});

const HEADINGS = StyleSheet.create({
  1: { fontSize: 30, lineHeight: 36 },
  2: { fontSize: 22, lineHeight: 28 },
  3: { fontSize: 18, lineHeight: 24 },
});
