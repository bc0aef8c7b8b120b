import type { MugLine } from '../../../core/model/documents';

import { showText } from '../../../core/quantity';
import { useKitchen, useNumberStyle } from '../../../state/store';

import { ChoiceValue, Words, type Choice } from '../../../ui/sentence';
import { CountField, BatchesField, EggField, FormulaField, ThingField, type LineProps } from './fields';

import { FillingWords, FrostingWords } from './finish';

const MUG_FILLS: readonly Choice<string>[] = [
  { value: '0.33', title: 'a third full', detail: 'Never climbs over, even with much lift.' },
  { value: '0.42', title: 'two fifths full', detail: 'Usual: it doubles and stays in.' },
  { value: '0.5', title: 'half full', detail: 'The most: it may stand over the rim while it cooks.' },
];

const POWER: readonly Choice<string>[] = [
  { value: '1', title: 'full power', detail: 'Fast; the edge is done before the middle.' },
  { value: '0.7', title: 'seven tenths of full power', detail: 'Slower and more even.' },
  { value: '0.5', title: 'half power', detail: 'For small loads and eggy batters.' },
];

export function MugWords({ run, line, set }: LineProps<MugLine>) {
  const { mugs = [], microwaves = [] } = useKitchen();
  const style = useNumberStyle();
  const { fill } = line;
  const microwave = microwaves.find(({ id }) => id === line.microwaveId);
  return (
    <>
      <CountField line={line} set={set} />
      <Words>mug cakes of</Words>
      <FormulaField
        value={line.formulaId}
        onChoose={(formulaId) => set('Formula', { formulaId })}
        after=","
      />
      <ChoiceValue
        testID="value-fill"
        label="Filled"
        title="How full"
        value={fill.by === 'share' ? String(fill.share) : 'mass'}
        text={
          fill.by === 'share'
            ? (MUG_FILLS.find(({ value }) => Number(value) === fill.share)?.title ??
              `filled ${showText(fill.share, 'share', style)}`)
            : `${showText(fill.massG, 'g', style)} each`
        }
        choices={MUG_FILLS}
        onChoose={(value) =>
          set('Filled', {
            fill: { by: 'share', share: Number(value) },
          })
        }
        after=","
      />
      <Words>in the</Words>
      <ThingField
        testID="value-mug"
        things={mugs}
        value={line.mugId}
        label="Mug"
        title="Which mug"
        gone="a mug that is gone"
        detail={(item) => `${item.owned} of ${showText(item.volumeMl, 'ml', style)}`}
        onChoose={(mugId) => set('Mug', { mugId })}
        after=","
      />
      <ChoiceValue
        testID="value-atOnce"
        label="Mugs at once"
        title="Mugs that turn together"
        value={line.atOnce === null ? 'most' : String(line.atOnce)}
        text={line.atOnce === null ? 'as many at once as fit' : `${line.atOnce} at once`}
        choices={[
          { value: 'most', title: 'as many at once as fit', detail: 'Fewer turns, each longer.' },
          ...Array.from({ length: microwave?.mugsAtOnce ?? 1 }, (_, i) => ({
            value: String(i + 1),
            title: `${i + 1} at once`,
          })),
        ]}
        onChoose={(n) => set('Mugs at once', { atOnce: n === 'most' ? null : Number(n) })}
        after=","
      />
      <Words>in the</Words>
      <ThingField
        things={microwaves}
        value={line.microwaveId}
        label="Microwave"
        title="Which microwave"
        gone="a microwave that is gone"
        detail={(item) =>
          `${item.ratedW} W by its plate, ${item.absorbedW ?? 'not measured'}${item.absorbedW ? ' W by the water test' : ''}`
        }
        onChoose={(microwaveId) => set('Microwave', { microwaveId })}
      />
      <Words>at</Words>
      <ChoiceValue
        testID="value-power"
        label="Power"
        title="Power"
        value={String(line.setting)}
        text={
          POWER.find(({ value }) => Number(value) === line.setting)?.title ??
          showText(line.setting, 'share', style)
        }
        choices={POWER}
        onChoose={(setting) => set('Power', { setting: Number(setting) })}
        after=","
      />
      <BatchesField value={line.batches} onChoose={(batches) => set('How much is made', { batches })} />
      <EggField value={line.eggs} onChoose={(eggs) => set('Eggs', { eggs })} />
      <FillingWords
        filling={line.filling}
        hows={['none', 'core', 'inject']}
        onChange={(label, filling) => set(label, { filling })}
      />
      <FrostingWords
        run={run}
        line={line}
        frosting={line.frosting}
        onChange={(label, frosting) => set(label, { frosting })}
      />
    </>
  );
}
