import { useRouter } from 'expo-router';
import { ScrollView, View } from 'react-native';
import type { RunDoc } from '../../core/model/documents';
import { useNow } from '../../state/clock';
import { plainFormulaId } from '../../core/model/references';
import { formulaIn, runsIn } from '../../state/documents';
import { useDocuments } from '../../state/store';
import { whenText } from '../../state/time';
import { QuietAction } from '../../ui/actions';
import { Tap } from '../../ui/tap';
import { Heading, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { stageHref } from './stages';
import { pieceWords } from './words';

/** "36 Honey and thyme", "36 cake pops, Pumpkin and oat; 24 cupcakes, Plum and rye". */
export function useRunWords(): (run: RunDoc) => string {
  const docs = useDocuments((state) => state.docs);
  return (run) =>
    run.lines
      .slice(0, 4)
      .map((line) => {
        const id = plainFormulaId(line);
        const name = id === null ? 'no baking' : (formulaIn(docs, id)?.name ?? 'of a formula that is gone');
        return run.lines.length === 1 && line.family === 'cupcake'
          ? `${line.count} ${name}`
          : `${line.count} ${pieceWords(line)}, ${name}`;
      })
      .join('; ') + (run.lines.length > 4 ? `; and ${run.lines.length - 4} more` : '');
}

/** The runs at the left of a wide screen. */
export function RunList({ openId }: { readonly openId: string | null }) {
  const all = runsIn(useDocuments((state) => state.docs));
  const router = useRouter();
  const { line } = useTokens();
  return (
    <View
      role="complementary"
      aria-label="Runs"
      style={{ width: 264, borderRightWidth: 1, borderRightColor: line }}
    >
      <ScrollView
        tabIndex={0}
        aria-label="All runs"
        contentContainerStyle={{ padding: space(2), gap: space(1) }}
      >
        <QuietAction title="New run" icon="plus" onPress={() => router.navigate('/runs/new')} />
        {all
          .filter((run) => !run.closed)
          .map((run) => (
            <RunRow key={run.id} run={run} open={run.id === openId} />
          ))}
        <ClosedRows runs={all.filter((run) => run.closed)} openId={openId} />
      </ScrollView>
    </View>
  );
}

/** So many closed runs stand beside the open ones. */
const CLOSED = 3;

/** The last closed runs; all of them are in the logbook. */
export function ClosedRows({
  runs,
  openId = null,
  most = CLOSED,
}: {
  readonly runs: readonly RunDoc[];
  readonly openId?: string | null;
  readonly most?: number;
}) {
  const router = useRouter();
  const shown = [...runs].sort((a, b) => (b.closed?.at ?? 0) - (a.closed?.at ?? 0)).slice(0, most);
  // The one that is looked at stands there, however long ago it was.
  const open = runs.find(({ id }) => id === openId);
  if (open && !shown.includes(open)) shown.push(open);
  if (runs.length === 0) return null;
  return (
    <>
      <Heading level={3}>Closed</Heading>
      {shown.map((run) => (
        <RunRow key={run.id} run={run} open={run.id === openId} />
      ))}
      {runs.length > shown.length ? (
        <QuietAction
          title={`All ${runs.length} in the logbook`}
          icon="logbook"
          onPress={() => router.navigate('/logbook')}
        />
      ) : null}
    </>
  );
}

export function RunRow({ run, open = false }: { readonly run: RunDoc; readonly open?: boolean }) {
  const router = useRouter();
  const now = useNow(60_000);
  const words = useRunWords();
  const { carnelianSoft, raised, carnelian, line } = useTokens();
  return (
    <Tap
      role="link"
      label={`${run.name}, ${words(run)}, ready ${whenText(run.readyAt, now)}`}
      selected={open}
      onPress={() => router.navigate(stageHref(run.id, 'glance'))}
      style={{
        borderRadius: 14,
        backgroundColor: open ? carnelianSoft : raised,
        borderLeftWidth: 6,
        borderLeftColor: run.closed ? line : carnelian,
        padding: space(1.5),
      }}
    >
      <Strong>{run.name}</Strong>
      <Small>{words(run)}</Small>
      <Small>{run.closed ? `closed: ${run.closed.made} made` : `ready ${whenText(run.readyAt, now)}`}</Small>
    </Tap>
  );
}
