import type { KitchenDoc } from '../../core/exchange/documents';
import { QuietAction } from '../../ui/actions';
import { Columns } from '../../ui/screen';
import { Heading } from '../../ui/text';
import type { ThingNumber } from './ThingCard';

type Put = (label: string, over: Partial<KitchenDoc>) => void;
export interface KitchenProps {
  readonly kitchen: KitchenDoc;
  readonly put: Put;
}

interface ListProps<T> {
  readonly title: string;
  readonly another: string;
  readonly things: readonly T[];
  readonly fresh: () => T;
  readonly onChange: (label: string, things: T[]) => void;
  readonly card: (thing: T, change: (next: T) => void, remove: () => void) => React.ReactElement;
}

/** The things of one kind, and a way to add another. */
export function List<T extends { readonly id: string; readonly name: string }>({
  title,
  another,
  things,
  fresh,
  onChange,
  card,
}: ListProps<T>) {
  return (
    <>
      <Heading level={3}>{title}</Heading>
      <Columns>
        {things.map((thing) =>
          card(
            thing,
            (next) =>
              onChange(
                next.name,
                things.map((one) => (one.id === thing.id ? next : one)),
              ),
            () =>
              onChange(
                `Take out ${thing.name}`,
                things.filter(({ id }) => id !== thing.id),
              ),
          ),
        )}
      </Columns>
      <QuietAction title={another} icon="plus" onPress={() => onChange(another, [...things, fresh()])} />
    </>
  );
}

export const OWNED = {
  key: 'owned',
  label: 'How many of them',
  unit: '',
  min: 1,
  max: 50,
  whole: true,
} as const;
export const sides = <T,>(
  rows: readonly (readonly [keyof T & string, string, number, number, string])[],
): ThingNumber<T>[] =>
  rows.map(([key, label, min, max, before]) => ({ key, label, unit: 'mm', min, max, before }));
