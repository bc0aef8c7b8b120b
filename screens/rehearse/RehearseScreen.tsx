import { DayState } from '../day/SafeStart';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { RunDoc } from '../../core/model/documents';
import { inStyle } from '../../core/quantity';
import { LEVELS, type Level } from '../../core/rehearse/hidden';
import { momentOf, toNextScene, type Judged, type Moment, type Script } from '../../core/rehearse/rehearse';
import type { RunDay } from '../../core/schedule/chores';
import { runIn } from '../../state/documents';
import type { RunPlan } from '../../state/plans';
import { useRunDay } from '../../state/runDay';
import { changeRunOf, useDocuments, useNumberStyle } from '../../state/store';
import { Chip, Chips, MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { StepCard } from '../bench/StepCard';
import { lineName, spanText } from '../day/day.words';
import { Columns } from '../../ui/screen';
import { RunFrame } from '../runs/RunFrame';
import { stageHref } from '../runs/stages';
import { SceneDrawing } from './SceneDrawing';

const LEVEL_WORDS: Readonly<Record<Level, { readonly name: string; readonly meaning: string }>> = {
  calm: { name: 'Calm', meaning: 'Nearly as planned: to learn the steps.' },
  usual: { name: 'Usual', meaning: 'An oven, a crumb and a coat of their own mind.' },
  rough: { name: 'Rough', meaning: 'All of it further off, a cake that clings, and somebody at the door.' },
};

/** The run baked before any flour is touched: its steps, a kitchen that is not quite as planned, and what answers cost. */
export function RehearseScreen({ id }: { readonly id: string }) {
  const run = useDocuments(({ docs }) => runIn(docs, id));
  return run ? (
    <Rehearse run={run} />
  ) : (
    <RunFrame id={id} stage="bake">
      {() => null}
    </RunFrame>
  );
}

function Rehearse({ run: { id }, run: now }: { readonly run: RunDoc }) {
  const view = useRunDay(now);
  const { day } = view;
  return (
    <RunFrame
      id={id}
      stage="bake"
      broad
      foot={({ run, whole }) =>
        day && run.rehearsal ? <Foot run={run} whole={whole} day={day} /> : undefined
      }
    >
      {({ run, whole }) =>
        !day || day.chores.length === 0 ? (
          <DayState run={now} view={view} />
        ) : run.rehearsal ? (
          <Going run={run} whole={whole} day={day} />
        ) : (
          <Begin run={run} />
        )
      }
    </RunFrame>
  );
}

interface Of {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly day: RunDay;
}

const scriptOf = ({ run, whole, day }: Of): Script => ({
  whole,
  chores: day.chores.map(({ chore }) => chore),
  named: (lineId) => lineName(run, lineId),
});

function useMoment(of: Of): { readonly script: Script; readonly moment: Moment | null } {
  const { run, whole, day } = of;
  const script = useMemo(() => scriptOf({ run, whole, day }), [run, whole, day]);
  const moment = useMemo(
    () => (run.rehearsal ? momentOf(script, run.rehearsal) : null),
    [script, run.rehearsal],
  );
  return { script, moment };
}

const put = (runId: string, label: string, rehearsal: RunDoc['rehearsal']): void =>
  changeRunOf(label, runId, (now) => {
    const { rehearsal: _, ...rest } = now;
    return rehearsal ? { ...rest, rehearsal } : rest;
  });

function Begin({ run }: { readonly run: RunDoc }) {
  const [level, setLevel] = useState<Level>('calm');
  const router = useRouter();
  return (
    <Card title="Bake it through without flour">
      <Body>
        The same steps in the same order, in a kitchen that is not quite as planned. You judge, time goes
        fast, and at the end each answer is told with what it cost.
      </Body>
      <Chips label="How rough a day">
        {LEVELS.map((one) => (
          <Chip
            key={one}
            title={LEVEL_WORDS[one].name}
            selected={one === level}
            onPress={() => setLevel(one)}
          />
        ))}
      </Chips>
      <Small soft={false}>{LEVEL_WORDS[level].meaning}</Small>
      <MainAction
        title="Begin the rehearsal"
        large
        onPress={() =>
          put(run.id, 'Rehearsal begun', {
            seed: 1 + Math.floor(Math.random() * 999_999),
            level,
            answers: [],
          })
        }
      />
      <QuietAction title="To the bench itself" onPress={() => router.navigate(stageHref(run.id, 'bake'))} />
    </Card>
  );
}

function Going(of: Of) {
  const { run, whole, day } = of;
  const { moment } = useMoment(of);
  const style = useNumberStyle();
  const { carnelian } = useTokens();
  if (!moment) return null;
  const { chore, scene, last, done } = moment;
  if (!chore) return <Reckoning run={run} moment={moment} />;
  const answer = (id: string, label: string) =>
    put(run.id, label, run.rehearsal && { ...run.rehearsal, answers: [...run.rehearsal.answers, id] });
  return (
    <View style={{ gap: space(2) }}>
      <Small soft={false}>
        {`A rehearsal, no flour: step ${done + 1} of ${moment.of}.${moment.lost > 0 ? ` ${moment.lost} pieces lost so far.` : ''}`}
      </Small>
      {last && run.rehearsal?.answers.at(-1) !== 'done' ? (
        <View role="status">
          <Strong style={{ color: last.came.lost > 0 ? carnelian : undefined }}>
            {inStyle(last.came.words, style)}
          </Strong>
        </View>
      ) : null}
      <Columns>
        {scene ? (
          <Card title={scene.title} style={{ borderLeftWidth: 8, borderLeftColor: carnelian }}>
            <SceneDrawing looks={scene.looks} label={scene.shows} />
            <Strong style={{ fontSize: 20, lineHeight: 27 }}>{scene.shows}</Strong>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
              {scene.options.map((option) => (
                <QuietAction
                  key={option.id}
                  title={inStyle(option.title, style)}
                  large
                  style={{ flexGrow: 1, flexBasis: 260 }}
                  onPress={() => answer(option.id, option.title)}
                />
              ))}
            </View>
          </Card>
        ) : null}
        <StepCard run={run} whole={whole} chore={chore} chores={day.chores.map((one) => one.chore)} />
      </Columns>
    </View>
  );
}

function Foot(of: Of) {
  const { run } = of;
  const { script, moment } = useMoment(of);
  const router = useRouter();
  if (!moment || !run.rehearsal) return null;
  const { rehearsal } = run;
  if (!moment.chore)
    return (
      <MainAction title="To the bench itself" onPress={() => router.navigate(stageHref(run.id, 'bake'))} />
    );
  if (moment.scene) return null;
  return (
    <>
      <MainAction
        title={`Done: ${moment.chore.label}`}
        large
        onPress={() =>
          put(run.id, moment.chore?.label ?? '', { ...rehearsal, answers: [...rehearsal.answers, 'done'] })
        }
      />
      <QuietAction
        title="On to the next judgement"
        onPress={() => {
          const { answers } = toNextScene(script, rehearsal);
          put(run.id, 'On to the next judgement', { ...rehearsal, answers: [...answers] });
        }}
      />
    </>
  );
}

/** What each answer cost, beside what the best one would have. */
function Reckoning({ run, moment }: { readonly run: RunDoc; readonly moment: Moment }) {
  const { judged, lost, extraMin } = moment;
  const kept = judged.reduce((sum, one) => sum + one.came.lost - one.best.lost, 0);
  const { rehearsal } = run;
  return (
    <View style={{ gap: space(2) }}>
      <Card title="Baked through">
        <Strong style={{ fontSize: 20, lineHeight: 27 }}>{sumWords(kept, extraMin)}</Strong>
        <Body>{`${lost === 0 ? 'No piece was lost.' : `${lost} pieces were lost.`} ${judged.length} judgements, each below with what the best answer would have come to, known what nobody could see.`}</Body>
        <QuietAction
          title="The same day once more"
          onPress={() => put(run.id, 'The same day once more', rehearsal && { ...rehearsal, answers: [] })}
        />
        <QuietAction title="Another day" onPress={() => put(run.id, 'Another day', undefined)} />
      </Card>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(2) }}>
        {judged.map((one, i) => (
          <View key={`${one.kind}-${i}`} style={{ flexGrow: 1, flexBasis: 320 }}>
            <JudgedCard one={one} />
          </View>
        ))}
      </View>
    </View>
  );
}

/** What other answers would have kept. */
export function sumWords(pieces: number, minutes: number): string {
  const min = Math.round(minutes);
  if (pieces <= 0 && min <= 0) return 'Nothing could have been done better.';
  const parts = [
    ...(pieces > 0 ? [`${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`] : []),
    ...(min > 0 ? [spanText(min)] : []),
  ];
  return `Other answers would have kept ${parts.join(' and ')}${pieces > 0 && min < 0 ? `, and taken ${spanText(-min)} more` : ''}.`;
}

function JudgedCard({ one }: { readonly one: Judged }) {
  const style = useNumberStyle();
  const { carnelian, good } = useTokens();
  const worse = one.came.lost > one.best.lost || one.minutes > one.best.minutes + 0.5;
  const cost = (lost: number, minutes: number) =>
    [
      lost === 0 ? 'none lost' : `${lost} lost`,
      ...(Math.round(minutes) > 0 ? [spanText(Math.round(minutes))] : []),
    ].join(', ');
  return (
    <Card title={one.title}>
      <Body>{one.shown}</Body>
      <Body>{`You: ${one.answered.map((words) => inStyle(words, style)).join('; ')}. ${inStyle(one.came.words, style)}`}</Body>
      <Strong style={{ color: worse ? carnelian : good }}>
        {worse
          ? `${cost(one.came.lost, one.minutes)}; the best answer: ${cost(one.best.lost, one.best.minutes)}.`
          : `${cost(one.came.lost, one.minutes)}: as good as could be.`}
      </Strong>
      {worse ? (
        <Small
          soft={false}
        >{`Best: ${one.best.titles.map((words) => inStyle(words, style)).join('; ')}.`}</Small>
      ) : null}
    </Card>
  );
}
