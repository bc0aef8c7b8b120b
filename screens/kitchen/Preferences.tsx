import type { KitchenDoc, Prefs } from '../../core/model/documents';
import { formatNumber } from '../../core/quantity';
import { Card } from '../../ui/card';
import { NumberValue } from '../../ui/numberValue';
import { Helpers } from './Helpers';
import { ChoiceValue, Sentence, Words } from '../../ui/sentence';

/** How numbers read, how fine the scale is, how high the kitchen lies. */
export function Preferences({
  kitchen,
  put,
}: {
  readonly kitchen: KitchenDoc;
  readonly put: (label: string, over: Partial<KitchenDoc>) => void;
}) {
  const {
    prefs,
    scaleStepG,
    altitudeM = 0,
    hands = 1,
    mixers = 1,
    restFrom = '22:00',
    restUntil = '06:30',
  } = kitchen;
  const none = restFrom === restUntil;
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
          after="."
        />
        <Words>The kitchen lies</Words>
        <NumberValue
          label="Metres above the sea"
          text={`${altitudeM} m`}
          ask={{
            title: 'Metres above the sea',
            hint: 'High up water boils sooner: cakes dry out faster and are done at a lower heat inside.',
            value: altitudeM,
            unit: 'm',
            min: -400,
            max: 5000,
            whole: true,
          }}
          onSave={(value) => put('Altitude', { altitudeM: value })}
        />
        <Words>above the sea.</Words>
        <ChoiceValue
          label="Pairs of hands"
          title="Pairs of hands at work"
          value={String(hands)}
          text={hands === 1 ? 'One pair of hands' : `${hands} pairs of hands`}
          choices={['1', '2', '3', '4'].map((value) => ({
            value,
            title: value === '1' ? 'One' : value,
          }))}
          onChoose={(value) => put('Hands', { hands: Number(value) })}
        />
        <Words>{hands === 1 ? 'works with' : 'work with'}</Words>
        <ChoiceValue
          label="Mixers"
          title="Mixers, on a stand or in the hand"
          value={String(mixers)}
          text={mixers === 0 ? 'a whisk in the hand' : mixers === 1 ? 'one mixer' : `${mixers} mixers`}
          choices={['0', '1', '2', '3', '4'].map((value) => ({
            value,
            title: value === '0' ? 'None: all is beaten by hand' : value === '1' ? 'One' : value,
          }))}
          onChoose={(value) => put('Mixers', { mixers: Number(value) })}
          after=","
        />
        <ChoiceValue
          label="Evening"
          title="Nobody works from"
          value={none ? '' : restFrom}
          text={none ? 'at any hour' : `not from ${restFrom}`}
          choices={[
            ...['19:00', '20:00', '21:00', '22:00', '23:00', '00:00'].map((value) => ({
              value,
              title: value,
            })),
            { value: '', title: 'At any hour', detail: 'The night is no break' },
          ]}
          onChoose={(value) =>
            put(
              'Evening',
              value === ''
                ? { restFrom: '00:00', restUntil: '00:00' }
                : { restFrom: value, restUntil: none ? '06:30' : restUntil },
            )
          }
          after={none ? '.' : undefined}
        />
        {none ? null : (
          <ChoiceValue
            label="Morning"
            title="Until"
            value={restUntil}
            text={`to ${restUntil}`}
            choices={['03:00', '04:00', '05:00', '06:00', '06:30', '07:00', '08:00', '09:00'].map(
              (value) => ({ value, title: value }),
            )}
            onChoose={(value) => put('Morning', { restUntil: value })}
            after="."
          />
        )}
      </Sentence>
      {hands > 1 ? <Helpers kitchen={kitchen} hands={hands} put={put} /> : null}
    </Card>
  );
}
