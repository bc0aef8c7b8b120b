import { DrawingGuard } from '../../ui/guard';
import { View } from 'react-native';
import Svg, { Line, Path } from 'react-native-svg';
import type { LinePlan, OvenQuestion } from '../../core/plan';
import { passesAtS, type BakeCurve } from '../../core/process/bakeCurve';
import { formatDuration, join, showText } from '../../core/quantity';
import { useBakeCurve } from '../../state/bakeCurve';
import { useNumberStyle } from '../../state/store';
import { Card } from '../../ui/card';
import { Small } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';

const WIDTH = 300;
const HEIGHT = 96;
/** Top of the drawing, °C: a little over boiling. */
const TOP_C = 105;
/** Where batter begins to set, and where the crumb is set through, °C. */
const SETS_C = 65;

/** How the coldest place of a piece warms in the oven, as the baking model has it. */
export function CoreCurve({ plan }: { readonly plan: LinePlan }) {
  const { ovenQuestion, bake } = plan.parts;
  return (
    <DrawingGuard of={plan}>
      {ovenQuestion && bake ? <Warming question={ovenQuestion()} bake={bake} /> : null}
    </DrawingGuard>
  );
}

function Warming({
  question,
  bake,
}: {
  readonly question: OvenQuestion;
  readonly bake: NonNullable<LinePlan['parts']['bake']>;
}) {
  const curve = useBakeCurve(question);
  const style = useNumberStyle();
  if (!curve) return null;
  const done = bake.oven.done.value;
  const time = (seconds: number | null) => (seconds === null ? 'never' : join(formatDuration(seconds)));
  const sets = passesAtS(curve, SETS_C);
  const { low, high } = bake.time;
  const waits = curve.timeS > curve.insideS + 15 ? `, and pale gold after about ${time(curve.timeS)}` : '';
  const words = `The coldest place passes ${showText(SETS_C, '°C', style)}, the dotted line, after about ${time(sets)}, when it begins to set. It is done at ${showText(done, '°C', style)}, the dashed one, after about ${time(curve.insideS)}${waits}, likely ${Math.round(low / 60)} to ${Math.round(high / 60)} min in all.`;

  return (
    <Card title="Inside the cake">
      <Row
        left={`${showText(question.input.batterC, '°C', style)}, goes in`}
        right={`done at ${showText(done, '°C', style)}`}
      />
      <Curve curve={curve} doneC={done} label={words} />
      <Row left="door shuts" right={`about ${time(curve.timeS)}`} />
      <Small>{`${words} An estimate of the baking model: trust the skewer.`}</Small>
    </Card>
  );
}

/** What stands at the two ends of the drawing. */
function Row({ left, right }: { readonly left: string; readonly right: string }) {
  return (
    <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
      <Small>{left}</Small>
      <Small>{right}</Small>
    </View>
  );
}

function Curve({
  curve,
  doneC,
  label,
}: {
  readonly curve: BakeCurve;
  readonly doneC: number;
  readonly label: string;
}) {
  const { material, carnelian, line } = useTokens();
  const last = curve.points.at(-1)?.timeS ?? 1;
  const x = (timeS: number) => (WIDTH * timeS) / last;
  const y = (temperatureC: number) => HEIGHT * (1 - temperatureC / TOP_C);
  const path = curve.points
    .map(({ timeS, coldestC }, i) => `${i === 0 ? 'M' : 'L'}${x(timeS).toFixed(1)},${y(coldestC).toFixed(1)}`)
    .join('');
  return (
    <View role="img" aria-label={label} style={{ paddingVertical: space(1) }}>
      <Svg
        width="100%"
        height={HEIGHT}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        preserveAspectRatio="none"
        aria-hidden
      >
        <Path d={`${path}L${WIDTH},${HEIGHT}L0,${HEIGHT}Z`} fill={material.batter} opacity={0.5} />
        <Path d={path} stroke={material.crust} strokeWidth={3} fill="none" />
        <Line
          x1={0}
          x2={WIDTH}
          y1={y(doneC)}
          y2={y(doneC)}
          stroke={carnelian}
          strokeWidth={1.5}
          strokeDasharray="5 4"
        />
        <Line
          x1={0}
          x2={WIDTH}
          y1={y(SETS_C)}
          y2={y(SETS_C)}
          stroke={line}
          strokeWidth={1.5}
          strokeDasharray="2 4"
        />
      </Svg>
    </View>
  );
}
