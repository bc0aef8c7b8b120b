import type { MicrowaveDoc } from '../../core/model/documents';
import { useState } from 'react';
import { mugOuterMm, mugWidthMm, mugsOnPlate, plateFromAbove } from '../../core/piece';
import { waterTestW } from '../../core/process/microwave';
import {
  fromShown,
  readNumberField,
  showText,
  typedUnit,
  type NumberStyle,
  counted,
} from '../../core/quantity';
import { newId } from '../../state/ids';
import { useNumberStyle } from '../../state/store';
import { MainAction, QuietAction } from '../../ui/actions';
import { NumberField } from '../../ui/numberField';
import { NumberValue } from '../../ui/numberValue';
import { SectionDrawing } from '../../ui/section';
import { Words } from '../../ui/sentence';
import { Sheet } from '../../ui/sheet';
import { Small } from '../../ui/text';
import { List, type KitchenProps } from './List';
import { ThingCard } from './ThingCard';

export function Microwaves({ kitchen }: KitchenProps) {
  const { microwaves = [] } = kitchen;
  const style = useNumberStyle();
  const mugMl = kitchen.mugs?.[0]?.volumeMl ?? USUAL_MUG_ML;
  return (
    <List<MicrowaveDoc>
      list="microwaves"
      most={6}
      title="Microwaves"
      another="Another microwave"
      things={microwaves}
      fresh={() => ({
        id: newId('microwave'),
        name: `Microwave ${microwaves.length + 1}`,
        ratedW: 800,
        absorbedW: null,
        mugsAtOnce: 2,
      })}
      card={(microwave, change, remove) => (
        <ThingCard
          key={microwave.id}
          thing={microwave}
          what="microwave"
          drawing={
            <SectionDrawing
              section={plateFromAbove(
                microwave.plateMm ?? USUAL_PLATE_MM,
                mugWidthMm(mugMl),
                microwave.mugsAtOnce,
              )}
              width={260}
              height={190}
              label={`The plate of ${microwave.name} from above, to scale, with its mugs`}
            />
          }
          numbers={[
            {
              key: 'ratedW',
              label: 'Power by its label',
              unit: 'W',
              min: 300,
              max: 2000,
              whole: true,
              after: ' by its label,',
            },
            {
              key: 'mugsAtOnce',
              label: 'Mugs at once',
              unit: '',
              min: 1,
              max: 12,
              whole: true,
              before: 'room for',
              after: ' mugs,',
            },
          ]}
          more={
            <>
              <Words>its turning plate</Words>
              <NumberValue
                label="Turning plate across"
                text={
                  microwave.plateMm === undefined ? 'unmeasured' : showText(microwave.plateMm, 'mm', style)
                }
                ask={{
                  title: 'Turning plate across',
                  value: microwave.plateMm ?? null,
                  unit: 'mm',
                  min: 100,
                  max: 500,
                }}
                onSave={(plateMm) => change({ ...microwave, plateMm })}
                after="."
              />
            </>
          }
          note={[
            plateWords(microwave, mugMl, style),
            microwave.absorbedW === null
              ? 'Nobody has run the water test: times go by the power on its label, with a wider range.'
              : `${showText(500, 'g', style)} of water took up ${Math.round(microwave.absorbedW)} W in the water test.`,
          ].join(' ')}
          onChange={change}
          onRemove={remove}
        >
          <MicrowaveTest onSave={(absorbedW) => change({ ...microwave, absorbedW })} />
          {microwave.absorbedW !== null ? (
            <QuietAction
              title="Forget the water test"
              onPress={() => change({ ...microwave, absorbedW: null })}
            />
          ) : null}
        </ThingCard>
      )}
    />
  );
}

/** Where nobody has measured them. Basis: ordinary ones. */
const USUAL_MUG_ML = 320;
const USUAL_PLATE_MM = 270;

/** How many of the kitchen's mugs the plate takes, against how many it is said to. */
function plateWords(microwave: MicrowaveDoc, mugMl: number, style: NumberStyle): string {
  const fit = mugsOnPlate(microwave.plateMm ?? USUAL_PLATE_MM, mugOuterMm(mugWidthMm(mugMl)));
  const words = `${counted(fit, 'mug')} of ${showText(mugMl, 'ml', style)} ${fit === 1 ? 'stands' : 'stand'} on it in a ring.`;
  if (microwave.plateMm === undefined) return `Drawn with a usual plate; measure yours. ${words}`;
  return fit < microwave.mugsAtOnce ? `${words} That is fewer than it is said to take.` : words;
}

/** What a minute does to half a litre of water: walked through, step by step. */
function MicrowaveTest({ onSave }: { readonly onSave: (absorbedW: number) => void }) {
  const style = useNumberStyle();
  const [open, setOpen] = useState(false);
  const [before, setBefore] = useState('');
  const [after, setAfter] = useState('');
  const [fault, setFault] = useState<{ readonly at: 'before' | 'after'; readonly words: string } | null>(
    null,
  );
  const unit = typedUnit('°C', style);
  const read = (text: string) => {
    const n = readNumberField(text);
    return n === null ? NaN : fromShown(n, '°C', style);
  };
  const save = () => {
    const from = read(before);
    const to = read(after);
    const watts = waterTestW(to - from);
    if (!(from >= 0 && from <= 40))
      setFault({ at: 'before', words: `From ${showText(0, '°C', style)} to ${showText(40, '°C', style)}.` });
    else if (!(to > from && to < 100))
      setFault({ at: 'after', words: 'Warmer than before, and not boiling.' });
    else if (watts < 100 || watts > 2000)
      setFault({
        at: 'after',
        words: `That would be ${Math.round(watts)} W, which no such oven gives. Measure again.`,
      });
    else {
      setOpen(false);
      onSave(Math.round(watts));
    }
  };
  return (
    <>
      <QuietAction title="By the water test" icon="scale" onPress={() => setOpen(true)} />
      <Sheet title="The water test" visible={open} onClose={() => setOpen(false)}>
        <Small>{`1. Weigh ${showText(500, 'g', style)} of cool water into a glass or china bowl, a wooden spoon in it. Stir and read the heat.`}</Small>
        <NumberField
          label={`Before, ${unit}`}
          text={before}
          onText={(text) => {
            setBefore(text);
            setFault(null);
          }}
          fault={fault?.at === 'before' ? fault.words : null}
        />
        <Small>
          2. One minute at full power, alone in the oven. Leave the spoon in: smooth still water may boil over
          at a touch.
        </Small>
        <Small>3. Stir, and read again at once.</Small>
        <NumberField
          label={`After a minute, ${unit}`}
          text={after}
          onText={(text) => {
            setAfter(text);
            setFault(null);
          }}
          fault={fault?.at === 'after' ? fault.words : null}
        />
        <Small>{`A rise of ${showText(16, 'K', style)} is about ${Math.round(waterTestW(16))} W.`}</Small>
        <MainAction title="Reckon the power" onPress={save} />
      </Sheet>
    </>
  );
}
