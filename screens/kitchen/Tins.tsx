import { useDeferredValue } from 'react';
import { View } from 'react-native';
import { tinSchema, type TinDoc } from '../../core/model/documents';
import { barVolumeMl, bowlVolumeMl, boxSection, cupcakeCut, wellVolumeMl } from '../../core/piece';
import { showText } from '../../core/quantity';
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

const SIDES = [
  { key: 'topMm', name: 'Across the top', min: 10, max: 300 },
  { key: 'baseMm', name: 'Across the base', min: 5, max: 300 },
  { key: 'depthMm', name: 'Depth', min: 5, max: 200 },
] as const;

const SHAPES = [
  { value: 'frustum', title: 'round with sloping sides' },
  { value: 'bowl', title: 'a bowl', detail: 'Half a ball, round side down.' },
  { value: 'bar', title: 'a bar', detail: 'As for fingers.' },
] as const;

function volumeOf(tin: TinDoc): number {
  if (tin.shape === 'bowl') return bowlVolumeMl(tin.topMm, tin.depthMm);
  if (tin.shape === 'bar') return barVolumeMl(tin.lengthMm ?? tin.topMm, tin.topMm, tin.baseMm, tin.depthMm);
  return wellVolumeMl(tin.topMm, tin.baseMm, tin.depthMm);
}

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

/** One kind of tin, in a sentence, with a well of it drawn to scale. */
function TinCard({ tin, onChange, onRemove }: TinProps) {
  const style = useNumberStyle();
  const shape = tin.shape ?? 'frustum';
  const byMeasures = volumeOf(tin);
  const volume = tin.wellMl ?? byMeasures;
  // The sentence shows what was changed first, then the drawing.
  const drawn = useDeferredValue(tin);
  const side = ({ key, name, min, max }: (typeof SIDES)[number]) => (
    <NumberValue
      key={key}
      label={name}
      text={`${showText(tin[key], 'mm', style)}`}
      ask={{ title: name, hint: 'Inside the well.', value: tin[key], unit: 'mm', min, max }}
      onSave={(value) => onChange({ ...tin, [key]: value })}
    />
  );
  const [top, base, depth] = SIDES;
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
          text={`${tin.wells} ${tin.wells === 1 ? 'well' : 'wells'}`}
          ask={{ title: 'Wells in the tin', value: tin.wells, unit: '', min: 1, max: 96, whole: true }}
          onSave={(wells) => onChange({ ...tin, wells })}
          after=","
        />
        <Words>each</Words>
        <ChoiceValue
          label="Shape of a well"
          title="Shape of a well"
          value={shape}
          text={SHAPES.find(({ value }) => value === shape)?.title ?? ''}
          choices={SHAPES}
          onChoose={(next) => {
            const { wellMl: _measured, ...rest } = tin;
            onChange({ ...rest, shape: next, ...(next === 'bar' ? { lengthMm: tin.lengthMm ?? 100 } : {}) });
          }}
          after=","
        />
        {shape === 'bar' ? (
          <>
            <NumberValue
              label="Length at the top"
              text={showText(tin.lengthMm ?? 100, 'mm', style)}
              ask={{ title: 'Length at the top', value: tin.lengthMm ?? 100, unit: 'mm', min: 10, max: 400 }}
              onSave={(lengthMm) => onChange({ ...tin, lengthMm })}
            />
            <Words>long,</Words>
          </>
        ) : null}
        {side(top)}
        <Words>across the top,</Words>
        {side(base)}
        <Words>across the base and</Words>
        {side(depth)}
        <Words>deep, of</Words>
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
  const shape = tin.shape ?? 'frustum';
  const cone = wellVolumeMl(tin.topMm, tin.baseMm, tin.depthMm);
  const cut = cupcakeCut(tin, cone / 2, cone * 0.95);
  return (
    <View style={{ alignItems: 'center' }}>
      {shape === 'frustum' ? (
        <CutDrawing
          cut={cut}
          width={240}
          height={Math.max(56, (tin.depthMm + 8) * 2)}
          pxPerMm={2}
          bare
          label={`A well of ${tin.name}, to scale`}
        />
      ) : (
        <SectionDrawing
          section={boxSection(shape === 'bar' ? (tin.lengthMm ?? tin.topMm) : tin.topMm, tin.depthMm)}
          width={240}
          height={96}
          label={`A well of ${tin.name} from the side, to scale`}
        />
      )}
    </View>
  );
}
