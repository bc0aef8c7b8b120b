import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { allergenCaution, holdsWords } from '../../core/caution/allergens.words';
import type { RunDoc } from '../../core/model/documents';
import { bowlsOf, tickKey, ticksOf, withTicks } from '../../core/plan/bowls';
import { coldFaults } from '../../core/schedule/cold';
import { gatherOf, preparationsOf, sharedPromiseWarnings, type Preparing } from '../../core/schedule/gather';
import { inStyle, type Holds } from '../../core/quantity';
import { togetherHold } from '../../core/quantity/allergens';
import { useNow } from '../../state/clock';
import type { RunPlan } from '../../state/plans';
import { useStanding } from '../../state/benchView';
import { changeRunOf, useKitchen, useNumberStyle } from '../../state/store';
import { whenText } from '../../state/time';
import { Chip, Chips, MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { CautionLine } from '../cautions/CautionLine';
import { Notice } from '../../ui/notice';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';
import { GroupCard, toggle } from './gather/WeighOut';
import { ShoppingList } from './gather/ShoppingList';
import { BackToPieces, LineFault, RunFrame } from './RunFrame';
import { stageHref } from './stages';
import { pieceWords } from './words';

type View_ = 'weigh' | 'shop';

/** One list for the whole run: what to do first, what to weigh and set out, what to buy, what is in it. */
export function GatherScreen({ id }: { readonly id: string }) {
  const router = useRouter();
  const [view, setView] = useState<View_>('weigh');
  return (
    <RunFrame
      id={id}
      stage="gather"
      foot={({ run, whole }) => {
        const left = leftToWeigh(run, whole);
        return whole.lines.every((line) => !line.planned) ? (
          <BackToPieces runId={id} />
        ) : (
          <MainAction
            title={left === 0 ? 'All weighed: to the day' : `To the day (${left} to weigh)`}
            onPress={() => router.navigate(stageHref(id, 'day'))}
          />
        );
      }}
    >
      {({ run, whole }) => (
        <>
          <Chips label="Which list">
            <Chip title="Weigh out" selected={view === 'weigh'} onPress={() => setView('weigh')} />
            <Chip title="Shopping" selected={view === 'shop'} onPress={() => setView('shop')} />
          </Chips>
          {whole.lines.map((line) =>
            line.planned ? null : <LineFault key={line.line.id} line={line} named={run.lines.length > 1} />,
          )}
          {whole.fault ? <Notice fault={whole.fault.fault} mend={whole.fault.mend} /> : null}
          {view === 'weigh' ? (
            <WeighList run={run} whole={whole} />
          ) : (
            <ShoppingList run={run} whole={whole} />
          )}
        </>
      )}
    </RunFrame>
  );
}

function leftToWeigh(run: RunDoc, whole: RunPlan): number {
  const ticks = ticksOf(run);
  return bowlsOf(run, whole)
    .flatMap(({ batch }) => batch.ingredients.map((item) => tickKey(batch, item)))
    .filter((key) => !ticks.has(key)).length;
}

function WeighList({ run, whole }: { readonly run: RunDoc; readonly whole: RunPlan }) {
  const kitchen = useKitchen();
  const { dayNow: day } = useStanding(run);
  const plans = whole.lines.flatMap((line) => (line.planned ? [line] : []));
  const ticked = ticksOf(run).size;
  const cautions = new Map(
    plans
      .flatMap((plan) => plan.cautions)
      .filter(({ id, place }) => (place === 'gather' || place === 'mix') && id !== 'allergens')
      .map((caution) => [caution.id, caution]),
  );
  const colds = coldFaults(plans, kitchen);
  return (
    <>
      <First run={run} preparations={preparationsOf(whole, kitchen, day)} />
      {[...sharedPromiseWarnings(run, whole), ...colds].map(({ fault, mend }) => (
        <Notice key={fault} fault={fault} mend={mend} />
      ))}
      {gatherOf(run, whole, day).map((group) => (
        <GroupCard key={group.id} run={run} whole={whole} group={group} />
      ))}
      {ticked > 0 ? (
        <QuietAction
          title="Begin the list again"
          icon="undo"
          onPress={() => changeRunOf('Weigh-out list', run.id, (now) => withTicks(now, []))}
        />
      ) : null}
      <Allergens whole={whole} />
      {[...cautions.values()].map(({ id, words }) => (
        <CautionLine key={id} words={words} />
      ))}
    </>
  );
}

const KINDS: Readonly<Record<Preparing['kind'], string>> = {
  'warm up': 'Bring out',
  thaw: 'Thaw',
  wash: 'Wash warm',
  line: 'Line and grease',
  cold: 'Make cold',
};

/** What to do before the scale comes out. */
function First({ run, preparations }: { readonly run: RunDoc; readonly preparations: readonly Preparing[] }) {
  const style = useNumberStyle();
  const now = useNow(60_000);
  const ticks = ticksOf(run);
  if (preparations.length === 0) return null;
  return (
    <Card title="First">
      {preparations.map(({ id, kind, words, at }) => {
        const done = ticks.has(id);
        const text = inStyle(words, style);
        return (
          <Tap
            key={id}
            role="checkbox"
            checked={done}
            label={`${KINDS[kind]}: ${text}`}
            onPress={() => toggle(run, id, KINDS[kind])}
          >
            <View style={{ flexDirection: 'row', gap: space(1.5) }}>
              <Strong style={{ width: 92 }}>{KINDS[kind]}</Strong>
              <View style={{ flex: 1 }}>
                <Body soft={done} style={{ textDecorationLine: done ? 'line-through' : 'none' }}>
                  {text}
                </Body>
                {at ? <Small>{whenText(at, now)}</Small> : null}
              </View>
            </View>
          </Tap>
        );
      })}
    </Card>
  );
}

/** What is in every line and lot, as far as its lines tell; what nobody knows stands first. */
function Allergens({ whole }: { readonly whole: RunPlan }) {
  const plans = whole.lines.flatMap((line) => (line.planned ? [line] : []));
  if (plans.length === 0) return null;
  return (
    <Card title="Allergens">
      {plans.map(({ line, formula, holds, lots }) => (
        <View key={line.id}>
          <Strong>{`${line.count} ${pieceWords(line)}${formula ? `, ${formula.name}` : ''}`}</Strong>
          {lots.length > 1 ? (
            lots.map((lot) => <Held key={lot.id} of={`${lot.count} ${lot.name}`} holds={lot.holds} />)
          ) : (
            <Held holds={holds} />
          )}
        </View>
      ))}
      <CautionLine words={allergenCaution(togetherHold(plans.map(({ holds }) => holds)))} />
    </Card>
  );
}

function Held({ of, holds }: { readonly of?: string; readonly holds: Holds }) {
  const { notKnown, contains, mayHoldMore } = holdsWords(holds);
  const told = contains === '' ? 'none that the lines tell of' : contains;
  return (
    <>
      <Body>{of ? `${of}: ${told}` : told}</Body>
      {notKnown ? <Strong>{notKnown}</Strong> : null}
      {mayHoldMore ? <Small>{mayHoldMore}</Small> : null}
    </>
  );
}
