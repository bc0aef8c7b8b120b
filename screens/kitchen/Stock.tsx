import { useState } from 'react';
import { View } from 'react-native';
import type { KitchenDoc, StoredDoc } from '../../core/model/documents';
import { caseSection, stickSection, trayFromAbove } from '../../core/piece';
import { APART_MM, COLD_TRAY, ballsOnTray, trayOf } from '../../core/schedule/cold';
import { formatNumber, showText } from '../../core/quantity';
import { newId } from '../../state/ids';
import { useNumberStyle } from '../../state/store';
import { useTypedMass } from '../../state/typedMass';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { NumberField } from '../../ui/numberField';
import { NumberValue } from '../../ui/numberValue';
import { IconTap } from '../../ui/screen';
import { SectionDrawing } from '../../ui/section';
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

/** Sticks, cases, and room in the cold and on the bench. */
export function StockCard({ kitchen, put }: Props) {
  const count = (
    key: 'sticks' | 'liners' | 'fridgeTrays' | 'freezerTrays' | 'benchTrays',
    label: string,
    words: string,
    max: number,
    after: string,
  ) => (
    <>
      <NumberValue
        label={label}
        text={kitchen[key] === undefined ? 'uncounted' : String(kitchen[key])}
        ask={{
          title: label,
          value: kitchen[key] ?? null,
          unit: '',
          min: key === 'benchTrays' ? 1 : 0,
          max,
          whole: true,
        }}
        onSave={(value) => put(label, { [key]: value })}
      />
      <Words>{`${words}${after}`}</Words>
    </>
  );
  return (
    <Card title="In stock, and room to stand">
      <Sentence>
        {count('sticks', 'Sticks in stock', 'sticks', 100_000, ',')}
        {count('liners', 'Paper cases in stock', 'paper cases', 100_000, ';')}
        {count('fridgeTrays', 'Trays in the fridge', 'trays in the fridge,', 40, '')}
        {count('freezerTrays', 'Trays in the freezer', 'in the freezer,', 40, '')}
        {count('benchTrays', 'Trays and racks on the bench', 'trays and racks on the bench', 40, '.')}
      </Sentence>
      <Small>New lines on sticks start from the sticks in stock.</Small>
      <Measured kitchen={kitchen} put={put} />
    </Card>
  );
}

/** Where nobody has measured them, mm. Basis: ordinary ones. */
const USUAL = {
  stickMm: 150,
  caseBaseMm: 50,
  caseHighMm: 32,
  trayLengthMm: COLD_TRAY.lengthMm,
  trayWidthMm: COLD_TRAY.widthMm,
} as const;
/** What a tray is drawn with. */
const BALL_MM = 35;

/** A stick, a case and a tray, drawn by their measures. */
function Measured({ kitchen, put }: Props) {
  const style = useNumberStyle();
  const of = (key: keyof typeof USUAL) => kitchen[key] ?? USUAL[key];
  const side = (key: keyof typeof USUAL, label: string, min: number, max: number, after?: string) => (
    <NumberValue
      label={label}
      text={
        kitchen[key] === undefined
          ? `about ${showText(of(key), 'mm', style)}`
          : showText(of(key), 'mm', style)
      }
      ask={{ title: label, value: of(key), unit: 'mm', min, max }}
      onSave={(value) => put(label, { [key]: value })}
      after={after}
    />
  );
  const tray = trayOf(kitchen);
  const drawn = { alignItems: 'center' } as const;
  return (
    <>
      <View style={drawn}>
        <SectionDrawing
          section={stickSection(of('stickMm'))}
          width={300}
          height={64}
          label="A stick, to scale"
        />
      </View>
      <Sentence>
        <Words>A stick is</Words>
        {side('stickMm', 'Length of a stick', 40, 400)}
        <Words>long.</Words>
      </Sentence>
      <View style={drawn}>
        <SectionDrawing
          section={caseSection(of('caseBaseMm'), of('caseHighMm'))}
          width={260}
          height={96}
          label="A paper case from the side, to scale"
        />
      </View>
      <Sentence>
        <Words>A case is</Words>
        {side('caseBaseMm', 'Case across its base', 10, 200)}
        <Words>across its base and</Words>
        {side('caseHighMm', 'Height of a case', 5, 120)}
        <Words>high.</Words>
      </Sentence>
      <View style={drawn}>
        <SectionDrawing
          section={trayFromAbove(tray.lengthMm, tray.widthMm, BALL_MM, APART_MM)}
          width={300}
          height={170}
          label="A tray for the cold from above, to scale"
        />
      </View>
      <Sentence>
        <Words>A tray for the cold is</Words>
        {side('trayLengthMm', 'Length of a tray', 80, 600)}
        <Words>by</Words>
        {side('trayWidthMm', 'Width of a tray', 80, 600, '.')}
      </Sentence>
      <Small>{`It takes ${ballsOnTray(BALL_MM, tray)} balls of ${showText(BALL_MM, 'mm', style)}, ${showText(APART_MM, 'mm', style)} apart.`}</Small>
    </>
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
