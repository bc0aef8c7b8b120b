import { View } from 'react-native';
import { FONT, space, useTokens } from './theme';
import { Tap } from './tap';
import { Small } from './text';

/** Views beside each other as one banded strip. */
export function BandTabs<K extends string>({
  label,
  tabs,
  at,
  onGo,
  inOrder = false,
}: {
  readonly label: string;
  readonly tabs: readonly { readonly id: K; readonly name: string }[];
  readonly at: K;
  readonly onGo: (id: K) => void;
  /** They follow one another: what lies before the open one is coloured with it. */
  readonly inOrder?: boolean;
}) {
  const { carnelian, line, inkSoft, ink } = useTokens();
  const open = tabs.findIndex(({ id }) => id === at);
  return (
    <View role="tablist" aria-label={label} style={{ flexDirection: 'row', gap: 3 }}>
      {tabs.map(({ id, name }, i) => {
        const here = i === open;
        return (
          <Tap
            key={id}
            role="tab"
            selected={here}
            label={name}
            onPress={() => onGo(id)}
            style={{ flex: 1, alignItems: 'center', gap: 4 }}
          >
            <Small
              style={{
                color: here ? ink : inkSoft,
                fontFamily: here ? FONT.sansStrong : FONT.sans,
                fontSize: 15,
              }}
            >
              {name}
            </Small>
            <View
              style={{
                height: here ? 6 : 3,
                width: '100%',
                borderRadius: 3,
                backgroundColor: here || (inOrder && i < open) ? carnelian : line,
                marginTop: space(0.5),
              }}
            />
          </Tap>
        );
      })}
    </View>
  );
}
