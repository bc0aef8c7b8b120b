import { useState } from 'react';
import type {
  KitchenDoc,
  MicrowaveDoc,
  MouldDoc,
  MugDoc,
  ScoopDoc,
  SheetDoc,
  VesselDoc,
} from '../../core/exchange/documents';
import { boxSection, mouldedSection, mugSection } from '../../core/piece';
import { waterTestW } from '../../core/process/microwave';
import { fromShown, readNumberField, showText, toShown, typedUnit } from '../../core/quantity';
import { newId } from '../../state/ids';
import { useNumberStyle } from '../../state/store';
import { MainAction, QuietAction } from '../../ui/actions';
import { NumberSheet } from '../../ui/numberSheet';
import { NumberField } from '../../ui/numberField';
import { SectionDrawing } from '../../ui/section';
import { ChoiceValue, Words } from '../../ui/sentence';
import { Sheet } from '../../ui/sheet';
import { Heading, Small } from '../../ui/text';
import { ThingCard, type ThingNumber } from './ThingCard';

type Put = (label: string, over: Partial<KitchenDoc>) => void;
interface Props {
  readonly kitchen: KitchenDoc;
  readonly put: Put;
}

interface ListProps<T> {
  readonly title: string;
  readonly another: string;
  readonly things: readonly T[];
  readonly fresh: () => T;
  readonly onChange: (label: string, things: T[]) => void;
  readonly card: (thing: T, change: (next: T) => void, remove: () => void) => React.ReactElement;
}

/** The things of one kind, and a way to add another. */
function List<T extends { readonly id: string; readonly name: string }>({
  title,
  another,
  things,
  fresh,
  onChange,
  card,
}: ListProps<T>) {
  return (
    <>
      <Heading level={3}>{title}</Heading>
      {things.map((thing) =>
        card(
          thing,
          (next) =>
            onChange(
              next.name,
              things.map((one) => (one.id === thing.id ? next : one)),
            ),
          () =>
            onChange(
              `Take out ${thing.name}`,
              things.filter(({ id }) => id !== thing.id),
            ),
        ),
      )}
      <QuietAction title={another} icon="plus" onPress={() => onChange(another, [...things, fresh()])} />
    </>
  );
}

const OWNED = { key: 'owned', label: 'How many of them', unit: '', min: 1, max: 50, whole: true } as const;
const sides = <T,>(
  rows: readonly (readonly [keyof T & string, string, number, number, string])[],
): ThingNumber<T>[] =>
  rows.map(([key, label, min, max, before]) => ({ key, label, unit: 'mm', min, max, before }));

export function Sheets({ kitchen, put }: Props) {
  const { sheets = [] } = kitchen;
  return (
    <List<SheetDoc>
      title="Sheets"
      another="Another sheet"
      things={sheets}
      fresh={() => ({
        id: newId('sheet'),
        name: `Sheet ${sheets.length + 1}`,
        owned: 1,
        lengthMm: 330,
        widthMm: 230,
        depthMm: 40,
        material: 'light metal',
      })}
      onChange={(label, next) => put(label, { sheets: next })}
      card={(sheet, change, remove) => (
        <ThingCard
          key={sheet.id}
          thing={sheet}
          what="sheet"
          drawing={
            <SectionDrawing
              section={boxSection(sheet.lengthMm, sheet.depthMm)}
              width={260}
              height={64}
              label={`${sheet.name} from the side, to scale`}
            />
          }
          numbers={[
            { ...OWNED, after: ',' },
            ...sides<SheetDoc>([
              ['lengthMm', 'Long inside', 80, 600, ''],
              ['widthMm', 'Wide inside', 80, 600, 'by'],
              ['depthMm', 'Deep', 10, 120, 'and deep'],
            ]),
          ]}
          onChange={change}
          onRemove={remove}
        />
      )}
    />
  );
}

const SHAPES: readonly {
  readonly value: MouldDoc['shape'];
  readonly title: string;
  readonly detail: string;
}[] = [
  { value: 'stadium', title: 'a bar with round ends', detail: 'As for pieces on a flat stick.' },
  { value: 'half-ellipsoid', title: 'half a ball or an egg', detail: 'Also one half of a pair.' },
  { value: 'box', title: 'a box', detail: 'Straight sides.' },
];

/** Moulds by their measures, by the water test, or as one half of a pair. */
export function Moulds({ kitchen, put }: Props) {
  const { moulds = [] } = kitchen;
  const style = useNumberStyle();
  return (
    <List<MouldDoc>
      title="Moulds"
      another="Another mould"
      things={moulds}
      fresh={() => ({
        id: newId('mould'),
        name: `Mould ${moulds.length + 1}`,
        owned: 1,
        cavities: 8,
        shape: 'stadium',
        lengthMm: 70,
        widthMm: 39,
        depthMm: 20,
        stickMl: 1,
      })}
      onChange={(label, next) => put(label, { moulds: next })}
      card={(mould, change, remove) => (
        <ThingCard
          key={mould.id}
          thing={mould}
          what="mould"
          drawing={
            <SectionDrawing
              section={mouldedSection(mould, 1.8, 1.8, mould.stickMl > 0)}
              width={300}
              height={96}
              label={`A cavity of ${mould.name}, to scale`}
            />
          }
          numbers={[
            { ...OWNED, before: '' },
            {
              key: 'cavities',
              label: 'Cavities',
              unit: '',
              min: 1,
              max: 96,
              whole: true,
              before: 'of',
              after: ' cavities,',
            },
            ...sides<MouldDoc>([
              ['lengthMm', 'Long', 10, 200, ''],
              ['widthMm', 'Wide', 10, 200, 'by'],
              ['depthMm', 'Deep', 5, 100, 'and deep'],
            ]),
            {
              key: 'stickMl',
              label: 'Room that a stick takes',
              unit: 'ml',
              min: 0,
              max: 20,
              before: 'a stick takes',
              after: ',',
            },
          ]}
          more={
            <ChoiceValue
              label="Shape"
              title="Shape of a cavity"
              value={mould.shape}
              text={SHAPES.find(({ value }) => value === mould.shape)?.title ?? ''}
              choices={SHAPES}
              onChoose={(shape) => change({ ...mould, shape })}
              after="."
            />
          }
          note={
            mould.cavityMl === undefined
              ? 'What it holds follows from its measures.'
              : `Holds ${showText(mould.cavityMl, 'ml', style)} by the water test.`
          }
          // The longer side is the length, whichever way round it was typed.
          onChange={(next) =>
            change(
              next.lengthMm < next.widthMm
                ? { ...next, lengthMm: next.widthMm, widthMm: next.lengthMm }
                : next,
            )
          }
          onRemove={remove}
        >
          <WaterTest
            title="Water in a cavity"
            hint="Fill one to the brim on the scale: 1 g of water is 1 ml. Of a pair put together, weigh both and enter half."
            value={mould.cavityMl ?? null}
            max={500}
            onSave={(cavityMl) => change({ ...mould, cavityMl })}
          />
          <PairedHalf onSave={(acrossMm) => change(halfOf(mould, acrossMm))} />
        </ThingCard>
      )}
    />
  );
}

/** A mould that is one half of a ball of that width. */
const halfOf = (mould: MouldDoc, acrossMm: number): MouldDoc => {
  const { cavityMl: _measured, ...rest } = mould;
  return {
    ...rest,
    shape: 'half-ellipsoid',
    lengthMm: acrossMm,
    widthMm: acrossMm,
    depthMm: acrossMm / 2,
  };
};

function PairedHalf({ onSave }: { readonly onSave: (acrossMm: number) => void }) {
  const [asking, setAsking] = useState(false);
  return (
    <>
      <QuietAction title="One half of a ball" onPress={() => setAsking(true)} />
      <NumberSheet
        ask={
          asking
            ? {
                title: 'The whole ball, across',
                hint: 'Two halves make it: the cavity is as wide and half as deep.',
                value: 50,
                unit: 'mm',
                min: 10,
                max: 200,
              }
            : null
        }
        onClose={() => setAsking(false)}
        onSave={(value) => {
          setAsking(false);
          onSave(value);
        }}
      />
    </>
  );
}

/** What something holds, by weighing the water in it. */
export function WaterTest({
  title,
  hint,
  value,
  max,
  onSave,
}: {
  readonly title: string;
  readonly hint: string;
  readonly value: number | null;
  readonly max: number;
  readonly onSave: (ml: number) => void;
}) {
  const [asking, setAsking] = useState(false);
  return (
    <>
      <QuietAction title="By the water test" icon="scale" onPress={() => setAsking(true)} />
      <NumberSheet
        ask={asking ? { title, hint, value, unit: 'g', min: 1, max } : null}
        onClose={() => setAsking(false)}
        onSave={(ml) => {
          setAsking(false);
          onSave(ml);
        }}
      />
    </>
  );
}

export function Mugs({ kitchen, put }: Props) {
  const { mugs = [] } = kitchen;
  return (
    <List<MugDoc>
      title="Mugs"
      another="Another mug"
      things={mugs}
      fresh={() => ({ id: newId('mug'), name: `Mug ${mugs.length + 1}`, owned: 1, volumeMl: 320 })}
      onChange={(label, next) => put(label, { mugs: next })}
      card={(mug, change, remove) => (
        <ThingCard
          key={mug.id}
          thing={mug}
          what="mug"
          drawing={
            <SectionDrawing
              section={mugSection(mug.volumeMl, 0.42, 0.42, 0)}
              width={220}
              height={110}
              label={`${mug.name}, to scale, filled as usual`}
            />
          }
          numbers={[
            { ...OWNED, before: '' },
            {
              key: 'volumeMl',
              label: 'Holds to the brim',
              unit: 'ml',
              min: 60,
              max: 3000,
              before: 'of',
              after: '.',
            },
          ]}
          onChange={change}
          onRemove={remove}
        >
          <WaterTest
            title="Water in the mug"
            hint="To the brim, on the scale: 1 g is 1 ml. At least 60 g."
            value={mug.volumeMl}
            max={3000}
            onSave={(volumeMl) => change({ ...mug, volumeMl: Math.max(60, volumeMl) })}
          />
        </ThingCard>
      )}
    />
  );
}

export function Vessels({ kitchen, put }: Props) {
  const { vessels = [] } = kitchen;
  return (
    <List<VesselDoc>
      title="To dip in"
      another="Another vessel"
      things={vessels}
      fresh={() => ({
        id: newId('vessel'),
        name: `Vessel ${vessels.length + 1}`,
        diameterMm: 80,
        depthMm: 120,
      })}
      onChange={(label, next) => put(label, { vessels: next })}
      card={(vessel, change, remove) => (
        <ThingCard
          key={vessel.id}
          thing={vessel}
          what="vessel"
          drawing={
            <SectionDrawing
              section={boxSection(vessel.diameterMm, vessel.depthMm)}
              width={220}
              height={110}
              label={`${vessel.name} from the side, to scale`}
            />
          }
          numbers={sides<VesselDoc>([
            ['diameterMm', 'Across inside', 30, 300, ''],
            ['depthMm', 'Deep', 30, 300, 'across and deep'],
          ])}
          note="A narrow one strands less chocolate under the last piece."
          onChange={change}
          onRemove={remove}
        />
      )}
    />
  );
}

export function Scoops({ kitchen, put }: Props) {
  const { scoops = [] } = kitchen;
  const style = useNumberStyle();
  return (
    <List<ScoopDoc>
      title="Scoops"
      another="A scoop"
      things={scoops}
      fresh={() => ({ id: newId('scoop'), name: `Scoop ${scoops.length + 1}`, number: 40 })}
      onChange={(label, next) => put(label, { scoops: next })}
      card={(scoop, change, remove) => (
        <ThingCard
          key={scoop.id}
          thing={scoop}
          what="scoop"
          numbers={[
            {
              key: 'number',
              label: 'Number on it',
              unit: '',
              min: 8,
              max: 120,
              whole: true,
              before: 'number',
              after: '.',
            },
          ]}
          note={`Level, it holds ${showText(946 / scoop.number, 'ml', style)}: so many to a US quart of 946 ml.`}
          onChange={change}
          onRemove={remove}
        />
      )}
    />
  );
}

export function Microwaves({ kitchen, put }: Props) {
  const { microwaves = [] } = kitchen;
  return (
    <List<MicrowaveDoc>
      title="Microwaves"
      another="Another microwave"
      things={microwaves}
      fresh={() => ({
        id: newId('microwave'),
        name: `Microwave ${microwaves.length + 1}`,
        ratedW: 800,
        absorbedW: null,
        mugsAtOnce: 2,
      })}
      onChange={(label, next) => put(label, { microwaves: next })}
      card={(microwave, change, remove) => (
        <ThingCard
          key={microwave.id}
          thing={microwave}
          what="microwave"
          numbers={[
            {
              key: 'ratedW',
              label: 'Power by its plate',
              unit: 'W',
              min: 300,
              max: 2000,
              whole: true,
              after: ' by its plate,',
            },
            {
              key: 'mugsAtOnce',
              label: 'Mugs at once',
              unit: '',
              min: 1,
              max: 12,
              whole: true,
              before: 'room for',
              after: ' mugs.',
            },
          ]}
          more={<Words>{microwave.absorbedW === null ? '' : ''}</Words>}
          note={
            microwave.absorbedW === null
              ? 'Nobody has run the water test: times go by its plate, with a wider range.'
              : `500 g of water took up ${Math.round(microwave.absorbedW)} W in the water test.`
          }
          onChange={change}
          onRemove={remove}
        >
          <MicrowaveTest onSave={(absorbedW) => change({ ...microwave, absorbedW })} />
          {microwave.absorbedW !== null ? (
            <QuietAction
              title="Forget the water test"
              onPress={() => change({ ...microwave, absorbedW: null })}
            />
          ) : null}
        </ThingCard>
      )}
    />
  );
}

/** What a minute does to half a litre of water: walked through, step by step. */
function MicrowaveTest({ onSave }: { readonly onSave: (absorbedW: number) => void }) {
  const style = useNumberStyle();
  const [open, setOpen] = useState(false);
  const [before, setBefore] = useState('');
  const [after, setAfter] = useState('');
  const [fault, setFault] = useState<{ readonly at: 'before' | 'after'; readonly words: string } | null>(
    null,
  );
  const unit = typedUnit('°C', style);
  const read = (text: string) => {
    const n = readNumberField(text);
    return n === null ? NaN : fromShown(n, '°C', style);
  };
  const save = () => {
    const from = read(before);
    const to = read(after);
    const watts = waterTestW(to - from);
    if (!(from >= 0 && from <= 40))
      setFault({ at: 'before', words: `From ${showText(0, '°C', style)} to ${showText(40, '°C', style)}.` });
    else if (!(to > from && to < 100))
      setFault({ at: 'after', words: 'Warmer than before, and not boiling.' });
    else if (watts < 100 || watts > 2000)
      setFault({
        at: 'after',
        words: `That would be ${Math.round(watts)} W, which no such oven gives. Measure again.`,
      });
    else {
      setOpen(false);
      onSave(Math.round(watts));
    }
  };
  return (
    <>
      <QuietAction title="By the water test" icon="scale" onPress={() => setOpen(true)} />
      <Sheet title="The water test" visible={open} onClose={() => setOpen(false)}>
        <Small>
          1. Weigh 500 g of cool water into a glass or china bowl, a wooden spoon in it. Stir and read the
          heat.
        </Small>
        <NumberField
          label={`Before, ${unit}`}
          text={before}
          onText={(text) => {
            setBefore(text);
            setFault(null);
          }}
          fault={fault?.at === 'before' ? fault.words : null}
        />
        <Small>
          2. One minute at full power, alone in the oven. Leave the spoon in: smooth still water may boil over
          at a touch.
        </Small>
        <Small>3. Stir, and read again at once.</Small>
        <NumberField
          label={`After a minute, ${unit}`}
          text={after}
          onText={(text) => {
            setAfter(text);
            setFault(null);
          }}
          fault={fault?.at === 'after' ? fault.words : null}
        />
        <Small>{`A rise of ${showText(toShown(16, 'K', { ...style, temperature: 'C' }), 'K', style)} is about ${Math.round(waterTestW(16))} W.`}</Small>
        <MainAction title="Reckon the power" onPress={save} />
      </Sheet>
    </>
  );
}
