import { View } from 'react-native';
import { choose } from '../../core/line/edit';
import type { KitchenDoc, OvenDoc, RunDoc } from '../../core/model/documents';
import { showText } from '../../core/quantity';
import { changeKitchen, editLine, useKitchen, useNumberStyle } from '../../state/store';
import { Chip, Chips, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';

/** Where an oven is known by feel and not by a thermometer, K. Basis: what people mean by hot and cool. */
const BY_FEEL_K = 10;

/**
 * A kitchen that nobody has made their own plans with somebody else's tin and oven: said in the first runs, with three
 * questions of one tap each. All of them can be skipped.
 */
export function KitchenAsk({ run }: { readonly run: RunDoc }) {
  const kitchen = useKitchen();
  const style = useNumberStyle();
  const [oven] = kitchen.ovens;
  // The demo's own runs belong to the demo's kitchen.
  if (kitchen.borrowed !== true || run.id.startsWith('run-lantern') || !oven) return null;
  const answer = (label: string, next: Partial<KitchenDoc>) => changeKitchen(label, { ...kitchen, ...next });
  const ovenAs = (label: string, over: Partial<OvenDoc>) =>
    answer(label, { ovens: kitchen.ovens.map((one) => (one.id === oven.id ? { ...one, ...over } : one)) });
  const tinId = run.lines.flatMap((line) => ('tinId' in line ? [line.tinId] : []))[0] ?? null;
  const felt = (offsetC: number | null) => ovenAs('How hot it runs', { offsetC, offsetBy: 'feel' });
  const by = showText(BY_FEEL_K, 'K', style);
  return (
    <Card title="Whose kitchen?">
      <Small>
        These sums still go by the demo’s tin and oven. Three taps make them yours; Kitchen has the rest.
      </Small>
      {tinId === null ? null : (
        <Asked words="Which tin is most like yours?">
          {kitchen.tins.map((tin) => (
            <Chip
              key={tin.id}
              title={tin.name}
              selected={tin.id === tinId}
              onPress={() => {
                for (const line of run.lines)
                  if ('tinId' in line)
                    editLine(`Tin "${tin.name}"`, run.id, line.id, choose({ tinId: tin.id }));
              }}
            />
          ))}
        </Asked>
      )}
      <Asked words={`Does "${oven.name}" blow?`}>
        <Chip title="It has a fan" selected={oven.fan} onPress={() => ovenAs('A fan', { fan: true })} />
        <Chip title="It is still" selected={!oven.fan} onPress={() => ovenAs('No fan', { fan: false })} />
      </Asked>
      <Asked words="How does it run against its dial?">
        <Chip title="I do not know" selected={oven.offsetC === null} onPress={() => felt(null)} />
        <Chip title="About right" selected={oven.offsetC === 0} onPress={() => felt(0)} />
        <Chip
          title={`Hot, by some ${by}`}
          selected={oven.offsetC === BY_FEEL_K}
          onPress={() => felt(BY_FEEL_K)}
        />
        <Chip
          title={`Cool, by some ${by}`}
          selected={oven.offsetC === -BY_FEEL_K}
          onPress={() => felt(-BY_FEEL_K)}
        />
      </Asked>
      <QuietAction title="That will do" onPress={() => answer('This kitchen is ours', { borrowed: false })} />
    </Card>
  );
}

function Asked({ words, children }: { readonly words: string; readonly children: React.ReactNode }) {
  return (
    <View style={{ gap: space(0.5) }}>
      <Strong>{words}</Strong>
      <Chips label={words}>{children}</Chips>
    </View>
  );
}
