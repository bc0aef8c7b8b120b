import { useState } from 'react';
import type { StoredDoc } from '../../core/model/documents';
import { storedSchema } from '../../core/model/kitchenDoc';
import { readWith } from '../../core/exchange/readWith';
import { formatNumber, readNumberField } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { useTypedMass } from '../../state/typedMass';
import { Chip, Chips, MainAction } from '../../ui/actions';
import { NumberField } from '../../ui/numberField';

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
  const [texts, setTexts] = useState({
    name: stored.name,
    left: named && stored.left === 0 ? '' : amount(stored.left),
    packet: amount(stored.packet),
    price: plain(stored.price),
  });
  const [fault, setFault] = useState<{ readonly field: string; readonly words: string } | null>(null);
  const number = (text: string) => (text.trim() === '' ? null : (readNumberField(text) ?? NaN));
  const read = (text: string, was: number | null) =>
    weighed ? mass.read(text, stored.by === 'g' ? was : null) : number(text);
  const save = () => {
    const checked = readWith<StoredDoc>(storedSchema, {
      ...stored,
      by,
      name: texts.name,
      left: read(texts.left, stored.left) ?? 0,
      packet: read(texts.packet, stored.packet),
      price: number(texts.price),
    });
    if (checked.ok) {
      onSave(checked.value);
      return;
    }
    const [first] = checked.faults;
    const odd = /expected number|NaN/i.test(first?.fault ?? '');
    setFault({
      field: first?.field ?? '',
      words: odd ? 'That is not a number. Write it like 250 or 1.5.' : (first?.fault ?? ''),
    });
  };
  const field = (key: keyof typeof texts, label: string, mode?: 'text') => (
    <NumberField
      label={label}
      mode={mode}
      text={texts[key]}
      onText={(text) => {
        setTexts({ ...texts, [key]: text });
        setFault(null);
      }}
      fault={fault?.field === key ? fault.words : null}
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
      <MainAction title="Keep it" onPress={save} />
    </>
  );
}
