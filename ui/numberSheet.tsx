import { useEffect, useRef, useState } from 'react';
import { StyleSheet, TextInput, View } from 'react-native';
import { formatNumber, readNumberField } from '../core/quantity';
import { useNumberStyle } from '../state/store';
import { Chip, Chips, MainAction } from './actions';
import { FieldFault } from './fieldFault';
import { Icon } from './icons';
import { Sheet } from './sheet';
import { Tap } from './tap';
import { Body, Small } from './text';
import { COLOR, FONT, space, useTokens } from './theme';

export interface NumberAsk {
  readonly title: string;
  /** Said under the title: what the number is for. */
  readonly hint?: string;
  /** As the person would type it, in their units. */
  readonly value: number | null;
  readonly unit: string;
  readonly decimals?: number;
  readonly min: number;
  readonly max: number;
  /** Whole numbers only. */
  readonly whole?: boolean;
  readonly quick?: readonly number[];
  readonly action?: string;
  /** What else may be wrong with a number within its bounds: beside another one that it has to fit. */
  readonly fault?: (value: number) => string | null;
}

/** What is wrong with a number as typed; null where it will do. */
export function numberFault(
  text: string,
  { min, max, whole, unit, fault }: NumberAsk,
  show: (n: number) => string,
): string | null {
  if (text.trim() === '') return 'Write a number.';
  const value = readNumberField(text);
  if (value === null) return 'That is not a number. Write it like 12, 12.5 or 1 1/2.';
  if (whole && !Number.isInteger(value)) return 'Whole numbers only.';
  const of = unit ? ` ${unit}` : '';
  if (value < min) return `At least ${show(min)}${of}.`;
  if (value > max) return `At most ${show(max)}${of}.`;
  return fault?.(value) ?? null;
}

interface NumberSheetProps {
  readonly ask: NumberAsk | null;
  readonly onClose: () => void;
  readonly onSave: (value: number) => void;
  /** A second way to keep the value, such as "Always in this kitchen". */
  readonly other?: { readonly title: string; readonly onSave: (value: number) => void };
}

/** Asks for one number with keys as large as knuckles; a keyboard works as well. */
export function NumberSheet({ ask, onClose, onSave, other }: NumberSheetProps) {
  return (
    <Sheet title={ask?.title ?? ''} visible={ask !== null} onClose={onClose}>
      {ask ? <NumberForm key={ask.title} ask={ask} onSave={onSave} other={other} /> : null}
    </Sheet>
  );
}

/** What stands in the field. Fresh until the first key, which replaces the old value. */
interface Typed {
  readonly text: string;
  readonly fresh: boolean;
  readonly fault: string | null;
}

function NumberForm({
  ask,
  onSave,
  other,
}: Omit<NumberSheetProps, 'onClose' | 'ask'> & { readonly ask: NumberAsk }) {
  const { decimal } = useNumberStyle();
  const show = (n: number) => {
    const decimals = Number.isInteger(n) ? 0 : (ask.decimals ?? 1);
    return formatNumber(n, decimals, decimal).replace(/\u202f/g, '');
  };
  const [{ text, fault }, setTyped] = useState<Typed>(() => ({
    text: ask.value === null ? '' : show(ask.value),
    fresh: true,
    fault: null,
  }));
  // The field answers first; the keys, half of all that is drawn, come with the next picture into the room kept for them.
  const [keysIn, setKeysIn] = useState(false);
  const field = useRef<TextInput>(null);
  useEffect(() => {
    const next = setTimeout(() => {
      // Selected at once: what selects a moment later takes the first digit of a quick hand with it.
      const input = field.current as unknown as HTMLInputElement | null;
      input?.focus();
      input?.select();
      setKeysIn(true);
    }, 0);
    return () => clearTimeout(next);
  }, []);
  const put = (next: string) => setTyped({ text: next, fresh: false, fault: null });
  const onKey = (key: string) =>
    setTyped((was) => ({ text: was.fresh ? key : was.text + key, fresh: false, fault: null }));
  const onErase = () =>
    setTyped((was) => ({ text: was.fresh ? '' : was.text.slice(0, -1), fresh: false, fault: null }));
  const save = (keep: (value: number) => void, from = text) => {
    const wrong = numberFault(from, ask, show);
    setTyped((was) => ({ ...was, fault: wrong }));
    const value = readNumberField(from);
    if (wrong === null && value !== null) keep(value);
  };
  return (
    <>
      {ask.hint ? <Small>{ask.hint}</Small> : null}
      <View style={[STYLES.field, fault !== null && STYLES.faulty]}>
        <TextInput
          aria-label={`${ask.title}${ask.unit ? `, ${ask.unit}` : ''}`}
          aria-invalid={fault !== null}
          value={text}
          onChangeText={put}
          onSubmitEditing={() => save(onSave)}
          // A refused number is put right in its place.
          blurOnSubmit={false}
          inputMode="none"
          ref={field}
          id="keyed"
          style={STYLES.input}
        />
        {ask.unit ? <Body soft>{ask.unit}</Body> : null}
      </View>
      <FieldFault words={fault} />
      {ask.quick ? (
        <Chips label="Often used">
          {ask.quick.map((n) => (
            <Chip key={n} title={show(n)} selected={text === show(n)} onPress={() => put(show(n))} />
          ))}
        </Chips>
      ) : null}
      <View style={STYLES.pad}>
        {keysIn ? (
          <Keypad decimal={ask.whole ? null : decimal} minus={ask.min < 0} onKey={onKey} onErase={onErase} />
        ) : null}
      </View>
      <MainAction title={ask.action ?? 'Save'} onPress={() => save(onSave)} large />
      {other ? (
        <Tap onPress={() => save(other.onSave)} style={{ alignItems: 'center' }}>
          <Body style={{ textDecorationLine: 'underline' }}>{other.title}</Body>
        </Tap>
      ) : null}
    </>
  );
}

function Keypad({
  decimal,
  minus,
  onKey,
  onErase,
}: {
  readonly decimal: '.' | ',' | null;
  readonly minus: boolean;
  readonly onKey: (key: string) => void;
  readonly onErase: () => void;
}) {
  const { ink } = useTokens();
  const last = minus ? '−' : decimal;
  const keys = ['1', '2', '3', '4', '5', '6', '7', '8', '9', last, '0', 'erase'];
  return (
    <View style={STYLES.keys}>
      {keys.map((key, i) => (
        <View key={i} style={STYLES.key}>
          {key === null ? null : (
            <Tap
              label={key === 'erase' ? 'Erase' : key === decimal ? 'Decimal mark' : key}
              onPress={() => (key === 'erase' ? onErase() : onKey(key))}
              style={STYLES.cap}
            >
              {key === 'erase' ? <Icon name="erase" color={ink} /> : <Body style={STYLES.letter}>{key}</Body>}
            </Tap>
          )}
        </View>
      ))}
    </View>
  );
}

const STYLES = StyleSheet.create({
  field: {
    flexDirection: 'row',
    alignItems: 'center',
    height: 64,
    borderRadius: 12,
    paddingHorizontal: space(2),
    gap: space(1),
    borderWidth: 2,
    borderColor: COLOR.carnelian,
  },
  faulty: { borderWidth: 4 },
  input: {
    color: COLOR.ink,
    flex: 1,
    minWidth: 0,
    height: 60,
    fontSize: 32,
    fontFamily: FONT.sansStrong,
    textAlign: 'center',
  },
  pad: { minHeight: 4 * 56 + 3 * space(1) },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: space(1) },
  key: { flexBasis: '30%', flexGrow: 1 },
  cap: { minHeight: 56, borderRadius: 12, alignItems: 'center', backgroundColor: COLOR.sunk },
  letter: { fontSize: 24, fontFamily: FONT.sansStrong },
});
