import { View } from 'react-native';
import type { RunDoc } from '../../../core/model/documents';
import type { EggChoice, LinePlan } from '../../../core/plan';
import { formatNumber, showText } from '../../../core/quantity';
import { useNumberStyle } from '../../../state/store';
import { Card } from '../../../ui/card';
import { FigureRow, FigureView, WhyTap } from '../../../ui/figure';
import { Strata } from '../../../ui/strata';
import { Small, Strong } from '../../../ui/text';
import { space, useTokens } from '../../../ui/theme';
import { WeighIn } from './SectionCard';

interface Part {
  readonly run: RunDoc;
  readonly plan: LinePlan;
}

/** The bowl: what is in it, how eggs change it, the chain of grams, and the weigh-in. */
export function BatterCard({ run, plan, strata }: Part & { readonly strata: boolean }) {
  const of = { runId: run.id, lineId: plan.line.id };
  const style = useNumberStyle();
  const mixed = plan.figure('batter.mixed');
  const eggs = eggsOf(plan);
  return (
    <Card title="The batter">
      <FigureView {...of} figure={mixed} size="hero" label="In the bowl" />
      {mixed.expected ? <PinWords plan={plan} /> : null}
      {plan.has('batter.own') ? (
        <FigureRow {...of} figure={plan.figure('batter.own')} label="Of it, for this line" />
      ) : null}
      <FigureRow {...of} figure={plan.figure('scale.used')} label="Times the formula" />
      {eggs ? (
        <WhyTap {...of} figureId="eggs.used" label="Eggs kept whole">
          <Small>{eggWords(eggs, style.decimal)}</Small>
        </WhyTap>
      ) : null}
      {strata ? <Strata plan={plan} runId={run.id} /> : null}
      <WeighIn
        run={run}
        plan={plan}
        figureId="batter.mixed"
        title="Weighed the bowl"
        hint="The full bowl less the empty one."
      />
    </Card>
  );
}

const eggsOf = (plan: LinePlan): EggChoice | null =>
  plan.batches.find(({ mixedId }) => mixedId === 'batter.mixed')?.eggs ?? null;

/** What keeping eggs whole does, in a sentence. */
function eggWords(eggs: EggChoice, decimal: '.' | ','): string {
  const exact = formatNumber(
    eggs.exact,
    Math.abs(eggs.exact - Math.round(eggs.exact)) < 0.05 ? 2 : 1,
    decimal,
  );
  const change = Math.abs(eggs.used / eggs.exact - 1) * 100;
  const percent = formatNumber(change, change < 10 ? 1 : 0, decimal);
  const number = (n: number) => `${n} ${n === 1 ? 'egg' : 'eggs'}`;
  switch (eggs.mode) {
    case 'weigh':
      return `${exact} eggs, beaten and weighed: nothing is rounded.`;
    case 'nearest':
      return `${exact} eggs become ${number(eggs.used)}, ${percent} % ${eggs.used >= eggs.exact ? 'more' : 'less'} egg. The rest stays exact.`;
    case 'follow':
      return change < 0.05
        ? `Comes out at ${number(eggs.used)} exactly.`
        : `${exact} eggs become ${number(eggs.used)}, and everything else goes up ${percent} % with them.`;
  }
}

/** Surplus or shortfall against what was wanted, in grams and in pieces. */
function PinWords({ plan }: { readonly plan: LinePlan }) {
  const style = useNumberStyle();
  const { goodSoft, good, warnSoft, warn } = useTokens();
  const mixed = plan.figure('batter.mixed');
  const off = mixed.value - (mixed.expected?.value ?? mixed.value);
  const allows = plan.has('count.batter')
    ? plan.figure('count.batter').value
    : plan.figure('count.made').value;
  const wanted = plan.line.count;
  const short = plan.remainder.shortG > 0;
  const against = `${showText(Math.abs(off), 'g', style)} ${off >= 0 ? 'more' : 'less'} than planned.`;
  const pieces = short
    ? `${showText(plan.remainder.shortG, 'g', style)} short for ${wanted}: it fills ${allows}, ${wanted - allows} fewer.`
    : `Enough for ${allows}: ${allows - wanted} more than wanted, ${showText(plan.remainder.leftG, 'g', style)} over.`;
  return (
    <View
      style={{ backgroundColor: short ? warnSoft : goodSoft, borderRadius: 12, padding: space(1.5) }}
      testID="pin-words"
    >
      <Strong style={{ color: short ? warn : good }}>{pieces}</Strong>
      <Small style={{ color: short ? warn : good }}>{against}</Small>
    </View>
  );
}
