import type { ReactNode } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Rect } from 'react-native-svg';
import { hasRange, type Figure } from '../core/figure';
import { show, type Shown } from '../core/quantity';
import { useNumberStyle, useScreen } from '../state/store';
import { Icon } from './icons';
import { Tap } from './tap';
import { Body, Small } from './text';
import { FONT, space, useTokens } from './theme';

type Size = 'hero' | 'large' | 'line';
const SIZE = { hero: [44, 48], large: [30, 36], line: [20, 26] } as const;

/** A number as the hero it is, with its unit small beside it. */
export function BigNumber({ shown, size = 'large' }: { readonly shown: Shown; readonly size?: Size }) {
  const { ink, inkSoft } = useTokens();
  const [fontSize, lineHeight] = SIZE[size];
  return (
    <Body style={{ fontFamily: FONT.sansStrong, fontSize, lineHeight, color: ink }}>
      {shown.number}
      {shown.unit ? (
        <Body
          style={{ fontSize: Math.max(16, fontSize * 0.5), color: inkSoft }}
        >{`\u2009${shown.unit}`}</Body>
      ) : null}
    </Body>
  );
}

/** Likely range: a line from its 10th to its 90th percentile with the value on it. */
export function Whisker({ figure, width = 96 }: { readonly figure: Figure; readonly width?: number }) {
  const { inkSoft, carnelian } = useTokens();
  const span = figure.high - figure.low;
  const at = span === 0 ? 0.5 : (figure.value - figure.low) / span;
  const x = (share: number) => 4 + share * (width - 8);
  return (
    <Svg width={width} height={10} aria-hidden>
      <Line x1={x(0)} x2={x(1)} y1={5} y2={5} stroke={inkSoft} strokeWidth={1.5} />
      <Rect x={x(0) - 1} y={1.5} width={2} height={7} fill={inkSoft} />
      <Rect x={x(1) - 1} y={1.5} width={2} height={7} fill={inkSoft} />
      <Circle cx={x(at)} cy={5} r={3.5} fill={carnelian} />
    </Svg>
  );
}

/** The range in words: "20–25 min". */
export function useRangeText(figure: Figure): string | null {
  const style = useNumberStyle();
  if (!hasRange(figure)) return null;
  const low = show(figure.low, figure.unit, style, figure.value);
  const high = show(figure.high, figure.unit, style, figure.value);
  if (low.number === high.number) return null;
  const number = `${low.number}${low.unit === high.unit ? '' : ` ${low.unit}`}–${high.number}`.replace(
    /–×/,
    '–',
  );
  return high.unit ? `${number} ${high.unit}` : number;
}

interface FigureViewProps {
  readonly figure: Figure;
  readonly runId: string;
  readonly lineId: string;
  readonly size?: Size;
  /** Said in place of the figure's own label. */
  readonly label?: string;
}

/** One figure with its label, its range if it is an estimate, a pin if it was measured. A tap asks why. */
export function FigureView({ figure, runId, lineId, size = 'large', label }: FigureViewProps) {
  const askWhy = useScreen((state) => state.askWhy);
  const style = useNumberStyle();
  const range = useRangeText(figure);
  const { carnelian } = useTokens();
  const shown = show(figure.value, figure.unit, style);
  const measured = figure.kind === 'pinned' || figure.expected !== null;
  const name = label ?? figure.label;
  const spoken = `${name}: ${shown.number} ${shown.unit}${range ? `, likely ${range}` : ''}${measured ? ', measured' : ''}. Why?`;
  return (
    <Tap
      onPress={() => askWhy(runId, lineId, figure.id)}
      label={spoken}
      testID={`figure-${figure.id}`}
      style={{ borderRadius: 10, paddingVertical: space(0.5), alignSelf: 'flex-start', minWidth: 140 }}
    >
      <Small>{name}</Small>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space(1) }}>
        <BigNumber shown={shown} size={size} />
        {measured ? <Icon name="pin" color={carnelian} size={20} /> : null}
      </View>
      {range ? (
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: space(1) }}>
          <Whisker figure={figure} width={size === 'hero' ? 120 : 64} />
          <Small>{range}</Small>
        </View>
      ) : measured ? (
        <Small>measured here</Small>
      ) : null}
    </Tap>
  );
}

/** The same figure as one row: label left, value right. */
export function FigureRow({ figure, runId, lineId, label }: FigureViewProps) {
  const askWhy = useScreen((state) => state.askWhy);
  const style = useNumberStyle();
  const range = useRangeText(figure);
  const { line, carnelian } = useTokens();
  const shown = show(figure.value, figure.unit, style);
  const name = label ?? figure.label;
  return (
    <Tap
      onPress={() => askWhy(runId, lineId, figure.id)}
      label={`${name}: ${shown.number} ${shown.unit}${range ? `, likely ${range}` : ''}${figure.expected ? ', measured' : ''}. Why?`}
      testID={`figure-${figure.id}`}
      style={{ borderBottomWidth: 1, borderBottomColor: line, paddingVertical: space(0.75) }}
    >
      <View
        style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', gap: space(2) }}
      >
        <Body style={{ flex: 1 }}>{name}</Body>
        {figure.expected ? <Icon name="pin" color={carnelian} size={18} /> : null}
        <View style={{ alignItems: 'flex-end' }}>
          <BigNumber shown={shown} size="line" />
          {range ? <Small>{range}</Small> : null}
        </View>
      </View>
    </Tap>
  );
}

/** Words that hold figures: a tap asks why of the one that they rest on. */
export function WhyTap({
  runId,
  lineId,
  figureId,
  label,
  children,
}: {
  readonly runId: string;
  readonly lineId: string;
  readonly figureId: string;
  readonly label: string;
  readonly children: ReactNode;
}) {
  const askWhy = useScreen((state) => state.askWhy);
  return (
    <Tap onPress={() => askWhy(runId, lineId, figureId)} label={`${label}. Why?`}>
      {children}
    </Tap>
  );
}
