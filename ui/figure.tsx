import { memo, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, Line, Rect } from 'react-native-svg';
import { hasRange, type Figure } from '../core/figure';
import { show, type Shown } from '../core/quantity';
import { useFigureNow } from '../state/plans';
import { useNumberStyle, useScreen } from '../state/store';
import { Icon } from './icons';
import { Tap } from './tap';
import { Body, Small } from './text';
import { COLOR, FONT, space, useTokens } from './theme';

type Size = 'hero' | 'large' | 'line';

/** A number as the hero it is, with its unit small beside it. */
export function BigNumber({ shown, size = 'large' }: { readonly shown: Shown; readonly size?: Size }) {
  return (
    <Body style={NUMBERS[size]}>
      {shown.number}
      {shown.unit ? <Body style={UNITS[size]}>{`\u2009${shown.unit}`}</Body> : null}
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

/** What of a figure shows: as long as it is the same, it need not be drawn anew with the plan round it. */
function sameFigure(a: FigureViewProps, b: FigureViewProps): boolean {
  const { figure: one } = a;
  const { figure: other } = b;
  return (
    one.id === other.id &&
    one.value === other.value &&
    one.low === other.low &&
    one.high === other.high &&
    one.kind === other.kind &&
    one.expected === other.expected &&
    one.label === other.label &&
    a.label === b.label &&
    a.size === b.size &&
    a.runId === b.runId &&
    a.lineId === b.lineId
  );
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
export const FigureView = memo(function FigureView({
  figure: planned,
  runId,
  lineId,
  size = 'large',
  label,
}: FigureViewProps) {
  const figure = useFigureNow(planned, runId, lineId);
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
      style={STYLES.view}
    >
      <Small>{name}</Small>
      <View style={STYLES.beside}>
        <BigNumber shown={shown} size={size} />
        {measured ? <Icon name="pin" color={carnelian} size={20} /> : null}
      </View>
      {range ? (
        <View style={STYLES.beside}>
          <Whisker figure={figure} width={size === 'hero' ? 120 : 64} />
          <Small>{range}</Small>
        </View>
      ) : measured ? (
        <Small>measured here</Small>
      ) : null}
    </Tap>
  );
}, sameFigure);

/** The same figure as one row: label left, value right. */
export const FigureRow = memo(function FigureRow({ figure: planned, runId, lineId, label }: FigureViewProps) {
  const figure = useFigureNow(planned, runId, lineId);
  const askWhy = useScreen((state) => state.askWhy);
  const style = useNumberStyle();
  const range = useRangeText(figure);
  const { carnelian } = useTokens();
  const shown = show(figure.value, figure.unit, style);
  const name = label ?? figure.label;
  return (
    <Tap
      onPress={() => askWhy(runId, lineId, figure.id)}
      label={`${name}: ${shown.number} ${shown.unit}${range ? `, likely ${range}` : ''}${figure.expected ? ', measured' : ''}. Why?`}
      testID={`figure-${figure.id}`}
      style={STYLES.row}
    >
      <View style={STYLES.across}>
        <Body style={STYLES.name}>{name}</Body>
        {figure.expected ? <Icon name="pin" color={carnelian} size={18} /> : null}
        <View style={STYLES.value}>
          <BigNumber shown={shown} size="line" />
          {range ? <Small>{range}</Small> : null}
        </View>
      </View>
    </Tap>
  );
}, sameFigure);

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

const number = { fontFamily: FONT.sansStrong } as const;
const NUMBERS = StyleSheet.create({
  hero: { ...number, fontSize: 44, lineHeight: 48 },
  large: { ...number, fontSize: 30, lineHeight: 36 },
  line: { ...number, fontSize: 20, lineHeight: 26 },
});
const UNITS = StyleSheet.create({
  hero: { fontSize: 22, color: COLOR.inkSoft },
  large: { fontSize: 16, color: COLOR.inkSoft },
  line: { fontSize: 16, color: COLOR.inkSoft },
});
const STYLES = StyleSheet.create({
  view: { borderRadius: 10, paddingVertical: space(0.5), alignSelf: 'flex-start', minWidth: 140 },
  beside: { flexDirection: 'row', alignItems: 'center', gap: space(1) },
  row: { borderBottomWidth: 1, borderBottomColor: COLOR.line, paddingVertical: space(0.75) },
  across: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', gap: space(2) },
  name: { flex: 1 },
  value: { alignItems: 'flex-end' },
});
