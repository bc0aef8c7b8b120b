import { paramOf } from '../../core/param';

/** What is learned, as it is spoken of beside its thing: "Hall oven, baking time". Groups in the order of a day. */
const GROUPS: readonly {
  readonly title: string;
  readonly of: Readonly<Record<string, string>>;
}[] = [
  {
    title: 'Ovens',
    of: {
      'bake.factor': 'baking time',
      'oven.offset': 'above its dial',
      'oven.fan': 'what its fan does',
      'tin.own': 'against others of its kind',
      'oven.racks': 'top against bottom',
      'micro.factor': 'microwave time',
    },
  },
  {
    title: 'Batter and cake',
    of: {
      'batter.density': 'density of the batter',
      'cake.density': 'how light it bakes',
      'bowl.lossShare': 'left on bowl and spoon',
      'bake.lossShare': 'loss in baking',
      'cake.done': 'done at the centre',
    },
  },
  {
    title: 'Dough, coat and frosting',
    of: {
      'bind.factor': 'binder',
      'dough.density': 'density of the dough',
      'hand.lossShare': 'left on hands and bench',
      'coat.mm': 'coat',
      'frosting.style': 'frosting',
    },
  },
  { title: 'Portions', of: { 'scoop.fill': 'how full', 'portion.scatter': 'how far apart' } },
  { title: 'Waits', of: { 'set.usual': 'time to set' } },
  { title: 'Hands', of: { 'work.pace': 'pace of the hands' } },
];

/** What is learned of a thing, in a word or two. */
export const shortName = (param: string): string =>
  GROUPS.find(({ of }) => param in of)?.of[param] ?? paramOf(param)?.label ?? param;

/** A thing with what is learned of it: "Hall oven, baking time". */
export function longName(thing: string, param: string): string {
  const all = [thing, shortName(param)].filter(Boolean).join(', ');
  return all.charAt(0).toUpperCase() + all.slice(1);
}

/** What was learned by group, those of which there is something. */
export function grouped<T>(
  all: readonly T[],
  paramOfOne: (one: T) => string,
): { title: string; some: T[] }[] {
  const known = new Set(GROUPS.flatMap(({ of }) => Object.keys(of)));
  return [...GROUPS, { title: 'Other', of: {} }]
    .map(({ title, of }) => ({
      title,
      some: all.filter((one) => {
        const param = paramOfOne(one);
        return param in of || (title === 'Other' && !known.has(param));
      }),
    }))
    .filter(({ some }) => some.length > 0);
}
