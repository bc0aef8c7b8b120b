import { useMemo } from 'react';
import { doubtsOf, settledText, type Choice, type Doubt, type ReadFormula } from '../../core/formula';
import type { FormulaDoc } from '../../core/model/documents';
import type { OwnThing } from '../../core/quantity';
import { changeKitchen, useKitchen } from '../../state/store';

/**
 * What the app is not sure of in a formula, and what a tap does about it: in the formula itself, or in the kitchen, which is
 * asked about a thing once.
 * @param text the lines as they stand in the field; the doubts may be of those of a moment before
 */
export function useDoubts(
  doc: FormulaDoc,
  text: string,
  read: ReadFormula,
  put: (label: string, over: Partial<FormulaDoc>) => void,
) {
  const kitchen = useKitchen();
  const doubts = useMemo(() => doubtsOf(doc, read, kitchen), [doc, read, kitchen]);
  const ownThings = kitchen.ownThings ?? [];
  const tell = (thing: OwnThing) =>
    changeKitchen(`What ${thing.name} is`, {
      ...kitchen,
      ownThings: [...ownThings.filter(({ name }) => name !== thing.name), thing],
    });
  const settle = ({ row, line }: Doubt, { settling }: Choice) => {
    const raw = line.raw.trim();
    const still = text.split('\n')[row]?.trim() === raw;
    switch (settling.how) {
      case 'take':
        return put('A line', { takenFor: { ...doc.takenFor, [raw]: settling.key } });
      case 'like':
        return tell({ name: settling.name, like: settling.key });
      case 'know':
        return tell({ name: settling.name, like: null });
      case 'write':
        return still ? put('A line', { text: settledText(text, row, settling) }) : undefined;
      case 'step':
        return still
          ? put('A step', {
              text: settledText(text, row, settling),
              steps: [doc.steps, raw].filter(Boolean).join('\n'),
            })
          : undefined;
    }
  };
  return { doubts, ownThings, onSettle: settle, onTell: tell };
}
