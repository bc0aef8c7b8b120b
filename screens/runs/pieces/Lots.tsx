import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import type { Line, Lot, RunDoc, Topping } from '../../../core/model/documents';
import { allergenNames, listWords } from '../../../core/caution/allergens.words';
import { lotSchema } from '../../../core/model/pieceFields';
import { choose } from '../../../core/line/edit';
import { finishing } from '../../../core/model/references';
import { readWith } from '../../../core/exchange/readWith';
import { COVER_G_CM2 } from '../../../core/process/coat.table';
import { SOAK_SHARE } from '../../../core/process/frost.table';
import { readNumberField, showText } from '../../../core/quantity';
import { newId } from '../../../state/ids';
import { editLine, useNumberStyle } from '../../../state/store';
import { useTypedMass } from '../../../state/typedMass';
import { Chip, Chips, MainAction, QuietAction } from '../../../ui/actions';
import { FieldFault } from '../../../ui/fieldFault';
import { Icon } from '../../../ui/icons';
import { IconTap } from '../../../ui/screen';
import { Sheet } from '../../../ui/sheet';
import { Tap } from '../../../ui/tap';
import { Small, Strong } from '../../../ui/text';
import { space, useTokens } from '../../../ui/theme';
import { CHOCOLATES, chocolateName } from './finish';
import { FreeFromFields, promiseOfLot, refusedWords } from './FreeFrom';
import { ColourFields, coloursOf } from './LotColours';

const coated = (line: Line): boolean => line.family === 'cakesicle' || finishing(line).coat !== null;
const frosted = (line: Line): boolean => finishing(line).frosting !== null;

/** Lots of a line: pieces finished alike, with their own count, colour, coat and toppings. */
export function Lots({ run, line }: { readonly run: RunDoc; readonly line: Line }) {
  const [open, setOpen] = useState<Lot | null>(null);
  const lots = line.lots ?? [];
  const promised = lots.reduce((sum, lot) => sum + lot.count, 0);
  const left = line.count - promised;
  const put = (label: string, next: readonly Lot[]) =>
    editLine(label, run.id, line.id, choose({ lots: [...next] }));
  const fresh = (): Lot => ({
    id: newId('lot'),
    name: '',
    count: Math.max(1, Math.ceil(left / 2)),
    colour: null,
    coat: null,
    toppings: [],
  });
  return (
    <View style={{ gap: space(1) }}>
      {lots.map((lot) => (
        <LotRow key={lot.id} lot={lot} onOpen={() => setOpen(lot)} />
      ))}
      {lots.length > 0 && left > 0 ? <Small>{`${left} in no lot.`}</Small> : null}
      {left > 0 && lots.length < 40 ? (
        <QuietAction
          title={lots.length === 0 ? 'Finish some of them otherwise' : 'Another lot'}
          icon="plus"
          onPress={() => setOpen(fresh())}
        />
      ) : null}
      <Sheet title={open?.name ? open.name : 'A lot'} visible={open !== null} onClose={() => setOpen(null)}>
        {open ? (
          <LotForm
            key={open.id}
            run={run}
            lot={open}
            line={line}
            most={left + (lots.find(({ id }) => id === open.id)?.count ?? 0)}
            onSave={(lot) => {
              setOpen(null);
              const known = lots.some(({ id }) => id === lot.id);
              put(
                `Lot ${lot.name}`,
                known ? lots.map((one) => (one.id === lot.id ? lot : one)) : [...lots, lot],
              );
            }}
            onRemove={
              lots.some(({ id }) => id === open.id)
                ? () => {
                    setOpen(null);
                    put(
                      `Take out ${open.name}`,
                      lots.filter(({ id }) => id !== open.id),
                    );
                  }
                : null
            }
          />
        ) : null}
      </Sheet>
    </View>
  );
}

function useLotWords(): (lot: Lot) => string {
  const style = useNumberStyle();
  return (lot) =>
    [
      lot.coat ? chocolateName(lot.coat) : '',
      coloursOf(lot),
      ...lot.toppings.map((topping) =>
        topping.by === 'each'
          ? `${showText(topping.eachG, 'g', style)} of ${topping.what}`
          : topping.by === 'soak'
            ? `${topping.what} soaked in, ${showText(topping.share, 'share', style)} of the cake`
            : `${topping.what} over ${showText(topping.share, 'share', style)}`,
      ),
      lot.freeFrom?.length ? `promised free of ${listWords(allergenNames(lot.freeFrom))}` : '',
    ]
      .filter(Boolean)
      .join(', ') || 'as the others';
}

function LotRow({ lot, onOpen }: { readonly lot: Lot; readonly onOpen: () => void }) {
  const { line, inkSoft } = useTokens();
  const words = useLotWords();
  return (
    <Tap
      label={`${lot.count} ${lot.name}: ${words(lot)}. Change`}
      onPress={onOpen}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: space(1.5),
        borderLeftWidth: 6,
        borderLeftColor: line,
        paddingLeft: space(1.5),
      }}
    >
      <Strong style={{ fontSize: 22, minWidth: 36 }}>{String(lot.count)}</Strong>
      <View style={{ flex: 1 }}>
        <Strong>{lot.name}</Strong>
        <Small>{words(lot)}</Small>
      </View>
      <Icon name="next" color={inkSoft} size={20} />
    </Tap>
  );
}

interface FormProps {
  readonly run: RunDoc;
  readonly lot: Lot;
  readonly line: Line;
  /** Pieces that are free for it. */
  readonly most: number;
  readonly onSave: (lot: Lot) => void;
  readonly onRemove: (() => void) | null;
}

function LotForm({ run, lot, line, most, onSave, onRemove }: FormProps) {
  const [name, setName] = useState(lot.name);
  const [count, setCount] = useState(String(lot.count));
  const [draft, setDraft] = useState(lot);
  const [fault, setFault] = useState<{ readonly field: string; readonly words: string } | null>(null);
  // What is written of the lot so far, held against its promise: a name and a count may still be wanting.
  const promised =
    (draft.freeFrom ?? []).length === 0
      ? null
      : promiseOfLot(run, line, {
          ...draft,
          name: name.trim() || 'These',
          count: Math.min(most, Math.max(1, Math.round(readNumberField(count) ?? 1))),
        });
  const save = () => {
    const n = readNumberField(count);
    const read = readWith<Lot>(lotSchema, { ...draft, name: name.trim(), count: n });
    if (!read.ok) {
      const [first] = read.faults;
      setFault({ field: first?.field ?? '', words: first?.fault ?? '' });
    } else if (read.value.count > most) {
      setFault({ field: 'count', words: `Only ${most} are in no other lot.` });
    } else if (promised && refusedWords(promised) !== null) {
      setFault({ field: 'freeFrom', words: '' });
    } else onSave(read.value);
  };
  const faultOf = (field: string) => (fault?.field === field ? fault.words : null);
  return (
    <>
      <TextInput
        mode="outlined"
        label="What they are called"
        aria-label="What they are called"
        value={name}
        onChangeText={(text) => {
          setName(text);
          setFault(null);
        }}
        error={faultOf('name') !== null}
      />
      <FieldFault words={faultOf('name')} />
      <TextInput
        mode="outlined"
        label={`How many of the ${line.count}`}
        aria-label="How many in this lot"
        value={count}
        inputMode="numeric"
        onChangeText={(text) => {
          setCount(text);
          setFault(null);
        }}
        error={faultOf('count') !== null}
      />
      <FieldFault words={faultOf('count')} />
      {coated(line) ? (
        <>
          <Small>Their coat</Small>
          <Chips label="Their coat">
            <Chip
              title="as the line"
              selected={draft.coat === null}
              onPress={() => setDraft({ ...draft, coat: null })}
            />
            {CHOCOLATES.map(({ value, title }) => (
              <Chip
                key={value}
                title={title}
                selected={draft.coat === value}
                onPress={() => setDraft({ ...draft, coat: value })}
              />
            ))}
          </Chips>
        </>
      ) : null}
      {frosted(line) ? <ColourFields lot={draft} onChange={setDraft} /> : null}
      {draft.toppings.map((topping, i) => (
        <ToppingFields
          key={i}
          topping={topping}
          // A cake is soaked; dough has its syrup in it.
          soaks={!('crumb' in line)}
          onChange={(next) =>
            setDraft({
              ...draft,
              toppings: draft.toppings.flatMap((one, k) => (k === i ? (next ? [next] : []) : [one])),
            })
          }
        />
      ))}
      {fault && !['name', 'count', 'freeFrom'].includes(fault.field) ? (
        <FieldFault words={fault.words} />
      ) : null}
      {draft.toppings.length < 12 ? (
        <QuietAction
          title="A topping"
          icon="plus"
          onPress={() =>
            setDraft({
              ...draft,
              toppings: [
                ...draft.toppings,
                { by: 'cover', what: 'sprinkles', cover: 'sprinkles', share: 0.4 },
              ],
            })
          }
        />
      ) : null}
      <Strong>Promised free of</Strong>
      <FreeFromFields
        value={draft}
        made={promised}
        onChange={(promise) => setDraft({ ...draft, ...promise })}
      />
      <MainAction title="Keep this lot" onPress={save} />
      {onRemove ? <QuietAction title="Take this lot out" icon="bin" onPress={onRemove} /> : null}
    </>
  );
}

const COVERS = Object.keys(COVER_G_CM2) as (keyof typeof COVER_G_CM2)[];

/** A topping: so much on each, soaked into it, or over a share of the piece. */
function ToppingFields({
  topping,
  soaks,
  onChange,
}: {
  readonly topping: Topping;
  /** Whether it is cake that could be pricked and soaked, and not dough. */
  readonly soaks: boolean;
  readonly onChange: (topping: Topping | null) => void;
}) {
  const { line } = useTokens();
  const { what } = topping;
  const mass = useTypedMass();
  const [text, setText] = useState(
    topping.by === 'each' ? mass.write(topping.eachG) : String(Math.round(topping.share * 100)),
  );
  const labels =
    topping.by === 'each'
      ? { seen: `${mass.unit} on each`, heard: `On each, ${mass.unit}` }
      : topping.by === 'soak'
        ? { seen: '% of the cake’s weight', heard: 'Per cent of the cake’s weight' }
        : { seen: '% of the piece covered', heard: 'Per cent covered' };
  return (
    <View style={{ borderLeftWidth: 4, borderLeftColor: line, paddingLeft: space(1.5), gap: space(1) }}>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <TextInput
          mode="outlined"
          label="Topping"
          aria-label="Topping"
          value={what}
          onChangeText={(next) => onChange({ ...topping, what: next })}
          style={{ flex: 1 }}
        />
        <IconTap name="bin" label="Take this topping out" onPress={() => onChange(null)} />
      </View>
      <Chips label="How it goes on">
        <Chip
          title="so much on each"
          selected={topping.by === 'each'}
          onPress={() => {
            setText(mass.write(1));
            onChange({ by: 'each', what, eachG: 1 });
          }}
        />
        {soaks ? (
          <Chip
            title="soaked in"
            selected={topping.by === 'soak'}
            onPress={() => {
              setText(String(100 * SOAK_SHARE));
              onChange({ by: 'soak', what, share: SOAK_SHARE });
            }}
          />
        ) : null}
        {COVERS.map((cover) => (
          <Chip
            key={cover}
            title={`covered, as with ${cover}`}
            selected={topping.by === 'cover' && topping.cover === cover}
            onPress={() => {
              setText('40');
              onChange({ by: 'cover', what, cover, share: 0.4 });
            }}
          />
        ))}
      </Chips>
      <TextInput
        mode="outlined"
        label={labels.seen}
        aria-label={labels.heard}
        value={text}
        inputMode="decimal"
        onChangeText={(next) => {
          setText(next);
          // What is no number reaches the check of the whole lot and is said there.
          onChange(
            topping.by === 'each'
              ? { ...topping, eachG: mass.read(next) ?? NaN }
              : { ...topping, share: (readNumberField(next) ?? NaN) / 100 },
          );
        }}
      />
    </View>
  );
}
