import { View } from 'react-native';
import type { RunDoc } from '../../../core/model/documents';
import type { LinePlan, Offer } from '../../../core/plan';
import { takeOffer } from '../../../core/line/offer';
import { inStyle, showText, counted } from '../../../core/quantity';
import { useDayLoads } from '../../../state/runDay';
import { editLine, useNumberStyle } from '../../../state/store';
import { Card } from '../../../ui/card';
import { FigureRow, FigureView, WhyTap } from '../../../ui/figure';
import { Icon } from '../../../ui/icons';
import { Tap } from '../../../ui/tap';
import { Small, Strong } from '../../../ui/text';
import { space, useTokens } from '../../../ui/theme';

interface Part {
  readonly run: RunDoc;
  readonly plan: LinePlan;
}

/** How many come of it, what limits them, and what to do with what is over or short. */
export function HowManyCard({ run, plan }: Part) {
  const of = { runId: run.id, lineId: plan.line.id };
  const { carnelian } = useTokens();
  const limiting = plan.limits.find((limit) => limit.limiting);
  const made = plan.parts.count.made.value;
  const wanted = plan.parts.count.wanted.value;
  const asWritten = plan.has('batches');
  return (
    <Card title="How many">
      <FigureView
        {...of}
        figure={plan.figure(plan.parts.count.made.id)}
        size="hero"
        label={asWritten ? 'Come of it' : made < wanted ? `Made, of ${wanted} wanted` : 'Made, as wanted'}
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

const sumOf = (sizes: readonly number[]) => sizes.reduce((sum, one) => sum + one, 0);

/** Rounds of a mould, turns of a microwave. */
function RoundWords({ plan }: { readonly plan: LinePlan }) {
  const { sizes } = plan.loads;
  const { sheets, shell } = plan.parts;
  if (sizes.length < 2 || sheets) return null;
  const what = shell ? 'rounds of the mould' : 'turns in the microwave';
  return <Small>{`${sizes.length} ${what}: ${listOf(sizes)}`}</Small>;
}

function LoadWords({ run, plan }: Part) {
  const { loadPlan, loads } = plan.parts;
  // A day that was found before the count was changed is no day of these pieces.
  const inDay = useDayLoads(run.id, plan.line.id);
  if (!loadPlan || !loads) return <RoundWords plan={plan} />;
  const { sizes, unevened, tins, wellsPerLoad } = loadPlan;
  if (sizes.length === 0) return null;
  const even = sizes.some((n, i) => n !== unevened[i]);
  const where = `${counted(tins, 'tin')} at once, ${wellsPerLoad} wells`;
  const title = sizes.length === 1 ? `One load of ${sizes[0]}` : `${sizes.length} loads: ${listOf(sizes)}`;
  return (
    <WhyTap runId={run.id} lineId={plan.line.id} figureId={loads.id} label={title}>
      <Strong>{title}</Strong>
      <Small>
        {even ? `Evened out from ${listOf(unevened)}, so that all bake alike. ${where}.` : `${where}.`}
      </Small>
      {inDay && sumOf(inDay) === sumOf(sizes) && inDay.join() !== sizes.join() ? (
        <Small>{`The day bakes them as ${listOf(inDay)}: that gets it done sooner.`}</Small>
      ) : null}
    </WhyTap>
  );
}

function Offers({ run, plan }: Part) {
  const style = useNumberStyle();
  const { remainder } = plan;
  const { doughLeft, trimmings, batterLeft, count } = plan.parts;
  const left = doughLeft ?? trimmings ?? batterLeft ?? count.made;
  const of = { runId: run.id, lineId: plan.line.id, figureId: left.id };
  const what = doughLeft ? 'dough' : trimmings ? 'cake' : 'batter';
  if (remainder.offers.length === 0) {
    const words = `${showText(Math.max(remainder.leftG, 0), 'g', style)} of ${what} over: nothing to do about it.`;
    return (
      <WhyTap {...of} label={words}>
        <Small>{words}</Small>
      </WhyTap>
    );
  }
  const headline =
    remainder.shortPieces > 0
      ? `${remainder.shortPieces} short${remainder.shortG > 0 ? `, ${showText(remainder.shortG, 'g', style)} of ${what} missing` : ''}`
      : `${showText(remainder.leftG, 'g', style)} of ${what} over`;
  const take = ({ title, change }: Offer) => {
    if (change) editLine(inStyle(title, style), run.id, plan.line.id, takeOffer(plan.line, change));
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

function OfferRow({ offer, onTake }: { readonly offer: Offer; readonly onTake: (() => void) | null }) {
  const { line, inkSoft } = useTokens();
  const style = useNumberStyle();
  const title = inStyle(offer.title, style);
  const words = (
    <View style={{ flex: 1 }}>
      <Strong>{title}</Strong>
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
      label={`${title}. ${inStyle(offer.detail, style)} Do it`}
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
