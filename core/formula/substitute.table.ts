import type { Basis } from '../figure';

/** What goes in the place of one ingredient: shares of its mass, or grams to one of it where it is counted. */
export interface SubstituteDef {
  readonly id: string;
  readonly from: string;
  readonly title: string;
  readonly parts: readonly { readonly key: string; readonly share: number }[];
  /** Shares are of a piece: grams for one egg. */
  readonly perPiece?: boolean;
  /** What it does to the result, and how it is done. */
  readonly result: string;
  readonly basis: Basis;
}

const one = (
  id: string,
  from: string,
  title: string,
  parts: readonly (readonly [key: string, share: number])[],
  result: string,
  perPiece = false,
): SubstituteDef => ({
  id,
  from,
  title,
  parts: parts.map(([key, share]) => ({ key, share })),
  result,
  perPiece,
  basis: 'typical',
});

/** Substitutions by ingredient. Basis: typical kitchen practice; the shares are by mass. */
export const SUBSTITUTES: readonly SubstituteDef[] = [
  one(
    'sour-milk',
    'buttermilk',
    'Sour milk',
    [
      ['milk', 0.94],
      ['citrus juice', 0.06],
    ],
    'Stir together and leave for 5 minutes until it thickens. A little thinner and milder; the bicarbonate still has its acid.',
  ),
  one(
    'thin-yoghurt',
    'buttermilk',
    'Yoghurt, thinned',
    [
      ['yoghurt', 0.7],
      ['water', 0.3],
    ],
    'Whisk smooth. As sour, a little richer.',
  ),
  one(
    'plain-for-cake',
    'cake flour',
    'Plain flour with cornflour',
    [
      ['plain flour', 0.85],
      ['cornflour', 0.15],
    ],
    'Sift together twice. Nearly as tender.',
  ),
  one(
    'plain-for-raising',
    'self-raising flour',
    'Plain flour with baking powder',
    [
      ['plain flour', 0.955],
      ['baking powder', 0.045],
    ],
    'Sift together. Rises much the same; brands of self-raising flour differ.',
  ),
  one(
    'unsalted',
    'salted butter',
    'Unsalted butter and salt',
    [
      ['butter', 0.983],
      ['salt', 0.017],
    ],
    'The same salt in all. Leave the salt out for a plainer cake.',
  ),
  one(
    'salted',
    'butter',
    'Salted butter',
    [['salted butter', 1.017]],
    'Brings about 1.7 g of salt to 100 g: take that much off the salt of the formula.',
  ),
  one(
    'plant-butter',
    'butter',
    'Plant block for baking',
    [['vegan butter', 1]],
    'Creams as well; the crumb is a little softer, the taste plainer. Use a firm block, not a spread from a tub.',
  ),
  one(
    'oil-for-butter',
    'butter',
    'Oil',
    [
      ['oil', 0.8],
      ['water', 0.2],
    ],
    'For batters where butter is melted: moist and plainer. It cannot be creamed, so it brings no air.',
  ),
  one('oat-milk', 'milk', 'Oat drink', [['oat drink', 1]], 'Works the same. Browns a little less.'),
  one(
    'yoghurt-for-egg',
    'egg',
    'Yoghurt',
    [['yoghurt', 60]],
    'Sixty grams an egg. It loses the lift of the egg: add 1 g of baking powder for each, and expect a closer, paler crumb that is done at the same look.',
    true,
  ),
  one(
    'paste-for-extract',
    'vanilla extract',
    'Vanilla paste',
    [['vanilla paste', 1]],
    'As strong by the spoon, and speckled.',
  ),
  one(
    'pod-for-extract',
    'vanilla extract',
    'Vanilla pod',
    [['vanilla pod', 0.36]],
    'One pod for two teaspoons. Scrape its seeds into the sugar.',
  ),
  one(
    'extract-for-pod',
    'vanilla pod',
    'Vanilla extract',
    [['vanilla extract', 2.8]],
    'Two teaspoons for a pod.',
  ),
  one(
    'spirit-for-extract',
    'extract',
    'Spirit of the same taste',
    [['spirit', 6]],
    'Two tablespoons for a teaspoon of essence; take as much off the other liquid. Baking does not drive all the alcohol off.',
  ),
  one(
    'juice-for-spirit',
    'spirit',
    'Apple juice',
    [['apple juice', 1]],
    'No alcohol, sweeter and less sharp: a few drops of lemon juice bring the edge back.',
  ),
  one(
    'juice-for-wine',
    'wine',
    'Grape juice',
    [
      ['apple juice', 0.95],
      ['vinegar', 0.05],
    ],
    'No alcohol; the vinegar stands in for its sharpness.',
  ),
];

/** Sugar in chocolates, as a share of their mass. Basis: typical of packets. */
export const CHOCOLATE_SUGAR: Readonly<Record<string, number>> = {
  chocolate: 0.45,
  'milk chocolate': 0.52,
  'white chocolate': 0.58,
};
