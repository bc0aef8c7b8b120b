import { useState } from 'react';
import type { Line, RunDoc } from '../../../core/model/documents';
import { plainFormulaId } from '../../../core/model/references';
import { readFormula } from '../../../core/formula';
import { without } from '../../../core/line/without';
import { ALLERGEN_KINDS, type AllergenKind } from '../../../core/model/kinds';
import type { ReadLine } from '../../../core/quantity';
import { holdsOfLine, togetherHold } from '../../../core/quantity/allergens';
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
  /** What the rest of the formula does not hold. */
  readonly free: readonly AllergenKind[];
}

/** What a formula is free of once one of its lines is left out. */
function freedBy(left: ReadLine, lines: readonly ReadLine[]): AllergenKind[] {
  const rest = togetherHold(lines.filter((one) => one !== left).map(holdsOfLine));
  const own = holdsOfLine(left);
  return ALLERGEN_KINDS.filter((one) => own.allergens.includes(one) && !rest.allergens.includes(one));
}

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
              free: freedBy(one, lines),
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
              They become a line of their own, made first; what is gathered and the allergens follow. Where
              that frees them of an allergen, they are promised free of it and mixed in a bowl of their own.
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
