import { useState } from 'react';
import { View } from 'react-native';
import { ALLERGEN_NAMES, allergenNames, listWords } from '../../../core/caution/allergens.words';
import { choose } from '../../../core/line/edit';
import type { Line, Lot, RunDoc } from '../../../core/model/documents';
import { ALLERGEN_KINDS, type AllergenKind } from '../../../core/model/kinds';
import type { Promised } from '../../../core/plan';
import { promiseMadeOf } from '../../../state/plans';
import { editLine } from '../../../state/store';
import { Chip, Chips, MainAction, QuietAction } from '../../../ui/actions';
import { FieldFault } from '../../../ui/fieldFault';
import { Sheet } from '../../../ui/sheet';
import { Small, Strong } from '../../../ui/text';
import { space } from '../../../ui/theme';

/** What is promised, and for which packets somebody has seen that it holds. */
export type FreePromise = Pick<Line, 'freeFrom' | 'packetsRead'>;

/** What people are asked for most stands first; the others behind a tap. */
const ASKED_MOST: readonly AllergenKind[] = ['nuts', 'peanut', 'gluten', 'milk', 'egg', 'soya', 'sesame'];

/** "nuts" of the lists are those that grow on trees. */
const titleOf = (one: AllergenKind): string => (one === 'nuts' ? 'tree nuts' : ALLERGEN_NAMES[one]);

/** Chips of what pieces are promised free of, and what stands against it, by name. */
export function FreeFromFields({
  value,
  made,
  onChange,
}: {
  readonly value: FreePromise;
  /** The promise held against the pieces; null where nothing is promised or nothing planned. */
  readonly made: Promised | null;
  readonly onChange: (value: FreePromise) => void;
}) {
  const { freeFrom = [], packetsRead = [] } = value;
  const [more, setMore] = useState(false);
  const shown = ALLERGEN_KINDS.filter((one) => more || ASKED_MOST.includes(one) || freeFrom.includes(one));
  const ordered = [...shown].sort((a, b) => rank(a) - rank(b));
  const toggle = (one: AllergenKind) =>
    onChange({
      freeFrom: freeFrom.includes(one) ? freeFrom.filter((it) => it !== one) : [...freeFrom, one],
      packetsRead: [],
    });
  const refused = made ? refusedWords(made) : null;
  return (
    <View style={{ gap: space(1) }}>
      <Chips label="Promised free of">
        {ordered.map((one) => (
          <Chip
            key={one}
            among="any"
            title={titleOf(one)}
            selected={freeFrom.includes(one)}
            onPress={() => toggle(one)}
          />
        ))}
        {more ? null : (
          <Chip title="Others" selected={false} label="Others of the lists" onPress={() => setMore(true)} />
        )}
      </Chips>
      <FieldFault words={refused} />
      {made && refused === null && (made.toRead.length > 0 || packetsRead.length > 0) ? (
        <>
          <Strong>Packets to read</Strong>
          <Small>{`Tick each that you have read and found free of ${listWords(allergenNames(freeFrom))}.`}</Small>
          <Chips label="Packets read">
            {[...made.toRead, ...packetsRead].map((name) => (
              <Chip
                key={name}
                among="any"
                title={name}
                selected={packetsRead.includes(name)}
                onPress={() =>
                  onChange({
                    freeFrom,
                    packetsRead: packetsRead.includes(name)
                      ? packetsRead.filter((one) => one !== name)
                      : [...packetsRead, name],
                  })
                }
              />
            ))}
          </Chips>
        </>
      ) : null}
    </View>
  );
}

const rank = (one: AllergenKind): number => {
  const at = ASKED_MOST.indexOf(one);
  return at < 0 ? ASKED_MOST.length : at;
};

/** Why a promise cannot be given, by what holds it; null where it can. */
export const refusedWords = ({ broken }: Promised): string | null =>
  broken.length === 0
    ? null
    : `They hold ${listWords(
        broken.map(({ allergen, by }) =>
          by.length === 0 ? titleOf(allergen) : `${titleOf(allergen)} (${by.join(', ')})`,
        ),
      )}: make them without it, or promise less.`;

/** The promise over a whole line: what it says, and the sheet in which it is given. */
export function FreeFrom({ run, line }: { readonly run: RunDoc; readonly line: Line }) {
  const [draft, setDraft] = useState<FreePromise | null>(null);
  const { freeFrom = [] } = line;
  const made = draft ? promiseMadeOf(run, { ...line, ...draft }, null) : null;
  const refused = made ? refusedWords(made) : null;
  return (
    <>
      <QuietAction
        title={
          freeFrom.length === 0 ? 'Promise them free of…' : `Free of ${listWords(allergenNames(freeFrom))}`
        }
        label={
          freeFrom.length === 0
            ? 'Promise them free of something'
            : `Promised free of ${listWords(allergenNames(freeFrom))}. Change`
        }
        onPress={() => setDraft({ freeFrom: line.freeFrom ?? [], packetsRead: line.packetsRead ?? [] })}
      />
      <Sheet title="Promised free of" visible={draft !== null} onClose={() => setDraft(null)}>
        {draft ? (
          <>
            <FreeFromFields value={draft} made={made} onChange={setDraft} />
            <Small>
              They are weighed, mixed, baked and packed first, with tools of their own. A home kitchen is
              never wholly free of traces: say so to whoever eats.
            </Small>
            <MainAction
              title={(draft.freeFrom ?? []).length === 0 ? 'No promise' : 'Promise it'}
              disabled={refused !== null}
              onPress={() => {
                editLine('Free of', run.id, line.id, choose(draft));
                setDraft(null);
              }}
            />
          </>
        ) : null}
      </Sheet>
    </>
  );
}

/** The same of a lot that is being written. */
export const promiseOfLot = (run: RunDoc, line: Line, lot: Lot): Promised | null =>
  promiseMadeOf(
    run,
    { ...line, lots: [...(line.lots ?? []).filter(({ id }) => id !== lot.id), lot] },
    lot.id,
  );
