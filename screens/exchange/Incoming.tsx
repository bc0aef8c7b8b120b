import { useState } from 'react';
import { View } from 'react-native';
import { choicesFor, type Incoming as One, type Which } from '../../core/exchange/incoming';
import type { AnyDoc } from '../../core/model/documents';
import { counted } from '../../core/quantity';
import { incomingHere } from '../../state/exchange';
import { useDocuments } from '../../state/store';
import { Chip, Chips, MainAction, QuietAction } from '../../ui/actions';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';

const WORDS: Readonly<Record<Which, string>> = {
  both: 'Both together',
  here: 'As it is here',
  file: 'As in the file',
};
/** So many of what is new are named. */
const NAMED = 8;

/** What a file of many documents would change, before it changes anything. */
export function Incoming({
  docs,
  unread,
  onTake,
  onBack,
}: {
  readonly docs: readonly AnyDoc[];
  /** So many of the file could not be read. */
  readonly unread: number;
  readonly onTake: (which: Readonly<Record<string, Which>>) => void;
  readonly onBack: () => void;
}) {
  const here = useDocuments((state) => state.docs);
  const { line } = useTokens();
  const all = incomingHere(docs, here);
  const of = (is: One['is']) => all.filter((one) => one.is === is);
  const [fresh, differs, same] = [of('new'), of('differs'), of('same')];
  const [which, setWhich] = useState<Readonly<Record<string, Which>>>({});
  const choices = ({ key }: One): readonly Which[] => {
    const [mine, theirs] = [here[key], docs.find((doc) => keyed(doc, key))];
    return mine && theirs ? choicesFor(mine, theirs) : ['file'];
  };
  const now = (one: One): Which => which[one.key] ?? firstOf(one, here[one.key], choices(one));
  const changes = fresh.length + differs.filter((one) => now(one) !== 'here').length;
  return (
    <View style={{ gap: space(2) }}>
      {fresh.length > 0 ? (
        <View>
          <Strong>{`${counted(fresh.length, 'document')} new here`}</Strong>
          <Body>
            {fresh
              .slice(0, NAMED)
              .map(({ name }) => name)
              .join(', ') + (fresh.length > NAMED ? `, and ${fresh.length - NAMED} more` : '')}
          </Body>
        </View>
      ) : null}
      {differs.length > 0 ? (
        <Strong>{`${counted(differs.length, 'document')} here, and different`}</Strong>
      ) : null}
      {differs.map((one) => (
        <View
          key={one.key}
          style={{ gap: space(1), borderLeftWidth: 3, borderLeftColor: line, paddingLeft: space(2) }}
        >
          <Body>{one.name}</Body>
          <Small soft={false}>{`Different: ${one.fields.join(', ')}.`}</Small>
          <Chips label={`${one.name}: which one stands`}>
            {choices(one).map((choice) => (
              <Chip
                key={choice}
                title={WORDS[choice]}
                selected={now(one) === choice}
                onPress={() => setWhich({ ...which, [one.key]: choice })}
              />
            ))}
          </Chips>
        </View>
      ))}
      {same.length > 0 ? (
        <Small soft={false}>{`${counted(same.length, 'document')} the same already.`}</Small>
      ) : null}
      {unread > 0 ? (
        <Small soft={false}>{`${counted(unread, 'document')} of the file cannot be read.`}</Small>
      ) : null}
      {changes > 0 ? (
        <MainAction
          title={`Bring in ${counted(changes, 'document')}`}
          onPress={() => onTake(Object.fromEntries(differs.map((one) => [one.key, now(one)])))}
        />
      ) : (
        <Body>Nothing would change.</Body>
      )}
      <QuietAction title="Another text" onPress={onBack} />
    </View>
  );
}

const keyed = (doc: AnyDoc, key: string): boolean =>
  doc.kind === 'kitchen' ? key === 'kitchen' : key.endsWith(`/${doc.id}`) && key.startsWith(doc.kind);

/** What is taken where nobody says: both where that can be; a kitchen that is still the demo’s gives way to one of one’s own. */
function firstOf({ kind }: One, here: AnyDoc | undefined, choices: readonly Which[]): Which {
  if (kind === 'kitchen' && here?.kind === 'kitchen' && here.borrowed === true) return 'file';
  return choices[0] ?? 'file';
}
