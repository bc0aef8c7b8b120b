import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import type { Lot } from '../../../core/model/documents';
import { COLOUR_DEPTH, type ColourDepth } from '../../../core/process/frost.table';
import { Chip, Chips, QuietAction } from '../../../ui/actions';
import { IconTap } from '../../../ui/screen';
import { Small } from '../../../ui/text';

/** "deep green", "deep green, mid gold and plain in one swirl"; empty where nothing is coloured. */
export function coloursOf({ colour, stripes = [] }: Lot): string {
  const one = (of: Lot['colour']) => (of ? `${of.depth} ${of.name}` : 'plain');
  if (stripes.length === 0) return colour ? one(colour) : '';
  const all = [colour, ...stripes].map(one);
  return `${all.slice(0, -1).join(', ')} and ${all.at(-1)} in one swirl`;
}

const DEPTHS = Object.keys(COLOUR_DEPTH) as ColourDepth[];

/** One colour or several in one swirl, each as deep as it is wanted. */
export function ColourFields({
  lot,
  onChange,
}: {
  readonly lot: Lot;
  readonly onChange: (lot: Lot) => void;
}) {
  const stripes = lot.stripes ?? [];
  const put = (i: number, colour: Lot['colour']) =>
    onChange(
      i === 0
        ? { ...lot, colour }
        : { ...lot, stripes: stripes.map((one, k) => (k === i - 1 ? colour : one)) },
    );
  return (
    <>
      <Small>Colour of their frosting</Small>
      {[lot.colour, ...stripes].map((colour, i) => (
        <ColourField
          key={i}
          nth={i + 1}
          colour={colour}
          onChange={(next) => put(i, next)}
          onRemove={
            i === 0 ? null : () => onChange({ ...lot, stripes: stripes.filter((_, k) => k !== i - 1) })
          }
        />
      ))}
      {stripes.length < 2 ? (
        <QuietAction
          title="Another colour in the same swirl"
          icon="plus"
          onPress={() => onChange({ ...lot, stripes: [...stripes, { name: 'gold', depth: 'mid' }] })}
        />
      ) : null}
    </>
  );
}

function ColourField({
  nth,
  colour,
  onChange,
  onRemove,
}: {
  readonly nth: number;
  readonly colour: Lot['colour'];
  readonly onChange: (colour: Lot['colour']) => void;
  readonly onRemove: (() => void) | null;
}) {
  const which = nth === 1 ? 'Which colour' : `Which colour, stripe ${nth}`;
  return (
    <>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <View style={{ flex: 1 }}>
          <Chips label={nth === 1 ? 'Depth of the colour' : `Depth of the colour, stripe ${nth}`}>
            <Chip title="as it is" selected={colour === null} onPress={() => onChange(null)} />
            {DEPTHS.map((depth) => (
              <Chip
                key={depth}
                title={depth}
                selected={colour?.depth === depth}
                onPress={() => onChange({ name: colour?.name ?? 'amber', depth })}
              />
            ))}
          </Chips>
        </View>
        {onRemove ? <IconTap name="bin" label={`Take stripe ${nth} out`} onPress={onRemove} /> : null}
      </View>
      {colour ? (
        <TextInput
          mode="outlined"
          label={which}
          aria-label={which}
          value={colour.name}
          onChangeText={(name) => onChange({ ...colour, name })}
        />
      ) : null}
    </>
  );
}
