import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { inStyle } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { Icon } from '../../ui/icons';
import { Tap } from '../../ui/tap';
import { Small } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';

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
