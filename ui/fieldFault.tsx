import { View } from 'react-native';
import { Strong } from './text';
import { useTokens } from './theme';

/** What is wrong with a field, right under it; nothing where nothing is. */
export function FieldFault({ words }: { readonly words: string | null }) {
  const { carnelian } = useTokens();
  if (words === null) return null;
  return (
    <View role="alert">
      <Strong style={{ color: carnelian }}>{words}</Strong>
    </View>
  );
}
