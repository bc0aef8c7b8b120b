import { useState } from 'react';
import { View } from 'react-native';
import type { RunDoc } from '../../../core/model/documents';
import type { LinePlan, SumsSection } from '../../../core/plan';
import { fromShown, toShown, typedUnit } from '../../../core/quantity';
import { stateFigure } from '../../../state/stated';
import { useNumberStyle } from '../../../state/store';
import { QuietAction } from '../../../ui/actions';
import { Card } from '../../../ui/card';
import { FigureRow, FigureView } from '../../../ui/figure';
import { NumberSheet } from '../../../ui/numberSheet';
import { space } from '../../../ui/theme';
import { SECTION_WORDS, WEIGH_WORDS } from '../../../core/plan/sections.words';

interface SectionProps {
  readonly run: RunDoc;
  readonly plan: LinePlan;
  readonly section: SumsSection;
}

/** A part of the work: its main figure large, the others in rows, and the weigh-in where there is one. */
export function SectionCard({ run, plan, section }: SectionProps) {
  const of = { runId: run.id, lineId: plan.line.id };
  const { id, hero, few, rows, weigh } = section;
  const words = SECTION_WORDS[id];
  return (
    <Card title={words.title}>
      <FigureView {...of} figure={plan.figure(hero.id)} size="hero" label={words.hero} />
      {few.length > 0 ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: space(4), rowGap: space(1) }}>
          {few.map((one) => (
            <FigureView key={one.id} {...of} figure={plan.figure(one.id)} />
          ))}
        </View>
      ) : null}
      <View>
        {rows
          .filter(({ value }) => value !== 0)
          .map((one) => (
            <FigureRow key={one.id} {...of} figure={plan.figure(one.id)} />
          ))}
      </View>
      {weigh ? (
        <WeighIn run={run} plan={plan} figureId={weigh.figure.id} {...WEIGH_WORDS[weigh.what]} />
      ) : null}
    </Card>
  );
}

/** Takes what the scale says in place of a sum, and gives it back. */
export function WeighIn({
  run,
  plan,
  figureId,
  title,
  hint,
}: {
  readonly run: RunDoc;
  readonly plan: LinePlan;
  readonly figureId: string;
  readonly title: string;
  readonly hint: string;
}) {
  const style = useNumberStyle();
  const [asking, setAsking] = useState(false);
  const figure = plan.figure(figureId);
  const typed = (grams: number) => Number(toShown(grams, 'g', style).toPrecision(4));
  const bounds = figure.replace;
  if (!bounds) return null;
  return (
    <>
      <QuietAction
        title={figure.expected ? `${title} again` : title}
        icon="scale"
        large
        onPress={() => setAsking(true)}
      />
      {figure.expected ? (
        <QuietAction
          title="Back to the computed weight"
          icon="undo"
          onPress={() => stateFigure(run.id, plan.line.id, figure, null)}
        />
      ) : null}
      <NumberSheet
        ask={
          asking
            ? {
                title: `${figure.label}, weighed`,
                hint: `${hint} Everything after it is planned anew.`,
                value: figure.expected ? typed(figure.value) : null,
                unit: typedUnit('g', style),
                decimals: 2,
                min: typed(bounds.min),
                max: typed(bounds.max),
                action: 'Plan on from this',
              }
            : null
        }
        onClose={() => setAsking(false)}
        onSave={(value) => {
          setAsking(false);
          stateFigure(run.id, plan.line.id, figure, fromShown(value, 'g', style));
        }}
      />
    </>
  );
}
