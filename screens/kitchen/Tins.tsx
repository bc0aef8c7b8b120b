import { Fragment, useDeferredValue } from 'react';
import { View } from 'react-native';
import { tinSchema, type TinDoc } from '../../core/model/documents';
import { SIDE_FIELDS, WELL_SHAPES, cupcakeCut, sidesOf, wellMlOf, wellShapeOf } from '../../core/piece';
import { showText, counted } from '../../core/quantity';
import { newId } from '../../state/ids';
import { useNumberStyle } from '../../state/store';
import { Card } from '../../ui/card';
import { CutDrawing } from '../../ui/cut';
import { NumberValue } from '../../ui/numberValue';
import { ChoiceValue, Sentence, Words } from '../../ui/sentence';
import { SectionDrawing } from '../../ui/section';
import { Small } from '../../ui/text';
import { List, type CardOf, type KitchenProps } from './List';
import { Removal, ThingName } from './ThingCard';
import { WaterTest } from './WaterTest';

interface TinProps {
  readonly tin: TinDoc;
  readonly onChange: (tin: TinDoc) => void;
  /** Null where it is the last tin. */
  readonly onRemove: (() => void) | null;
}

const SHAPES = Object.values(WELL_SHAPES).map(({ kind, title, detail }) => ({ value: kind, title, detail }));

/** The tins, one at least. */
export function Tins({ kitchen }: KitchenProps) {
  const { tins } = kitchen;
  return (
    <List<TinDoc>
      list="tins"
      title="Tins"
      another="Another tin"
      things={tins}
      keepOne
      fresh={() => ({ ...usual(tins), id: newId('tin'), name: `Tin ${tins.length + 1}`, owned: 1 })}
      card={tinCard}
    />
  );
}

const tinCard: CardOf<TinDoc> = (tin, change, remove) => (
  <TinCard tin={tin} onChange={(next) => change(tinSchema.parse(next))} onRemove={remove} />
);

/** Another tin is most often one of a size. */
function usual([first]: readonly TinDoc[]): TinDoc {
  if (!first) throw new Error('invariant: a kitchen has a tin');
  return first;
}

/** What keeps a tin from being one: measures that do not fit together. */
function faultOf(tin: TinDoc): string | null {
  const read = tinSchema.safeParse(tin);
  return read.success ? null : (read.error.issues[0]?.message ?? null);
}

/** One kind of tin, in a sentence, with a well of it drawn to scale. */
function TinCard({ tin, onChange, onRemove }: TinProps) {
  const style = useNumberStyle();
  const shape = wellShapeOf(tin);
  const mm = sidesOf(tin);
  const volume = tin.wellMl ?? wellMlOf(tin);
  // The sentence shows what was changed first, then the drawing.
  const drawn = useDeferredValue(tin);
  return (
    <Card>
      <Well tin={drawn} />
      <Sentence>
        <ThingName what="tin" name={tin.name} onName={(name) => onChange({ ...tin, name })} />

        <NumberValue
          label="Tins owned"
          text={`${tin.owned}`}
          ask={{ title: 'Tins owned', value: tin.owned, unit: '', min: 1, max: 50, whole: true }}
          onSave={(owned) => onChange({ ...tin, owned })}
        />
        <Words>of</Words>
        <NumberValue
          label="Wells"
          text={`${counted(tin.wells, 'well')}`}
          ask={{ title: 'Wells in the tin', value: tin.wells, unit: '', min: 1, max: 96, whole: true }}
          onSave={(wells) => onChange({ ...tin, wells })}
          after=","
        />
        <Words>each</Words>
        <ChoiceValue
          label="Shape of a well"
          title="Shape of a well"
          value={shape.kind}
          text={shape.title}
          choices={SHAPES}
          onChoose={(next) => {
            const { wellMl: _measured, ...rest } = tin;
            onChange({ ...rest, shape: next });
          }}
          after=","
        />
        {shape.fields.map(({ side, ask, after, min, max }) => (
          <Fragment key={side}>
            <NumberValue
              label={ask}
              text={showText(mm[side], 'mm', style)}
              ask={{
                title: ask,
                hint: 'Inside the well.',
                value: mm[side],
                unit: 'mm',
                min,
                max,
                fault: (value) => faultOf({ ...tin, [SIDE_FIELDS[side]]: value }),
              }}
              onSave={(value) => onChange({ ...tin, [SIDE_FIELDS[side]]: value })}
            />
            <Words>{after}</Words>
          </Fragment>
        ))}
        <ChoiceValue
          label="Material"
          title="What the tin is made of"
          value={tin.material}
          text={tin.material}
          choices={[
            { value: 'light metal', title: 'light metal', detail: 'The reference for baking times.' },
            {
              value: 'dark metal',
              title: 'dark metal',
              detail: 'Takes up heat faster: a little sooner done, a darker edge.',
            },
            {
              value: 'silicone',
              title: 'silicone',
              detail: 'Passes heat on slowly: about a tenth longer, a paler edge.',
            },
          ]}
          onChoose={(material) => onChange({ ...tin, material })}
          after="."
        />
      </Sentence>
      <Small>{`A well holds ${showText(volume, 'ml', style)} to the brim by ${tin.wellMl === undefined ? 'these measures' : 'the water test'}.`}</Small>
      <WaterTest
        title="Water in a well"
        hint="Fill one to the brim on the scale: {100 ml} of water weigh {100 g}."
        value={tin.wellMl ?? null}
        max={5000}
        onSave={(wellMl) => onChange({ ...tin, wellMl })}
      />
      <Removal what="tin" onRemove={onRemove} />
    </Card>
  );
}

/** A well of a tin, to scale. */
function Well({ tin }: { readonly tin: TinDoc }) {
  const shape = wellShapeOf(tin);
  const brim = wellMlOf(tin);
  return (
    <View style={{ alignItems: 'center' }}>
      {shape.domes ? (
        <CutDrawing
          cut={cupcakeCut(tin, brim / 2, brim * 0.95)}
          width={240}
          height={Math.max(56, (tin.depthMm + 8) * 2)}
          pxPerMm={2}
          bare
          label={`A well of ${tin.name}, to scale`}
        />
      ) : (
        <SectionDrawing
          section={shape.section(sidesOf(tin))}
          width={240}
          height={96}
          label={`A well of ${tin.name} from the side, to scale`}
        />
      )}
    </View>
  );
}
