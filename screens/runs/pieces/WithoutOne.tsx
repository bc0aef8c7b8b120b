import { useState } from 'react';
import type { Line, RunDoc } from '../../../core/model/documents';
import { plainFormulaId } from '../../../core/model/references';
import { readFormula } from '../../../core/formula';
import { without } from '../../../core/line/without';
import { allergensIn } from '../../../core/quantity';
import { formulaIn, formulaKey, runIn, runKey } from '../../../state/documents';
import { newId } from '../../../state/ids';
import { change, useDocuments, useKitchen } from '../../../state/store';
import { Chip, Chips, QuietAction } from '../../../ui/actions';
import { NumberSheet } from '../../../ui/numberSheet';
import { Sheet } from '../../../ui/sheet';
import { Small } from '../../../ui/text';

/** An ingredient as it stands in the formula. */
interface Named {
  readonly at: number;
  readonly what: string;
  readonly nuts: boolean;
}

const NUTS = ['nuts', 'peanut'] as const;

/** Some pieces of a line without one ingredient: which one, and how many of them. */
export function WithoutOne({ run, line }: { readonly run: RunDoc; readonly line: Line }) {
  const formulaId = plainFormulaId(line) ?? '';
  const formula = useDocuments((state) => formulaIn(state.docs, formulaId));
  const kitchen = useKitchen();
  const [open, setOpen] = useState(false);
  const [left, setLeft] = useState<Named | null>(null);
  if (!formula || !('formulaId' in line) || line.count < 2 || run.lines.length >= 60) return null;
  const named = (): Named[] => {
    const { lines, at: rows } = readFormula(formula, kitchen);
    return lines.flatMap((one, i) =>
      // A line that names several things is left out whole or not at all.
      one.status === 'read' && one.also.length === 0 && rows.filter((row) => row === rows[i]).length === 1
        ? [
            {
              at: rows[i] ?? 0,
              what: one.called || one.name,
              nuts: NUTS.some((nut) => allergensIn(one.raw).includes(nut)),
            },
          ]
        : [],
    );
  };
  const split = (count: number) => {
    setLeft(null);
    setOpen(false);
    if (!left) return;
    const made = without(line, formula, {
      ...left,
      count,
      formulaId: newId('formula'),
      lineId: newId('line'),
    });
    const now = runIn(useDocuments.getState().docs, run.id);
    if (!made || !now) return;
    const lines = now.lines.flatMap((one) => (one.id === line.id ? [made.first, made.rest] : [one]));
    change(`${count} without ${left.what}`, {
      [formulaKey(made.formula.id)]: made.formula,
      [runKey(run.id)]: { ...now, lines },
    });
  };
  return (
    <>
      <QuietAction title="Some without an ingredient" onPress={() => setOpen(true)} />
      <Sheet title="Without which one?" visible={open && left === null} onClose={() => setOpen(false)}>
        {open ? (
          <>
            <Small>
              They become a line of their own, made first: the batter is mixed apart, in its own bowl and tin,
              and what is gathered and the allergens follow.
            </Small>
            <Chips label="Ingredients">
              {named().map((one) => (
                <Chip key={one.at} title={one.what} selected={false} onPress={() => setLeft(one)} />
              ))}
            </Chips>
          </>
        ) : null}
      </Sheet>
      <NumberSheet
        ask={
          left
            ? {
                title: `How many without ${left.what}`,
                value: null,
                unit: '',
                min: 1,
                max: line.count - 1,
                whole: true,
              }
            : null
        }
        onClose={() => setLeft(null)}
        onSave={split}
      />
    </>
  );
}
