import { useState } from 'react';
import { View } from 'react-native';
import type { KitchenDoc, StoredDoc } from '../../core/exchange/documents';
import { formatNumber, showText } from '../../core/quantity';
import { newId } from '../../state/ids';
import { useNumberStyle } from '../../state/store';
import { useTypedMass } from '../../state/typedMass';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { NumberField } from '../../ui/numberField';
import { NumberValue } from '../../ui/numberValue';
import { IconTap } from '../../ui/screen';
import { Sentence, Words } from '../../ui/sentence';
import { Sheet } from '../../ui/sheet';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';
import { StoredForm } from './StoredForm';

interface Props {
  readonly kitchen: KitchenDoc;
  readonly put: (label: string, over: Partial<KitchenDoc>) => void;
}

/** Sticks, cases, and room in the cold. */
export function StockCard({ kitchen, put }: Props) {
  const count = (
    key: 'sticks' | 'liners' | 'fridgeTrays' | 'freezerTrays',
    label: string,
    words: string,
    max: number,
    after: string,
  ) => (
    <>
      <NumberValue
        label={label}
        text={kitchen[key] === undefined ? 'uncounted' : String(kitchen[key])}
        ask={{ title: label, value: kitchen[key] ?? null, unit: '', min: 0, max, whole: true }}
        onSave={(value) => put(label, { [key]: value })}
      />
      <Words>{`${words}${after}`}</Words>
    </>
  );
  return (
    <Card title="In stock, and room in the cold">
      <Sentence>
        {count('sticks', 'Sticks in stock', 'sticks', 100_000, ',')}
        {count('liners', 'Paper cases in stock', 'paper cases', 100_000, ';')}
        {count('fridgeTrays', 'Trays in the fridge', 'trays in the fridge,', 40, '')}
        {count('freezerTrays', 'Trays in the freezer', 'in the freezer', 40, '.')}
      </Sentence>
      <Small>New lines on sticks start from the sticks in stock.</Small>
    </Card>
  );
}

/** Words of one's own for amounts: what a handful weighs here. */
export function OwnMeasures({ kitchen, put }: Props) {
  const measures = Object.entries(kitchen.ownMeasures ?? {});
  const style = useNumberStyle();
  const mass = useTypedMass();
  const [open, setOpen] = useState(false);
  const [word, setWord] = useState('');
  const [grams, setGrams] = useState('');
  const [fault, setFault] = useState<{ readonly at: 'word' | 'grams'; readonly words: string } | null>(null);
  const save = () => {
    const massG = mass.read(grams);
    const name = word.trim().toLowerCase();
    if (name === '' || name.length > 40) setFault({ at: 'word', words: 'Write the word, up to 40 letters.' });
    else if (massG === null || !(massG >= 0.1 && massG <= 5000))
      setFault({
        at: 'grams',
        words: `Write a weight, from ${showText(0.1, 'g', style)} to ${showText(5000, 'g', style)}.`,
      });
    else {
      setOpen(false);
      setWord('');
      setGrams('');
      put(`My ${name}`, { ownMeasures: { ...kitchen.ownMeasures, [name]: massG } });
    }
  };
  return (
    <Card title="Measures of your own">
      {measures.map(([name, massG]) => (
        <View key={name} style={{ flexDirection: 'row', alignItems: 'center', gap: space(1) }}>
          <Body style={{ flex: 1 }}>{`My ${name}`}</Body>
          <Strong>{showText(massG, 'g', style)}</Strong>
          <IconTap
            name="bin"
            label={`Take out my ${name}`}
            onPress={() =>
              put(`Take out my ${name}`, {
                ownMeasures: Object.fromEntries(measures.filter(([one]) => one !== name)),
              })
            }
          />
        </View>
      ))}
      <Small>Weigh it once; formulas that say “a handful” are read with it from then on.</Small>
      <QuietAction title="Another measure" icon="plus" onPress={() => setOpen(true)} />
      <Sheet title="A measure of your own" visible={open} onClose={() => setOpen(false)}>
        <NumberField
          label="The word: handful, ladle"
          mode="text"
          text={word}
          onText={(text) => {
            setWord(text);
            setFault(null);
          }}
          fault={fault?.at === 'word' ? fault.words : null}
        />
        <NumberField
          label={`Weighs, ${mass.unit}`}
          text={grams}
          onText={(text) => {
            setGrams(text);
            setFault(null);
          }}
          fault={fault?.at === 'grams' ? fault.words : null}
        />
        <MainAction title="Keep it" onPress={save} />
      </Sheet>
    </Card>
  );
}

/** The store cupboard: what is left of everything, how it is packed and what that costs. */
export function StoreCupboard({ kitchen, put }: Props) {
  const { store = [] } = kitchen;
  const style = useNumberStyle();
  const [open, setOpen] = useState<StoredDoc | null>(null);
  const number = (n: number) => formatNumber(n, Number.isInteger(n) ? 0 : 2, style.decimal);
  const amount = (n: number, { by }: StoredDoc) => (by === 'g' ? showText(n, 'g', style) : number(n));
  return (
    <Card title="Store cupboard">
      {store.length === 0 ? (
        <Small>Nothing is listed. What is listed here is taken off the shopping list of every run.</Small>
      ) : null}
      {store.map((one) => (
        <View key={one.id} style={{ flexDirection: 'row', alignItems: 'center', gap: space(1) }}>
          <Tap label={`${one.name}: change`} onPress={() => setOpen(one)} style={{ flex: 1 }}>
            <Body>{one.name}</Body>
            {one.packet !== null ? (
              <Small>{`bought by ${amount(one.packet, one)}${one.price === null ? '' : ` at ${number(one.price)}`}`}</Small>
            ) : null}
          </Tap>
          <Strong>{amount(one.left, one)}</Strong>
          <IconTap
            name="bin"
            label={`Take out ${one.name}`}
            onPress={() => put(`Take out ${one.name}`, { store: store.filter(({ id }) => id !== one.id) })}
          />
        </View>
      ))}
      <QuietAction
        title="Something else"
        icon="plus"
        onPress={() =>
          setOpen({ id: newId('stored'), name: '', left: 0, by: 'g', packet: null, price: null })
        }
      />
      <Sheet
        title={open?.name ? open.name : 'In the cupboard'}
        visible={open !== null}
        onClose={() => setOpen(null)}
      >
        {open ? (
          <StoredForm
            key={open.id}
            stored={open}
            onSave={(stored) => {
              setOpen(null);
              put(`Cupboard: ${stored.name}`, {
                store: [...store.filter(({ id }) => id !== stored.id), stored],
              });
            }}
          />
        ) : null}
      </Sheet>
    </Card>
  );
}
