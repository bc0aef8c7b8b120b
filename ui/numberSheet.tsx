import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { formatNumber, readNumberField } from '../core/quantity';
import { useNumberStyle } from '../state/store';
import { Chip, Chips, MainAction } from './actions';
import { FieldFault } from './fieldFault';
import { Icon } from './icons';
import { Sheet } from './sheet';
import { Tap } from './tap';
import { Body, Small } from './text';
import { FONT, space, useTokens } from './theme';

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
}

/** What is wrong with a number as typed; null where it will do. */
export function numberFault(
  text: string,
  { min, max, whole, unit }: NumberAsk,
  show: (n: number) => string,
): string | null {
  if (text.trim() === '') return 'Write a number.';
  const value = readNumberField(text);
  if (value === null) return 'That is not a number. Write it like 12, 12.5 or 1 1/2.';
  if (whole && !Number.isInteger(value)) return 'Whole numbers only.';
  const of = unit ? ` ${unit}` : '';
  if (value < min) return `At least ${show(min)}${of}.`;
  if (value > max) return `At most ${show(max)}${of}.`;
  return null;
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
  const [text, setText] = useState(ask.value === null ? '' : show(ask.value));
  const [fresh, setFresh] = useState(true);
  const [fault, setFault] = useState<string | null>(null);
  const put = (next: string) => {
    setText(next);
    setFresh(false);
    setFault(null);
  };
  const save = (keep: (value: number) => void, from = text) => {
    const wrong = numberFault(from, ask, show);
    setFault(wrong);
    const value = readNumberField(from);
    if (wrong === null && value !== null) keep(value);
  };
  return (
    <>
      {ask.hint ? <Small>{ask.hint}</Small> : null}
      <TextInput
        mode="outlined"
        aria-label={`${ask.title}${ask.unit ? `, ${ask.unit}` : ''}`}
        value={text}
        onChangeText={put}
        onSubmitEditing={() => save(onSave)}
        inputMode="none"
        autoFocus
        selectTextOnFocus
        error={fault !== null}
        right={ask.unit ? <TextInput.Affix text={ask.unit} /> : null}
        style={{ fontSize: 32, height: 64, textAlign: 'center' }}
        contentStyle={{ fontFamily: FONT.sansStrong }}
      />
      <FieldFault words={fault} />
      {ask.quick ? (
        <Chips label="Often used">
          {ask.quick.map((n) => (
            <Chip key={n} title={show(n)} selected={text === show(n)} onPress={() => put(show(n))} />
          ))}
        </Chips>
      ) : null}
      <Keypad
        decimal={ask.whole ? null : decimal}
        minus={ask.min < 0}
        onKey={(key) => put(fresh ? key : text + key)}
        onErase={() => put(fresh ? '' : text.slice(0, -1))}
      />
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
  const { sunk, ink } = useTokens();
  const last = minus ? '−' : decimal;
  const keys = ['1', '2', '3', '4', '5', '6', '7', '8', '9', last, '0', 'erase'];
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
      {keys.map((key, i) => (
        <View key={i} style={{ flexBasis: '30%', flexGrow: 1 }}>
          {key === null ? null : (
            <Tap
              label={key === 'erase' ? 'Erase' : key === decimal ? 'Decimal mark' : key}
              onPress={() => (key === 'erase' ? onErase() : onKey(key))}
              style={{ minHeight: 56, borderRadius: 12, backgroundColor: sunk, alignItems: 'center' }}
            >
              {key === 'erase' ? (
                <Icon name="erase" color={ink} />
              ) : (
                <Body style={{ fontSize: 24, fontFamily: FONT.sansStrong }}>{key}</Body>
              )}
            </Tap>
          )}
        </View>
      ))}
    </View>
  );
}
