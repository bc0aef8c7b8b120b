import { useState } from 'react';
import { View } from 'react-native';
import {
  ovenSchema,
  tinSchema,
  type KitchenDoc,
  type OvenDoc,
  type Prefs,
  type TinDoc,
} from '../../core/exchange/documents';
import { formatNumber, fromShown, showText, toShown, typedUnit } from '../../core/quantity';
import { newId } from '../../state/ids';
import { changeKitchen, useDocuments, useKitchen, useNumberStyle } from '../../state/store';
import { localNow } from '../../state/time';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { NumberValue } from '../../ui/numberValue';
import { Screen } from '../../ui/screen';
import { ChoiceValue, Sentence, Words } from '../../ui/sentence';
import { Body, Small } from '../../ui/text';
import { TextSheet, nameFault } from '../../ui/textSheet';
import { StatedHere } from './StatedHere';
import { TinCard } from './TinCard';

/** The tins, ovens and scale that all sums rest on, and how the person reads numbers. */
export function KitchenScreen() {
  const kitchen = useKitchen();
  const [naming, setNaming] = useState(false);
  const put = (label: string, over: Partial<KitchenDoc>) => changeKitchen(label, { ...kitchen, ...over });
  const putTin = (tin: TinDoc) =>
    put(`Tin ${tin.name}`, {
      tins: kitchen.tins.map((item) => (item.id === tin.id ? tinSchema.parse(tin) : item)),
    });
  const putOven = (oven: OvenDoc) =>
    put(`Oven ${oven.name}`, {
      ovens: kitchen.ovens.map((item) => (item.id === oven.id ? ovenSchema.parse(oven) : item)),
    });
  const first = kitchen.tins[0];
  return (
    <Screen title="Kitchen" under={kitchen.name}>
      <Preferences kitchen={kitchen} put={put} />
      {kitchen.tins.map((tin) => (
        <TinCard
          key={tin.id}
          tin={tin}
          onChange={putTin}
          onRemove={
            kitchen.tins.length > 1
              ? () => put(`Take out ${tin.name}`, { tins: kitchen.tins.filter((item) => item.id !== tin.id) })
              : null
          }
        />
      ))}
      {first ? (
        <QuietAction
          title="Another tin"
          icon="plus"
          onPress={() =>
            put('Another tin', {
              tins: [
                ...kitchen.tins,
                { ...first, id: newId('tin'), name: `Tin ${kitchen.tins.length + 1}`, owned: 1 },
              ],
            })
          }
        />
      ) : null}
      {kitchen.ovens.map((oven) => (
        <OvenCard key={oven.id} oven={oven} onChange={putOven} />
      ))}
      <StatedHere kitchen={kitchen} put={put} />
      <Card title="This browser">
        <Body>Everything is kept in this browser and nowhere else.</Body>
        <QuietAction title="Rename the kitchen" onPress={() => setNaming(true)} />
        <QuietAction
          title="Clear all and start empty"
          icon="bin"
          onPress={() => useDocuments.getState().startEmpty()}
        />
        <QuietAction
          title="Lay out the demo"
          onPress={() => useDocuments.getState().loadDemo(localNow(Date.now()))}
        />
        <Small>Both replace what is here. Undo, at the top, brings it back.</Small>
      </Card>
      <Small>
        Tins, ovens and scale so far. Moulds, mugs, scoops, the microwave and the store cupboard come here
        too.
      </Small>
      <TextSheet
        ask={naming ? { title: 'Name of the kitchen', value: kitchen.name, fault: nameFault } : null}
        onClose={() => setNaming(false)}
        onSave={(name) => {
          setNaming(false);
          put('Name of the kitchen', { name: name.trim() });
        }}
      />
    </Screen>
  );
}

function Preferences({
  kitchen,
  put,
}: {
  readonly kitchen: KitchenDoc;
  readonly put: (label: string, over: Partial<KitchenDoc>) => void;
}) {
  const { prefs, scaleStepG } = kitchen;
  const set = (over: Partial<Prefs>) => put('How numbers read', { prefs: { ...prefs, ...over } });
  const steps = [0.1, 0.5, 1, 2, 5];
  const stepText = (step: number) => `${formatNumber(step, Number.isInteger(step) ? 0 : 1, prefs.decimal)} g`;
  return (
    <Card title="Numbers">
      <Sentence>
        <Words>Weights in</Words>
        <ChoiceValue
          label="Weights"
          title="Weights"
          value={prefs.mass}
          text={prefs.mass === 'g' ? 'grams' : 'ounces'}
          choices={[
            { value: 'g', title: 'grams' },
            { value: 'oz', title: 'ounces' },
          ]}
          onChoose={(mass) => set({ mass })}
          after=","
        />
        <Words>heat in</Words>
        <ChoiceValue
          label="Heat"
          title="Heat"
          value={prefs.temperature}
          text={prefs.temperature === 'C' ? 'Celsius' : 'Fahrenheit'}
          choices={[
            { value: 'C', title: 'Celsius' },
            { value: 'F', title: 'Fahrenheit' },
          ]}
          onChoose={(temperature) => set({ temperature })}
          after=","
        />
        <Words>decimals with a</Words>
        <ChoiceValue
          label="Decimal mark"
          title="Decimal mark"
          value={prefs.decimal}
          text={prefs.decimal === '.' ? 'point' : 'comma'}
          choices={[
            { value: '.', title: 'point', detail: '12.5' },
            { value: ',', title: 'comma', detail: '12,5' },
          ]}
          onChoose={(decimal) => set({ decimal })}
          after="."
        />
        <Words>The scale reads steps of</Words>
        <ChoiceValue
          label="Scale"
          title="Smallest step of the scale"
          value={String(scaleStepG)}
          text={stepText(scaleStepG)}
          choices={steps.map((step) => ({
            value: String(step),
            title: stepText(step),
            detail:
              step < 1
                ? 'A fine scale: spoons are hardly needed.'
                : `Below ${step * 10} g the list says spoons.`,
          }))}
          onChoose={(step) => put('Scale', { scaleStepG: Number(step) })}
          after="."
        />
        <Words>The screen is</Words>
        <ChoiceValue
          label="Screen"
          title="Light or dark"
          value={prefs.theme}
          text={prefs.theme === 'system' ? 'as the device' : prefs.theme}
          choices={[
            { value: 'system', title: 'as the device' },
            { value: 'light', title: 'light' },
            { value: 'dark', title: 'dark', detail: 'For early mornings.' },
          ]}
          onChoose={(theme) => set({ theme })}
        />
      </Sentence>
    </Card>
  );
}

function OvenCard({
  oven,
  onChange,
}: {
  readonly oven: OvenDoc;
  readonly onChange: (oven: OvenDoc) => void;
}) {
  const style = useNumberStyle();
  const offset = oven.offsetC;
  return (
    <Card title={oven.name}>
      <Sentence>
        <Words>An oven</Words>
        <ChoiceValue
          label="Fan"
          title="Fan"
          value={oven.fan ? 'fan' : 'still'}
          text={oven.fan ? 'with a fan' : 'without a fan'}
          choices={[
            { value: 'still', title: 'without a fan' },
            {
              value: 'fan',
              title: 'with a fan',
              detail: 'The dial is set 20 °C lower than a formula for a still oven says.',
            },
          ]}
          onChoose={(value) => onChange({ ...oven, fan: value === 'fan' })}
          after=","
        />
        <Words>holding</Words>
        <NumberValue
          label="Racks"
          text={`${oven.racks}`}
          ask={{ title: 'Racks in use', value: oven.racks, unit: '', min: 1, max: 12, whole: true }}
          onSave={(racks) => onChange({ ...oven, racks })}
        />
        <Words>{oven.racks === 1 ? 'rack of' : 'racks of'}</Words>
        <NumberValue
          label="Tins on a rack"
          text={`${oven.tinsPerRack} ${oven.tinsPerRack === 1 ? 'tin' : 'tins'}`}
          ask={{ title: 'Tins on a rack', value: oven.tinsPerRack, unit: '', min: 1, max: 8, whole: true }}
          onSave={(tinsPerRack) => onChange({ ...oven, tinsPerRack })}
          after="."
        />
        <Words>Against its dial it runs</Words>
        <NumberValue
          label="Oven against its dial"
          text={offset === null ? 'unmeasured' : `${offset > 0 ? '+' : ''}${showText(offset, 'K', style)}`}
          ask={{
            title: 'Oven against its dial',
            hint: 'Stand a thermometer in the middle, wait for twenty minutes, read it, and take the dial away. Below the dial is a minus.',
            value: offset === null ? null : Math.round(toShown(offset, 'K', style)),
            unit: typedUnit('K', style),
            min: Math.round(toShown(-60, 'K', style)),
            max: Math.round(toShown(60, 'K', style)),
          }}
          onSave={(value) => onChange({ ...oven, offsetC: fromShown(value, 'K', style) })}
        />
      </Sentence>
      {offset !== null ? (
        <QuietAction title="Not measured any more" onPress={() => onChange({ ...oven, offsetC: null })} />
      ) : null}
      <View />
    </Card>
  );
}
