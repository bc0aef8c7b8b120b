import { View } from 'react-native';
import type { Fault } from '../core/quantity';
import { Icon } from './icons';
import { Small, Strong } from './text';
import { space, useTokens } from './theme';

/** A plain warning: what is so, and what to do about it. */
export function Notice({ fault, mend }: Fault) {
  const { warnSoft, warn } = useTokens();
  return (
    <View
      role="note"
      style={{
        flexDirection: 'row',
        gap: space(1.5),
        backgroundColor: warnSoft,
        borderRadius: 12,
        padding: space(1.5),
      }}
    >
      <Icon name="warn" color={warn} />
      <View style={{ flex: 1 }}>
        <Strong style={{ color: warn }}>{fault}</Strong>
        <Small style={{ color: warn }}>{mend}</Small>
      </View>
    </View>
  );
}
