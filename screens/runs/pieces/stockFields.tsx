import { useState } from 'react';

import { showText } from '../../../core/quantity';

import { useNumberStyle } from '../../../state/store';
import { NumberSheet } from '../../../ui/numberSheet';

import { ChoiceValue, Value } from '../../../ui/sentence';

import { GramsSheet } from './GramsSheet';
import { TextSheet, nameFault } from '../../../ui/textSheet';

/** What is on the table of something: grams, or no limit. */
export function OnHandField({
  label,
  value,
  onSave,
  after,
}: {
  readonly label: string;
  readonly value: number | null | undefined;
  readonly onSave: (value: number | null) => void;
  readonly after?: string;
}) {
  const style = useNumberStyle();
  const [asking, setAsking] = useState(false);
  const known = value ?? null;
  return (
    <>
      <ChoiceValue
        label={label}
        title={label}
        value={known === null ? 'any' : 'some'}
        text={known === null ? 'as much as it takes' : `${showText(known, 'g', style)} on the table`}
        choices={[
          { value: 'any', title: 'as much as it takes', detail: 'The sums say how much.' },
          { value: 'some', title: 'what is on the table', detail: 'The count follows from it.' },
        ]}
        onChoose={(choice) => (choice === 'any' ? onSave(null) : setAsking(true))}
        after={after}
      />
      <GramsSheet
        open={asking}
        title={label}
        valueG={known}
        minG={0}
        maxG={1_000_000}
        onClose={() => setAsking(false)}
        onSave={onSave}
      />
    </>
  );
}

/** Pieces of something in stock, or no limit. */
export function StockField({
  label,
  value,
  onSave,
  after,
}: {
  readonly label: string;
  readonly value: number | null | undefined;
  readonly onSave: (value: number | null) => void;
  readonly after?: string;
}) {
  const [asking, setAsking] = useState(false);
  const known = value ?? null;
  return (
    <>
      <ChoiceValue
        label={label}
        title={label}
        value={known === null ? 'any' : 'some'}
        text={known === null ? 'as many as it takes' : `${known} in stock`}
        choices={[
          { value: 'any', title: 'as many as it takes' },
          { value: 'some', title: 'what is in stock', detail: 'The count follows from it.' },
        ]}
        onChoose={(choice) => (choice === 'any' ? onSave(null) : setAsking(true))}
        after={after}
      />
      <NumberSheet
        ask={asking ? { title: label, value: known, unit: '', min: 0, max: 100_000, whole: true } : null}
        onClose={() => setAsking(false)}
        onSave={(n) => {
          setAsking(false);
          onSave(n);
        }}
      />
    </>
  );
}

/** A name in a sentence: what a filling or a topping is. */
export function NameField({
  label,
  value,
  onSave,
  after,
}: {
  readonly label: string;
  readonly value: string;
  readonly onSave: (name: string) => void;
  readonly after?: string;
}) {
  const [asking, setAsking] = useState(false);
  return (
    <>
      <Value text={value} label={label} after={after} onPress={() => setAsking(true)} />
      <TextSheet
        ask={asking ? { title: label, value, fault: nameFault } : null}
        onClose={() => setAsking(false)}
        onSave={(text) => {
          setAsking(false);
          onSave(text.trim());
        }}
      />
    </>
  );
}
