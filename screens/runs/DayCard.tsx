import { View } from 'react-native';
import type { LinePlan } from '../../core/plan';
import { inStyle } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { clockText } from '../../state/time';
import { Card } from '../../ui/card';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';

/** The day reckoned backwards from when the run must be ready. */
export function DayCard({ plan }: { readonly plan: LinePlan }) {
  const { line } = useTokens();
  const style = useNumberStyle();
  if (plan.day.length === 0) return null;
  return (
    <Card title="Backwards from the hour">
      {plan.day.map((step) => (
        <View
          key={step.id}
          style={{
            flexDirection: 'row',
            gap: space(2),
            borderBottomWidth: 1,
            borderBottomColor: line,
            paddingBottom: space(1),
          }}
        >
          <Strong style={{ width: 52 }}>{clockText(step.startAt)}</Strong>
          <View style={{ flex: 1 }}>
            <Body>{step.label}</Body>
            <Small>{inStyle(step.detail, style)}</Small>
          </View>
        </View>
      ))}
      <Small>Latest safe times: baking and cooling are taken at the longer end of their ranges.</Small>
    </Card>
  );
}
