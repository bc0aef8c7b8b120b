import { useRouter } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import type { RunDoc } from '../../core/model/documents';
import { onHandOf, type BackwardsOffer, type OnTheTable } from '../../core/plan/backwards';
import { BINDER_FACTOR, type BinderKind } from '../../core/process/bind.table';
import { showText } from '../../core/quantity';
import { useNow } from '../../state/clock';
import { formulasIn } from '../../state/documents';
import { newId } from '../../state/ids';
import { useOffers } from '../../state/tried';
import { changeRun, useDocuments, useKitchen, useNumberStyle } from '../../state/store';
import { Card } from '../../ui/card';
import { Icon } from '../../ui/icons';
import { Columns, Screen } from '../../ui/screen';
import { ChoiceValue, Sentence, Words } from '../../ui/sentence';
import { NumberValue } from '../../ui/numberValue';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { readyChoices } from './NewRunScreen';
import { MeasureField, plainChoices } from './pieces/fields';
import { CHOCOLATES, chocolateName } from './pieces/finish';
import { stageHref } from './stages';

const START: OnTheTable = {
  cakeG: 430,
  frostingShare: 0.2,
  biscuitG: 0,
  chocolate: { kind: 'white', massG: 180 },
  binder: null,
  sticks: 20,
};

/** Starting from leftovers: what is there, and what can be made of it. */
export function FromScreen() {
  const router = useRouter();
  const kitchen = useKitchen();
  const docs = useDocuments((state) => state.docs);
  const now = useNow(60_000);
  const [table, setTable] = useState(START);
  // What is there shows first, then what it makes.
  const settled = useDeferredValue(table);
  const offers = useOffers(settled, kitchen, formulasIn(docs));
  const take = (offer: BackwardsOffer) => {
    const readyAt = readyChoices(now)[0]?.local ?? '';
    const run: RunDoc = {
      kind: 'run',
      version: 4,
      id: newId('run'),
      name: `${offer.title} from what is there`,
      createdAt: now,
      readyAt,
      lines: [{ ...offer.line, id: 'line-1' }],
      onHand: [...onHandOf(settled)],
      closed: null,
    };
    changeRun(`Start ${run.name}`, run);
    router.replace(stageHref(run.id, 'sums'));
  };
  return (
    <Screen title="From what is there" under="A new run" broad onBack={() => router.navigate('/')}>
      <TableWords table={table} onChange={(over) => setTable({ ...table, ...over })} />
      {offers === null ? (
        <Body soft>Reckoning.</Body>
      ) : offers.length === 0 ? (
        <Body>Say how much cake or biscuit there is.</Body>
      ) : (
        <Columns>
          {offers.map((offer) => (
            <OfferCard key={offer.id} offer={offer} onTake={() => take(offer)} />
          ))}
        </Columns>
      )}
      <Small>
        Those with nothing missing first; the run keeps to what you typed here. The others say what to get.
      </Small>
    </Screen>
  );
}

function TableWords({
  table,
  onChange,
}: {
  readonly table: OnTheTable;
  readonly onChange: (over: Partial<OnTheTable>) => void;
}) {
  const { chocolate, binder } = table;
  return (
    <Card>
      <Sentence>
        <Words>There is</Words>
        <MeasureField
          testID="table-cake"
          label="Cake"
          value={table.cakeG}
          unit="g"
          min={0}
          max={100000}
          onSave={(cakeG) => onChange({ cakeG })}
        />
        <Words>of cake,</Words>
        <MeasureField
          label="Frosting on it"
          value={table.frostingShare}
          unit="share"
          min={0}
          max={0.8}
          onSave={(frostingShare) => onChange({ frostingShare })}
        />
        <Words>of it frosting,</Words>
        <MeasureField
          label="Biscuit"
          value={table.biscuitG}
          unit="g"
          min={0}
          max={100000}
          onSave={(biscuitG) => onChange({ biscuitG })}
        />
        <Words>of biscuit,</Words>
        <MeasureField
          testID="table-chocolate"
          label="Chocolate"
          value={chocolate?.massG ?? 0}
          unit="g"
          min={0}
          max={100000}
          onSave={(massG) =>
            onChange({ chocolate: massG > 0 ? { kind: chocolate?.kind ?? 'dark', massG } : null })
          }
        />
        <Words>of</Words>
        <ChoiceValue
          label="Which chocolate"
          title="Which chocolate"
          value={chocolate?.kind ?? 'dark'}
          text={chocolateName(chocolate?.kind ?? 'dark')}
          choices={CHOCOLATES}
          onChoose={(kind) => onChange({ chocolate: { kind, massG: chocolate?.massG ?? 0 } })}
          after=","
        />
        <MeasureField
          label="Binder"
          value={binder?.massG ?? 0}
          unit="g"
          min={0}
          max={100000}
          onSave={(massG) =>
            onChange({ binder: massG > 0 ? { kind: binder?.kind ?? 'buttercream', massG } : null })
          }
        />
        <Words>of</Words>
        <ChoiceValue
          label="Which binder"
          title="Which binder"
          value={binder?.kind ?? 'buttercream'}
          text={binder?.kind ?? 'buttercream'}
          choices={plainChoices(Object.keys(BINDER_FACTOR) as BinderKind[])}
          onChoose={(kind) => onChange({ binder: { kind, massG: binder?.massG ?? 0 } })}
        />
        <Words>and</Words>
        <NumberValue
          label="Sticks"
          text={`${table.sticks ?? 0} sticks`}
          ask={{ title: 'Sticks', value: table.sticks, unit: '', min: 0, max: 100_000, whole: true }}
          onSave={(sticks) => onChange({ sticks })}
          after="."
        />
      </Sentence>
    </Card>
  );
}

function OfferCard({ offer, onTake }: { readonly offer: BackwardsOffer; readonly onTake: () => void }) {
  const style = useNumberStyle();
  const { line, inkSoft, raised, good, warn } = useTokens();
  const missing = offer.missing.map(({ what, amount, by }) =>
    by === 'g' ? `${showText(amount, 'g', style)} of ${what}` : `${amount} ${what}`,
  );
  const words = missing.length === 0 ? 'Nothing is missing.' : `Missing: ${missing.join(', ')}.`;
  const left = 1 - offer.usedShare;
  return (
    <Tap
      label={`${offer.count} ${offer.title}. ${words} Start it`}
      testID={`offer-${offer.id}`}
      onPress={onTake}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: space(2),
        borderRadius: 16,
        borderWidth: 1.5,
        borderColor: line,
        backgroundColor: raised,
        padding: space(2),
      }}
    >
      <Strong style={{ fontSize: 34, lineHeight: 40, minWidth: 56 }}>{String(offer.count)}</Strong>
      <View style={{ flex: 1 }}>
        <Strong>{offer.title}</Strong>
        <Body style={{ color: missing.length === 0 ? good : warn }}>{words}</Body>
        {left > 0.02 ? <Small>{`${showText(left, 'share', style)} of the dough stays over.`}</Small> : null}
      </View>
      <Icon name="next" color={inkSoft} />
    </Tap>
  );
}
