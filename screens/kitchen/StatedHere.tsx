import { View } from 'react-native';
import type { KitchenDoc } from '../../core/model/documents';
import type { Belief } from '../../core/model/belief';
import { paramOf, scopeParts } from '../../core/param';
import { stageWords } from '../../core/process/stages';
import { formatNumber, showText, type NumberStyle } from '../../core/quantity';
import { formulaIn, type Docs } from '../../state/documents';
import { sayOfThing } from '../../state/learned';
import { useDocuments, useNumberStyle } from '../../state/store';
import { dateOf, dayText } from '../../state/time';
import { Card } from '../../ui/card';
import { IconTap } from '../../ui/screen';
import { Body, Small } from '../../ui/text';
import { space } from '../../ui/theme';

/** What was measured or learned of the things of this kitchen, each with what it belongs to and a way back. */
export function StatedHere({ kitchen }: { readonly kitchen: KitchenDoc }) {
  const style = useNumberStyle();
  const docs = useDocuments((state) => state.docs);
  const { beliefs } = kitchen;
  // What is learned from outcomes stands in the logbook.
  const stated = beliefs.filter(({ learned }) => !learned);
  if (stated.length === 0) return null;
  return (
    <Card title="Always in this kitchen">
      <Small>Measured here, and used in every run in place of the usual figure.</Small>
      {stated.map((belief) => {
        const label = paramOf(belief.param)?.label ?? belief.param;
        const whose = thingOf(belief.of, kitchen, docs);
        return (
          <View
            key={`${belief.param}@${belief.of}`}
            style={{ flexDirection: 'row', alignItems: 'center', gap: space(1) }}
          >
            <View style={{ flex: 1 }}>
              <Body>{label}</Body>
              <Small>{[whose, sinceText(belief)].filter(Boolean).join(', ')}</Small>
            </View>
            <Body>{valueText(belief, style)}</Body>
            <IconTap
              name="bin"
              label={`Back to the usual figure: ${label}${whose ? `, ${whose}` : ''}`}
              onPress={() => sayOfThing('Back to the usual figure', belief.param, belief.of, null)}
            />
          </View>
        );
      })}
    </Card>
  );
}

function valueText({ param, mean, spread }: Belief, style: NumberStyle): string {
  const unit = paramOf(param)?.unit;
  // A parameter of a later version of the app is shown as it stands.
  const text = (n: number) =>
    unit === undefined ? formatNumber(n, 2, style.decimal) : showText(n, unit, style);
  return spread > 0 ? `${text(mean)} ± ${text(spread)}` : text(mean);
}

function sinceText({ seen, since }: Belief): string {
  const times = seen > 1 ? `seen ${seen} times` : '';
  return [times, since === null ? '' : `since ${dayText(dateOf(`${since}T12:00`), Date.now())}`]
    .filter(Boolean)
    .join(', ');
}

/** The name of what a belief belongs to; empty for the kitchen as a whole. */
export function thingOf(of: string, kitchen: KitchenDoc, docs: Docs): string {
  const { kind, id } = scopeParts(of);
  if (id === null) return '';
  if (kind === 'scoop') return `scoop ${id}`;
  if (kind === 'step') return stageWords(id);
  if (kind === 'formula') return formulaIn(docs, id)?.name ?? 'a formula that is gone';
  const things: readonly { readonly id: string; readonly name: string }[] = [
    ...kitchen.tins,
    ...kitchen.ovens,
    ...(kitchen.sheets ?? []),
    ...(kitchen.moulds ?? []),
    ...(kitchen.mugs ?? []),
    ...(kitchen.microwaves ?? []),
  ];
  const named = things.find((thing) => thing.id === id);
  if (named) return named.name;
  return THINGS.has(kind) ? `a ${kind} that is gone` : id.replace(/-/g, ' ');
}

const THINGS: ReadonlySet<string> = new Set(['tin', 'oven', 'sheet', 'mould', 'mug', 'microwave']);
