import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import type { ChoreDoes } from '../../../core/model/choreDoes';
import type { Trouble } from '../../../core/bench/trouble';
import type { RunDoc } from '../../../core/model/documents';
import { finishing } from '../../../core/model/references';
import type { LinePlan } from '../../../core/plan';
import {
  fromShown,
  inStyle,
  readNumberField,
  showText,
  toShown,
  typedUnit,
  type NumberStyle,
} from '../../../core/quantity';
import { useNow } from '../../../state/clock';
import { fileOf, rescueOf } from '../../../state/plans';
import { changeRunOf, useDocuments, useKitchen, useNumberStyle } from '../../../state/store';
import { Chip, Chips, MainAction, QuietAction } from '../../../ui/actions';
import { FieldFault } from '../../../ui/fieldFault';
import { Notice } from '../../../ui/notice';
import { Sheet } from '../../../ui/sheet';
import { Body, Small, Strong } from '../../../ui/text';
import { space, useTokens } from '../../../ui/theme';

interface Part {
  readonly run: RunDoc;
  readonly plan: LinePlan;
}

/** A number that a way out needs: what was weighed, counted or read. */
interface Ask {
  readonly id: string;
  readonly label: string;
  readonly unit: 'g' | 'pieces' | '°C';
  readonly min: number;
  readonly max: number;
}

interface Kind {
  readonly id: string;
  readonly title: string;
  readonly asks: readonly Ask[];
  readonly trouble: (n: Readonly<Record<string, number>>) => Trouble;
}

const grams = (id: string, label: string, min = 0): Ask => ({ id, label, unit: 'g', min, max: 1_000_000 });
const pieces = (most: number): Ask => ({
  id: 'pieces',
  label: 'How many',
  unit: 'pieces',
  min: 1,
  max: most,
});
const room: Ask = { id: 'roomC', label: 'Room', unit: '°C', min: 0, max: 45 };

/** What can go wrong with a line such as this, in the order of the work. */
function kindsOf(plan: LinePlan, vesselId: string): Kind[] {
  const { parts, pots } = plan;
  const made = Math.max(parts.count.made.value, 1);
  const out: Kind[] = [];
  const add = (
    id: Trouble['kind'],
    title: string,
    asks: readonly Ask[],
    trouble: (n: Readonly<Record<string, number>>) => Trouble,
  ) => out.push({ id, title, asks, trouble });
  const n = (values: Readonly<Record<string, number>>, id: string) => values[id] ?? 0;
  if (parts.bowl) {
    add('batter short', 'The batter is short', [grams('bowlG', 'In the bowl', 1)], (v) => ({
      kind: 'batter short',
      bowlG: n(v, 'bowlG'),
    }));
    add('batter over', 'There is batter over', [grams('bowlG', 'In the bowl', 1)], (v) => ({
      kind: 'batter over',
      bowlG: n(v, 'bowlG'),
    }));
  }
  if (made > 1)
    for (const [then, title] of [
      ['bake again', 'Not all came out: bake those again'],
      ['do without', 'Not all came out: go on without'],
    ] as const)
      out.push({
        id: `some lost, ${then}`,
        title,
        asks: [pieces(made - 1)],
        trouble: (v) => ({ kind: 'some lost', pieces: n(v, 'pieces'), then }),
      });
  if (parts.cake) {
    for (const [kind, title] of [
      ['stuck', 'They stuck to the tin'],
      ['broken', 'They broke'],
    ] as const)
      add(kind, title, [pieces(made), grams('crumbG', 'Crumb saved', 1)], (v) => ({
        kind,
        pieces: n(v, 'pieces'),
        crumbG: n(v, 'crumbG'),
        vesselId,
      }));
    add('domed', 'They domed and were trimmed', [grams('trimmedG', 'Trimmed off', 1)], (v) => ({
      kind: 'domed',
      trimmedG: n(v, 'trimmedG'),
    }));
  }
  if (parts.well) {
    add('sunk', 'They sank', [], () => ({ kind: 'sunk' }));
    add('overflowed', 'They ran over', [], () => ({ kind: 'overflowed' }));
  }
  if (parts.bake && plan.loads.sizes.length > 0)
    add(
      'raw inside',
      'Raw inside',
      [{ id: 'load', label: 'Which load', unit: 'pieces', min: 1, max: plan.loads.sizes.length }],
      (v) => ({ kind: 'raw inside', load: n(v, 'load') }),
    );
  if (parts.dough) {
    const added = [grams('addedG', 'Binder that is in')];
    add('binder short', 'It still crumbles', added, (v) => ({
      kind: 'binder short',
      addedG: n(v, 'addedG'),
    }));
    add('binder overdone', 'Too soft: mend it with crumb', added, (v) => ({
      kind: 'binder overdone',
      addedG: n(v, 'addedG'),
      mend: 'crumb',
    }));
    out.push({
      id: 'overdone-biscuit',
      title: 'Too soft: mend it with biscuit',
      asks: added,
      trouble: (v) => ({ kind: 'binder overdone', addedG: n(v, 'addedG'), mend: 'biscuit' }),
    });
  }
  if (pots.length > 0) {
    for (const [kind, title] of [
      ['coat thick', 'The coat is thick'],
      ['coat seized', 'The chocolate seized'],
      ['coat cracked', 'The coat cracked'],
      ['coat dull', 'The coat is dull or grey'],
    ] as const)
      add(kind, title, [], () => ({ kind }));
    add('coat short', 'The coat runs short', [grams('leftG', 'Chocolate there is')], (v) => ({
      kind: 'coat short',
      leftG: n(v, 'leftG'),
    }));
  }
  if (parts.shell) {
    add('shell cracked', 'Shells cracked', [pieces(made)], (v) => ({
      kind: 'shell cracked',
      pieces: n(v, 'pieces'),
    }));
    add('lost in the mould', 'Lost in the mould', [pieces(made)], (v) => ({
      kind: 'lost in the mould',
      pieces: n(v, 'pieces'),
    }));
  }
  if (parts.frostingNeeded) {
    for (const [kind, title] of [
      ['frosting runny', 'The frosting is runny'],
      ['frosting stiff', 'The frosting is stiff'],
      ['frosting curdled', 'The frosting curdled'],
    ] as const)
      add(kind, title, [grams('bowlG', 'In the bowl', 1), room], (v) => ({
        kind,
        bowlG: n(v, 'bowlG'),
        roomC: n(v, 'roomC'),
      }));
    add('frosting short', 'The frosting runs short', [grams('leftG', 'Frosting there is')], (v) => ({
      kind: 'frosting short',
      leftG: n(v, 'leftG'),
    }));
  }
  return out;
}

/** By what is done, what goes wrong at it. */
const FITS: Readonly<Partial<Record<ChoreDoes, RegExp>>> = {
  'weigh-out': /^batter/,
  mix: /^batter/,
  fill: /^(batter|shell)/,
  load: /^(raw|sunk|overflowed|some lost)/,
  bake: /^(raw|sunk|some lost)/,
  out: /^(stuck|broken|domed|shell|lost in|some lost)/,
  crumble: /^(binder|overdone)/,
  bind: /^(binder|overdone)/,
  roll: /^(binder|overdone)/,
  stick: /^(binder|broken)/,
  melt: /^coat/,
  dip: /^coat/,
  'coat-a': /^(coat|shell)/,
  'coat-b': /^(coat|shell)/,
  back: /^(coat|shell)/,
  frosting: /^frosting/,
  colour: /^frosting/,
  frost: /^frosting/,
  'fill-in': /^(broken|some lost)/,
  pack: /^(some lost|broken|coat)/,
};

/** Something went wrong: what it was, what was weighed of it, and the way out with the run changed. */
export function Rescue({
  run,
  plan,
  does = null,
}: Part & {
  /** The step at which it happened: what fits it stands first. */
  readonly does?: ChoreDoes | null;
}) {
  const kitchen = useKitchen();
  const [open, setOpen] = useState(false);
  const vesselId = finishing(plan.line).coat?.vesselId ?? kitchen.vessels?.[0]?.id ?? '';
  // Without a vessel nothing can be turned into pops.
  const there = kindsOf(plan, vesselId).filter(
    ({ id }) => vesselId !== '' || (id !== 'stuck' && id !== 'broken'),
  );
  const fits = ({ id }: Kind) => (does !== null && FITS[does]?.test(id) ? 0 : 1);
  const kinds = [...there].sort((a, b) => fits(a) - fits(b));
  return (
    <>
      <QuietAction title="Something went wrong" icon="warn" onPress={() => setOpen(true)} />
      <Sheet title="What went wrong" visible={open} onClose={() => setOpen(false)}>
        {open ? <RescueForm run={run} plan={plan} kinds={kinds} onDone={() => setOpen(false)} /> : null}
      </Sheet>
    </>
  );
}

/** A room is usually about so warm, °C: put in where it is asked for, to be put right. */
const ROOM_C = 21;
const usual = (ask: Ask, style: NumberStyle): string =>
  ask.id === 'roomC' ? String(Math.round(toShown(ROOM_C, '°C', style))) : '';

function RescueForm({
  run,
  plan,
  kinds,
  onDone,
}: Part & { readonly kinds: readonly Kind[]; readonly onDone: () => void }) {
  const docs = useDocuments((state) => state.docs);
  const now = useNow(60_000);
  const style = useNumberStyle();
  const { line } = useTokens();
  const [kindId, setKindId] = useState<string | null>(null);
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({});
  const [fault, setFault] = useState<{ readonly id: string; readonly words: string } | null>(null);
  const [out, setOut] = useState<ReturnType<typeof rescueOf> | null>(null);
  const kind = kinds.find(({ id }) => id === kindId);
  const solve = () => {
    if (!kind) return;
    const values: Record<string, number> = {};
    for (const ask of kind.asks) {
      const typed = readNumberField(texts[ask.id] ?? usual(ask, style));
      const value = typed === null ? NaN : ask.unit === 'pieces' ? typed : fromShown(typed, ask.unit, style);
      const shown = (limit: number) =>
        ask.unit === 'pieces' ? String(limit) : showText(limit, ask.unit, style);
      const words = Number.isNaN(value)
        ? 'Write a number.'
        : ask.unit === 'pieces' && !Number.isInteger(value)
          ? 'Whole numbers only.'
          : value < ask.min
            ? `At least ${shown(ask.min)}.`
            : value > ask.max
              ? `At most ${shown(ask.max)}.`
              : null;
      if (words) {
        setFault({ id: ask.id, words });
        return;
      }
      values[ask.id] = value;
    }
    setFault(null);
    setOut(rescueOf(fileOf(run, docs, now), plan.line.id, kind.trouble(values), now));
  };
  return (
    <>
      <Chips label="What went wrong">
        {kinds.map(({ id, title }) => (
          <Chip
            key={id}
            title={title}
            selected={id === kindId}
            onPress={() => {
              setKindId(id);
              setOut(null);
              setFault(null);
            }}
          />
        ))}
      </Chips>
      {kind?.asks.map((ask) => (
        <View key={`${kind.id}-${ask.id}`}>
          <TextInput
            mode="outlined"
            label={ask.unit === 'pieces' ? ask.label : `${ask.label}, ${typedUnit(ask.unit, style)}`}
            aria-label={ask.label}
            value={texts[ask.id] ?? usual(ask, style)}
            inputMode="decimal"
            onChangeText={(text) => {
              setTexts({ ...texts, [ask.id]: text });
              setOut(null);
              setFault(null);
            }}
            error={fault?.id === ask.id}
          />
          <FieldFault words={fault?.id === ask.id ? fault.words : null} />
        </View>
      ))}
      {kind && !out ? <MainAction title="The way out" onPress={solve} /> : null}
      {out ? (
        <View style={{ gap: space(1), borderTopWidth: 1, borderTopColor: line, paddingTop: space(1) }}>
          {out.words.map((words) => (
            <Body key={words}>{inStyle(words, style)}</Body>
          ))}
          {out.sums.map(({ what, massG }) => (
            <View key={what} style={{ flexDirection: 'row', justifyContent: 'space-between', gap: space(2) }}>
              <Body style={{ flex: 1 }}>{what}</Body>
              <Strong>{showText(massG, 'g', style)}</Strong>
            </View>
          ))}
          <MainAction
            title="Go on so"
            onPress={() => {
              onDone();
              // What was told since the way out was reckoned stays: only the lines are others.
              const { lines, events } = out.run;
              changeRunOf(`Rescue: ${kind?.title ?? ''}`, run.id, (was) => ({
                ...was,
                lines,
                ...(events ? { events } : {}),
              }));
            }}
          />
          <Small>Undo takes it back.</Small>
        </View>
      ) : null}
      {kinds.length === 0 ? (
        <Notice fault="Nothing of this line is known to go wrong." mend="Change its sentence under Pieces." />
      ) : null}
    </>
  );
}
