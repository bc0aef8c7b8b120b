import { useRouter } from 'expo-router';
import { View } from 'react-native';
import type { RunDoc } from '../../core/model/documents';
import type { PlannedLine, RunPlan } from '../../core/plan';
import { useStanding, type RunStanding } from '../../state/benchView';
import { useDocuments, useScreen } from '../../state/store';
import { clockText, dateOf, dayText } from '../../state/time';
import { useNow } from '../../state/clock';
import { formulaIn } from '../../state/documents';
import { plainFormulaId } from '../../core/model/references';
import { MainAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { Columns, useWide } from '../../ui/screen';
import { space, useTokens } from '../../ui/theme';
import { BackToPieces, LineFault, RunFrame } from '../runs/RunFrame';
import { stageHref } from '../runs/stages';
import { pieceWords } from '../runs/words';
import { DayState, SafeStart, pressing } from './SafeStart';
import { WaysOut } from './WaysOut';

/** The occasion at a glance: when to begin, what comes first, every line in one table. */
export function GlanceScreen({ id }: { readonly id: string }) {
  const router = useRouter();
  return (
    <RunFrame
      id={id}
      stage="glance"
      broad
      foot={({ run, whole }) =>
        whole.lines.every((line) => !line.planned) ? (
          <BackToPieces runId={id} />
        ) : run.closed ? (
          <MainAction title="To the logbook" onPress={() => router.navigate('/logbook')} />
        ) : (
          <MainAction title="To the day" onPress={() => router.navigate(stageHref(id, 'day'))} />
        )
      }
    >
      {({ run, whole }) => <Glance run={run} whole={whole} />}
    </RunFrame>
  );
}

function Glance({ run, whole }: { readonly run: RunDoc; readonly whole: RunPlan }) {
  const standing = useStanding(run);
  const now = useNow(30_000);
  const { view } = standing;
  return (
    <>
      <DayState run={run} view={view} />
      <Columns>
        <SafeStart run={run} standing={standing} />
        {!run.closed && pressing(standing, now) ? <WaysOut run={run} standing={standing} pressing /> : null}
        <LinesTable run={run} whole={whole} standing={standing} />
      </Columns>
    </>
  );
}

function LinesTable({
  run,
  whole,
  standing,
}: {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly standing: RunStanding;
}) {
  const wide = useWide();
  const { line: edge } = useTokens();
  return (
    <Card title={run.lines.length === 1 ? 'What is made' : `${run.lines.length} lines`}>
      {whole.lines.map((line, i) => (
        <View
          key={line.line.id}
          style={{
            borderTopWidth: i === 0 ? 0 : 1,
            borderTopColor: edge,
            paddingTop: i === 0 ? 0 : space(1),
          }}
        >
          {line.planned ? (
            <LineRow run={run} line={line} standing={standing} wide={wide} />
          ) : (
            <LineFault line={line} named />
          )}
        </View>
      ))}
    </Card>
  );
}

function LineRow({
  run,
  line: plan,
  standing,
  wide,
}: {
  readonly run: RunDoc;
  readonly line: Extract<PlannedLine, { readonly planned: true }>;
  readonly standing: RunStanding;
  readonly wide: boolean;
}) {
  const router = useRouter();
  const now = useNow(60_000);
  const docs = useDocuments((state) => state.docs);
  const { line } = plan;
  const { day, endOf, begun } = standing;
  const own = (day?.chores ?? []).filter(({ chore }) => chore.lineIds.includes(line.id));
  const [last] = [...own].sort((a, b) => a.endMin - b.endMin);
  const [first] = own;
  const made = plan.parts.count.made.value;
  const limit = plan.limits.find(({ limiting }) => limiting);
  const warnings = plan.warnings.length;
  const formulaId = plainFormulaId(line);
  const name =
    formulaId === null ? 'no baking' : (formulaIn(docs, formulaId)?.name ?? 'a formula that is gone');
  const short = (at: string) => {
    const on = dayText(dateOf(at), now);
    return at.slice(0, 10) === run.readyAt.slice(0, 10) ? clockText(at) : `${on} ${clockText(at)}`;
  };
  const times =
    !first || !last
      ? 'not yet known'
      : begun
        ? `done about ${short(endOf(last.chore.id))}`
        : `${short(first.startAt)} to ${short(last.endAt)}`;
  const said = [
    limit?.short ? `${limit.words} allow ${limit.pieces}` : null,
    warnings > 0 ? `${warnings} ${warnings === 1 ? 'warning' : 'warnings'}` : null,
  ].filter(Boolean);
  return (
    <Tap
      label={`${made} ${pieceWords(line)}, ${name}, ${times}${said.length > 0 ? `, ${said.join(', ')}` : ''}. See the sums`}
      onPress={() => {
        useScreen.getState().lookAt(run.id, line.id);
        router.navigate(stageHref(run.id, 'sums'));
      }}
      style={{ flexDirection: 'row', gap: space(2), alignItems: 'flex-start' }}
    >
      <Strong style={{ width: 52, fontSize: 24, lineHeight: 30 }}>{String(made)}</Strong>
      <View style={{ flex: 1, flexDirection: wide ? 'row' : 'column', gap: wide ? space(2) : 0 }}>
        <View style={{ flex: wide ? 2 : undefined }}>
          <Body>{pieceWords(line)}</Body>
          <Small>{name}</Small>
        </View>
        <View style={{ flex: wide ? 1 : undefined }}>
          <Body>{times}</Body>
          {said.map((one) => (
            <Small key={one}>{one}</Small>
          ))}
        </View>
      </View>
    </Tap>
  );
}
