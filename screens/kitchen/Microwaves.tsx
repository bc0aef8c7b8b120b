import { useState } from 'react';
import type { MicrowaveDoc } from '../../core/exchange/documents';
import { waterTestW } from '../../core/process/microwave';
import { fromShown, readNumberField, showText, typedUnit } from '../../core/quantity';
import { newId } from '../../state/ids';
import { useNumberStyle } from '../../state/store';
import { MainAction, QuietAction } from '../../ui/actions';
import { NumberField } from '../../ui/numberField';
import { Sheet } from '../../ui/sheet';
import { Small } from '../../ui/text';
import { List, type KitchenProps } from './List';
import { ThingCard } from './ThingCard';

export function Microwaves({ kitchen, put }: KitchenProps) {
  const { microwaves = [] } = kitchen;
  const style = useNumberStyle();
  return (
    <List<MicrowaveDoc>
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
      onChange={(label, next) => put(label, { microwaves: next })}
      card={(microwave, change, remove) => (
        <ThingCard
          key={microwave.id}
          thing={microwave}
          what="microwave"
          numbers={[
            {
              key: 'ratedW',
              label: 'Power by its plate',
              unit: 'W',
              min: 300,
              max: 2000,
              whole: true,
              after: ' by its plate,',
            },
            {
              key: 'mugsAtOnce',
              label: 'Mugs at once',
              unit: '',
              min: 1,
              max: 12,
              whole: true,
              before: 'room for',
              after: ' mugs.',
            },
          ]}
          note={
            microwave.absorbedW === null
              ? 'Nobody has run the water test: times go by its plate, with a wider range.'
              : `${showText(500, 'g', style)} of water took up ${Math.round(microwave.absorbedW)} W in the water test.`
          }
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
        <Small>
          1. Weigh 500 g of cool water into a glass or china bowl, a wooden spoon in it. Stir and read the
          heat.
        </Small>
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
