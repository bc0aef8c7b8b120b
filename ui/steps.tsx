import { View } from 'react-native';
import type { ReadStep, StepUse } from '../core/formula';
import { formatNumber, join, show, type NumberStyle } from '../core/quantity';
import { useNumberStyle } from '../state/store';
import { Body, Small, Strong } from './text';
import { space } from './theme';

interface StepsProps {
  readonly steps: readonly ReadStep[];
  /** g of what a step takes, and how many where it is counted; null where that line is not weighed here. */
  readonly amountOf: (use: StepUse) => { readonly massG: number; readonly count: number | null } | null;
}

/** What a step takes of one batch as it is written. */
export const asWritten: StepsProps['amountOf'] = ({ line, share }) => ({
  massG: line.massG * share,
  count: line.whole ? line.whole.count * share : null,
});

function amountWords(
  use: StepUse,
  { massG, count }: { readonly massG: number; readonly count: number | null },
  style: NumberStyle,
): string {
  const name = use.line.called || use.line.name;
  if (count !== null && use.parts === 1 && Math.abs(count - Math.round(count * 2) / 2) < 0.01)
    return `${formatNumber(count, Number.isInteger(count) ? 0 : 1, style.decimal)} ${name}`;
  const mass = (g: number) => join(show(g, 'g', style));
  return use.parts > 1
    ? `${mass(massG)} ${name}: ${use.parts} × ${mass(massG / use.parts)}`
    : `${mass(massG)} ${name}`;
}

function timeWords({ minutes }: ReadStep, style: NumberStyle): string | null {
  if (!minutes) return null;
  const number = (min: number) => {
    const n = min < 1 ? Math.round(min * 60) : min;
    return formatNumber(n, Number.isInteger(n) ? 0 : 1, style.decimal);
  };
  const unit = minutes.high < 1 ? 's' : 'min';
  return minutes.high > minutes.low
    ? `${number(minutes.low)}–${number(minutes.high)} ${unit}`
    : `${number(minutes.low)} ${unit}`;
}

/** The steps as they are written, each with what it takes of this batch, how long, and what ends it. */
export function Steps({ steps, amountOf }: StepsProps) {
  const style = useNumberStyle();
  return (
    <View style={{ gap: space(1) }}>
      {steps.map((step, i) => {
        const amounts = step.uses.flatMap((use) => {
          const amount = amountOf(use);
          return amount === null ? [] : [amountWords(use, amount, style)];
        });
        const time = timeWords(step, style);
        return (
          <View key={`${i} ${step.text}`} style={{ flexDirection: 'row', gap: space(1.5) }}>
            <Strong style={{ width: 20 }}>{String(i + 1)}</Strong>
            <View style={{ flex: 1 }}>
              <Body>{step.text}</Body>
              {amounts.length > 0 ? (
                <View testID="step-amounts">
                  <Small>{amounts.join(', ')}</Small>
                </View>
              ) : null}
              {time || step.until ? <Small>{[time, step.until].filter(Boolean).join(', ')}</Small> : null}
            </View>
          </View>
        );
      })}
    </View>
  );
}
