import { DrawingGuard } from './guard';
import { View } from 'react-native';
import type { LinePlan, Stratum } from '../core/plan';
import { show, join } from '../core/quantity';
import { useNumberStyle, useScreen } from '../state/store';
import { Icon } from './icons';
import { Tap } from './tap';
import { Body, Small, Strong } from './text';
import { space, useTokens, type Tokens } from './theme';

/** Height given to the whole chain, and the least a band needs to hold its words, px. */
const FULL = 260;
const LEAST = 48;

const colorOf = (tokens: Tokens, { material }: Stratum): string =>
  ({
    ingredient: tokens.material.ingredient,
    batter: tokens.material.batter,
    crumb: tokens.material.crumb,
    loss: tokens.material.loss,
    left: tokens.material.left,
    dough: tokens.material.crumb,
    coat: tokens.material.coatBand,
    topping: tokens.material.binder,
  })[material];

/** Grams lost or set aside before the band of that place in the chain. */
function gone(strata: readonly Stratum[], at: number): number {
  return strata
    .slice(0, at)
    .filter(({ material }) => material === 'loss' || material === 'left')
    .reduce((sum, { massG }) => sum + massG, 0);
}

/**
 * The chain of grams as bands, in the order of the work. Each band's coloured bar is as long as its mass against what
 * was mixed; losses and leftovers are hatched by an edge and named.
 */
export function Strata(props: StrataProps) {
  return (
    <DrawingGuard of={props.plan}>
      <Bands {...props} />
    </DrawingGuard>
  );
}

interface StrataProps {
  readonly plan: LinePlan;
  readonly runId: string;
}

function Bands({ plan, runId }: StrataProps) {
  const tokens = useTokens();
  const style = useNumberStyle();
  const askWhy = useScreen((state) => state.askWhy);
  // Coats and fillings may outweigh what was mixed first.
  const full = Math.max(...plan.strata.map(({ massG }) => massG), 1);
  return (
    <View role="list" aria-label="Grams, from bowl to piece" style={{ borderRadius: 14, overflow: 'hidden' }}>
      {plan.strata.map((band, i) => {
        const share = Math.min(band.massG / full, 1);
        const side = band.material === 'loss' || band.material === 'left';
        // What is lost or left over is cut off the end of the band it comes from.
        const after = side ? gone(plan.strata, i) / full : 0;
        const onCrumb = !tokens.dark && band.material === 'crumb';
        return (
          <View key={band.id} role="listitem">
            <Tap
              onPress={() => askWhy(runId, plan.line.id, band.figureId)}
              label={`${band.label}: ${join(show(band.massG, 'g', style))}${band.pinned ? ', weighed' : ''}. Why?`}
              testID={`band-${band.id}`}
              style={{ minHeight: Math.max(LEAST, (share * FULL) / 3), backgroundColor: tokens.sunk }}
            >
              <View
                style={{
                  position: 'absolute',
                  top: 0,
                  bottom: 0,
                  left: `${Math.min((1 - share - after) * 100, 98.5) * Number(side)}%`,
                  width: `${Math.max(share * 100, 1.5)}%`,
                  backgroundColor: colorOf(tokens, band),
                  borderLeftWidth: side ? 3 : 0,
                  borderLeftColor: tokens.inkSoft,
                  borderStyle: 'dashed',
                }}
              />
              <View
                style={{
                  flexDirection: 'row',
                  alignItems: 'center',
                  justifyContent: 'space-between',
                  paddingHorizontal: space(1.5),
                  gap: space(1),
                }}
              >
                <View style={{ flexDirection: 'row', alignItems: 'center', gap: space(0.5), flex: 1 }}>
                  {side ? (
                    <Small style={{ color: tokens.ink }}>{band.material === 'loss' ? '−' : '↳'}</Small>
                  ) : null}
                  <Body style={onCrumb ? { color: tokens.ink } : undefined}>{band.label}</Body>
                  {band.pinned ? <Icon name="pin" color={tokens.ink} size={18} /> : null}
                </View>
                <Strong>{join(show(band.massG, 'g', style))}</Strong>
              </View>
            </Tap>
          </View>
        );
      })}
    </View>
  );
}
