import { useRef } from 'react';
import { View } from 'react-native';
import type { Ref } from '../../core/figure';
import type { LinePlan } from '../../core/plan';
import { showText, type NumberStyle } from '../../core/quantity';
import { fileStem, saveFile } from '../../state/saveFile';
import { useNumberStyle } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { CutDrawing } from '../../ui/cut';
import { SectionDrawing } from '../../ui/section';
import { Body } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';

/** What the drawing shows, said in a sentence with its measures. */
function cutWords({ cutSays: says, parts }: LinePlan, style: NumberStyle): string {
  const mm = ({ value }: Ref<'mm'>) => showText(value, 'mm', style);
  const g = ({ value }: Ref<'g'>) => showText(value, 'g', style);
  const share = ({ value }: Ref<'share'>) => showText(value, 'share', style);
  const coat = parts.coat ? ` Coat ${mm(parts.coat.thickness)} thick, ${g(parts.coat.taken)}.` : '';
  switch (says.is) {
    case 'well': {
      const { belowRim, aboveRim, filled, finish } = says;
      const batter = belowRim.value >= 0 ? `${mm(belowRim)} below the rim` : 'over the rim';
      const above = aboveRim.value;
      const cake = `${showText(Math.abs(above), 'mm', style)} ${above >= 0 ? 'above' : 'below'} it`;
      return `Filled ${share(filled)}, ${batter}. Comes out ${finish}, its top ${cake}.`;
    }
    case 'ball':
      return `Dough ${mm(says.across)} across, ${g(says.portion)}.${coat}`;
    case 'moulded':
      return `Shell ${mm(says.shell)} thick, ${g(says.chocolate)} with its back plate; ${g(says.portion)} of filling inside.`;
    case 'mug':
      return `Filled ${share(says.filled)}, risen to ${share(says.risen)} of the mug: ${g(says.portion)} of batter.`;
    case 'cut':
      return `${mm(says.length)} by ${mm(says.width)}, ${mm(says.height)} high, ${g(says.cake)} of cake.${coat}`;
    case 'piece':
      return `${g(says.mass)} a piece.${coat}`;
  }
}

export function useCutWords(plan: LinePlan): string {
  return cutWords(plan, useNumberStyle());
}

/** The drawing of a line's piece alone, as large as it is given room. */
export function PieceDrawing({
  plan,
  width,
  height,
  bare = false,
  label,
}: {
  readonly plan: LinePlan;
  readonly width: number;
  readonly height: number;
  readonly bare?: boolean;
  readonly label: string;
}) {
  const size = { width, height, bare, label };
  const { drawing } = plan;
  return drawing.is === 'in its well' ? (
    <CutDrawing cut={drawing.cut} patches={drawing.patches} {...size} />
  ) : (
    <SectionDrawing section={drawing.section} {...size} />
  );
}

const NAMES: Readonly<Record<LinePlan['family'], string>> = {
  cupcake: 'Cupcake',
  pop: 'Cake pop',
  cakesicle: 'Moulded piece',
  mug: 'Mug cake',
  mini: 'Mini cake',
};

/** The piece of a line cut through, with what the drawing says in words. */
export function LineCut({
  plan,
  width,
  height,
}: {
  readonly plan: LinePlan;
  readonly width: number;
  readonly height: number;
}) {
  const words = useCutWords(plan);
  const { sunk } = useTokens();
  const drawn = useRef<View>(null);
  return (
    <View style={{ gap: space(1) }}>
      <View ref={drawn} style={{ backgroundColor: sunk, borderRadius: 18, alignItems: 'center' }}>
        <PieceDrawing
          plan={plan}
          width={width}
          height={height}
          label={`${NAMES[plan.family]} cut through, to scale. ${words}`}
        />
      </View>
      <Body>{words}</Body>
      <QuietAction
        title="Drawing as a file"
        icon="down"
        onPress={() => {
          const text = svgText(drawn.current as unknown as Element | null);
          if (text)
            saveFile(`${fileStem(plan.formula?.name ?? NAMES[plan.family])}-cut.svg`, text, 'image/svg+xml');
        }}
      />
    </View>
  );
}

/** The drawing as a file of its own (SVG 1.1), as large as it stands on the screen; null where there is none. */
export function svgText(around: Element | null): string | null {
  const svg = around?.querySelector('svg');
  if (!svg) return null;
  const alone = svg.cloneNode(true) as SVGElement;
  alone.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  return new XMLSerializer().serializeToString(alone);
}
