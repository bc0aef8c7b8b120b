import { View } from 'react-native';
import type { LinePlan } from '../../core/plan';
import { dayOf, type TimedStep } from '../../core/schedule/day';
import { inStyle } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { clockText } from '../../state/time';
import { Card } from '../../ui/card';
import { WhyTap } from '../../ui/figure';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';

interface DayProps {
  readonly runId: string;
  readonly plan: LinePlan;
}

/** The day reckoned backwards from when the run must be ready. */
export function DayCard({ runId, plan }: DayProps) {
  const { steps } = dayOf(plan);
  if (steps.length === 0) return null;
  return (
    <Card title="Backwards from the hour">
      {steps.map((step) => (
        <StepRow key={step.id} runId={runId} plan={plan} step={step} />
      ))}
      <Small>Latest safe times: baking and cooling are taken at the longer end of their ranges.</Small>
    </Card>
  );
}

/** One step of the day at its hour. A tap says where its length comes from. */
export function StepRow({ runId, plan, step }: DayProps & { readonly step: TimedStep }) {
  const { line } = useTokens();
  const style = useNumberStyle();
  const at = clockText(step.startAt);
  return (
    <WhyTap runId={runId} lineId={plan.line.id} figureId={step.figureId} label={`${at} ${step.label}`}>
      <View
        style={{
          flexDirection: 'row',
          gap: space(2),
          borderBottomWidth: 1,
          borderBottomColor: line,
          paddingBottom: space(1),
        }}
      >
        <Strong style={{ width: 52 }}>{at}</Strong>
        <View style={{ flex: 1 }}>
          <Body>{step.label}</Body>
          <Small>{inStyle(step.detail, style)}</Small>
        </View>
      </View>
    </WhyTap>
  );
}
