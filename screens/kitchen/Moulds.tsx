import { useState } from 'react';
import type { MouldDoc } from '../../core/model/documents';
import { CAVITY_SHAPES, mouldedSection } from '../../core/piece';
import { showText } from '../../core/quantity';
import { newId } from '../../state/ids';
import { useNumberStyle } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { NumberSheet } from '../../ui/numberSheet';
import { SectionDrawing } from '../../ui/section';
import { ChoiceValue } from '../../ui/sentence';
import { List, OWNED, sides, type KitchenProps } from './List';
import { ThingCard } from './ThingCard';
import { WaterTest } from './WaterTest';

const SHAPES = Object.values(CAVITY_SHAPES).map(({ kind, title, detail }) => ({
  value: kind,
  title,
  detail,
}));

/** Moulds by their measures, by the water test, or as one half of a pair. */
export function Moulds({ kitchen }: KitchenProps) {
  const { moulds = [] } = kitchen;
  const style = useNumberStyle();
  return (
    <List<MouldDoc>
      list="moulds"
      title="Moulds"
      another="Another mould"
      things={moulds}
      fresh={() => ({
        id: newId('mould'),
        name: `Mould ${moulds.length + 1}`,
        owned: 1,
        cavities: 8,
        shape: 'stadium',
        lengthMm: 70,
        widthMm: 39,
        depthMm: 20,
        stickMl: 1,
      })}
      card={(mould, change, remove) => (
        <ThingCard
          key={mould.id}
          thing={mould}
          what="mould"
          drawing={
            <SectionDrawing
              section={mouldedSection(mould, 1.8, 1.8, mould.stickMl > 0)}
              width={300}
              height={96}
              label={`A cavity of ${mould.name}, to scale`}
            />
          }
          numbers={[
            { ...OWNED, before: '' },
            {
              key: 'cavities',
              label: 'Cavities',
              unit: '',
              min: 1,
              max: 96,
              whole: true,
              before: 'of',
              after: ' cavities,',
            },
            ...sides<MouldDoc>([
              ['lengthMm', 'Long', 10, 200, ''],
              ['widthMm', 'Wide', 10, 200, 'by'],
              ['depthMm', 'Deep', 5, 100, 'and deep', ','],
            ]),
            {
              key: 'stickMl',
              label: 'Room that a stick takes',
              unit: 'ml',
              min: 0,
              max: 20,
              before: 'a stick takes',
              after: ',',
            },
          ]}
          more={
            <ChoiceValue
              label="Shape"
              title="Shape of a cavity"
              value={mould.shape}
              text={CAVITY_SHAPES[mould.shape].title}
              choices={SHAPES}
              onChoose={(shape) => change({ ...mould, shape })}
              after="."
            />
          }
          note={
            mould.cavityMl === undefined
              ? 'What it holds follows from its measures.'
              : `Holds ${showText(mould.cavityMl, 'ml', style)} by the water test.`
          }
          // The longer side is the length, whichever way round it was typed.
          onChange={(next) =>
            change(
              next.lengthMm < next.widthMm
                ? { ...next, lengthMm: next.widthMm, widthMm: next.lengthMm }
                : next,
            )
          }
          onRemove={remove}
        >
          <WaterTest
            title="Water in a cavity"
            hint="Fill one to the brim on the scale: {100 ml} of water weigh {100 g}. Of a pair put together, weigh both and enter half."
            value={mould.cavityMl ?? null}
            max={500}
            onSave={(cavityMl) => change({ ...mould, cavityMl })}
          />
          <PairedHalf onSave={(acrossMm) => change(halfOf(mould, acrossMm))} />
        </ThingCard>
      )}
    />
  );
}

/** A mould that is one half of a ball of that width. */
const halfOf = (mould: MouldDoc, acrossMm: number): MouldDoc => {
  const { cavityMl: _measured, ...rest } = mould;
  return {
    ...rest,
    shape: 'half-ellipsoid',
    lengthMm: acrossMm,
    widthMm: acrossMm,
    depthMm: acrossMm / 2,
  };
};

function PairedHalf({ onSave }: { readonly onSave: (acrossMm: number) => void }) {
  const [asking, setAsking] = useState(false);
  return (
    <>
      <QuietAction title="One half of a ball" onPress={() => setAsking(true)} />
      <NumberSheet
        ask={
          asking
            ? {
                title: 'The whole ball, across',
                hint: 'Two halves make it: the cavity is as wide and half as deep.',
                value: 50,
                unit: 'mm',
                min: 10,
                max: 200,
              }
            : null
        }
        onClose={() => setAsking(false)}
        onSave={(value) => {
          setAsking(false);
          onSave(value);
        }}
      />
    </>
  );
}
