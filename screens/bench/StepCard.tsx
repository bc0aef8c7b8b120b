import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import { methodOf, type MethodStep } from '../../core/bench/method';
import { stepCautions } from '../../core/bench/stepCautions';
import type { RunDoc } from '../../core/model/documents';
import { formatNumber, inStyle, showText, type NumberStyle } from '../../core/quantity';
import type { Chore } from '../../core/schedule/chores';
import type { RunPlan } from '../../state/plans';
import { useBenchLook } from '../../state/benchView';
import { useKitchen, useNumberStyle, useScreen } from '../../state/store';
import { Card } from '../../ui/card';
import { CautionLine } from '../cautions/CautionLine';
import { Tap } from '../../ui/tap';
import { Body, Heading, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { amountWords, type AmountWords } from '../day/amountWords';
import { lineName } from '../day/day.words';
import { PieceDrawing } from '../runs/LineCut';

/** What a chore is for: "24 cake pops, 30 cubes". */
export const whose = (run: RunDoc, chore: Chore): string =>
  chore.lineIds.map((id) => lineName(run, id)).join(', ');

/** "190, 190, 190 g". */
const inParts = ({ massG, parts }: MethodStep['uses'][number], style: NumberStyle): string =>
  parts <= 1
    ? showText(massG, 'g', style)
    : `${Array.from({ length: parts - 1 }, () => formatNumber(massG / parts, massG / parts < 10 ? 1 : 0, style.decimal)).join(', ')}, ${showText(massG / parts, 'g', style)}`;

/** The step in hand: what to do, with this batch's amounts, what ends it, and what to mind. */
export function StepCard({
  run,
  whole,
  chore,
  chores,
}: {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly chore: Chore;
  readonly chores: readonly Chore[];
}) {
  const kitchen = useKitchen();
  const style = useNumberStyle();
  const { large, aloud } = useBenchLook();
  const { ink, carnelian } = useTokens();
  const amounts = amountWords(chore, chores, whole, kitchen, style);
  const steps = methodOf(chore, chores, whole);
  const plans = whole.lines.flatMap((one) =>
    one.planned && chore.lineIds.includes(one.line.id) ? [one] : [],
  );
  const planned = plans[0] ?? null;
  const cautions = new Set(plans.flatMap((plan) => stepCautions(chore, plan, whole)));
  const tests = chore.kind === 'oven' ? (planned?.tests ?? []).map((test) => inStyle(test, style)) : [];
  const detail = inStyle(chore.detail, style);
  const size = large ? 56 : 32;
  useAloud(
    aloud,
    [chore.label, detail, ...amounts.map(({ what, amount }) => `${what} ${amount}`)]
      .filter(Boolean)
      .join('. '),
  );
  // Another step comes into sight, wherever the page was scrolled to.
  const top = useRef<View>(null);
  useEffect(() => {
    (top.current as unknown as HTMLElement | null)?.scrollIntoView?.({ block: 'nearest' });
  }, [chore.id]);
  return (
    <Card style={{ borderLeftWidth: 8, borderLeftColor: carnelian }}>
      <View ref={top} />
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: space(2) }}>
        <View style={{ flex: 1, gap: space(0.5) }}>
          <Small soft={false}>{`For ${whose(run, chore)}`}</Small>
          <Heading level={2} style={{ fontSize: size, lineHeight: size * 1.15, color: ink }}>
            {chore.label}
          </Heading>
        </View>
        {planned && !large ? (
          <PieceDrawing plan={planned} width={84} height={64} bare label="The piece, cut through" />
        ) : null}
      </View>
      {detail ? (
        <Body style={{ fontSize: large ? 32 : 20, lineHeight: large ? 40 : 27 }}>{detail}</Body>
      ) : null}
      {amounts.length > 0 ? (
        <View>
          {amounts.map((one) => (
            <AmountRow key={one.key} run={run} one={one} large={large} />
          ))}
        </View>
      ) : null}
      {steps.length > 0 ? (
        <View style={{ gap: space(1) }}>
          {steps.map((step, i) => (
            <View key={step.text} style={{ flexDirection: 'row', gap: space(1) }}>
              <Strong>{`${i + 1}`}</Strong>
              <View style={{ flex: 1 }}>
                <Body>{step.text}</Body>
                {step.uses.length > 0 ? (
                  <Small soft={false}>
                    {step.uses.map((use) => `${use.name} ${inParts(use, style)}`).join(' · ')}
                  </Small>
                ) : null}
              </View>
            </View>
          ))}
        </View>
      ) : null}
      {tests.map((test) => (
        <Small key={test} soft={false}>{`– ${test}`}</Small>
      ))}
      {[...cautions].map((words) => (
        <CautionLine key={words} words={words} />
      ))}
    </Card>
  );
}

function AmountRow({
  run,
  one,
  large,
}: {
  readonly run: RunDoc;
  readonly one: AmountWords;
  readonly large: boolean;
}) {
  const askWhy = useScreen((state) => state.askWhy);
  const { line } = useTokens();
  const { what, amount, figure } = one;
  const row = {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'baseline',
    gap: space(2),
    borderBottomWidth: 1,
    borderBottomColor: line,
    paddingVertical: space(0.75),
  } as const;
  const words = (
    <>
      <Body style={{ flex: 1, fontSize: large ? 28 : 18 }}>{what}</Body>
      <Strong
        style={{ fontSize: large ? 40 : 22, lineHeight: large ? 46 : 28, flexShrink: 1, textAlign: 'right' }}
      >
        {amount}
      </Strong>
    </>
  );
  return figure ? (
    <Tap
      label={`${what}: ${amount}. Why?`}
      onPress={() => askWhy(run.id, figure.lineId, figure.id)}
      style={row}
    >
      {words}
    </Tap>
  ) : (
    <View style={row}>{words}</View>
  );
}

/** The step read out, by the browser's own voice, whenever another comes. */
function useAloud(wanted: boolean, words: string): void {
  useEffect(() => {
    if (!wanted || typeof speechSynthesis === 'undefined') return undefined;
    speechSynthesis.cancel();
    speechSynthesis.speak(new SpeechSynthesisUtterance(words));
    return () => speechSynthesis.cancel();
  }, [wanted, words]);
}
