import { useDeferredValue, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { showText } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { NumberValue } from '../../ui/numberValue';
import { Sentence, Value, Words } from '../../ui/sentence';
import { Small } from '../../ui/text';
import { TextSheet, nameFault } from '../../ui/textSheet';

/** A number of a thing, with the words that lead to it. */
export interface ThingNumber<T> {
  readonly key: keyof T & string;
  readonly label: string;
  readonly hint?: string;
  readonly unit: 'mm' | 'ml' | 'W' | '';
  readonly min: number;
  readonly max: number;
  readonly whole?: boolean;
  readonly before?: string;
  readonly after?: string;
}

interface ThingProps<T extends { readonly id: string; readonly name: string }> {
  readonly thing: T;
  readonly what: string;
  readonly numbers: readonly ThingNumber<T>[];
  readonly onChange: (thing: T) => void;
  /** Null where it must stay. */
  readonly onRemove: (() => void) | null;
  readonly drawing?: ReactNode;
  /** More of the sentence: shape, material. */
  readonly more?: ReactNode;
  readonly note?: string;
  readonly children?: ReactNode;
}

/** A thing of the kitchen: drawn to scale, in a sentence in which every measure can be changed. */
export function ThingCard<T extends { readonly id: string; readonly name: string }>({
  thing,
  what,
  numbers,
  onChange,
  onRemove,
  drawing,
  more,
  note,
  children,
}: ThingProps<T>) {
  const style = useNumberStyle();
  // The sentence shows what was changed first, then the drawing.
  const drawn = useDeferredValue(drawing);
  return (
    <Card>
      {drawn ? <View style={{ alignItems: 'center' }}>{drawn}</View> : null}
      <Sentence>
        <ThingName what={what} name={thing.name} onName={(name) => onChange({ ...thing, name })} />
        {numbers.map(({ key, label, hint, unit, min, max, whole, before, after }) => {
          const value = Number(thing[key] ?? 0);
          const text =
            unit === '' ? String(value) : unit === 'W' ? `${value} W` : showText(value, unit, style);
          return (
            <View key={key} style={{ flexDirection: 'row', alignItems: 'center', flexWrap: 'wrap' }}>
              {before ? <Words>{`${before} `}</Words> : null}
              <NumberValue
                label={label}
                text={text}
                after={after}
                ask={{ title: label, hint, value, unit, min, max, whole }}
                onSave={(next) => onChange({ ...thing, [key]: next })}
              />
            </View>
          );
        })}
        {more}
      </Sentence>
      {note ? <Small>{note}</Small> : null}
      {children}
      <Removal what={what} onRemove={onRemove} />
    </Card>
  );
}

/** The name that a thing's sentence begins with: a tap asks for another. */
export function ThingName({
  what,
  name,
  onName,
}: {
  readonly what: string;
  readonly name: string;
  readonly onName: (name: string) => void;
}) {
  const [naming, setNaming] = useState(false);
  return (
    <>
      <Value text={name} label={`Name of the ${what}`} onPress={() => setNaming(true)} after=":" />
      <TextSheet
        ask={naming ? { title: `Name of the ${what}`, value: name, fault: nameFault } : null}
        onClose={() => setNaming(false)}
        onSave={(next) => {
          setNaming(false);
          onName(next.trim());
        }}
      />
    </>
  );
}

export function Removal({
  what,
  onRemove,
}: {
  readonly what: string;
  readonly onRemove: (() => void) | null;
}) {
  return onRemove ? <QuietAction title={`Take this ${what} out`} icon="bin" onPress={onRemove} /> : null;
}
