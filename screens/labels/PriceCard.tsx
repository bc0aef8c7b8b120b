import { View } from 'react-native';
import { energyOf, handsOf, priceOf, roundPrice } from '../../core/logbook';
import type { Money, RunDoc } from '../../core/model/documents';
import { shoppingOf } from '../../core/schedule';
import { formatNumber, showText } from '../../core/quantity';
import { KITCHEN_KEY } from '../../state/documents';
import type { LinePlan, RunPlan } from '../../state/plans';
import { useRunDay } from '../../state/runDay';
import { change, useDocuments, useKitchen, useNumberStyle } from '../../state/store';
import { useCosts } from '../../state/tried';
import { useNow } from '../../state/clock';
import { Card } from '../../ui/card';
import { NumberValue } from '../../ui/numberValue';
import { Sentence, Words } from '../../ui/sentence';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';

const NOTHING: Money = { hour: null, kWh: null, wrap: null, margin: 0.3 };
const MISSING = {
  ingredients: 'ingredients, as no packet in the cupboard has a price',
  'some ingredients': 'those ingredients that have no price in the cupboard',
  work: 'work',
  energy: 'current',
  wrap: 'wrapping',
} as const;

/** What one piece costs and has to be sold for, in whatever money the person reckons. */
export function PriceCard({
  run,
  plan,
  alone,
}: {
  readonly run: RunDoc;
  readonly plan: LinePlan;
  /** The same line as a run of its own, and its plan. */
  readonly alone: { readonly run: RunDoc; readonly whole: RunPlan } | null;
}) {
  const style = useNumberStyle();
  const kitchen = useKitchen();
  const docs = useDocuments((state) => state.docs);
  const now = useNow(600_000);
  const costs = useCosts({ run, docs, now });
  const { day } = useRunDay(run);
  const { line } = useTokens();
  const money = kitchen.money ?? NOTHING;
  const pieces = Math.max(1, plan.parts.count.made.value);
  const own = costs?.find(({ lineId }) => lineId === plan.line.id) ?? null;
  const handsMin = day ? handsOf(day, plan.line.id) : 0;
  const energyKWh = energyOf(plan, kitchen);
  const price = priceOf({
    pieces,
    used: own?.used ?? null,
    unpriced: alone ? shoppingOf(alone.run, alone.whole, kitchen).unpriced : 0,
    handsMin,
    energyKWh,
    money,
  });
  const put = (over: Partial<Money>) =>
    change('What work and wrapping cost', { [KITCHEN_KEY]: { ...kitchen, money: { ...money, ...over } } });
  const plain = (value: number) => formatNumber(value, 2, style.decimal);
  const amount = (label: string, key: 'hour' | 'kWh' | 'wrap', text: string, hint: string) => (
    <NumberValue
      label={label}
      after=","
      text={money[key] === null ? text : plain(money[key])}
      ask={{ title: label, hint, value: money[key], unit: '', decimals: 2, min: 0, max: 1_000_000 }}
      onSave={(value) => put({ [key]: value })}
    />
  );
  const row = (name: string, value: number | null, detail: string) =>
    value === null ? null : (
      <View
        key={name}
        style={{
          flexDirection: 'row',
          justifyContent: 'space-between',
          gap: space(1),
          borderTopWidth: 1,
          borderTopColor: line,
          paddingVertical: space(0.5),
        }}
      >
        <View style={{ flex: 1 }}>
          <Body>{name}</Body>
          {detail ? <Small>{detail}</Small> : null}
        </View>
        <Strong>{plain(value)}</Strong>
      </View>
    );
  const minutes = Math.round(handsMin);
  return (
    <Card title="What a piece has to cost">
      <Sentence>
        <Words>An hour of work is</Words>
        {amount('An hour of work', 'hour', 'not said', 'In whatever money you reckon.')}
        <Words>a kilowatt hour</Words>
        {amount('A kilowatt hour', 'kWh', 'not said', 'In the same money.')}
        <Words>box or bag of one piece</Words>
        {amount('Box or bag of one piece', 'wrap', 'not said', 'In the same money.')}
        <Words>and of the price</Words>
        <NumberValue
          label="Margin"
          text={showText(money.margin, 'share', style)}
          ask={{
            title: 'Margin, of the price',
            value: money.margin * 100,
            unit: '%',
            min: 0,
            max: 90,
          }}
          onSave={(value) => put({ margin: value / 100 })}
        />
        <Words>is left over.</Words>
      </Sentence>
      {price.cost > 0 ? (
        <>
          <Strong style={{ fontSize: 34, lineHeight: 40 }}>{plain(roundPrice(price.price))}</Strong>
          <Small soft={false}>{`a piece, at a cost of about ${plain(price.cost)}`}</Small>
          {row('Ingredients', price.ingredients, 'used up, at the price of their packets')}
          {row(
            'Work',
            price.work,
            `${minutes} min at the bench for ${Math.round(pieces)}, as the day is planned`,
          )}
          {row(
            'Current',
            price.energy,
            `about ${formatNumber(energyKWh, 1, style.decimal)} kWh, typical of such an oven`,
          )}
          {row('Wrapping', price.wrap, '')}
        </>
      ) : (
        <Body>Say what an hour of work is worth, or give packets in the cupboard a price.</Body>
      )}
      {price.missing.length > 0 && price.cost > 0 ? (
        <Small soft={false}>{`Not in it: ${price.missing.map((one) => MISSING[one]).join('; ')}.`}</Small>
      ) : null}
    </Card>
  );
}
