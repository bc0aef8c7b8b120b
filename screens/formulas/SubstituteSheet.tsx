import { View } from 'react-native';
import { allergenNames } from '../../core/caution/allergens.words';
import { substitutionsFor, type Substitution } from '../../core/formula/substitute';
import { inStyle, type ReadLine } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';

/** What can go in a line's place, each with its sum and what it changes. */
export function Substitutes({
  line,
  onChoose,
}: {
  readonly line: ReadLine;
  readonly onChoose: (substitution: Substitution) => void;
}) {
  const style = useNumberStyle();
  const { line: edge, warn } = useTokens();
  const found = substitutionsFor(line);
  if (found.length === 0) return null;
  const names = (list: Substitution['gains']) => allergenNames(list).join(', ');
  return (
    <View style={{ gap: space(1) }}>
      <Strong>In its place</Strong>
      {found.map((one) => (
        <Tap
          key={one.id}
          label={`${one.title}: put it in its place`}
          onPress={() => onChoose(one)}
          style={{ borderWidth: 1.5, borderColor: edge, borderRadius: 12, padding: space(1.5) }}
        >
          <Strong>{one.title}</Strong>
          {one.sum.map((sum) => (
            <Body key={sum}>{inStyle(sum, style)}</Body>
          ))}
          <Small>{inStyle(one.result, style)}</Small>
          {one.gains.length > 0 ? (
            <Small style={{ color: warn }}>{`Now with ${names(one.gains)}.`}</Small>
          ) : null}
          {one.loses.length > 0 ? <Small>{`Without ${names(one.loses)} from this line.`}</Small> : null}
        </Tap>
      ))}
    </View>
  );
}
