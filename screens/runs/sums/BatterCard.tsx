import { View } from 'react-native';
import type { Figure } from '../../../core/figure';
import type { RunDoc } from '../../../core/model/documents';
import type { EggChoice, LinePlan, Parts } from '../../../core/plan';
import { formatNumber, showText, counted, plural } from '../../../core/quantity';
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
type Bowl = NonNullable<Parts['bowl']>;

/** The bowl: what is in it, how eggs change it, the chain of grams, and the weigh-in. */
export function BatterCard({
  run,
  plan,
  bowl,
  strata,
}: Part & { readonly bowl: Bowl; readonly strata: boolean }) {
  const of = { runId: run.id, lineId: plan.line.id };
  const style = useNumberStyle();
  const mixed = plan.figure(bowl.mixed.id);
  const { eggs, eggsUsed } = bowl;
  return (
    <Card title="The batter">
      <FigureView {...of} figure={mixed} size="hero" label="In the bowl" />
      {mixed.expected ? <PinWords plan={plan} mixed={mixed} /> : null}
      {bowl.shared ? (
        <FigureRow {...of} figure={plan.figure(bowl.own.id)} label="Of it, for this line" />
      ) : null}
      <FigureRow {...of} figure={plan.figure(bowl.scale.id)} label="Times the formula" />
      {eggs && eggsUsed ? (
        <WhyTap {...of} figureId={eggsUsed.id} label={`Kept whole: ${plural(eggs.one, 2)}`}>
          <Small>{eggWords(eggs, style.decimal)}</Small>
        </WhyTap>
      ) : null}
      {strata ? <Strata plan={plan} runId={run.id} /> : null}
      <WeighIn
        run={run}
        plan={plan}
        figureId={bowl.mixed.id}
        title="Weighed the bowl"
        hint="The full bowl less the empty one."
      />
    </Card>
  );
}

/** What keeping eggs whole does, in a sentence. */
function eggWords(eggs: EggChoice, decimal: '.' | ','): string {
  const exact = formatNumber(
    eggs.exact,
    Math.abs(eggs.exact - Math.round(eggs.exact)) < 0.05 ? 2 : 1,
    decimal,
  );
  const change = Math.abs(eggs.used / eggs.exact - 1) * 100;
  const percent = formatNumber(change, change < 10 ? 1 : 0, decimal);
  const number = (n: number) => counted(n, eggs.one);
  const many = plural(eggs.one, 2);
  if (eggs.how !== 'weighed' && change < 0.05) return `Comes out at ${number(eggs.used)} exactly.`;
  const changed = eggs.used >= eggs.exact ? 'more' : 'less';
  switch (eggs.how) {
    case 'weighed':
      return eggs.mode === 'weigh'
        ? `${exact} ${many}, ${eggs.one === 'egg' ? 'beaten and ' : ''}weighed: nothing is rounded.`
        : `${exact} ${many}: ${othersOf(eggs, decimal)} So the last one is ${eggs.one === 'egg' ? 'beaten and ' : ''}weighed.`;
    case 'nearest':
      return `${exact} ${many} become ${number(eggs.used)}, ${percent} % ${changed}. The rest stays exact.`;
    case 'even':
      return `Comes out at ${number(eggs.used)} exactly.`;
    case 'down':
      return `${exact} ${many} become ${number(eggs.used)}: each portion loses ${percent} %.`;
    case 'up':
      return `${exact} ${many} become ${number(eggs.used)}, and everything else goes up ${percent} % with them.`;
  }
}

/** What the whole number below and the one above would cost. */
function othersOf({ exact, one }: EggChoice, decimal: '.' | ','): string {
  const below = Math.floor(exact);
  const share = (used: number) => formatNumber(Math.abs(used / exact - 1) * 100, 0, decimal);
  const up = `${counted(below + 1, one)} would leave ${share(below + 1)} % over.`;
  return below < 1 ? up : `${counted(below, one)} would make portions ${share(below)} % smaller, ${up}`;
}

/** Surplus or shortfall against what was wanted, in grams and in pieces. */
function PinWords({ plan, mixed }: { readonly plan: LinePlan; readonly mixed: Figure }) {
  const style = useNumberStyle();
  const { goodSoft, good, warnSoft, warn } = useTokens();
  const off = mixed.value - (mixed.expected?.value ?? mixed.value);
  const { byBatter, count } = plan.parts;
  const allows = (byBatter ?? count.made).value;
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
