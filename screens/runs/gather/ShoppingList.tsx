import { useState } from 'react';
import { View } from 'react-native';
import type { RunDoc, StoredDoc } from '../../../core/model/documents';
import { ticksOf } from '../../../core/plan/bowls';
import { keyOf, shoppingOf, type ShoppingRow } from '../../../core/schedule/shopping';
import { formatNumber, showText } from '../../../core/quantity';
import { newId } from '../../../state/ids';
import { useNow } from '../../../state/clock';
import type { RunPlan } from '../../../state/plans';
import { useCosts } from '../../../state/tried';
import { changeKitchen, useDocuments, useKitchen, useNumberStyle } from '../../../state/store';
import { Card } from '../../../ui/card';
import { Sheet } from '../../../ui/sheet';
import { Tap } from '../../../ui/tap';
import { Body, Small, Strong } from '../../../ui/text';
import { FONT, space, useTokens } from '../../../ui/theme';
import { StoredForm } from '../../kitchen/StoredForm';
import { pieceWords } from '../words';
import { toggle } from './WeighOut';

/** What to buy: what the run takes, less what is in the store cupboard, in whole packets. */
export function ShoppingList({ run, whole }: { readonly run: RunDoc; readonly whole: RunPlan }) {
  const kitchen = useKitchen();
  const { decimal } = useNumberStyle();
  const [open, setOpen] = useState<ShoppingRow | null>(null);
  const list = shoppingOf(run, whole, kitchen);
  const buy = list.rows.filter((row) => row.buy > 0);
  const have = list.rows.filter((row) => row.buy <= 0);
  const money = (n: number) => formatNumber(n, 2, decimal);
  return (
    <>
      <Card title={buy.length === 0 ? 'Nothing to buy' : 'To buy'}>
        {buy.map((row) => (
          <Row key={`${row.key}/${row.by}`} run={run} row={row} onOpen={() => setOpen(row)} />
        ))}
        {list.cost !== null && list.usedCost !== null ? (
          <View>
            <Strong>
              {`${money(list.cost)} for the packets; ${money(list.usedCost)} of it is used${run.lines.length === 1 ? `, ${money(list.usedCost / Math.max(list.pieces, 1))} a piece over ${list.pieces}` : ''}.`}
            </Strong>
            {run.lines.length > 1 ? <ByLine run={run} /> : null}
            {list.unpriced > 0 ? (
              <Small>{`${list.unpriced} of ${list.rows.length} have no price and are not in it.`}</Small>
            ) : null}
          </View>
        ) : (
          <Small>Tap a name to say what is in the cupboard, how it is packed, and what a packet costs.</Small>
        )}
      </Card>
      {have.length > 0 ? (
        <Card title="In the cupboard">
          {have.map((row) => (
            <Row key={`${row.key}/${row.by}`} run={run} row={row} onOpen={() => setOpen(row)} />
          ))}
        </Card>
      ) : null}
      <Sheet title={open?.name ?? ''} visible={open !== null} onClose={() => setOpen(null)}>
        {open ? (
          <StoreForm
            key={open.key}
            row={open}
            onSave={(stored) => {
              setOpen(null);
              const others = (kitchen.store ?? []).filter(
                (one) => !(one.by === open.by && keyOf(one.name) === open.key),
              );
              changeKitchen(`Cupboard: ${open.name}`, { ...kitchen, store: [...others, stored] });
            }}
          />
        ) : null}
      </Sheet>
    </>
  );
}

/** What the pieces of each line cost, where several lines are bought for together. */
function ByLine({ run }: { readonly run: RunDoc }) {
  const docs = useDocuments((state) => state.docs);
  const now = useNow(60_000);
  const { decimal } = useNumberStyle();
  const costs = useCosts({ run, docs, now }) ?? [];
  return (
    <>
      {costs.map(({ lineId, used, pieces, each }) => {
        const line = run.lines.find(({ id }) => id === lineId);
        return line ? (
          <Body key={lineId} soft>
            {`${pieces} ${pieceWords({ ...line, count: pieces })}: ${formatNumber(used, 2, decimal)}, ${formatNumber(each, 2, decimal)} each`}
          </Body>
        ) : null;
      })}
      {costs.length > 0 ? <Small>Shared bowls go by what each line would take alone.</Small> : null}
    </>
  );
}

function useAmount(): (n: number, by: 'g' | 'pieces') => string {
  const style = useNumberStyle();
  return (n, by) =>
    by === 'g' ? showText(n, 'g', style) : formatNumber(Math.ceil(n - 1e-6), 0, style.decimal);
}

function Row({
  run,
  row,
  onOpen,
}: {
  readonly run: RunDoc;
  readonly row: ShoppingRow;
  readonly onOpen: () => void;
}) {
  const { line } = useTokens();
  const amount = useAmount();
  const key = `buy:${row.key}`;
  const done = ticksOf(run).has(key);
  const main =
    row.buy <= 0
      ? 'enough'
      : row.packets !== null && row.packet !== null
        ? `${row.packets} × ${amount(row.packet, row.by)}`
        : amount(row.buy, row.by);
  const under = `${amount(row.amount, row.by)} needed${row.left > 0 ? `, ${amount(row.left, row.by)} there` : ''}`;
  return (
    <View style={{ flexDirection: 'row', borderBottomWidth: 1, borderBottomColor: line, gap: space(1) }}>
      <Tap
        label={`${row.name}: ${under}. Cupboard and packets`}
        onPress={onOpen}
        style={{ flex: 1 }}
        testID={`buy-${row.key}`}
      >
        <Body soft={done} style={{ fontSize: 18, textDecorationLine: done ? 'line-through' : 'none' }}>
          {row.name}
        </Body>
        <Small>{under}</Small>
      </Tap>
      <Tap
        role="checkbox"
        checked={done}
        label={`${main}, ${row.name}`}
        onPress={() => toggle(run, key, row.name)}
        style={{ alignItems: 'flex-end', minWidth: 96 }}
      >
        <Body
          soft={done}
          style={{ fontSize: 20, fontFamily: FONT.sansStrong }}
        >{`${done ? '✓ ' : ''}${main}`}</Body>
      </Tap>
    </View>
  );
}

/** What is in the cupboard of something on the list, under what the run takes of it. */
function StoreForm({
  row,
  onSave,
}: {
  readonly row: ShoppingRow;
  readonly onSave: (stored: StoredDoc) => void;
}) {
  const { store = [] } = useKitchen();
  const amount = useAmount();
  const known = store.find((one) => one.by === row.by && keyOf(one.name) === row.key);
  const { name, by, left } = row;
  return (
    <>
      <Small>{`The run takes ${amount(row.amount, by)}.`}</Small>
      <StoredForm
        named
        stored={known ?? { id: newId('stored'), name, by, left, packet: null, price: null }}
        onSave={onSave}
      />
    </>
  );
}
