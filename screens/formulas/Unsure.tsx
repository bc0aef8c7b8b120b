import { useState } from 'react';
import { View } from 'react-native';
import type { Choice, Doubt } from '../../core/formula';
import { INGREDIENTS, counted, join, show, toldOf, type OwnThing } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { NumberSheet, type NumberAsk } from '../../ui/numberSheet';
import { Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { IngredientSheet } from './IngredientSheet';

interface UnsureProps {
  readonly doubts: readonly Doubt[];
  readonly ownThings: readonly OwnThing[];
  readonly onSettle: (doubt: Doubt, choice: Choice) => void;
  /** The kitchen keeps what it is told of a thing. */
  readonly onTell: (thing: OwnThing) => void;
}

/** What the app is not sure of stands first, with its likely readings: one tap each. */
export function Unsure({ doubts, ownThings, onSettle, onTell }: UnsureProps) {
  const style = useNumberStyle();
  const { warn, warnSoft } = useTokens();
  const [weighing, setWeighing] = useState<Doubt | null>(null);
  const [likening, setLikening] = useState<Doubt | null>(null);
  if (doubts.length === 0) return null;
  const before = (name: string) => ownThings.find((one) => one.name === name);
  const asked = weighing?.asks ?? null;
  const ask: NumberAsk | null = asked && {
    title: asked.of === 'piece' ? `One of it: ${asked.name}` : `A ${asked.unit} of ${asked.name}`,
    hint: 'Weigh one, level as you would use it. This kitchen remembers it.',
    value: null,
    unit: 'g',
    decimals: 1,
    min: 0.1,
    max: 5000,
  };
  return (
    <View
      role="region"
      aria-label="To settle"
      style={{ backgroundColor: warnSoft, borderRadius: 14, padding: space(1.5), gap: space(1.5) }}
    >
      <Strong style={{ color: warn }}>{`${counted(doubts.length, 'line')} to settle`}</Strong>
      {doubts.map((doubt) => (
        <View key={`${doubt.row} ${doubt.line.raw}`} testID="doubt" style={{ gap: space(0.5) }}>
          <Strong>{doubt.line.raw.trim()}</Strong>
          <Small style={{ color: warn }}>{doubt.why}</Small>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
            {doubt.choices.map((choice) => (
              <QuietAction
                key={choice.label}
                title={
                  choice.massG === null || choice.label === join(show(choice.massG, 'g', style))
                    ? choice.label
                    : `${choice.label}, ${join(show(choice.massG, 'g', style))}`
                }
                onPress={() => onSettle(doubt, choice)}
              />
            ))}
            {doubt.asks ? (
              <QuietAction
                title={doubt.asks.of === 'piece' ? 'Weigh one' : `Weigh a ${doubt.asks.unit}`}
                icon="scale"
                onPress={() => setWeighing(doubt)}
              />
            ) : null}
            {doubt.asks || doubt.line.ingredient === null ? (
              <QuietAction title="Like something else" onPress={() => setLikening(doubt)} />
            ) : null}
          </View>
        </View>
      ))}
      <NumberSheet
        ask={ask}
        onClose={() => setWeighing(null)}
        onSave={(massG) => {
          if (asked) onTell(toldOf(asked, massG, weighing?.line.ingredient?.key ?? null, before(asked.name)));
          setWeighing(null);
        }}
      />
      <IngredientSheet
        title="What it is like"
        says={
          likening
            ? `"${likening.line.raw.trim()}". It is measured and does in a cake what you choose here; what it holds besides stays unknown.`
            : ''
        }
        items={INGREDIENTS}
        visible={likening !== null}
        onClose={() => setLikening(null)}
        onChoose={(like) => {
          const name = likening?.asks?.name ?? likening?.line.called ?? '';
          if (name) onTell({ ...before(name), name, like });
          setLikening(null);
        }}
      />
    </View>
  );
}
