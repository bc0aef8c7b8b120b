import { useState } from 'react';
import {
  ovenSchema,
  tinSchema,
  type KitchenDoc,
  type OvenDoc,
  type TinDoc,
} from '../../core/exchange/documents';
import { kitchenIn } from '../../state/documents';
import { newId } from '../../state/ids';
import { changeKitchen, useDocuments, useKitchen } from '../../state/store';
import { localNow } from '../../state/time';
import { Chip, Chips, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Columns, Screen } from '../../ui/screen';
import { Body, Heading, Small } from '../../ui/text';
import { TextSheet, nameFault } from '../../ui/textSheet';
import { OvenCard } from './OvenCard';
import { Preferences } from './Preferences';
import { StatedHere } from './StatedHere';
import { OwnMeasures, StockCard, StoreCupboard } from './Stock';
import { Microwaves } from './Microwaves';
import { Moulds } from './Moulds';
import { Mugs, Scoops, Sheets, Vessels } from './Things';
import { TinCard } from './TinCard';

type Part = 'numbers' | 'bake' | 'mould' | 'store';
const PARTS: readonly { readonly part: Part; readonly title: string }[] = [
  { part: 'numbers', title: 'Numbers' },
  { part: 'bake', title: 'To bake in' },
  { part: 'mould', title: 'To mould and dip' },
  { part: 'store', title: 'Cupboard' },
];

/** Changes the kitchen as it stands now; being the same at every drawing, it leaves the lists alone that did not change. */
const put = (label: string, over: Partial<KitchenDoc>): void =>
  changeKitchen(label, { ...kitchenIn(useDocuments.getState().docs), ...over });

/** Everything that the sums rest on: what is baked in, moulded in and dipped in, what is in stock, how numbers read. */
export function KitchenScreen() {
  const kitchen = useKitchen();
  const [part, setPart] = useState<Part>('numbers');
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
          <StatedHere kitchen={kitchen} put={put} />
          <ThisBrowser kitchen={kitchen} put={put} />
        </>
      ) : null}
      {part === 'bake' ? (
        <>
          <Tins kitchen={kitchen} put={put} />
          <Sheets kitchen={kitchen} put={put} />
          <Ovens kitchen={kitchen} put={put} />
          <Mugs kitchen={kitchen} put={put} />
          <Microwaves kitchen={kitchen} put={put} />
        </>
      ) : null}
      {part === 'mould' ? (
        <>
          <Moulds kitchen={kitchen} put={put} />
          <Vessels kitchen={kitchen} put={put} />
          <Scoops kitchen={kitchen} put={put} />
        </>
      ) : null}
      {part === 'store' ? (
        <>
          <StockCard kitchen={kitchen} put={put} />
          <StoreCupboard kitchen={kitchen} put={put} />
          <OwnMeasures kitchen={kitchen} put={put} />
        </>
      ) : null}
    </Screen>
  );
}

interface PartProps {
  readonly kitchen: KitchenDoc;
  readonly put: (label: string, over: Partial<KitchenDoc>) => void;
}

function Tins({ kitchen, put }: PartProps) {
  const putTin = (tin: TinDoc) =>
    put(`Tin ${tin.name}`, {
      tins: kitchen.tins.map((item) => (item.id === tin.id ? tinSchema.parse(tin) : item)),
    });
  const [first] = kitchen.tins;
  return (
    <>
      <Heading level={3}>Tins</Heading>
      <Columns>
        {kitchen.tins.map((tin) => (
          <TinCard
            key={tin.id}
            tin={tin}
            onChange={putTin}
            onRemove={
              kitchen.tins.length > 1
                ? () =>
                    put(`Take out ${tin.name}`, { tins: kitchen.tins.filter((item) => item.id !== tin.id) })
                : null
            }
          />
        ))}
      </Columns>
      {first ? (
        <QuietAction
          title="Another tin"
          icon="plus"
          onPress={() =>
            put('Another tin', {
              tins: [
                ...kitchen.tins,
                { ...first, id: newId('tin'), name: `Tin ${kitchen.tins.length + 1}`, owned: 1 },
              ],
            })
          }
        />
      ) : null}
    </>
  );
}

function Ovens({ kitchen, put }: PartProps) {
  const { ovens } = kitchen;
  const putOven = (oven: OvenDoc) =>
    put(`Oven ${oven.name}`, {
      ovens: ovens.map((item) => (item.id === oven.id ? ovenSchema.parse(oven) : item)),
    });
  return (
    <>
      <Heading level={3}>Ovens</Heading>
      <Columns>
        {ovens.map((oven) => (
          <OvenCard
            key={oven.id}
            oven={oven}
            onChange={putOven}
            onRemove={
              ovens.length > 1
                ? () => put(`Take out ${oven.name}`, { ovens: ovens.filter(({ id }) => id !== oven.id) })
                : null
            }
          />
        ))}
      </Columns>
      {ovens.length < 12 ? (
        <QuietAction
          title="Another oven"
          icon="plus"
          onPress={() =>
            put('Another oven', {
              ovens: [
                ...ovens,
                {
                  id: newId('oven'),
                  name: `Oven ${ovens.length + 1}`,
                  fan: false,
                  offsetC: null,
                  racks: 1,
                  tinsPerRack: 1,
                },
              ],
            })
          }
        />
      ) : null}
    </>
  );
}

function ThisBrowser({ kitchen, put }: PartProps) {
  const [naming, setNaming] = useState(false);
  return (
    <Card title="This browser">
      <Body>Everything is kept in this browser and nowhere else.</Body>
      <QuietAction title="Rename the kitchen" onPress={() => setNaming(true)} />
      <QuietAction
        title="Clear all and start empty"
        icon="bin"
        onPress={() => useDocuments.getState().startEmpty()}
      />
      <QuietAction
        title="Lay out the demo"
        onPress={() => useDocuments.getState().loadDemo(localNow(Date.now()))}
      />
      <Small>Both replace what is here. Undo, at the top, brings it back.</Small>
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
