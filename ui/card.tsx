import type { ReactNode } from 'react';
import { StyleSheet, View, type StyleProp, type ViewStyle } from 'react-native';
import { Guard } from './guard';
import { Heading } from './text';
import { COLOR, space, useTokens } from './theme';

/** A section of a screen, set off by a band at its top rather than by a box. */
export function Card({
  title,
  children,
  style,
}: {
  readonly title?: string;
  readonly children: ReactNode;
  readonly style?: StyleProp<ViewStyle>;
}) {
  return (
    <View style={[STYLES.card, style]} {...FAR}>
      {title ? <Heading level={3}>{title}</Heading> : null}
      <Guard what={title ? `“${title}”` : 'This part'} resetKeys={[children]}>
        {children}
      </Guard>
    </View>
  );
}

/** The page leaves a card alone that is scrolled out of sight. */
const FAR = { dataSet: { card: '' } };

const STYLES = StyleSheet.create({
  card: { backgroundColor: COLOR.raised, borderRadius: 18, padding: space(2.5), gap: space(1.5) },
});

/** The house's mark: a stone cut through, its bands one over another. */
export function StoneBands({ height = 6 }: { readonly height?: number }) {
  const { carnelian, material } = useTokens();
  const bands = [
    [carnelian, 5],
    [material.batter, 2],
    [material.crumb, 3],
    [material.ingredient, 1],
    [carnelian, 2],
  ] as const;
  return (
    <View aria-hidden style={{ flexDirection: 'row', height, borderRadius: height / 2, overflow: 'hidden' }}>
      {bands.map(([color, share], i) => (
        <View key={i} style={{ flex: share, backgroundColor: color }} />
      ))}
    </View>
  );
}
