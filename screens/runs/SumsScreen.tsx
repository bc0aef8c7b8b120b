import { useRouter } from 'expo-router';
import { useWindowDimensions } from 'react-native';
import type { RunDoc } from '../../core/model/documents';
import type { Ref } from '../../core/figure';
import type { LinePlan } from '../../core/plan';
import { keepingWords } from '../../core/caution/keeping';
import { FIRST_LOOK_SHARE } from '../../core/process/oven.table';
import { coldFault } from '../../core/schedule/cold';
import { inStyle } from '../../core/quantity';
import { useKitchen, useNumberStyle } from '../../state/store';
import { useRunDay } from '../../state/runDay';
import { clockText } from '../../state/time';
import { MainAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { WhyTap } from '../../ui/figure';
import { CautionLine } from '../cautions/CautionLine';
import { Notice } from '../../ui/notice';
import { Strata } from '../../ui/strata';
import { Body, Small } from '../../ui/text';
import { EXTRA_WIDE } from '../../ui/theme';
import { LineCut } from './LineCut';
import { BackToPieces, LineFault, RunFrame } from './RunFrame';
import { stageHref } from './stages';
import { BatterCard } from './sums/BatterCard';
import { HowManyCard } from './sums/HowManyCard';
import { SectionCard } from './sums/SectionCard';
import { Rescue } from './sums/Rescue';
import { WhatIf } from './sums/WhatIf';

interface Part {
  readonly run: RunDoc;
  readonly plan: LinePlan;
}

/** The sums of a line in the order of the work. */
export function SumsScreen({ id }: { readonly id: string }) {
  const router = useRouter();
  const { width } = useWindowDimensions();
  const third = width >= EXTRA_WIDE;
  return (
    <RunFrame
      id={id}
      stage="sums"
      ofLine
      foot={({ line }) =>
        line.planned ? (
          <MainAction title="Gather" onPress={() => router.navigate(stageHref(id, 'gather'))} />
        ) : (
          <BackToPieces runId={id} />
        )
      }
    >
      {({ run, line }) =>
        line.planned ? (
          <LineSums run={run} plan={line} third={third} width={width} />
        ) : (
          <LineFault line={line} />
        )
      }
    </RunFrame>
  );
}

function LineSums({ run, plan, third, width }: Part & { readonly third: boolean; readonly width: number }) {
  const style = useNumberStyle();
  const cold = coldFault(plan, useKitchen());
  const { bowl, bake } = plan.parts;
  // A well comes before its batter.
  const [first, ...rest] = plan.sections;
  const well = first?.id === 'well' ? first : null;
  return (
    <>
      {third ? null : <LineCut plan={plan} width={Math.min(width - 32, 420)} height={210} />}
      {[...plan.warnings, ...(cold ? [cold] : [])].map(({ fault, mend }) => (
        <Notice key={fault} fault={inStyle(fault, style)} mend={inStyle(mend, style)} />
      ))}
      {well ? <SectionCard run={run} plan={plan} section={well} /> : null}
      {bowl ? <BatterCard run={run} plan={plan} bowl={bowl} strata={!third} /> : null}
      <HowManyCard run={run} plan={plan} />
      {(well ? rest : plan.sections).map((section) => (
        <SectionCard key={section.id} run={run} plan={plan} section={section} />
      ))}
      {bake ? <FirstLook run={run} plan={plan} look={bake.firstLook} /> : null}
      {!bowl && !third ? (
        <Card title="The grams">
          <Strata plan={plan} runId={run.id} />
        </Card>
      ) : null}
      <WhatIf run={run} plan={plan} />
      <Rescue run={run} plan={plan} />
      <Notes plan={plan} />
    </>
  );
}

const AFTER_BAKING = new Set(['crumb', 'dip', 'mould', 'finish', 'serve']);

/** Which schools the sums follow, what to watch for, and how long it keeps. */
function Notes({ plan }: { readonly plan: LinePlan }) {
  const style = useNumberStyle();
  const cautions = plan.cautions.filter(({ place }) => AFTER_BAKING.has(place));
  return (
    <Card title="Worth knowing">
      {plan.notes.map((note) => (
        <Body key={note}>{inStyle(note, style)}</Body>
      ))}
      <Body>{keepingWords(plan.keeping)}</Body>
      {cautions.map(({ id, words }) => (
        <CautionLine key={id} words={words} />
      ))}
    </Card>
  );
}

function FirstLook({ run, plan, look }: Part & { readonly look: Ref<'s'> }) {
  const of = { runId: run.id, lineId: plan.line.id };
  const { day } = useRunDay(run);
  const load = day?.chores.find(({ chore }) => chore.kind === 'oven' && chore.lineIds.includes(plan.line.id));
  return (
    <Card title="The first look">
      {load ? (
        <WhyTap {...of} figureId={look.id} label="The clock time of the first look">
          <Body>{`In at ${clockText(load.startAt)} by this plan: first look ${addTo(load.startAt, look.value)}, then every 2 min.`}</Body>
        </WhyTap>
      ) : null}
      <Small>{`${Math.round(FIRST_LOOK_SHARE * 100)} % of the time, or the start of the range if that is sooner.`}</Small>
    </Card>
  );
}

/** A local time so many seconds later, as a clock shows it. */
function addTo(local: string, seconds: number): string {
  const [hours = 0, minutes = 0] = clockText(local).split(':').map(Number);
  const total = hours * 60 + minutes + Math.round(seconds / 60);
  return `${String(Math.floor(total / 60) % 24).padStart(2, '0')}:${String(total % 60).padStart(2, '0')}`;
}
