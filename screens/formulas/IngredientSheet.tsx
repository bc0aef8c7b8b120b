import { useState, type ReactNode } from 'react';
import { TextInput } from 'react-native-paper';
import type { Ingredient } from '../../core/quantity';
import { Sheet } from '../../ui/sheet';
import { Tap } from '../../ui/tap';
import { Body, Small } from '../../ui/text';
import { useTokens } from '../../ui/theme';

interface IngredientSheetProps {
  readonly title: string;
  readonly says: string;
  readonly items: readonly Ingredient[];
  readonly visible: boolean;
  readonly onClose: () => void;
  readonly onChoose: (key: string) => void;
  /** What stands before the list. */
  readonly first?: ReactNode;
  readonly above?: ReactNode;
}

/** Finds an ingredient of the table by any of its names. */
export function IngredientSheet(props: IngredientSheetProps) {
  const { title, says, items, visible, onClose, onChoose, first, above } = props;
  const [search, setSearch] = useState('');
  const { line } = useTokens();
  const wanted = search.trim().toLowerCase();
  const found = items
    .filter((item) => [item.name, ...item.names].some((name) => name.includes(wanted)))
    .slice(0, 24);
  return (
    <Sheet title={title} visible={visible} onClose={onClose}>
      <Small>{says}</Small>
      {above}
      <TextInput
        mode="outlined"
        label="Find an ingredient"
        aria-label="Find an ingredient"
        value={search}
        onChangeText={setSearch}
      />
      {first}
      {found.map((item) => (
        <Tap
          key={item.key}
          onPress={() => {
            setSearch('');
            onChoose(item.key);
          }}
          style={{ borderBottomWidth: 1, borderBottomColor: line }}
        >
          <Body>{item.name}</Body>
        </Tap>
      ))}
      {found.length === 0 ? (
        <Body soft>No ingredient of that name is known. A line with grams works all the same.</Body>
      ) : null}
    </Sheet>
  );
}
