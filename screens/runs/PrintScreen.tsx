import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { holdsLine } from '../../core/caution/allergens.words';
import { keepingWords } from '../../core/caution/keeping';
import { gatherCsv } from '../../core/logbook';
import type { RunDoc } from '../../core/model/documents';
import type { LinePlan } from '../../core/plan';
import { SECTION_WORDS } from '../../core/plan/sections.words';
import { weighOut } from '../../core/plan/weighOut';
import type { DayLeft, RunDay } from '../../core/schedule/chores';
import { gatherOf, preparationsOf, type GatherGroup } from '../../core/schedule/gather';
import { mixesWords } from '../../core/schedule/gather.words';
import { inStyle, join, show } from '../../core/quantity';
import { useStanding } from '../../state/benchView';
import { useNow } from '../../state/clock';
import { runFileText } from '../../state/exchange';
import { fileName, fileStem, saveFile } from '../../state/saveFile';
import { holderOf, useRun, type RunPlan } from '../../state/plans';
import { SHARED, useKitchen, useNumberStyle } from '../../state/store';
import { useRunDay } from '../../state/runDay';
import { clockText, dateOf, localNow, longDateText, whenText } from '../../state/time';
import { MainAction, QuietAction } from '../../ui/actions';
import { useRangeText } from '../../ui/figure';
import { Screen } from '../../ui/screen';
import { Body, Heading, Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';
import { PieceDrawing, useCutWords } from './LineCut';
import { amountWords } from '../day/amountWords';
import { lineName } from '../day/day.words';
import { turnWords } from '../day/turns';
import { linesWords, pieceWords } from './words';

/** The run on paper: a sheet for each line and one list to gather by. Also saves it as a file. */
export function PrintScreen({ id }: { readonly id: string }) {
  const view = useRun(id);
  const router = useRouter();
  const now = useNow(60_000);
  const back = () => router.navigate({ pathname: '/runs/[id]/pieces', params: { id } });
  if (view.state === 'missing')
    return (
      <Screen title="No such run" onBack={() => router.navigate('/')}>
        {null}
      </Screen>
    );
  const { run } = view;
  return (
    <Screen
      title={run.name}
      under={`ready ${whenText(run.readyAt, now)}`}
      onBack={back}
      broad
      reading
      foot={
        <>
          <MainAction title="Print" onPress={() => window.print()} />
          <QuietAction
            title="Save as a file"
            icon="down"
            onPress={() => saveFile(fileName(run.name), runFileText(run))}
          />
          {view.state === 'open' ? <SaveList run={run} whole={view.whole} /> : null}
          <QuietAction
            title="Labels"
            onPress={() => router.navigate({ pathname: '/runs/[id]/labels', params: { id } })}
          />
        </>
      }
    >
      {view.state === 'open' ? <Sheets run={run} whole={view.whole} /> : <Small>Reckoning.</Small>}
    </Screen>
  );
}

function Sheets({ run, whole }: { readonly run: RunDoc; readonly whole: RunPlan }) {
  const { dayNow: day, begun, left, bench } = useStanding(run);
  const isDone = (choreId: string) => bench.standing.get(choreId)?.is === 'ended';
  return (
    <>
      {day && day.chores.length > 0 ? (
        <DaySheet run={run} whole={whole} day={day} left={begun ? left : null} isDone={isDone} />
      ) : null}
      {whole.lines.map((line) =>
        line.planned ? (
          <BatchSheet key={line.line.id} plan={line} />
        ) : (
          <Body key={line.line.id}>{`${line.fault.fault} ${line.fault.mend}`}</Body>
        ),
      )}
      <GatherSheet run={run} whole={whole} day={day} />
    </>
  );
}

/** What is gathered, as a table for a spreadsheet. */
function SaveList({ run, whole }: { readonly run: RunDoc; readonly whole: RunPlan }) {
  const { day } = useRunDay(run);
  return (
    <QuietAction
      title="The list as a table"
      icon="down"
      onPress={() => saveFile(`${fileStem(run.name)}-gather.csv`, gatherCsv(run, whole, day), 'text/csv')}
    />
  );
}

function BatchSheet({ plan }: { readonly plan: LinePlan }) {
  const style = useNumberStyle();
  const words = useCutWords(plan);
  const { line, formula } = plan;
  return (
    <View style={{ gap: space(1) }} testID="sheet-batch">
      <Heading level={2}>{`${line.count} ${pieceWords(line)}${formula ? `, ${formula.name}` : ''}`}</Heading>
      <PieceDrawing plan={plan} width={300} height={130} label={words} />
      <Body>{words}</Body>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: space(4), rowGap: space(1.5) }}>
        {plan.sections.map(({ id, hero, few, rows }) => (
          <View key={id} style={{ width: 300 }}>
            <Strong>{SECTION_WORDS[id].title}</Strong>
            <Row plan={plan} id={hero.id} label={SECTION_WORDS[id].hero} />
            {[...few, ...rows]
              .filter(({ value }) => value !== 0)
              .map((one) => (
                <Row key={one.id} plan={plan} id={one.id} />
              ))}
          </View>
        ))}
      </View>
      {plan.tests.length > 0 ? (
        <View>
          <Strong>Done when</Strong>
          {plan.tests.map((test) => (
            <Body key={test}>{inStyle(test, style)}</Body>
          ))}
        </View>
      ) : null}
      <Small>{`${holdsLine(plan.holds)} ${keepingWords(plan.keeping)}`}</Small>
    </View>
  );
}

function Row({ plan, id, label }: { readonly plan: LinePlan; readonly id: string; readonly label?: string }) {
  const style = useNumberStyle();
  const figure = plan.figure(id);
  const range = useRangeText(figure);
  return (
    <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: space(1) }}>
      <Small style={{ flex: 1 }}>{label ?? figure.label}</Small>
      <Body>{`${join(show(figure.value, figure.unit, style))}${range ? ` (${range})` : ''}`}</Body>
    </View>
  );
}

/** A list in two columns, the first no shorter than the second. */
const halves = <T,>(list: readonly T[]): (readonly T[])[] => {
  const middle = Math.ceil(list.length / 2);
  return [list.slice(0, middle), list.slice(middle)];
};

/** The day on one page: each chore at its hour, with what it is done to. */
function DaySheet({
  run,
  whole,
  day,
  left,
  isDone,
}: {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly day: RunDay;
  /** What is left of it, once it has begun. */
  readonly left: DayLeft | null;
  readonly isDone: (choreId: string) => boolean;
}) {
  const kitchen = useKitchen();
  const style = useNumberStyle();
  const now = useNow(60_000);
  const chores = day.chores.map(({ chore }) => chore);
  // Weights, wells, dials and clocks stand at the hour at which they are wanted.
  const withWhat = (chore: (typeof chores)[number]) =>
    amountWords(chore, chores, whole, kitchen, style)
      .map(({ what, amount }) => `${what} ${amount}`)
      .join(', ');
  const entries = [
    ...day.chores.map(({ chore, startAt, startMin }) => ({
      min: startMin,
      at: startAt,
      done: isDone(chore.id),
      words: `${chore.label}${run.lines.length > 1 ? ` (${chore.lineIds.map((id) => lineName(run, id)).join(', ')})` : ''}`,
      detail: [chore.kind === 'oven' ? inStyle(chore.detail, style) : '', withWhat(chore)]
        .filter(Boolean)
        .join(' '),
    })),
    ...day.turns.map((turn) => ({
      min: turn.atMin,
      at: turn.at,
      done: false,
      words: turnWords(turn, kitchen),
      detail: '',
    })),
  ].sort((a, b) => b.min - a.min);
  const dates = [...new Set(entries.map(({ at }) => at.slice(0, 10)))];
  return (
    <View style={{ gap: space(1) }} testID="sheet-day">
      <Heading level={2}>The day</Heading>
      <Body>
        {left
          ? `As it stands ${whenText(localNow(now), now)}: ready about ${whenText(left.readyAt, now)}.`
          : `Latest safe start ${whenText(day.safeStartAt ?? run.readyAt, now)}; ready ${whenText(run.readyAt, now)}.`}
      </Body>
      {dates.map((date) => (
        <View key={date}>
          {dates.length > 1 ? <Strong>{longDateText(dateOf(`${date}T00:00`))}</Strong> : null}
          <View style={{ flexDirection: 'row', gap: space(3) }}>
            {halves(entries.filter(({ at }) => at.slice(0, 10) === date)).map((half, i) => (
              <View key={i} style={{ flex: 1 }}>
                {half.map(({ at, done, words, detail }) => (
                  <View key={`${at}-${words}`}>
                    <Small
                      soft={false}
                    >{`${done ? '☑' : '☐'}  ${clockText(at)}  ${inStyle(words, style)}`}</Small>
                    {detail ? <Small style={{ paddingLeft: space(9) }}>{detail}</Small> : null}
                  </View>
                ))}
              </View>
            ))}
          </View>
        </View>
      ))}
    </View>
  );
}

function GatherSheet({
  run,
  whole,
  day,
}: {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly day: RunDay | null;
}) {
  const kitchen = useKitchen();
  const style = useNumberStyle();
  const now = useNow(60_000);
  return (
    <View style={{ gap: space(1) }} testID="sheet-gather">
      <Heading level={2}>Gather</Heading>
      {preparationsOf(whole, kitchen, day).map(({ id, words, at }) => (
        <Body key={id}>{`☐  ${inStyle(words, style)}${at ? ` (${whenText(at, now)})` : ''}`}</Body>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: space(4), rowGap: space(1.5) }}>
        {gatherOf(run, whole, day).map((group) => (
          <GroupList key={group.id} run={run} group={group} whole={whole} />
        ))}
      </View>
    </View>
  );
}

function GroupList({
  run,
  group,
  whole,
}: {
  readonly run: RunDoc;
  readonly group: GatherGroup;
  readonly whole: RunPlan;
}) {
  const now = useNow(60_000);
  const mixes = mixesWords(
    group.mixes,
    (at) => whenText(at, now),
    (lineIds) => (run.lines.length < 2 ? '' : linesWords(run, lineIds)),
  );
  const kitchen = useKitchen();
  const style = useNumberStyle();
  const { bowl, things } = group;
  const holder = bowl ? holderOf(whole, bowl.lineId ?? SHARED) : null;
  const rows: { readonly key: string; readonly name: string; readonly amount: string }[] = [];
  if (bowl && holder) {
    for (const item of bowl.batch.ingredients) {
      const { main, beside } = weighOut(item, kitchen.scaleStepG, style);
      rows.push({ key: `${item.place}`, name: item.name, amount: beside ? `${main} (${beside})` : main });
    }
  }
  for (const { key, lineId, figureId, what } of things) {
    const figure = holderOf(whole, lineId)?.figure(figureId);
    if (figure) rows.push({ key, name: what, amount: join(show(figure.value, figure.unit, style)) });
  }
  return (
    <View style={{ width: 300 }}>
      <Strong>{group.title}</Strong>
      {mixes ? <Small>{mixes.head}</Small> : null}
      {mixes?.each.map((one) => (
        <Small key={one}>{inStyle(one, style)}</Small>
      ))}
      {rows.map(({ key, name, amount }) => (
        <View key={key} style={{ flexDirection: 'row', justifyContent: 'space-between', gap: space(1) }}>
          <Body style={{ flex: 1 }}>{`☐  ${name}`}</Body>
          <Body>{amount}</Body>
        </View>
      ))}
    </View>
  );
}
