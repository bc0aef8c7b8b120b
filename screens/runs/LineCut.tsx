import { View } from 'react-native';
import type { CupcakePlan } from '../../core/plan';
import { showText } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { CutDrawing } from '../../ui/cut';
import { Body } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';

/** "Filled 52 %, 17 mm below the rim. Comes out gently domed, 7 mm above it." */
export function useCutWords(plan: CupcakePlan): string {
  const style = useNumberStyle();
  const below = plan.figure('fill.belowRim').value;
  const above = plan.figure('finish.aboveRim').value;
  const fill = showText(plan.figure('fill.share').value, 'share', style);
  const batter = below >= 0 ? `${showText(below, 'mm', style)} below the rim` : 'over the rim';
  const cake = `${showText(Math.abs(above), 'mm', style)} ${above >= 0 ? 'above' : 'below'} it`;
  return `Filled ${fill}, ${batter}. Comes out ${plan.finish.name}, its top ${cake}.`;
}

/** The piece of a line cut through, with what the drawing says in words. */
export function LineCut({
  plan,
  width,
  height,
}: {
  readonly plan: CupcakePlan;
  readonly width: number;
  readonly height: number;
}) {
  const words = useCutWords(plan);
  const { sunk } = useTokens();
  return (
    <View style={{ gap: space(1) }}>
      <View style={{ backgroundColor: sunk, borderRadius: 18, alignItems: 'center' }}>
        <CutDrawing
          cut={plan.cut}
          width={width}
          height={height}
          label={`Cupcake cut through, to scale. ${words}`}
        />
      </View>
      <Body>{words}</Body>
    </View>
  );
}
