import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { amountsOf } from '../../core/bench/amounts';
import { weighInOf, wrongBy } from '../../core/bench/weighIn';
import type { RunDoc } from '../../core/model/documents';
import { weighOut } from '../../core/plan/weighOut';
import { gramsText, type RunPlan } from '../../core/plan';
import { inStyle, showText } from '../../core/quantity';
import type { Chore } from '../../core/schedule/chores';
import { weighIn } from '../../state/bench';
import type { RunStanding } from '../../state/benchView';
import { useKitchen, useNumberStyle } from '../../state/store';
import { Chip, Chips, MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { NumberSheet } from '../../ui/numberSheet';
import { Body, Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';
import { ScaleTap } from './Instruments';

/** A bowl weighed in, one ingredient after another: what the scale has to show, tared or running on. */
export function WeighIn({
  run,
  whole,
  view,
  chore,
}: {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly view: RunStanding;
  readonly chore: Chore;
}) {
  const { scaleStepG } = useKitchen();
  const style = useNumberStyle();
  const { batches } = amountsOf(chore, view.chores, whole);
  const items = weighInOf(run, whole, batches, view.bench.state.weighed.get(chore.id) ?? []);
  const begun = items.some(({ weighedG }) => weighedG !== null);
  const [open, setOpen] = useState(false);
  // Opened, it comes up over the list: what is poured next stands in sight.
  const top = useRef<View>(null);
  useEffect(() => {
    if (open) (top.current as unknown as HTMLElement | null)?.scrollIntoView?.({ block: 'start' });
  }, [open]);
  const [tared, setTared] = useState(true);
  const [other, setOther] = useState(false);
  if (items.length === 0) return null;
  if (!open && !begun)
    return <QuietAction title="Weigh it in, one after another" large onPress={() => setOpen(true)} />;
  const next = items.find(({ in: isIn }) => !isIn);
  const last = items.findLast(({ weighedG }) => weighedG !== null);
  const inG = items.reduce((sum, one) => sum + (one.in ? (one.weighedG ?? one.massG) : 0), 0);
  const put = (massG: number, practice = false) => {
    if (next) weighIn(run.id, chore, { key: next.key, name: next.item.name, massG, practice });
  };
  const off = last ? wrongBy(last, scaleStepG) : 0;
  const done = items.filter((one) => one.in).length;
  return (
    <Card title={next ? `Into the bowl: ${next.item.name}` : 'All is in the bowl'}>
      <View ref={top} style={{ position: 'absolute', top: 0 }} />
      {last && off !== 0 ? (
        <Strong>
          {inStyle(
            off > 0
              ? `${last.item.name}: ${gramsText(off)} too much. Take that out, if it can be; else go on, it is written down.`
              : `${last.item.name}: ${gramsText(-off)} short.`,
            style,
          )}
        </Strong>
      ) : null}
      {next ? (
        <View role="status">
          <Strong style={{ fontSize: 40, lineHeight: 48 }}>
            {next.share > 0.999
              ? weighOut(next.item, scaleStepG, style).main
              : showText(next.massG, 'g', style)}
          </Strong>
          <Body>
            {tared
              ? 'Tare first: the scale then shows only this.'
              : `Without taring: from ${showText(inG, 'g', style)} on the scale to ${showText(inG + next.massG, 'g', style)}.`}
          </Body>
        </View>
      ) : (
        <Body>{`${showText(inG, 'g', style)} in all.`}</Body>
      )}
      {next ? (
        <>
          <ScaleTap
            put={{ title: 'Pour it in', deed: { do: 'put on', massG: next.massG } }}
            fromG={tared ? 0 : inG}
            onTake={(massG) => put(massG, true)}
          />
          <MainAction title={`In: ${next.item.name}`} large onPress={() => put(next.massG)} />
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
            <QuietAction title="It shows another weight" onPress={() => setOther(true)} />
          </View>
          <Chips label="How the scale is read">
            <Chip title="Tared each time" selected={tared} onPress={() => setTared(true)} />
            <Chip title="Running on" selected={!tared} onPress={() => setTared(false)} />
          </Chips>
        </>
      ) : null}
      <Small>{`${done} of ${items.length} in, ${showText(inG, 'g', style)}.`}</Small>
      <NumberSheet
        ask={
          other && next
            ? {
                title: `${next.item.name}, on the scale`,
                hint: tared ? 'This alone.' : 'What it shows, with all that was in the bowl before.',
                value: Math.round((tared ? next.massG : inG + next.massG) * 10) / 10,
                unit: 'g',
                decimals: 1,
                min: tared ? 0 : Math.round(inG * 10) / 10,
                max: 100_000,
              }
            : null
        }
        onClose={() => setOther(false)}
        onSave={(massG) => {
          put(Math.max(0, tared ? massG : massG - inG));
          setOther(false);
        }}
      />
    </Card>
  );
}
