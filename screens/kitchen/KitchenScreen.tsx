import { useState } from 'react';
import type { KitchenDoc } from '../../core/model/documents';
import { loadDemo, startEmpty } from '../../state/snapshots';
import { useKitchen } from '../../state/store';
import { Chip, Chips, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Screen } from '../../ui/screen';
import { Body, Small } from '../../ui/text';
import { TextSheet, nameFault } from '../../ui/textSheet';
import { put } from './List';
import { Ovens } from './Ovens';
import { Preferences } from './Preferences';
import { StatedHere } from './StatedHere';
import { SafeKeeping } from './SafeKeeping';
import { OwnThings } from './OwnThings';
import { OwnMeasures, StockCard, StoreCupboard } from './Stock';
import { Microwaves } from './Microwaves';
import { Moulds } from './Moulds';
import { Bowls, Mugs, Scoops, Sheets, Vessels } from './Things';
import { Tins } from './Tins';

type Part = 'numbers' | 'bake' | 'mould' | 'store' | 'kept';
const PARTS: readonly { readonly part: Part; readonly title: string }[] = [
  { part: 'numbers', title: 'Numbers' },
  { part: 'bake', title: 'To bake in' },
  { part: 'mould', title: 'To mould and dip' },
  { part: 'store', title: 'Cupboard' },
  { part: 'kept', title: 'Safe keeping' },
];

/** Everything that the sums rest on: what is baked in, moulded in and dipped in, what is in stock, how numbers read. */
export function KitchenScreen({ part: asked }: { readonly part?: string }) {
  const kitchen = useKitchen();
  const [part, setPart] = useState<Part>(PARTS.find((one) => one.part === asked)?.part ?? 'numbers');
  return (
    <Screen title="Kitchen" under={kitchen.name} broad>
      <Chips label="Part of the kitchen">
        {PARTS.map((one) => (
          <Chip
            key={one.part}
            title={one.title}
            selected={one.part === part}
            onPress={() => setPart(one.part)}
          />
        ))}
      </Chips>
      {part === 'numbers' ? (
        <>
          <Preferences kitchen={kitchen} put={put} />
          <StatedHere kitchen={kitchen} />
          <ThisBrowser kitchen={kitchen} put={put} />
        </>
      ) : null}
      {part === 'bake' ? (
        <>
          <Tins kitchen={kitchen} />
          <Sheets kitchen={kitchen} />
          <Ovens kitchen={kitchen} />
          <Mugs kitchen={kitchen} />
          <Bowls kitchen={kitchen} />
          <Microwaves kitchen={kitchen} />
        </>
      ) : null}
      {part === 'mould' ? (
        <>
          <Moulds kitchen={kitchen} />
          <Vessels kitchen={kitchen} />
          <Scoops kitchen={kitchen} />
        </>
      ) : null}
      {part === 'store' ? (
        <>
          <StockCard kitchen={kitchen} put={put} />
          <StoreCupboard kitchen={kitchen} put={put} />
          <OwnMeasures kitchen={kitchen} put={put} />
          <OwnThings kitchen={kitchen} put={put} />
        </>
      ) : null}
      {part === 'kept' ? <SafeKeeping /> : null}
    </Screen>
  );
}

interface PartProps {
  readonly kitchen: KitchenDoc;
  readonly put: (label: string, over: Partial<KitchenDoc>) => void;
}

function ThisBrowser({ kitchen, put }: PartProps) {
  const [naming, setNaming] = useState(false);
  return (
    <Card title="This browser">
      <Body>Everything is kept in this browser and nowhere else.</Body>
      <QuietAction title="Rename the kitchen" onPress={() => setNaming(true)} />
      <QuietAction title="Clear all and start empty" icon="bin" onPress={() => void startEmpty()} />
      <QuietAction title="Lay out the demo" onPress={() => void loadDemo(Date.now())} />
      <Small>
        Both replace what is here. Undo, at the top, brings it back; so does Safe keeping, another day.
      </Small>
      <TextSheet
        ask={naming ? { title: 'Name of the kitchen', value: kitchen.name, fault: nameFault } : null}
        onClose={() => setNaming(false)}
        onSave={(name) => {
          setNaming(false);
          put('Name of the kitchen', { name: name.trim() });
        }}
      />
    </Card>
  );
}
