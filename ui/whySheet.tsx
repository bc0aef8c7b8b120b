import { useState } from 'react';
import { View } from 'react-native';
import type { Basis, Figure } from '../core/figure';
import { scopeParts } from '../core/param';
import { whyText, type Narrow } from '../core/plan/whyText';
import type { RunDoc } from '../core/model/documents';
import { fromShown, inStyle, join, show, toShown, typedUnit } from '../core/quantity';
import { holderOf, useFigureNow, useRun, type Holder } from '../state/plans';
import { useNow } from '../state/clock';
import { keepFigure, stateFigure } from '../state/stated';
import { keptOf, useKitchen, useNumberStyle, useScreen } from '../state/store';
import { dateOf, dayText, localNow } from '../state/time';
import { MainAction, QuietAction } from './actions';
import { BigNumber, Whisker, useRangeText } from './figure';
import { Icon } from './icons';
import { NumberSheet } from './numberSheet';
import { Sheet } from './sheet';
import { Tap } from './tap';
import { Body, Small, Strong } from './text';
import { space, useTokens } from './theme';

const BASIS: Readonly<Record<Basis, string>> = {
  typical: 'usual figure',
  geometry: 'from its measures',
  physics: 'physics',
  stated: 'as written or chosen',
  counted: 'counted',
  'measured here': 'measured here',
};

export const basisWords = (bases: readonly Basis[]): string => bases.map((basis) => BASIS[basis]).join(', ');

/** How a figure came about, with this run's numbers, and the place to put a measured one instead. */
export function WhySheet() {
  const why = useScreen((state) => state.why);
  return why ? <OpenWhy key={why.figureId} {...why} /> : null;
}

function OpenWhy({
  runId,
  lineId,
  figureId,
}: {
  readonly runId: string;
  readonly lineId: string;
  readonly figureId: string;
}) {
  const view = useRun(runId);
  const close = useScreen((state) => state.closeWhy);
  const plan = view.state === 'open' ? holderOf(view.whole, lineId) : null;
  const figure = plan?.has(figureId) ? plan.figure(figureId) : null;
  return (
    <Sheet title={figure?.label ?? 'Why'} visible onClose={close}>
      {view.state === 'open' && plan && figure ? (
        <WhyBody run={view.run} lineId={lineId} plan={plan} figure={figure} />
      ) : (
        <Body>This figure is no longer part of the plan.</Body>
      )}
    </Sheet>
  );
}

function WhyBody({
  run,
  lineId,
  plan,
  figure,
}: {
  readonly run: RunDoc;
  readonly lineId: string;
  readonly plan: Holder;
  readonly figure: Figure;
}) {
  const style = useNumberStyle();
  const { sunk, line } = useTokens();
  const askWhy = useScreen((state) => state.askWhy);
  const range = useRangeText(figure);
  const latest = useFigureNow(figure, run.id, lineId);
  const text = whyText(plan, figure, style);
  return (
    <>
      <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: space(2), flexWrap: 'wrap' }}>
        <BigNumber shown={show(latest.value, figure.unit, style)} size="hero" />
        {range ? (
          <View>
            <Whisker figure={figure} width={140} />
            <Small>{`likely ${range}: 8 times in 10`}</Small>
          </View>
        ) : null}
      </View>
      <Body>{text.sentence}</Body>
      <LearnedHere figure={figure} />
      {figure.expected ? (
        <Strong>{`The plan expected ${join(show(figure.expected.value, figure.unit, style))}.`}</Strong>
      ) : null}
      {text.sum ? (
        <View style={{ backgroundColor: sunk, borderRadius: 12, padding: space(2), gap: space(1) }}>
          <Small>{text.sum}</Small>
          <Body style={{ fontSize: 17 }}>{text.filled}</Body>
        </View>
      ) : (
        <Small>{`Basis: ${basisWords(figure.bases)}.`}</Small>
      )}
      {text.inputs.length > 0 ? (
        <View>
          {text.inputs.map((input) => (
            <Tap
              key={input.id}
              label={`${input.label}: ${input.shown}, ${basisWords(input.bases)}. Why?`}
              onPress={() => askWhy(run.id, lineId, input.id)}
              style={{ borderBottomWidth: 1, borderBottomColor: line, paddingVertical: space(1) }}
            >
              <View
                style={{
                  flexDirection: 'row',
                  justifyContent: 'space-between',
                  gap: space(2),
                  alignItems: 'center',
                }}
              >
                <View style={{ flex: 1 }}>
                  <Body>{input.label}</Body>
                  <Small>{basisWords(input.bases)}</Small>
                </View>
                <Strong>{input.shown}</Strong>
                <Icon name="next" color={line} size={18} />
              </View>
            </Tap>
          ))}
        </View>
      ) : null}
      {range && text.causes.length > 0 && text.inputs.length > 0 ? (
        <Small>
          {`What widens the range: ${text.causes
            .slice(0, 3)
            .map((cause) => `${cause.label.toLowerCase()} (${cause.percent} %)`)
            .join(', ')}.`}
        </Small>
      ) : null}
      {range && text.narrow ? (
        <Narrower narrow={text.narrow} onOpen={(id) => askWhy(run.id, lineId, id)} />
      ) : null}
      <Replace run={run} lineId={lineId} figure={figure} />
    </>
  );
}

/** From how many batches a figure was learned here, and when last. */
function LearnedHere({ figure }: { readonly figure: Figure }) {
  const belief = keptOf(useKitchen(), figure);
  const now = useNow(600_000);
  if (!belief?.learned) return null;
  const batches = belief.seen === 1 ? 'one batch' : `${belief.seen} batches`;
  const last = belief.since === null ? '' : `, the last ${dayText(dateOf(`${belief.since}T12:00`), now)}`;
  return <Strong>{`Learned in this kitchen from ${batches}${last}.`}</Strong>;
}

/** The measurement that would narrow a range most, and what it would leave of it. */
function Narrower({ narrow, onOpen }: { readonly narrow: Narrow; readonly onOpen: (id: string) => void }) {
  const { id, label, how, left } = narrow;
  return (
    <View testID="narrow">
      <Body>{`To narrow it most: ${how ?? `measure ${label.toLowerCase()}`}. Then it would be ${left}.`}</Body>
      <QuietAction title={`To "${label.toLowerCase()}"`} icon="next" onPress={() => onOpen(id)} />
    </View>
  );
}

function Replace({
  run,
  lineId,
  figure,
}: {
  readonly run: RunDoc;
  readonly lineId: string;
  readonly figure: Figure;
}) {
  const style = useNumberStyle();
  const [asking, setAsking] = useState(false);
  const bounds = figure.replace;
  if (!bounds) return null;
  const typed = (value: number) => Number(toShown(value, figure.unit, style).toPrecision(4));
  const inThisRun = (value: number) => {
    setAsking(false);
    stateFigure(run.id, lineId, figure, fromShown(value, figure.unit, style));
  };
  // Only what says something about the next run as well, and kept of the thing that it belongs to.
  const of = figure.known?.keep ? figure.known.of[0] : undefined;
  const always = (value: number) => {
    setAsking(false);
    keepFigure(
      figure,
      fromShown(value, figure.unit, style),
      of ?? 'kitchen',
      localNow(Date.now()).slice(0, 10),
    );
  };
  return (
    <View style={{ gap: space(1) }}>
      <MainAction
        title={figure.unit === 'g' ? 'Put in what was weighed' : 'Put in what was measured'}
        icon="pin"
        onPress={() => setAsking(true)}
      />
      {figure.expected ? (
        <QuietAction
          title="Back to the computed figure"
          icon="undo"
          onPress={() => stateFigure(run.id, lineId, figure, null)}
        />
      ) : null}
      <NumberSheet
        ask={
          asking
            ? {
                title: figure.label,
                hint: inStyle(figure.sentence, style),
                value: typed(figure.value),
                unit: typedUnit(figure.unit, style),
                decimals: 2,
                min: typed(bounds.min),
                max: typed(bounds.max),
                action: 'Use it in this run',
              }
            : null
        }
        onClose={() => setAsking(false)}
        onSave={inThisRun}
        other={of === undefined ? undefined : { title: alwaysWords(of), onSave: always }}
      />
    </View>
  );
}

const OF_THING: Readonly<Record<string, string>> = {
  oven: 'Always with this oven',
  microwave: 'Always with this microwave',
  tin: 'Always with this tin',
  sheet: 'Always with this sheet',
  mould: 'Always with this mould',
  mug: 'Always with this mug',
  formula: 'Always with this formula',
  binder: 'Always with this binder',
  coat: 'Always with this coat',
  frosting: 'Always with this frosting',
  filling: 'Always with this filling',
};
const alwaysWords = (of: string): string => OF_THING[scopeParts(of).kind] ?? 'Always in this kitchen';
