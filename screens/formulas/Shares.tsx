import { View } from 'react-native';
import { massOf } from '../../core/formula';
import { SHARE_GROUPS } from '../../core/formula/compare';
import { heldIn, type ReadLine } from '../../core/quantity';
import { Small } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';

/** Less than this share is not named. */
const LEAST = 0.02;

/** What a batter is made of, as bands in proportion. */
export function Shares({ lines }: { readonly lines: readonly ReadLine[] }) {
  const { material, carnelianSoft, goodSoft, warnSoft } = useTokens();
  const colors = [material.ingredient, material.batter, material.crumb, warnSoft, carnelianSoft, goodSoft];
  const total = lines.reduce((sum, line) => sum + line.massG, 0);
  if (total === 0) return null;
  const bands = SHARE_GROUPS.map((group, i) => ({
    name: group.name,
    share: massOf(lines, ...group.roles) / total,
    color: colors[i],
  })).filter(({ share }) => share > LEAST);
  const rest = 1 - bands.reduce((sum, { share }) => sum + share, 0);
  if (rest > LEAST) bands.push({ name: 'other', share: rest, color: material.tin });
  return (
    <View style={{ marginTop: space(1), gap: space(0.5) }}>
      <View aria-hidden style={{ flexDirection: 'row', height: 14, borderRadius: 7, overflow: 'hidden' }}>
        {bands.map((band) => (
          <View
            key={band.name}
            style={{
              flex: band.share,
              backgroundColor: band.color,
              borderRightWidth: 1,
              borderRightColor: material.crust,
            }}
          />
        ))}
      </View>
      <Small>{bands.map((band) => `${band.name} ${Math.round(band.share * 100)} %`).join(', ')}</Small>
    </View>
  );
}

/** Water, fat and sugar of the whole, by what such things usually hold. */
export function Held({ lines }: { readonly lines: readonly ReadLine[] }) {
  const weighed = lines.filter(({ status }) => status === 'read');
  const { water, fat, sugar, ofG } = heldIn(weighed);
  if (ofG === 0) return null;
  const share = (g: number) => `${Math.round((g / ofG) * 100)} %`;
  const unknown = weighed.some(({ ingredient }) => ingredient === null);
  return (
    <Small>
      {`Water ${share(water)}, fat ${share(fat)}, sugar ${share(sugar)}, by usual figures${unknown ? ', of what is known' : ''}.`}
    </Small>
  );
}
