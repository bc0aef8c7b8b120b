import { useState } from 'react';
import type { Line } from '../../../core/model/documents';
import { pieceOf } from '../../../core/model/pieceDoc';
import { plainFormulaId } from '../../../core/model/references';
import { formulaIn, pieceKey } from '../../../state/documents';
import { newId } from '../../../state/ids';
import { change, useDocuments } from '../../../state/store';
import { QuietAction } from '../../../ui/actions';
import { TextSheet, nameFault } from '../../../ui/textSheet';
import { pieceWords } from '../words';

/** Keeps all that is chosen for a line as a whole piece, to start others from. */
export function KeepPiece({ line }: { readonly line: Line }) {
  const formula = useDocuments((state) => formulaIn(state.docs, plainFormulaId(line) ?? ''));
  const [naming, setNaming] = useState(false);
  const many = pieceWords({ ...line, count: 2 });
  const called = formula ? `${formula.name}, ${many}` : `${many[0]?.toUpperCase() ?? ''}${many.slice(1)}`;
  return (
    <>
      <QuietAction title="Keep as a piece" icon="formulas" onPress={() => setNaming(true)} />
      <TextSheet
        ask={
          naming
            ? {
                title: 'What it is called',
                hint: 'All that is chosen here is kept under Formulas, to start from another time.',
                value: called,
                fault: nameFault,
              }
            : null
        }
        onClose={() => setNaming(false)}
        onSave={(name) => {
          setNaming(false);
          const piece = pieceOf(line, { id: newId('piece'), name: name.trim() });
          change(`Keep ${piece.name}`, { [pieceKey(piece.id)]: piece });
        }}
      />
    </>
  );
}
