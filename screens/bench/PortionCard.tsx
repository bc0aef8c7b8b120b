import { useState } from 'react';
import { ScaleTap } from './Instruments';
import { View } from 'react-native';
import { EVEN_SHARE, portioned, trimOf, type Portioning } from '../../core/bench/portions';
import type { BenchState } from '../../core/bench/log';
import { BOWL } from '../../core/bench/portioningOf';
import type { RunDoc } from '../../core/model/documents';
import { gramsText, type LinePlan } from '../../core/plan';
import { formatNumber, inStyle, showText, type NumberStyle } from '../../core/quantity';
import type { Chore } from '../../core/schedule/chores';
import { goOnWith, weigh } from '../../state/bench';
import { useKitchen, useNumberStyle } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { NumberSheet } from '../../ui/numberSheet';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';

/** Steps beside the portion that have a key of their own. */
const KEYS = [-2, -1, 0, 1, 2] as const;

/** Portioning, a piece at a time: what the next one weighs, how even they are, and what that makes of the count. */
export function PortionCard({
  run,
  chore,
  of,
  plan,
  state,
}: {
  readonly run: RunDoc;
  readonly chore: Chore;
  readonly of: Portioning;
  readonly plan: LinePlan;
  readonly state: BenchState;
}) {
  const { scaleStepG } = useKitchen();
  const style = useNumberStyle();
  const { line, raised, ink } = useTokens();
  const [asked, setAsked] = useState<'piece' | 'bowl' | null>(null);
  const told = portioned(of);
  const aimG = Math.min(of.portionG, told.nextG ?? of.portionG);
  const stepG = Math.max(scaleStepG, of.portionG < 15 ? 0.5 : 1);
  const key = (by: number) => Math.round(aimG / stepG + by) * stepG;
  const last = of.weighed.at(-1);
  const put = (massG: number, practice = false) => weigh(run.id, chore, massG, { practice });
  return (
    <Card title={told.nextG === null ? 'All portioned' : `Next: ${showText(aimG, 'g', style)}`}>
      {last === undefined ? (
        <Small soft={false}>
          Weigh some of them, the first ones at least: a tap for what the scale shows.
        </Small>
      ) : (
        <Body>{lastWords(last, aimG, stepG, style)}</Body>
      )}
      {told.nextG === null ? null : (
        <ScaleTap
          put={{ title: 'Put a piece on', deed: { do: 'portion', aimG } }}
          onTake={(massG) => put(massG, true)}
        />
      )}
      {told.nextG === null ? null : (
        <View style={{ flexDirection: 'row', gap: space(0.75) }}>
          {KEYS.map((by) => (
            <Tap
              key={by}
              label={`${showText(key(by), 'g', style)} on the scale`}
              onPress={() => put(key(by))}
              style={{
                flex: 1,
                minHeight: 64,
                alignItems: 'center',
                justifyContent: 'center',
                borderRadius: 12,
                borderWidth: by === 0 ? 3 : 1.5,
                borderColor: by === 0 ? ink : line,
                backgroundColor: raised,
              }}
            >
              <Strong style={{ fontSize: 22, lineHeight: 28 }}>
                {formatNumber(key(by), stepG < 1 ? 1 : 0, style.decimal)}
              </Strong>
            </Tap>
          ))}
        </View>
      )}
      {told.nextG === null ? null : (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
          <QuietAction title="Another weight" onPress={() => setAsked('piece')} />
          <QuietAction title="Weigh the bowl" onPress={() => setAsked('bowl')} />
        </View>
      )}
      {told.n > 0 ? <Evenness of={of} /> : null}
      {told.n > 0 ? (
        <View role="status" style={{ gap: space(0.5) }}>
          {evenWords(of, style).map((words) => (
            <Body key={words}>{words}</Body>
          ))}
        </View>
      ) : null}
      <OnWith run={run} of={of} plan={plan} state={state} />
      <NumberSheet
        ask={
          asked === 'piece'
            ? { title: 'On the scale', value: last ?? aimG, unit: 'g', decimals: 1, min: 0.5, max: 5000 }
            : asked === 'bowl'
              ? {
                  title: 'Still in the bowl',
                  hint: `Without the bowl itself. By the sums there are ${showText(told.leftG, 'g', style)} in it.`,
                  value: null,
                  unit: 'g',
                  decimals: 0,
                  min: 0,
                  max: 100_000,
                }
              : null
        }
        onClose={() => setAsked(null)}
        onSave={(massG) => {
          if (asked === 'bowl') weigh(run.id, chore, massG, { of: BOWL });
          else put(massG);
          setAsked(null);
        }}
      />
    </Card>
  );
}

/** So many must be weighed before a count goes by them. */
const ENOUGH = 3;

/** What the bowl comes to, where that is another count than was planned: one tap, and the day is for that many. */
function OnWith({
  run,
  of,
  plan,
  state,
}: {
  readonly run: RunDoc;
  readonly of: Portioning;
  readonly plan: LinePlan;
  readonly state: BenchState;
}) {
  const { pieces, n } = portioned(of);
  const { count } = plan.parts;
  const { id } = plan.line;
  // A piece may want two wells: so many wells make so many pieces.
  const made = Math.floor(pieces / Math.max(1, Math.round(of.count / Math.max(1, count.made.value))));
  const now = state.counted.get(id) ?? Math.round(count.made.value);
  if (n < ENOUGH || made < 1 || made === now) return null;
  return <QuietAction title={`Go on with ${made}`} large onPress={() => goOnWith(run.id, id, made)} />;
}

/** What to do with the piece on the scale. */
function lastWords(lastG: number, aimG: number, stepG: number, style: NumberStyle): string {
  const trim = trimOf(lastG, aimG, stepG);
  const shown = showText(lastG, 'g', style);
  if (trim === 0) return `This one ${shown}: good.`;
  return trim > 0
    ? `This one ${shown}: trim ${inStyle(gramsText(trim), style)}.`
    : `This one ${shown}: ${inStyle(gramsText(-trim), style)} more on to it.`;
}

/** How even they are, what the heavy ones cost, and what is left to do about it. */
export function evenWords(of: Portioning, style: NumberStyle): string[] {
  const { n, meanG, spreadG, driftG, heavyCosts, pieces, nextG } = portioned(of);
  if (meanG === null) return [];
  const out = [
    `${n} weighed, ${showText(meanG, 'g', style)} in the middle${spreadG === null || spreadG < 0.5 ? '' : `, give or take ${showText(spreadG, 'g', style)}`}.`,
  ];
  if (driftG !== null && Math.abs(driftG) > of.portionG * EVEN_SHARE)
    out.push(
      driftG > 0
        ? `They grow: the last five are ${showText(driftG, 'g', style)} heavier than the first five.`
        : `They shrink: the last five are ${showText(-driftG, 'g', style)} lighter than the first five.`,
    );
  if (pieces < of.count && nextG !== null)
    out.push(
      `${heavyCosts >= 0.5 ? `The heavy ones have cost ${formatNumber(heavyCosts, 1, style.decimal)} pieces. ` : ''}At this pace the bowl makes ${pieces}, not ${of.count}: the next ones at ${showText(nextG, 'g', style)} still make ${of.count}.`,
    );
  else if (nextG !== null && pieces > of.count)
    out.push(`At this pace the bowl makes ${pieces}: ${pieces - of.count} to spare.`);
  return out;
}

const HIGH = 64;
/** The strip shows so much above and below the portion, as a share. */
const SHOWN = 0.2;

/** Each piece as a stone at its weight, in the band where pieces coat and bake alike. */
function Evenness({ of: { weighed, portionG } }: { readonly of: Portioning }) {
  const { line, raised, carnelian, material } = useTokens();
  const shown = weighed.slice(-36);
  const at = (massG: number) =>
    HIGH / 2 - (Math.max(-SHOWN, Math.min(SHOWN, massG / portionG - 1)) / SHOWN) * (HIGH / 2 - 6);
  return (
    <View
      role="img"
      aria-label={`Weights of the last ${shown.length}, each against its portion`}
      style={{ height: HIGH, backgroundColor: raised, borderRadius: 8, borderWidth: 1, borderColor: line }}
    >
      <View
        style={{
          position: 'absolute',
          left: 0,
          right: 0,
          top: at(portionG * (1 + EVEN_SHARE)),
          height: at(portionG * (1 - EVEN_SHARE)) - at(portionG * (1 + EVEN_SHARE)),
          backgroundColor: line,
          opacity: 0.6,
        }}
      />
      {shown.map((massG, i) => (
        <View
          key={`${i}-${massG}`}
          style={{
            position: 'absolute',
            left: `${((i + 0.5) / Math.max(12, shown.length)) * 100}%`,
            top: at(massG) - 5,
            width: 10,
            height: 10,
            marginLeft: -5,
            borderRadius: 5,
            backgroundColor: Math.abs(massG / portionG - 1) > EVEN_SHARE ? carnelian : material.crust,
          }}
        />
      ))}
    </View>
  );
}
