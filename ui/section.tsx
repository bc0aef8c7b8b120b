import { DrawingGuard } from './guard';
import { View } from 'react-native';
import Svg, { Line, Path, Text as SvgText } from 'react-native-svg';
import { boundsOf, type CutPoint, type Material, type Section } from '../core/piece';
import { FONT, useTokens, type Tokens } from './theme';

export function materialColor({ material }: Tokens, of: Material): string {
  return {
    crumb: material.crumb,
    batter: material.batter,
    coat: material.coat,
    frosting: material.frosting,
    filling: material.filling,
    layer: material.layer,
    stick: material.stick,
    vessel: material.tin,
  }[of];
}

interface SectionProps {
  readonly section: Section;
  readonly width: number;
  readonly height: number;
  readonly bare?: boolean;
  readonly label: string;
}

/** Any piece cut through, to scale: each material in its own tint, named beside it, and a rule below. */
export function SectionDrawing(props: SectionProps) {
  return (
    <DrawingGuard of={props.section}>
      <Drawn {...props} />
    </DrawingGuard>
  );
}

function Drawn({ section, width, height, bare = false, label }: SectionProps) {
  const tokens = useTokens();
  const { ink, inkSoft, material } = tokens;
  const { left, right, bottom, top } = boundsOf(section.patches);
  const margin = bare ? 2 : 12;
  const side = bare ? 0 : 92;
  const foot = bare ? 0 : 24;
  const scale = Math.min(
    (width - 2 * margin - side) / (right - left || 1),
    (height - 2 * margin - foot) / (top - bottom || 1),
  );
  const centre = (width - side) / 2 - ((left + right) / 2) * scale;
  const floor = (height - foot + (top - bottom) * scale) / 2 + bottom * scale;
  const x = (mm: number) => centre + mm * scale;
  const y = (mm: number) => floor - mm * scale;
  const path = (points: readonly CutPoint[]) =>
    `M${points.map((point) => `${x(point.x).toFixed(2)},${y(point.y).toFixed(2)}`).join('L')}Z`;
  const tick = right - left > 120 ? 20 : 10;
  const words = x(right) + 10;
  return (
    <View {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}>
      <Svg width={width} height={height}>
        {section.patches.map((patch, i) => (
          <Path
            key={i}
            d={path(patch.points)}
            fill={materialColor(tokens, patch.material)}
            stroke={material.crust}
            strokeWidth={bare ? 0.75 : 1.25}
            strokeLinejoin="round"
          />
        ))}
        {section.fill ? (
          <Line
            x1={x(-section.fill.halfMm)}
            x2={x(section.fill.halfMm)}
            y1={y(section.fill.y)}
            y2={y(section.fill.y)}
            stroke={ink}
            strokeWidth={bare ? 1.5 : 2}
            strokeDasharray="6 4"
          />
        ) : null}
        {bare ? null : (
          <>
            {section.marks.map((mark) => (
              <Named
                key={mark.words}
                from={x(mark.fromX)}
                to={words}
                y={y(mark.y)}
                text={mark.words}
                color={ink}
              />
            ))}
            <Line
              x1={x(0) - tick * scale}
              x2={x(0) + tick * scale}
              y1={height - 12}
              y2={height - 12}
              stroke={inkSoft}
              strokeWidth={1.5}
            />
            {[-tick, 0, tick].map((mm) => (
              <Line
                key={mm}
                x1={x(0) + mm * scale}
                x2={x(0) + mm * scale}
                y1={height - 16}
                y2={height - 8}
                stroke={inkSoft}
                strokeWidth={mm === 0 ? 1 : 1.5}
              />
            ))}
            <SvgText
              x={x(0) + tick * scale + 6}
              y={height - 8}
              fill={inkSoft}
              fontSize={13}
              fontFamily={FONT.sans}
            >
              {`${2 * tick} mm`}
            </SvgText>
          </>
        )}
      </Svg>
    </View>
  );
}

function Named({
  from,
  to,
  y,
  text,
  color,
}: {
  readonly from: number;
  readonly to: number;
  readonly y: number;
  readonly text: string;
  readonly color: string;
}) {
  return (
    <>
      <Line x1={from} x2={to - 3} y1={y} y2={y} stroke={color} strokeWidth={1} strokeDasharray="2 3" />
      <SvgText x={to} y={y + 4.5} fill={color} fontSize={14} fontFamily={FONT.sansStrong}>
        {text}
      </SvgText>
    </>
  );
}
