import { memo } from 'react';
import type { KitchenDoc } from '../../core/model/documents';
import { kitchenIn } from '../../state/documents';
import { changeKitchen, useDocuments } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { Columns } from '../../ui/screen';
import { Heading } from '../../ui/text';
import type { ThingNumber } from './ThingCard';

/** Changes the kitchen as it stands now; being the same at every drawing, it leaves the lists alone that did not change. */
export const put = (label: string, over: Partial<KitchenDoc>): void =>
  changeKitchen(label, { ...kitchenIn(useDocuments.getState().docs), ...over });

export interface KitchenProps {
  readonly kitchen: KitchenDoc;
}

/** The lists of a kitchen, by the field they stand in. */
type Key = 'tins' | 'ovens' | 'sheets' | 'moulds' | 'mugs' | 'microwaves' | 'vessels' | 'scoops' | 'bowls';
interface Named {
  readonly id: string;
  readonly name: string;
}

/** The things of one list changed as they stand now; what stands in the list is what it was drawn from. */
function putThings<T>(label: string, key: Key, to: (things: readonly T[]) => T[]): void {
  const lists: Readonly<Record<string, unknown>> = kitchenIn(useDocuments.getState().docs);
  put(label, { [key]: to((lists[key] ?? []) as readonly T[]) });
}

/** How a thing is shown; null in place of `remove` where it must stay. The same function at every drawing. */
export type CardOf<T> = (
  thing: T,
  change: (next: T) => void,
  remove: (() => void) | null,
) => React.ReactElement;

interface ListProps<T extends Named> {
  readonly list: Key;
  readonly title: string;
  readonly another: string;
  readonly things: readonly T[];
  readonly fresh: () => T;
  /** The last one must stay. */
  readonly keepOne?: boolean;
  readonly most?: number;
  readonly card: CardOf<T>;
}

/** The things of one kind, and a way to add another. */
export function List<T extends Named>({
  list,
  title,
  another,
  things,
  fresh,
  keepOne = false,
  most = 60,
  card,
}: ListProps<T>) {
  const canGo = !keepOne || things.length > 1;
  return (
    <>
      <Heading level={3}>{title}</Heading>
      <Columns>
        {things.map((thing) => (
          <Item key={thing.id} list={list} thing={thing} canGo={canGo} card={card} />
        ))}
      </Columns>
      {things.length < most ? (
        <QuietAction
          title={another}
          icon="plus"
          onPress={() => putThings<T>(another, list, (now) => [...now, fresh()])}
        />
      ) : null}
    </>
  );
}

/** One thing of a list: drawn anew only when it is changed itself. */
function ItemBody<T extends Named>({
  list,
  thing,
  canGo,
  card,
}: {
  readonly list: Key;
  readonly thing: T;
  readonly canGo: boolean;
  readonly card: CardOf<T>;
}) {
  return card(
    thing,
    (next) => putThings<T>(next.name, list, (now) => now.map((one) => (one.id === thing.id ? next : one))),
    canGo
      ? () => putThings<T>(`Take out ${thing.name}`, list, (now) => now.filter(({ id }) => id !== thing.id))
      : null,
  );
}
const Item = memo(ItemBody) as typeof ItemBody;

export const OWNED = {
  key: 'owned',
  label: 'How many of them',
  unit: '',
  min: 1,
  max: 50,
  whole: true,
} as const;
export const sides = <T,>(
  rows: readonly (readonly [keyof T & string, string, number, number, string, string?])[],
): ThingNumber<T>[] =>
  rows.map(([key, label, min, max, before, after]) => ({ key, label, unit: 'mm', min, max, before, after }));
