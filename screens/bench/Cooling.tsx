import { useState } from 'react';
import { View } from 'react-native';
import { coolNow, coolWords } from '../../core/bench/judge';
import { JUDGE } from '../../core/bench/judge.words';
import type { RunDoc } from '../../core/model/documents';
import type { LinePlan } from '../../core/plan';
import { inStyle } from '../../core/quantity';
import type { Chore } from '../../core/schedule/chores';
import { answer, tell } from '../../state/bench';
import type { RunStanding } from '../../state/benchView';
import type { RunPlan } from '../../state/plans';
import { useNumberStyle } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { NumberSheet } from '../../ui/numberSheet';
import { Small } from '../../ui/text';
import { space } from '../../ui/theme';
import { ProbeTap } from './Instruments';

/** The wait that something cools in, of this line. */
function coolingOf(chore: Chore, { parts }: LinePlan): LinePlan['parts']['cool'] {
  if (!/\/(bake\d+\.)?cool(-\d+)?$/.test(chore.id)) return null;
  const prefix = /\/(bake\d+\.)/.exec(chore.id)?.[1] ?? '';
  return parts.crumbBakes.find((one) => one.prefix === prefix)?.cool ?? parts.cool;
}

/** "Cool enough yet?": by size and time, or by what a probe shows. */
export function Cooling({
  run,
  whole,
  chore,
  view,
}: {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly chore: Chore;
  readonly view: RunStanding;
}) {
  const style = useNumberStyle();
  const [asked, setAsked] = useState(false);
  const plan = whole.lines.find((one) => one.planned && chore.lineIds.includes(one.line.id));
  const cooling = plan?.planned ? coolingOf(chore, plan) : null;
  const own = view.bench.standing.get(chore.id);
  if (!cooling || own?.is !== 'running') return null;
  const probed = (view.bench.state.answers.get(chore.id) ?? []).filter(({ value }) => value !== null).at(-1);
  // It came out of the heat before it began to be told as cooling: what the wait leaves out, it has stood already.
  const before = Math.max(0, cooling.time.value - chore.takes.lengthS);
  const stoodS = before + (view.now - own.begunAt) / 1000;
  const told =
    probed?.value != null
      ? coolNow(
          { ...cooling, room: cooling.room },
          0,
          cooling.room.value +
            (probed.value - cooling.room.value) *
              Math.exp(-(view.now - probed.at) / 1000 / cooling.constant.value),
        )
      : coolNow(cooling, stoodS, null);
  const take = (value: number, practice: boolean) => {
    answer(run.id, chore, JUDGE.cool.measure, { to: 'cool', answer: 'measured', value, practice });
    const { leftS } = coolNow(cooling, 0, value);
    // The clock goes by what was measured from here on.
    if (leftS !== null)
      tell(JUDGE.cool.measure, run.id, { what: 'not yet', chore: chore.id, moreS: Math.round(leftS) });
  };
  return (
    <View style={{ gap: space(0.5) }}>
      {coolWords(told, probed !== undefined).map((words) => (
        <Small key={words} soft={false}>
          {inStyle(words, style)}
        </Small>
      ))}
      <ProbeTap kind="core" onTake={(celsius) => take(celsius, true)} />
      <QuietAction title={JUDGE.cool.measure} onPress={() => setAsked(true)} />
      <NumberSheet
        ask={
          asked
            ? { title: JUDGE.cool.measure, value: null, unit: '°C', decimals: 1, min: -30, max: 110 }
            : null
        }
        onClose={() => setAsked(false)}
        onSave={(value) => {
          setAsked(false);
          take(value, false);
        }}
      />
    </View>
  );
}
