import { useState } from 'react';
import { View } from 'react-native';
import { judgementFor, type Judgement } from '../../core/bench/judge';
import type { Answered } from '../../core/bench/log';
import { ProbeTap } from './Instruments';
import type { RunDoc } from '../../core/model/documents';
import type { LinePlan } from '../../core/plan';
import { inStyle } from '../../core/quantity';
import type { Chore } from '../../core/schedule/chores';
import { answer, planOnFrom } from '../../state/bench';
import { useKitchen, useNumberStyle } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { NumberSheet } from '../../ui/numberSheet';
import { Body, Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';

/** What has to be judged at a step: look, say how it is, and hear what to do with this batch's grams. */
export function JudgeCard({
  run,
  plan,
  chore,
  answers,
}: {
  readonly run: RunDoc;
  readonly plan: LinePlan;
  readonly chore: Chore;
  readonly answers: readonly Answered[];
}) {
  const kitchen = useKitchen();
  const judged = judgementFor({ chore, plan, kitchen, answers });
  return judged ? (
    <Judged key={judged.asks} run={run} chore={chore} judged={judged} plan={plan} answers={answers} />
  ) : null;
}

type Asked = 'measured' | 'weighed' | null;

function Judged({
  run,
  chore,
  judged,
  plan,
  answers,
}: {
  readonly run: RunDoc;
  readonly chore: Chore;
  readonly judged: Judgement;
  readonly plan: LinePlan;
  readonly answers: readonly Answered[];
}) {
  const style = useNumberStyle();
  const [asked, setAsked] = useState<Asked>(null);
  const { asks, title, how, says, measures, found } = judged;
  const tell = (said: string, value?: number, practice = false) =>
    answer(run.id, chore, title, { to: asks, answer: said, value, practice });
  const times = answers.filter(({ to }) => to === asks).length;
  const perPiece = plan.parts.coat?.taken.value ?? null;
  return (
    <Card title={title}>
      {how ? <Small soft={false}>{how}</Small> : null}
      <View role="status" style={{ gap: space(0.5) }}>
        {says.map((words) => (
          <Strong key={words} style={{ fontSize: 20, lineHeight: 27 }}>
            {inStyle(words, style)}
          </Strong>
        ))}
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        {judged.answers.map((one) => (
          <QuietAction key={one.id} title={one.title} large onPress={() => tell(one.id)} />
        ))}
        {asks === 'coat' ? <QuietAction title="Weighed a piece" onPress={() => setAsked('weighed')} /> : null}
        {measures ? <QuietAction title={measures.title} onPress={() => setAsked('measured')} /> : null}
      </View>
      {measures && (asks === 'coat' || asks === 'syrup') ? (
        <ProbeTap kind={asks} onTake={(celsius) => tell('measured', celsius, true)} />
      ) : null}
      {times > 1 ? <Body soft>{`Answered ${times} times.`}</Body> : null}
      {found ? (
        <QuietAction title="Plan on from this" onPress={() => planOnFrom(run.id, chore.label, found)} />
      ) : null}
      <NumberSheet
        ask={
          asked === 'weighed'
            ? {
                title: 'Coat on one piece',
                hint: 'What it weighs dipped, less what it weighed before.',
                value: perPiece === null ? null : Math.round(perPiece * 10) / 10,
                unit: 'g',
                decimals: 1,
                min: 0.1,
                max: 500,
              }
            : asked === 'measured' && measures
              ? { title: measures.title, value: null, unit: '°C', decimals: 1, min: 0, max: 200 }
              : null
        }
        onClose={() => setAsked(null)}
        onSave={(value) => {
          tell(asked ?? 'measured', value);
          setAsked(null);
        }}
      />
    </Card>
  );
}
