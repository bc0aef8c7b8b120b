import { useRouter } from 'expo-router';
import { View } from 'react-native';
import type { KitchenDoc, RunDoc } from '../../core/exchange/documents';
import type { BatchIngredient, CupcakePlan } from '../../core/plan';
import { weighOut } from '../../core/plan/weighOut';
import { join, show } from '../../core/quantity';
import { changeLine, useKitchen, useNumberStyle, useScreen } from '../../state/store';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Icon } from '../../ui/icons';
import { CautionLine } from '../../ui/notice';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { FONT, space, useTokens } from '../../ui/theme';
import { StepRow } from './DayCard';
import { RunFrame } from './RunFrame';
import { stageHref } from './stages';

/** The weigh-out list of this batch, ticked off while weighing. */
export function GatherScreen({ id }: { readonly id: string }) {
  const router = useRouter();
  return (
    <RunFrame
      id={id}
      stage="gather"
      foot={(_, plan) => {
        const left = plan.batter.ingredients.length - tickedIn(plan);
        return (
          <MainAction
            title={left === 0 ? 'All weighed: to the oven' : `To the oven (${left} to weigh)`}
            onPress={() => router.navigate(stageHref(id, 'bake'))}
          />
        );
      }}
    >
      {(run, plan) => <GatherList run={run} plan={plan} />}
    </RunFrame>
  );
}

const tickedIn = (plan: CupcakePlan) =>
  plan.batter.ingredients.filter((item) => plan.line.ticks.includes(item.key)).length;

function GatherList({ run, plan }: { readonly run: RunDoc; readonly plan: CupcakePlan }) {
  const kitchen = useKitchen();
  const style = useNumberStyle();
  const { ingredients, toTaste } = plan.batter;
  const ticked = tickedIn(plan);
  const mixed = plan.figure('batter.mixed');
  const planned = mixed.expected?.value ?? mixed.value;
  const done = ingredients.filter((item) => plan.line.ticks.includes(item.key));
  const weighedG = done.reduce((sum, item) => sum + plan.figure(item.figureId).value, 0);
  const prompts = plan.day.filter((step) => step.kind === 'prompt');
  const setTicks = (label: string, ticks: string[]) => changeLine(label, run, plan.line.id, { ticks });
  return (
    <>
      {prompts.length > 0 ? (
        <Card title="First">
          {prompts.map((step) => (
            <StepRow key={step.id} runId={run.id} plan={plan} step={step} />
          ))}
        </Card>
      ) : null}
      <Card title={`Weigh out: ${plan.formula.name}`}>
        <Progress share={planned > 0 ? weighedG / planned : 0} />
        <Small>
          {`${ticked} of ${ingredients.length} weighed, ${join(show(weighedG, 'g', style))} of ${join(show(planned, 'g', style))}`}
        </Small>
        <View>
          {ingredients.map((item) => (
            <IngredientRow
              key={item.key}
              item={item}
              runId={run.id}
              plan={plan}
              kitchen={kitchen}
              ticked={plan.line.ticks.includes(item.key)}
              onTick={() =>
                setTicks(
                  item.name,
                  plan.line.ticks.includes(item.key)
                    ? plan.line.ticks.filter((key) => key !== item.key)
                    : [...plan.line.ticks, item.key],
                )
              }
            />
          ))}
        </View>
        {toTaste.map((line) => (
          <Body key={line.raw}>{`${line.raw.trim()}: no amount is written`}</Body>
        ))}
        {ticked > 0 ? (
          <QuietAction
            title="Begin the list again"
            icon="undo"
            onPress={() => setTicks('Weigh-out list', [])}
          />
        ) : null}
      </Card>
      {plan.formula.steps.trim() ? (
        <Card title="Then">
          {plan.formula.steps
            .split('\n')
            .filter((step) => step.trim())
            .map((step, i) => (
              <View key={step} style={{ flexDirection: 'row', gap: space(1.5) }}>
                <Strong style={{ width: 20 }}>{String(i + 1)}</Strong>
                <Body style={{ flex: 1 }}>{step}</Body>
              </View>
            ))}
        </Card>
      ) : null}
      {plan.cautions
        .filter((caution) => caution.place === 'gather' || caution.place === 'mix')
        .map((caution) => (
          <CautionLine key={caution.id} words={caution.words} />
        ))}
    </>
  );
}

function Progress({ share }: { readonly share: number }) {
  const { sunk, carnelian } = useTokens();
  return (
    <View style={{ height: 10, borderRadius: 5, backgroundColor: sunk, overflow: 'hidden' }} aria-hidden>
      <View style={{ height: 10, width: `${Math.min(share, 1) * 100}%`, backgroundColor: carnelian }} />
    </View>
  );
}

interface RowProps {
  readonly item: BatchIngredient;
  readonly runId: string;
  readonly plan: CupcakePlan;
  readonly kitchen: KitchenDoc;
  readonly ticked: boolean;
  readonly onTick: () => void;
}

/** One thing to weigh: box and name tick it off; the amount, large, says how it came about. */
function IngredientRow({ item, runId, plan, kitchen, ticked, onTick }: RowProps) {
  const style = useNumberStyle();
  const askWhy = useScreen((state) => state.askWhy);
  const { line, carnelian, onCarnelian, inkSoft } = useTokens();
  const amount = weighOut(item, plan, kitchen.scaleStepG, style);
  const spoken = [amount.main, amount.beside, item.name].filter(Boolean).join(', ');
  return (
    <View
      testID={`weigh-${item.key}`}
      style={{ flexDirection: 'row', minHeight: 68, borderBottomWidth: 1, borderBottomColor: line }}
    >
      <Tap role="checkbox" checked={ticked} label={spoken} onPress={onTick} style={{ flex: 1 }}>
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: space(1.5) }}>
          <View
            style={{
              width: 30,
              height: 30,
              borderRadius: 9,
              borderWidth: 2,
              borderColor: ticked ? carnelian : inkSoft,
              backgroundColor: ticked ? carnelian : undefined,
              alignItems: 'center',
              justifyContent: 'center',
            }}
          >
            {ticked ? <Icon name="check" color={onCarnelian} size={22} /> : null}
          </View>
          <View style={{ flex: 1 }}>
            <Body
              soft={ticked}
              style={{ fontSize: 18, textDecorationLine: ticked ? 'line-through' : 'none' }}
            >
              {item.name}
            </Body>
            <Small>{item.written}</Small>
          </View>
        </View>
      </Tap>
      <Tap
        label={`${spoken}. Why?`}
        onPress={() => askWhy(runId, plan.line.id, item.wholeFigureId ?? item.figureId)}
        style={{ alignItems: 'flex-end', minWidth: 96, paddingLeft: space(1) }}
      >
        <Body soft={ticked} style={{ fontSize: 26, lineHeight: 32, fontFamily: FONT.sansStrong }}>
          {amount.main}
        </Body>
        {amount.beside ? <Small>{amount.beside}</Small> : null}
      </Tap>
    </View>
  );
}
