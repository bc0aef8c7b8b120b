import type { BowlDoc, MugDoc, ScoopDoc, SheetDoc, VesselDoc } from '../../core/model/documents';
import { boxSection, mugSection, scoopSection } from '../../core/piece';
import { showText } from '../../core/quantity';
import { newId } from '../../state/ids';
import { useNumberStyle } from '../../state/store';
import { SectionDrawing } from '../../ui/section';
import { List, OWNED, sides, type KitchenProps } from './List';
import { ThingCard } from './ThingCard';
import { WaterTest } from './WaterTest';

export function Sheets({ kitchen }: KitchenProps) {
  const { sheets = [] } = kitchen;
  return (
    <List<SheetDoc>
      list="sheets"
      title="Sheets"
      another="Another sheet"
      things={sheets}
      fresh={() => ({
        id: newId('sheet'),
        name: `Sheet ${sheets.length + 1}`,
        owned: 1,
        lengthMm: 330,
        widthMm: 230,
        depthMm: 40,
        material: 'light metal',
      })}
      card={(sheet, change, remove) => (
        <ThingCard
          key={sheet.id}
          thing={sheet}
          what="sheet"
          drawing={
            <SectionDrawing
              section={boxSection(sheet.lengthMm, sheet.depthMm)}
              width={260}
              height={64}
              label={`${sheet.name} from the side, to scale`}
            />
          }
          numbers={[
            { ...OWNED, after: ',' },
            ...sides<SheetDoc>([
              ['lengthMm', 'Long inside', 80, 600, ''],
              ['widthMm', 'Wide inside', 80, 600, 'by'],
              ['depthMm', 'Deep', 10, 120, 'and deep', '.'],
            ]),
          ]}
          onChange={change}
          onRemove={remove}
        />
      )}
    />
  );
}

export function Mugs({ kitchen }: KitchenProps) {
  const { mugs = [] } = kitchen;
  return (
    <List<MugDoc>
      list="mugs"
      title="Mugs"
      another="Another mug"
      things={mugs}
      fresh={() => ({ id: newId('mug'), name: `Mug ${mugs.length + 1}`, owned: 1, volumeMl: 320 })}
      card={(mug, change, remove) => (
        <ThingCard
          key={mug.id}
          thing={mug}
          what="mug"
          drawing={
            <SectionDrawing
              section={mugSection(mug.volumeMl, 0.42, 0.42, 0)}
              width={220}
              height={110}
              label={`${mug.name}, to scale, filled as usual`}
            />
          }
          numbers={[
            { ...OWNED, before: '' },
            {
              key: 'volumeMl',
              label: 'Holds to the brim',
              unit: 'ml',
              min: 60,
              max: 3000,
              before: 'of',
              after: '.',
            },
          ]}
          onChange={change}
          onRemove={remove}
        >
          <WaterTest
            title="Water in the mug"
            hint="To the brim, on the scale: {100 ml} weigh {100 g}. At least {60 g}."
            value={mug.volumeMl}
            max={3000}
            onSave={(volumeMl) => change({ ...mug, volumeMl: Math.max(60, volumeMl) })}
          />
        </ThingCard>
      )}
    />
  );
}

/** Bowls to mix in: whether a batter goes into one of them. */
export function Bowls({ kitchen }: KitchenProps) {
  const { bowls = [] } = kitchen;
  return (
    <List<BowlDoc>
      list="bowls"
      title="Mixing bowls"
      another="Another bowl"
      things={bowls}
      fresh={() => ({ id: newId('bowl'), name: `Bowl ${bowls.length + 1}`, owned: 1, volumeMl: 4800 })}
      card={(bowl, change, remove) => (
        <ThingCard
          key={bowl.id}
          thing={bowl}
          what="bowl"
          numbers={[
            { ...OWNED, before: '' },
            {
              key: 'volumeMl',
              label: 'Holds to the brim',
              unit: 'ml',
              min: 200,
              max: 100_000,
              before: 'of',
              after: '.',
            },
          ]}
          onChange={change}
          onRemove={remove}
        />
      )}
    />
  );
}

export function Vessels({ kitchen }: KitchenProps) {
  const { vessels = [] } = kitchen;
  return (
    <List<VesselDoc>
      list="vessels"
      title="To dip in"
      another="Another vessel"
      things={vessels}
      fresh={() => ({
        id: newId('vessel'),
        name: `Vessel ${vessels.length + 1}`,
        diameterMm: 80,
        depthMm: 120,
      })}
      card={(vessel, change, remove) => (
        <ThingCard
          key={vessel.id}
          thing={vessel}
          what="vessel"
          drawing={
            <SectionDrawing
              section={boxSection(vessel.diameterMm, vessel.depthMm)}
              width={220}
              height={110}
              label={`${vessel.name} from the side, to scale`}
            />
          }
          numbers={sides<VesselDoc>([
            ['diameterMm', 'Across inside', 30, 300, ''],
            ['depthMm', 'Deep', 30, 300, 'across and deep', '.'],
          ])}
          note="A narrow one strands less chocolate under the last piece."
          onChange={change}
          onRemove={remove}
        />
      )}
    />
  );
}

/** Scoops are numbered by how many level ones make a US quart. */
const QUART_ML = 946;

export function Scoops({ kitchen }: KitchenProps) {
  const { scoops = [] } = kitchen;
  const style = useNumberStyle();
  return (
    <List<ScoopDoc>
      list="scoops"
      title="Scoops"
      another="A scoop"
      things={scoops}
      fresh={() => ({ id: newId('scoop'), name: `Scoop ${scoops.length + 1}`, number: 40 })}
      card={(scoop, change, remove) => (
        <ThingCard
          key={scoop.id}
          thing={scoop}
          what="scoop"
          drawing={
            <SectionDrawing
              section={scoopSection(QUART_ML / scoop.number)}
              width={200}
              height={96}
              label={`${scoop.name}, level, to scale`}
            />
          }
          numbers={[
            {
              key: 'number',
              label: 'Number on it',
              unit: '',
              min: 8,
              max: 120,
              whole: true,
              before: 'number',
              after: '.',
            },
          ]}
          note={`Level, it holds ${showText(QUART_ML / scoop.number, 'ml', style)}: so many to a US quart of ${showText(QUART_ML, 'ml', style)}.`}
          onChange={change}
          onRemove={remove}
        />
      )}
    />
  );
}
