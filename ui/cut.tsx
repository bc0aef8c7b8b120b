import { DrawingGuard } from './guard';
import { useId } from 'react';
import { View } from 'react-native';
import Svg, { Circle, ClipPath, Defs, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { boundsOf, type CupcakeCut, type CutPoint, type Patch } from '../core/piece';
import { materialColor } from './section';
import { FONT, useTokens } from './theme';

interface CutProps {
  readonly cut: CupcakeCut;
  /** What stands in and on the cake: core, frosting. */
  readonly patches?: readonly Patch[];
  readonly width: number;
  readonly height: number;
  /** Leave out scale and words: for a small picture in a list. */
  readonly bare?: boolean;
  /** Fixed scale, so that several drawings can be compared; otherwise as large as fits. */
  readonly pxPerMm?: number;
  /** What the picture shows, for those who hear the page; empty where the words beside it say it all. */
  readonly label: string;
}

/** Right half and its mirror image as one closed outline. */
function outline(
  points: readonly CutPoint[],
  toX: (x: number) => number,
  toY: (y: number) => number,
): string {
  const right = points.map(({ x, y }) => `${toX(x).toFixed(2)},${toY(y).toFixed(2)}`);
  const left = [...points].reverse().map(({ x, y }) => `${toX(-x).toFixed(2)},${toY(y).toFixed(2)}`);
  return `M${[...right, ...left].join('L')}Z`;
}

/** Crumb holes, always the same ones, so that the drawing holds still while figures change. */
const HOLES = Array.from({ length: 90 }, (_, i) => ({
  x: ((i * 0.618034) % 1) * 2 - 1,
  y: (i * 0.754878) % 1,
  r: 0.35 + ((i * 0.56984) % 1) * 0.75,
}));

/** A cupcake cut through, to scale: well, liner, crumb, and the line that the batter was filled to. */
export function CutDrawing(props: CutProps) {
  return (
    <DrawingGuard of={props.cut}>
      <Drawn {...props} />
    </DrawingGuard>
  );
}

function Drawn({ cut, patches = [], width, height, bare = false, pxPerMm, label }: CutProps) {
  const tokens = useTokens();
  const { ink, inkSoft, material, carnelian } = tokens;
  const { well } = cut;
  const top = Math.max(
    well.depthMm,
    ...cut.cake.map(({ y }) => y),
    cut.batterMm,
    patches.length > 0 ? boundsOf(patches).top : 0,
  );
  const half = Math.max(well.topMm / 2 + 7, ...cut.cake.map(({ x }) => x));
  const margin = bare ? 2 : 12;
  const side = bare ? 0 : 84;
  const scale =
    pxPerMm ??
    Math.min((width - 2 * margin - side) / (2 * half), (height - 2 * margin - (bare ? 0 : 22)) / (top + 3));
  const centre = (width - side) / 2;
  const floor = height - margin - (bare ? 0 : 22);
  const x = (mm: number) => centre + mm * scale;
  const y = (mm: number) => floor - mm * scale;
  const wall = (offset: number) => {
    const base = well.baseMm / 2 + offset;
    const rim = well.topMm / 2 + offset;
    return `M${x(-rim)},${y(well.depthMm)}L${x(-base)},${y(-offset)}L${x(base)},${y(-offset)}L${x(rim)},${y(well.depthMm)}`;
  };
  const cake = outline(cut.cake, x, y);
  const batterEdge =
    (well.baseMm + ((well.topMm - well.baseMm) * Math.min(cut.batterMm, well.depthMm)) / well.depthMm) / 2;
  const clip = useId();
  const tick = half > 60 ? 20 : 10;
  return (
    <View {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}>
      <Svg width={width} height={height}>
        <Defs>
          <ClipPath id={clip}>
            <Path d={cake} />
          </ClipPath>
        </Defs>
        {/* The tin runs on to both sides of the well. */}
        <Path
          d={`M${x(-half)},${y(well.depthMm)}L${x(-well.topMm / 2 - 1.2)},${y(well.depthMm)}`}
          stroke={material.tin}
          strokeWidth={Math.max(2, 1.2 * scale)}
        />
        <Path
          d={`M${x(half)},${y(well.depthMm)}L${x(well.topMm / 2 + 1.2)},${y(well.depthMm)}`}
          stroke={material.tin}
          strokeWidth={Math.max(2, 1.2 * scale)}
        />
        <Path
          d={wall(1.2)}
          fill="none"
          stroke={material.tin}
          strokeWidth={Math.max(2, 1.2 * scale)}
          strokeLinejoin="round"
        />
        <Path
          d={cake}
          fill={material.crumb}
          stroke={material.crust}
          strokeWidth={Math.max(1.5, 1.1 * scale)}
          strokeLinejoin="round"
        />
        <G clipPath={`url(#${clip})`}>
          {HOLES.map((hole, i) => (
            <Circle
              key={i}
              cx={x(hole.x * half)}
              cy={y(hole.y * top)}
              r={hole.r * scale}
              fill={material.batter}
              opacity={0.7}
            />
          ))}
        </G>
        {patches.map((patch, i) => (
          <Path
            key={i}
            d={`M${patch.points.map((point) => `${x(point.x).toFixed(2)},${y(point.y).toFixed(2)}`).join('L')}Z`}
            fill={materialColor(tokens, patch.material)}
            stroke={material.crust}
            strokeWidth={1}
          />
        ))}
        <Path
          d={wall(0.3)}
          fill="none"
          stroke={material.liner}
          strokeWidth={Math.max(1.5, 0.6 * scale)}
          strokeDasharray={bare ? undefined : '3 2'}
        />
        <Line
          x1={x(-batterEdge)}
          x2={x(batterEdge)}
          y1={y(cut.batterMm)}
          y2={y(cut.batterMm)}
          stroke={ink}
          strokeWidth={bare ? 1.5 : 2}
          strokeDasharray="6 4"
        />
        {bare ? null : (
          <>
            <CutLabel x={x(half) + 6} y={y(well.depthMm)} from={x(half)} text="rim" color={inkSoft} />
            <CutLabel
              x={x(half) + 6}
              y={Math.abs(cut.batterMm - well.depthMm) * scale < 16 ? y(cut.batterMm) + 14 : y(cut.batterMm)}
              from={x(batterEdge)}
              text="batter"
              color={ink}
            />
            {Math.abs(cut.aboveRimMm) * scale > 16 ? (
              <CutLabel
                x={x(half) + 6}
                y={y(well.depthMm + cut.aboveRimMm)}
                from={x(4)}
                text="cake"
                color={carnelian}
              />
            ) : null}
            <Line
              x1={x(-tick)}
              x2={x(tick)}
              y1={floor + 14}
              y2={floor + 14}
              stroke={inkSoft}
              strokeWidth={1.5}
            />
            <Line
              x1={x(-tick)}
              x2={x(-tick)}
              y1={floor + 10}
              y2={floor + 18}
              stroke={inkSoft}
              strokeWidth={1.5}
            />
            <Line x1={x(0)} x2={x(0)} y1={floor + 11} y2={floor + 17} stroke={inkSoft} strokeWidth={1} />
            <Line
              x1={x(tick)}
              x2={x(tick)}
              y1={floor + 10}
              y2={floor + 18}
              stroke={inkSoft}
              strokeWidth={1.5}
            />
            <SvgText x={x(tick) + 6} y={floor + 18} fill={inkSoft} fontSize={13} fontFamily={FONT.sans}>
              {`${2 * tick} mm`}
            </SvgText>
          </>
        )}
      </Svg>
    </View>
  );
}

function CutLabel({
  x,
  y,
  from,
  text,
  color,
}: {
  readonly x: number;
  readonly y: number;
  readonly from: number;
  readonly text: string;
  readonly color: string;
}) {
  return (
    <>
      <Line x1={from + 2} x2={x - 2} y1={y} y2={y} stroke={color} strokeWidth={1} strokeDasharray="2 3" />
      <SvgText x={x} y={y + 4.5} fill={color} fontSize={14} fontFamily={FONT.sansStrong}>
        {text}
      </SvgText>
    </>
  );
}
