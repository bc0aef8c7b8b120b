import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View, useWindowDimensions } from 'react-native';
import type { RunDoc } from '../../core/exchange/documents';
import type { CupcakePlan, Offer } from '../../core/plan';
import { FIRST_LOOK_SHARE } from '../../core/process/oven.table';
import { formatNumber, fromShown, inStyle, showText, toShown, typedUnit } from '../../core/quantity';
import { changeLine, stateFigure, useNumberStyle } from '../../state/store';
import { clockText } from '../../state/time';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { FigureRow, FigureView, WhyTap } from '../../ui/figure';
import { Icon } from '../../ui/icons';
import { Notice } from '../../ui/notice';
import { NumberSheet } from '../../ui/numberSheet';
import { Strata } from '../../ui/strata';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { EXTRA_WIDE, space, useTokens } from '../../ui/theme';
import { DayCard } from './DayCard';
import { LineCut } from './LineCut';
import { RunFrame } from './RunFrame';
import { stageHref } from './stages';

interface Part {
  readonly run: RunDoc;
  readonly plan: CupcakePlan;
}

/** The sums of a line in the order of the work. */
export function SumsScreen({ id }: { readonly id: string }) {
  const router = useRouter();
  const { width } = useWindowDimensions();
  const third = width >= EXTRA_WIDE;
  return (
    <RunFrame
      id={id}
      stage="sums"
      foot={() => <MainAction title="Gather" onPress={() => router.navigate(stageHref(id, 'gather'))} />}
    >
      {(run, plan) => (
        <>
          {third ? null : <LineCut plan={plan} width={Math.min(width - 32, 420)} height={210} />}
          {plan.warnings.map((warning) => (
            <Notice key={warning.fault} {...warning} />
          ))}
          <Well run={run} plan={plan} />
          <Batter run={run} plan={plan} strata={!third} />
          <HowMany run={run} plan={plan} />
          <Oven run={run} plan={plan} />
          <DayCard runId={run.id} plan={plan} />
        </>
      )}
    </RunFrame>
  );
}

function Well({ run, plan }: Part) {
  const of = { runId: run.id, lineId: plan.line.id };
  return (
    <Card title="A well">
      <FigureView
        {...of}
        figure={plan.figure('portion.mass')}
        size="hero"
        label="Batter, weighed into each"
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: space(4), rowGap: space(1) }}>
        <FigureView {...of} figure={plan.figure('fill.share')} label="Filled" />
        <FigureView {...of} figure={plan.figure('fill.belowRim')} label="Below the rim" />
        <FigureView {...of} figure={plan.figure('rise')} label="Rises" />
        <FigureView {...of} figure={plan.figure('finish.share')} label="Cake, of the well" />
      </View>
      <FigureRow {...of} figure={plan.figure('well.volume')} />
    </Card>
  );
}

function Batter({ run, plan, strata }: Part & { readonly strata: boolean }) {
  const of = { runId: run.id, lineId: plan.line.id };
  const style = useNumberStyle();
  const [asking, setAsking] = useState(false);
  const mixed = plan.figure('batter.mixed');
  const { eggs } = plan.batter;
  return (
    <Card title="The batter">
      <FigureView {...of} figure={mixed} size="hero" label="In the bowl" />
      {mixed.expected ? <PinWords plan={plan} /> : null}
      <FigureRow {...of} figure={plan.figure('scale.used')} label="Times the formula" />
      {eggs ? (
        <WhyTap {...of} figureId="eggs.used" label="Eggs kept whole">
          <Small>{eggWords(plan, style.decimal)}</Small>
        </WhyTap>
      ) : null}
      {strata ? <Strata plan={plan} runId={run.id} /> : null}
      <QuietAction
        title={mixed.expected ? 'Weighed again' : 'Weighed the bowl'}
        icon="scale"
        large
        onPress={() => setAsking(true)}
      />
      {mixed.expected ? (
        <QuietAction
          title="Back to the computed weight"
          icon="undo"
          onPress={() => stateFigure(run, plan.line.id, mixed, null, false)}
        />
      ) : null}
      <NumberSheet
        ask={
          asking
            ? {
                title: 'Batter weighed',
                hint: 'The full bowl less the empty one. Everything after it is planned anew.',
                value: mixed.expected ? Number(toShown(mixed.value, 'g', style).toPrecision(4)) : null,
                unit: typedUnit('g', style),
                decimals: 2,
                min: Number(toShown(1, 'g', style).toPrecision(1)),
                max: Math.round(toShown(1_000_000, 'g', style)),
                action: 'Plan on from this',
              }
            : null
        }
        onClose={() => setAsking(false)}
        onSave={(value) => {
          setAsking(false);
          stateFigure(run, plan.line.id, mixed, fromShown(value, 'g', style), false);
        }}
      />
    </Card>
  );
}

/** What keeping eggs whole does, in a sentence. */
function eggWords(plan: CupcakePlan, decimal: '.' | ','): string {
  const { eggs } = plan.batter;
  if (!eggs) return '';
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
function PinWords({ plan }: { readonly plan: CupcakePlan }) {
  const style = useNumberStyle();
  const { goodSoft, good, warnSoft, warn } = useTokens();
  const mixed = plan.figure('batter.mixed');
  const off = mixed.value - (mixed.expected?.value ?? mixed.value);
  const allows = plan.figure('count.batter').value;
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

function HowMany({ run, plan }: Part) {
  const of = { runId: run.id, lineId: plan.line.id };
  const { carnelian } = useTokens();
  const limiting = plan.limits.find((limit) => limit.limiting);
  const made = plan.figure('count.made').value;
  const wanted = plan.line.count;
  return (
    <Card title="How many">
      <FigureView
        {...of}
        figure={plan.figure('count.made')}
        size="hero"
        label={made < wanted ? `Made, of ${wanted} wanted` : 'Made, as wanted'}
      />
      {plan.limits.map((limit) => (
        <View key={limit.supply}>
          <FigureRow {...of} figure={plan.figure(limit.figureId)} label={plan.figure(limit.figureId).label} />
          {limit === limiting ? (
            <Small style={{ color: limit.short ? carnelian : undefined }}>
              {limit.short
                ? `This limits the run: ${limit.words}.`
                : `This would limit first: ${limit.words}.`}
            </Small>
          ) : null}
        </View>
      ))}
      <LoadWords run={run} plan={plan} />
      <Offers run={run} plan={plan} />
    </Card>
  );
}

const listOf = (sizes: readonly number[]) =>
  sizes.length > 6 ? `${sizes.length} loads of up to ${Math.max(...sizes)}` : sizes.join(' + ');

function LoadWords({ run, plan }: Part) {
  const { sizes, unevened, tins, wellsPerLoad } = plan.loads;
  if (sizes.length === 0) return null;
  const even = sizes.some((n, i) => n !== unevened[i]);
  const where = `${tins} ${tins === 1 ? 'tin' : 'tins'} at once, ${wellsPerLoad} wells`;
  const title = sizes.length === 1 ? `One load of ${sizes[0]}` : `${sizes.length} loads: ${listOf(sizes)}`;
  return (
    <WhyTap runId={run.id} lineId={plan.line.id} figureId="loads.count" label={title}>
      <Strong>{title}</Strong>
      <Small>
        {even ? `Evened out from ${listOf(unevened)}, so that all bake alike. ${where}.` : `${where}.`}
      </Small>
    </WhyTap>
  );
}

function Offers({ run, plan }: Part) {
  const style = useNumberStyle();
  const { remainder } = plan;
  const of = { runId: run.id, lineId: plan.line.id, figureId: 'batter.left' };
  if (remainder.offers.length === 0) {
    const words = `${showText(Math.max(remainder.leftG, 0), 'g', style)} of batter over: nothing to do about it.`;
    return (
      <WhyTap {...of} label={words}>
        <Small>{words}</Small>
      </WhyTap>
    );
  }
  const headline =
    remainder.shortPieces > 0
      ? `${remainder.shortPieces} short${remainder.shortG > 0 ? `, ${showText(remainder.shortG, 'g', style)} of batter missing` : ''}`
      : `${showText(remainder.leftG, 'g', style)} of batter over`;
  const take = ({ title, change }: Offer) => {
    if (change)
      changeLine(title, run, plan.line.id, {
        ...change,
        ...(change.fill ? { stated: noPortion(plan.line.stated) } : {}),
      });
  };
  return (
    <View style={{ gap: space(1) }}>
      <WhyTap {...of} label={headline}>
        <Strong>{headline}</Strong>
      </WhyTap>
      {remainder.offers.map((offer) => (
        <OfferRow key={offer.id} offer={offer} onTake={offer.change ? () => take(offer) : null} />
      ))}
    </View>
  );
}

const noPortion = (stated: Readonly<Record<string, number>>) =>
  Object.fromEntries(Object.entries(stated).filter(([id]) => id !== 'portion.mass'));

function OfferRow({ offer, onTake }: { readonly offer: Offer; readonly onTake: (() => void) | null }) {
  const { line, inkSoft } = useTokens();
  const style = useNumberStyle();
  const words = (
    <View style={{ flex: 1 }}>
      <Strong>{offer.title}</Strong>
      <Small>{inStyle(offer.detail, style)}</Small>
    </View>
  );
  if (!onTake)
    return (
      <View style={{ paddingLeft: space(1.5), borderLeftWidth: 3, borderLeftColor: line }}>{words}</View>
    );
  return (
    <Tap
      onPress={onTake}
      label={`${offer.title}. ${inStyle(offer.detail, style)} Do it`}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        borderWidth: 1.5,
        borderColor: line,
        borderRadius: 12,
        padding: space(1.5),
        gap: space(1),
      }}
    >
      {words}
      <Icon name="next" color={inkSoft} size={20} />
    </Tap>
  );
}

function Oven({ run, plan }: Part) {
  const of = { runId: run.id, lineId: plan.line.id };
  const load = plan.day.find((step) => step.id === 'load-1');
  const look = plan.figure('bake.firstLook');
  return (
    <Card title="The oven">
      <FigureView {...of} figure={plan.figure('bake.time')} size="hero" label="Baking time" />
      <FigureRow {...of} figure={look} label="First look after" />
      {load ? (
        <WhyTap {...of} figureId="bake.firstLook" label="The clock time of the first look">
          <Body>{`In at ${clockText(load.startAt)} by this plan: first look ${addTo(load.startAt, look.value)}, then every 2 min.`}</Body>
        </WhyTap>
      ) : null}
      <Small>{`${Math.round(FIRST_LOOK_SHARE * 100)} % of the time, or the start of the range if that is sooner.`}</Small>
      <FigureRow {...of} figure={plan.figure('oven.setting')} label="Set the oven to" />
      <FigureRow {...of} figure={plan.figure('cool.time')} label="Cool enough to frost after" />
      <FigureRow {...of} figure={plan.figure('cake.mass')} label="One cake weighs" />
    </Card>
  );
}

/** A local time so many seconds later, as a clock shows it. */
function addTo(local: string, seconds: number): string {
  const [hours = 0, minutes = 0] = clockText(local).split(':').map(Number);
  const total = hours * 60 + minutes + Math.round(seconds / 60);
  return `${String(Math.floor(total / 60) % 24).padStart(2, '0')}:${String(total % 60).padStart(2, '0')}`;
}
