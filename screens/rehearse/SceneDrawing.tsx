import Svg, { Circle, Ellipse, Line, Path } from 'react-native-svg';
import type { Looks } from '../../core/rehearse/scenes';
import { useTokens } from '../../ui/theme';

const WIDTH = 220;
const HIGH = 130;

/** How the thing looks that has to be judged: a cake cut through, a lump of dough, a piece in its coat. */
export function SceneDrawing({ looks, label }: { readonly looks: Looks; readonly label: string }) {
  const { material, line } = useTokens();
  return (
    <Svg width={WIDTH} height={HIGH} viewBox={`0 0 ${WIDTH} ${HIGH}`} role="img" aria-label={label}>
      <Line x1={10} y1={120} x2={210} y2={120} stroke={line} strokeWidth={2} />
      {CAKE.has(looks) ? <Cake looks={looks} /> : null}
      {DOUGH.has(looks) ? <Dough looks={looks} /> : null}
      {looks === 'thick' || looks === 'even' ? <Coated thick={looks === 'thick'} /> : null}
      {looks === 'asked' ? (
        <>
          <Path d="M60 120 V40 a50 34 0 0 1 100 0 V120 Z" fill={material.tin} opacity={0.35} />
          <Circle cx={146} cy={80} r={4} fill={material.crust} />
        </>
      ) : null}
    </Svg>
  );
}

const CAKE: ReadonlySet<Looks> = new Set(['wet', 'clean', 'brown', 'hot', 'warm', 'crumbs']);
const DOUGH: ReadonlySet<Looks> = new Set(['dry', 'right', 'shining']);

/** Crumb holes, always the same ones. */
const HOLES = Array.from({ length: 40 }, (_, i) => ({
  x: 70 + ((i * 0.618034) % 1) * 80,
  y: 58 + ((i * 0.754878) % 1) * 54,
  r: 0.8 + ((i * 0.56984) % 1) * 1.6,
}));

function Cake({ looks }: { readonly looks: Looks }) {
  const { material, line, ink } = useTokens();
  const rim = looks === 'brown' ? 7 : looks === 'wet' ? 2 : 4;
  const outline = 'M58 120 L48 62 Q110 14 172 62 L162 120 Z';
  return (
    <>
      <Path
        d={outline}
        fill={material.crumb}
        stroke={looks === 'brown' ? ink : material.crust}
        strokeWidth={rim}
      />
      {HOLES.map(({ x, y, r }) => (
        <Circle key={`${x}`} cx={x} cy={y} r={r} fill={material.crust} opacity={0.35} />
      ))}
      {looks === 'wet' ? <Ellipse cx={110} cy={84} rx={36} ry={24} fill={material.batter} /> : null}
      {looks === 'crumbs' ? (
        <Ellipse cx={110} cy={86} rx={16} ry={11} fill={material.batter} opacity={0.75} />
      ) : null}
      {looks === 'wet' || looks === 'crumbs' || looks === 'clean' ? (
        <>
          <Line x1={110} y1={6} x2={110} y2={88} stroke={ink} strokeWidth={2} />
          {looks === 'clean' ? null : (
            <Circle
              cx={110}
              cy={looks === 'wet' ? 30 : 26}
              r={looks === 'wet' ? 5 : 2.5}
              fill={material.batter}
            />
          )}
        </>
      ) : null}
      {looks === 'hot' ? (
        <Path d="M40 62 L56 124 H164 L180 62" fill="none" stroke={material.tin} strokeWidth={5} />
      ) : null}
      {looks === 'warm' || looks === 'hot'
        ? [80, 110, 140].map((x) => (
            <Path
              key={x}
              d={`M${x} 34 q6 -8 0 -16 q-6 -8 0 -16`}
              stroke={line}
              strokeWidth={2.5}
              fill="none"
            />
          ))
        : null}
    </>
  );
}

function Dough({ looks }: { readonly looks: Looks }) {
  const { material, ink } = useTokens();
  return (
    <>
      <Path
        d={
          looks === 'dry'
            ? 'M62 120 L56 92 L70 70 L92 62 L104 74 L120 56 L146 66 L164 92 L158 120 Z'
            : 'M56 120 Q48 64 110 56 Q172 64 164 120 Z'
        }
        fill={material.crumb}
        stroke={material.crust}
        strokeWidth={3}
      />
      {looks === 'dry'
        ? ['M84 118 L92 90 L84 70', 'M128 118 L120 88 L132 66', 'M60 104 L78 98'].map((d) => (
            <Path key={d} d={d} stroke={ink} strokeWidth={2} fill="none" />
          ))
        : null}
      {looks === 'dry'
        ? [30, 38, 180, 190, 196].map((x, i) => (
            <Circle key={x} cx={x} cy={116 - (i % 2) * 4} r={3} fill={material.crumb} />
          ))
        : null}
      {looks === 'shining' ? (
        <Path
          d="M78 78 q22 -16 48 -8"
          stroke={material.frosting}
          strokeWidth={7}
          fill="none"
          strokeLinecap="round"
        />
      ) : null}
    </>
  );
}

function Coated({ thick }: { readonly thick: boolean }) {
  const { material } = useTokens();
  return (
    <>
      <Line x1={110} y1={4} x2={110} y2={44} stroke={material.stick} strokeWidth={6} />
      {thick ? <Path d="M66 120 Q60 106 80 104 H140 Q160 106 154 120 Z" fill={material.coat} /> : null}
      <Circle cx={110} cy={80} r={thick ? 42 : 38} fill={material.coat} />
      <Circle cx={110} cy={80} r={32} fill={material.crumb} />
      {thick
        ? ['M74 62 q10 10 4 26', 'M146 62 q-10 10 -4 26'].map((d) => (
            <Path key={d} d={d} stroke={material.crust} strokeWidth={3} fill="none" />
          ))
        : null}
    </>
  );
}
