import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { View, useWindowDimensions } from 'react-native';
import type { LinePlan, Unplanned } from '../../core/plan';
import { useNow } from '../../state/clock';
import { useRun, type OpenRun } from '../../state/plans';
import { useDocuments } from '../../state/store';
import { awayText, whenText } from '../../state/time';
import { MainAction } from '../../ui/actions';
import { BandTabs } from '../../ui/bandTabs';
import { Card } from '../../ui/card';
import { Notice } from '../../ui/notice';
import { Screen } from '../../ui/screen';
import { Strata } from '../../ui/strata';
import { Small } from '../../ui/text';
import { EXTRA_WIDE, WIDE } from '../../ui/theme';
import { Whole } from '../shell/Whole';
import { LineCut } from './LineCut';
import { LineTabs } from './LineTabs';
import { RunList } from './RunList';
import { STAGES, stageHref, type Stage } from './stages';
import { pieceWords } from './words';

interface RunFrameProps {
  readonly id: string;
  readonly stage: Stage;
  readonly foot?: (open: OpenRun) => ReactNode;
  readonly children: (open: OpenRun) => ReactNode;
  /** Whether one line is looked at, with its drawing beside it; else the run as a whole. */
  readonly ofLine?: boolean;
  /** About the run as a whole: no drawing of a line at its side, all the width for the work. */
  readonly broad?: boolean;
}

/** A run at one of its stages: title, stages, the work, and on a wide screen the runs and the cut at its sides. */
export function RunFrame({ id, stage, foot, children, ofLine = false, broad = false }: RunFrameProps) {
  const view = useRun(id);
  const everything = useDocuments((state) => state.whole);
  const now = useNow(60_000);
  const router = useRouter();
  const { width } = useWindowDimensions();
  const toRuns = () => router.navigate('/');
  if (view.state === 'missing' && !everything) {
    return (
      <Screen title="" onBack={toRuns}>
        <Whole>{null}</Whole>
      </Screen>
    );
  }
  if (view.state === 'missing') {
    return (
      <Screen title="No such run" onBack={toRuns} foot={<MainAction title="To the runs" onPress={toRuns} />}>
        <Notice
          fault="This run is not in this browser."
          mend="It may have been taken out, or the link is from another device."
        />
      </Screen>
    );
  }
  const { run, settling } = view;
  const open = view.state === 'open' ? view : null;
  const plan = open?.line.planned ? open.line : null;
  const screen = (
    <Screen
      title={run.name}
      under={`ready ${whenText(run.readyAt, now)}, ${awayText(run.readyAt, now)}`}
      onBack={toRuns}
      busy={settling}
      band={
        <>
          <Stages id={id} stage={stage} />
          {open && ofLine ? <LineTabs run={run} lineId={open.line.line.id} /> : null}
        </>
      }
      foot={open ? foot?.(open) : undefined}
      broad={broad}
      beside={!broad && plan && width >= EXTRA_WIDE ? <Beside runId={run.id} plan={plan} /> : undefined}
    >
      {open ? children(open) : <Small>Reckoning.</Small>}
    </Screen>
  );
  if (width < WIDE) return screen;
  return (
    <View style={{ flex: 1, flexDirection: 'row', minHeight: 0 }}>
      <RunList openId={id} />
      {screen}
    </View>
  );
}

/** What keeps a line from being planned, and the way to mend it. */
export function LineFault({
  line,
  named = false,
}: {
  readonly line: Unplanned;
  /** Say which line it is, where several are looked at together. */
  readonly named?: boolean;
}) {
  const router = useRouter();
  const { fault, formula } = line;
  return (
    <>
      <Notice
        fault={
          named
            ? `${line.line.count} ${pieceWords(line.line)}: ${fault.fault.replace(/^[A-Z](?=[a-z])/, (letter) => letter.toLowerCase())}`
            : fault.fault
        }
        mend={fault.mend}
      />
      {fault.field === 'formula' && formula ? (
        <MainAction
          title="Open the formula"
          onPress={() => router.navigate({ pathname: '/formulas/[id]', params: { id: formula.id } })}
        />
      ) : null}
    </>
  );
}

/** In place of the next stage, where there is nothing to go on with: back to the sentence that mends it. */
export function BackToPieces({ runId }: { readonly runId: string }) {
  const router = useRouter();
  return (
    <MainAction title="Mend it under Pieces" onPress={() => router.navigate(stageHref(runId, 'pieces'))} />
  );
}

function Beside({ runId, plan }: { readonly runId: string; readonly plan: LinePlan }) {
  return (
    <>
      <LineCut plan={plan} width={350} height={250} />
      <Card title="The grams">
        <Strata plan={plan} runId={runId} />
      </Card>
    </>
  );
}

/** The stages of a run, in the order of the work. */
function Stages({ id, stage }: { readonly id: string; readonly stage: Stage }) {
  const router = useRouter();
  return (
    <BandTabs
      label="Stages of the run"
      tabs={STAGES.map((one) => ({ id: one.stage, name: one.name }))}
      at={stage}
      onGo={(to) => router.navigate(stageHref(id, to))}
      inOrder
    />
  );
}
