import { View } from 'react-native';
import type { LinePlan } from '../../core/plan';
import { patchesOnCake, sectionOf } from '../../core/plan/section';
import { showText, type NumberStyle } from '../../core/quantity';
import { useKitchen, useNumberStyle } from '../../state/store';
import { CutDrawing } from '../../ui/cut';
import { SectionDrawing } from '../../ui/section';
import { Body } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';

/** "Filled 52 %, 17 mm below the rim. Comes out gently domed, 7 mm above it." */
function wellWords(plan: LinePlan, style: NumberStyle): string {
  const below = plan.figure('fill.belowRim').value;
  const above = plan.figure('finish.aboveRim').value;
  const fill = showText(plan.figure('fill.share').value, 'share', style);
  const batter = below >= 0 ? `${showText(below, 'mm', style)} below the rim` : 'over the rim';
  const cake = `${showText(Math.abs(above), 'mm', style)} ${above >= 0 ? 'above' : 'below'} it`;
  const finish = 'finish' in plan ? plan.finish.name : '';
  return `Filled ${fill}, ${batter}. Comes out ${finish}, its top ${cake}.`;
}

/** What the drawing shows, said in a sentence with its measures. */
function cutWords(plan: LinePlan, style: NumberStyle): string {
  const mm = (id: string) => showText(plan.figure(id).value, 'mm', style);
  const g = (id: string) => showText(plan.figure(id).value, 'g', style);
  const share = (id: string) => showText(plan.figure(id).value, 'share', style);
  const coat = plan.has('coat.mm') ? ` Coat ${mm('coat.mm')} thick, ${g('coat.each')}.` : '';
  if (plan.has('fill.belowRim')) return wellWords(plan, style);
  switch (plan.family) {
    case 'pop':
      return `Dough ${mm('ball.diameter')} across, ${g('portion.mass')}.${coat}`;
    case 'cakesicle':
      return `Shell ${mm('shell.mm')} thick, ${g('shell.taken')} with its back plate; ${g('portion.mass')} of filling inside.`;
    case 'mug':
      return `Filled ${share('fill.share')}, risen to ${share('finish.share')} of the mug: ${g('portion.mass')} of batter.`;
    case 'cupcake':
    case 'mini':
      return plan.has('piece.length')
        ? `${mm('piece.length')} by ${mm('piece.width')}, ${mm('piece.height')} high, ${g('cake.mass')} of cake.${coat}`
        : `${g('piece.mass')} a piece.${coat}`;
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
  const kitchen = useKitchen();
  const size = { width, height, bare, label };
  if ('cut' in plan && plan.cut) {
    return <CutDrawing cut={plan.cut} patches={patchesOnCake(plan, plan.cut.cake)} {...size} />;
  }
  const mould =
    plan.family === 'cakesicle' ? kitchen.moulds?.find(({ id }) => id === plan.line.mouldId) : undefined;
  const section = sectionOf(plan, mould?.shape);
  return section ? <SectionDrawing section={section} {...size} /> : null;
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
  return (
    <View style={{ gap: space(1) }}>
      <View style={{ backgroundColor: sunk, borderRadius: 18, alignItems: 'center' }}>
        <PieceDrawing
          plan={plan}
          width={width}
          height={height}
          label={`${NAMES[plan.family]} cut through, to scale. ${words}`}
        />
      </View>
      <Body>{words}</Body>
    </View>
  );
}
