import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { inStyle, type Fault } from '../core/quantity';
import { useNumberStyle } from '../state/store';
import { Icon } from './icons';
import { Tap } from './tap';
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

/** A caution at the step where it applies; a tap says what it rests on, and who decides. */
export function CautionLine({ words }: { readonly words: string }) {
  const router = useRouter();
  const style = useNumberStyle();
  const { line, inkSoft } = useTokens();
  const text = inStyle(words, style);
  return (
    <Tap
      role="link"
      label={`${text} What this rests on`}
      onPress={() => router.navigate('/cautions')}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: space(1),
        borderLeftWidth: 4,
        borderLeftColor: line,
        paddingLeft: space(1.5),
      }}
    >
      <View style={{ flex: 1 }}>
        <Small>{text}</Small>
      </View>
      <Icon name="next" color={inkSoft} size={18} />
    </Tap>
  );
}
