import { useState } from 'react';
import { Controller, useForm, type Resolver } from 'react-hook-form';
import type { StoredDoc } from '../../core/model/documents';
import { storedSchema } from '../../core/model/kitchenDoc';
import { readWith } from '../../core/exchange/readWith';
import { formatNumber, readNumberField } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { useTypedMass } from '../../state/typedMass';
import { Chip, Chips, MainAction } from '../../ui/actions';
import { NumberField } from '../../ui/numberField';

interface Texts {
  readonly name: string;
  readonly left: string;
  readonly packet: string;
  readonly price: string;
}

/** What is in the cupboard of something, and how it is bought. Empty fields say nothing. */
export function StoredForm({
  stored,
  named = false,
  onSave,
}: {
  readonly stored: StoredDoc;
  /** Its name and its unit are settled, as on a list of things to buy. */
  readonly named?: boolean;
  readonly onSave: (stored: StoredDoc) => void;
}) {
  const { decimal } = useNumberStyle();
  const mass = useTypedMass();
  const [by, setBy] = useState(stored.by);
  const weighed = by === 'g';
  const plain = (n: number | null) =>
    n === null ? '' : formatNumber(n, Number.isInteger(n) ? 0 : 2, decimal).replace(/\u202f/g, '');
  const amount = stored.by === 'g' ? mass.write : plain;
  const number = (text: string) => (text.trim() === '' ? null : (readNumberField(text) ?? NaN));
  const read = (text: string, was: number | null) =>
    weighed ? mass.read(text, stored.by === 'g' ? was : null) : number(text);
  const resolver: Resolver<Texts, unknown, StoredDoc> = (texts) => {
    const checked = readWith<StoredDoc>(storedSchema, {
      ...stored,
      by,
      name: texts.name,
      left: read(texts.left, stored.left) ?? 0,
      packet: read(texts.packet, stored.packet),
      price: number(texts.price),
    });
    if (checked.ok) return { values: checked.value, errors: {} };
    const errors = checked.faults.map(({ field, fault, mend }) => {
      const odd = mend.startsWith('Put a number');
      const message = odd ? 'That is not a number. Write it like 250 or 1.5.' : fault;
      return [field, { type: 'value', message }] as const;
    });
    return { values: {}, errors: Object.fromEntries(errors) };
  };
  const { control, handleSubmit } = useForm<Texts, unknown, StoredDoc>({
    resolver,
    reValidateMode: 'onSubmit',
    defaultValues: {
      name: stored.name,
      left: named && stored.left === 0 ? '' : amount(stored.left),
      packet: amount(stored.packet),
      price: plain(stored.price),
    },
  });
  const field = (name: keyof Texts, label: string, mode?: 'text') => (
    <Controller
      name={name}
      control={control}
      render={({ field: { value, onChange }, fieldState: { error } }) => (
        <NumberField
          label={label}
          mode={mode}
          text={value}
          onText={onChange}
          fault={error?.message ?? null}
        />
      )}
    />
  );
  const unit = weighed ? mass.unit : 'pieces';
  return (
    <>
      {named ? null : (
        <>
          {field('name', 'What it is', 'text')}
          <Chips label="Counted or weighed">
            <Chip title="weighed" selected={weighed} onPress={() => setBy('g')} />
            <Chip title="counted" selected={!weighed} onPress={() => setBy('pieces')} />
          </Chips>
        </>
      )}
      {field('left', `${named ? 'In the cupboard' : 'Left'}, ${unit}`)}
      {field('packet', `A packet holds, ${unit}`)}
      {field('price', 'A packet costs')}
      <MainAction title="Keep it" onPress={() => void handleSubmit(onSave)()} />
    </>
  );
}
