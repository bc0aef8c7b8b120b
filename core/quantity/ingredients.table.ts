import type { Allergen } from './allergens.table';
import type { Ingredient, Role } from './ingredient';
import { MORE_INGREDIENTS } from './ingredientsMore.table';
import { ALSO_NAMED, RARE_INGREDIENTS } from './ingredientsRare.table';

/**
 * What a cup, a spoon and a piece of each ingredient weigh, what it does in a batter, and what it warns of.
 * Cup masses are for a level US cup (236.6 ml), spoon masses for a level US teaspoon. Basis: typical figures of
 * published kitchen tables, rounded; each carries the spread of the measure it was filled with.
 */

export type { Allergen, Ingredient, Role };

const flour = (
  key: string,
  name: string,
  cupG: number,
  names: string[],
  allergens: readonly Allergen[] = ['gluten', 'wheat'],
): Ingredient => ({
  key,
  name,
  names,
  role: 'flour',
  cupG,
  allergens,
});
const plain =
  (role: Role) =>
  (key: string, name: string, cupG: number, names: string[]): Ingredient => ({
    key,
    name,
    names,
    role,
    cupG,
  });
const sugar = plain('sugar');
const fat = plain('fat');
const liquid = plain('liquid');
const fruit = plain('fruit');
const other = plain('other');
const starch = plain('starch');
const dairy = (
  key: string,
  name: string,
  cupG: number,
  names: string[],
  role: Role = 'dairy',
): Ingredient => ({
  key,
  name,
  names,
  role,
  cupG,
  allergens: ['milk'],
});
/** Sold ready made, by many makers: its packet may tell of more than it usually holds. */
const bought = (ingredient: Ingredient, ...allergens: readonly Allergen[]): Ingredient => ({
  ...ingredient,
  allergens,
  more: true,
});
const nut = (
  key: string,
  name: string,
  cupG: number,
  names: string[],
  allergens: readonly Allergen[] = ['nuts'],
): Ingredient => ({
  key,
  name,
  names,
  role: 'nut',
  cupG,
  allergens,
});
const spoon =
  (role: Role) =>
  (key: string, name: string, tspG: number, names: string[]): Ingredient => ({
    key,
    name,
    names,
    role,
    tspG,
  });
const flavour = spoon('flavour');

// One row an ingredient, so that the table can be read as one.
// prettier-ignore
const STAPLES: readonly Ingredient[] = [
  flour('plain flour', 'plain flour', 125, ['all-purpose flour', 'all purpose flour', 'ap flour', 'wheat flour', 'white flour', 'flour']),
  flour('cake flour', 'cake flour', 114, ['soft flour', 'pastry flour', 'sponge flour']),
  flour('self-raising flour', 'self-raising flour', 125, ['self raising flour', 'self-rising flour', 'self rising flour', 'sr flour']),
  flour('strong flour', 'strong flour', 130, ['bread flour', 'strong white flour']),
  flour('wholemeal flour', 'wholemeal flour', 120, ['whole wheat flour', 'whole-wheat flour', 'wholewheat flour', 'wholegrain flour']),
  flour('rye flour', 'rye flour', 105, [], ['gluten']),
  flour('spelt flour', 'spelt flour', 115, []),
  flour('rice flour', 'rice flour', 158, [], []),
  flour('oat flour', 'oat flour', 92, [], ['gluten']),
  flour('buckwheat flour', 'buckwheat flour', 120, [], []),
  starch('cornflour', 'cornflour', 122, ['cornstarch', 'corn starch', 'corn flour']),
  starch('potato starch', 'potato starch', 160, ['potato flour']),
  bought(starch('custard powder', 'custard powder', 120, [])),
  { key: 'cocoa', name: 'cocoa', names: ['cocoa powder', 'unsweetened cocoa', 'unsweetened cocoa powder'], role: 'cocoa', cupG: 85 },
  sugar('granulated sugar', 'granulated sugar', 200, ['white sugar', 'sugar']),
  sugar('caster sugar', 'caster sugar', 205, ['castor sugar', 'superfine sugar', 'golden caster sugar']),
  sugar('brown sugar', 'brown sugar', 215, ['light brown sugar', 'dark brown sugar', 'soft brown sugar', 'soft light brown sugar', 'soft dark brown sugar', 'packed brown sugar', 'light muscovado sugar', 'dark muscovado sugar', 'muscovado sugar', 'muscovado']),
  sugar('demerara sugar', 'demerara sugar', 220, ['demerara', 'turbinado sugar', 'turbinado']),
  sugar('raw sugar', 'raw sugar', 190, ['raw cane sugar', 'rapadura', 'panela', 'jaggery']),
  sugar('icing sugar', 'icing sugar', 118, ['powdered sugar', "confectioners' sugar", 'confectioners sugar', "confectioner's sugar"]),
  sugar('honey', 'honey', 340, ['runny honey', 'clear honey', 'set honey']),
  sugar('light syrup', 'light syrup', 328, ['golden syrup', 'corn syrup', 'light corn syrup', 'glucose syrup', 'glucose']),
  sugar('maple syrup', 'maple syrup', 315, []),
  { ...sugar('treacle', 'treacle', 337, ['black treacle', 'molasses']), allergens: ['sulphite'] },
  { key: 'butter', name: 'butter', names: ['unsalted butter', 'sweet butter', 'melted butter', 'soft butter', 'softened butter', 'brown butter'], role: 'fat', cupG: 227, allergens: ['milk'] },
  { key: 'salted butter', name: 'salted butter', names: ['slightly salted butter'], role: 'fat', cupG: 227, allergens: ['milk'] },
  fat('oil', 'oil', 218, ['vegetable oil', 'sunflower oil', 'rapeseed oil', 'canola oil', 'olive oil', 'light olive oil', 'neutral oil', 'cooking oil']),
  fat('coconut oil', 'coconut oil', 218, []),
  fat('cocoa butter', 'cocoa butter', 218, []),
  bought(fat('margarine', 'margarine', 227, ['baking spread', 'baking margarine', 'soft margarine']), 'milk'),
  fat('lard', 'lard', 205, ['shortening', 'vegetable shortening', 'white vegetable fat']),
  dairy('milk', 'milk', 244, ['whole milk', 'semi-skimmed milk', 'semi skimmed milk', 'skimmed milk', 'full-fat milk', 'full fat milk', 'warm milk'], 'liquid'),
  dairy('buttermilk', 'buttermilk', 245, ['butter milk', 'sour milk', 'kefir', 'cultured buttermilk'], 'liquid'),
  dairy('cream', 'cream', 238, ['double cream', 'whipping cream', 'heavy cream', 'single cream', 'heavy whipping cream', 'light cream', 'thickened cream', 'pouring cream', 'extra thick cream', 'fresh cream'], 'liquid'),
  dairy('yoghurt', 'yoghurt', 245, ['yogurt', 'plain yoghurt', 'plain yogurt', 'natural yoghurt', 'natural yogurt', 'greek yoghurt', 'greek yogurt', 'greek-style yoghurt'], 'liquid'),
  dairy('sour cream', 'sour cream', 240, ['soured cream', 'creme fraiche', 'crème fraîche'], 'liquid'),
  dairy('soft cheese', 'soft cheese', 232, ['cream cheese', 'full-fat soft cheese', 'mascarpone', 'quark']),
  dairy('condensed milk', 'condensed milk', 306, ['sweetened condensed milk']),
  dairy('evaporated milk', 'evaporated milk', 252, [], 'liquid'),
  dairy('milk powder', 'milk powder', 120, ['dried milk', 'skimmed milk powder', 'powdered milk', 'dried milk powder']),
  dairy('instant dried milk', 'instant dried milk', 76, ['instant milk powder', 'instant powdered milk', 'instant skimmed milk powder']),
  bought(dairy('white chocolate', 'white chocolate', 170, ['white chocolate chips', 'white choc', 'white choc chips', 'white chocolate buttons', 'white compound chocolate', 'white chocolate melts'], 'chocolate'), 'milk', 'soya'),
  bought(dairy('milk chocolate', 'milk chocolate', 170, ['milk chocolate chips'], 'chocolate'), 'milk', 'soya'),
  { key: 'chocolate', name: 'dark chocolate', names: ['dark chocolate', 'plain chocolate', 'bittersweet chocolate', 'semisweet chocolate', 'chocolate chips', 'dark chocolate chips', 'semisweet chocolate chips', 'chocolate chunks', 'chocolate chip', 'chocolate', 'dark choc', 'choc chips', 'cooking chocolate', 'baking chocolate', 'unsweetened chocolate', 'couverture'], role: 'chocolate', cupG: 170, packG: { square: 10 }, allergens: ['milk', 'soya'], more: true },
  { key: 'oat drink', name: 'oat drink', names: ['oat milk', 'barista oat milk'], role: 'liquid', cupG: 244, allergens: ['gluten'] },
  { key: 'soya drink', name: 'soya drink', names: ['soy milk', 'soya milk', 'soy drink'], role: 'liquid', cupG: 244, allergens: ['soya'] },
  { key: 'almond drink', name: 'almond drink', names: ['almond milk'], role: 'liquid', cupG: 244, allergens: ['nuts'] },
  { key: 'egg', name: 'egg', names: ['eggs', 'whole egg', 'whole eggs', 'beaten egg', 'hen egg'], role: 'egg', pieceG: 50, cupG: 243, allergens: ['egg'] },
  { key: 'egg white', name: 'egg white', names: ['egg whites', 'whites'], role: 'egg', pieceG: 33, cupG: 243, allergens: ['egg'] },
  { key: 'egg yolk', name: 'egg yolk', names: ['egg yolks', 'yolk', 'yolks'], role: 'egg', pieceG: 17, cupG: 243, allergens: ['egg'] },
  liquid('coconut milk', 'coconut milk', 240, ['coconut drink', 'coconut cream']),
  liquid('water', 'water', 237, ['boiling water', 'hot water', 'cold water', 'warm water']),
  liquid('coffee', 'coffee', 237, ['strong coffee', 'brewed coffee', 'espresso', 'black coffee']),
  liquid('tea', 'tea', 237, ['strong tea', 'black tea']),
  liquid('apple juice', 'apple juice', 248, []),
  { key: 'orange juice', name: 'orange juice', names: ['juice of orange', 'blood orange juice', 'clementine juice', 'mandarin juice', 'grapefruit juice'], role: 'liquid', cupG: 248, pieceG: 80 },
  { key: 'citrus juice', name: 'lemon juice', names: ['lemon juice', 'juice of lemon', 'citrus juice'], role: 'acid', cupG: 244, pieceG: 45 },
  { key: 'lime juice', name: 'lime juice', names: ['juice of lime'], role: 'acid', cupG: 244, pieceG: 28 },
  { key: 'vinegar', name: 'vinegar', names: ['cider vinegar', 'apple cider vinegar'], role: 'acid', cupG: 239 },
  liquid('spirit', 'spirit', 225, ['brandy', 'cognac', 'whisky', 'whiskey', 'bourbon', 'rum', 'gin', 'vodka', 'kirsch']),
  liquid('liqueur', 'liqueur', 262, ['coffee liqueur', 'orange liqueur', 'sloe gin', 'limoncello']),
  { ...liquid('amaretto', 'amaretto', 262, ['almond liqueur', 'hazelnut liqueur', 'walnut liqueur', 'orgeat', 'orgeat syrup']), allergens: ['nuts'] },
  { ...liquid('wine', 'wine', 236, ['port', 'sherry', 'red wine', 'white wine', 'cider']), allergens: ['sulphite'] },
  { key: 'baking powder', name: 'baking powder', names: [], role: 'powder', tspG: 4.6, packG: { sachet: 15, packet: 15 } },
  spoon('bicarbonate')('bicarbonate', 'bicarbonate of soda', 5, ['bicarbonate of soda', 'bicarb', 'bicarb of soda', 'bicarb soda', 'carbonate of soda', 'bread soda', 'baking soda', 'soda bicarb', 'cooking soda', 'sodium bicarbonate']),
  spoon('acid')('cream of tartar', 'cream of tartar', 3, ['cream tartar', 'tartar']),
  spoon('acid')('citric acid', 'citric acid', 4.5, []),
  spoon('salt')('salt', 'salt', 6, ['fine salt', 'table salt', 'sea salt', 'fine sea salt']),
  spoon('salt')('flaky salt', 'flaky salt', 3.5, ['kosher salt', 'sea salt flakes', 'salt flakes']),
  flavour('vanilla extract', 'vanilla extract', 4.2, ['vanilla', 'vanilla essence', 'pure vanilla extract']),
  flavour('extract', 'extract', 4.2, ['orange extract', 'lemon extract', 'essence']),
  { ...flavour('almond extract', 'almond extract', 4.2, ['bitter almond extract', 'almond essence', 'almond flavouring', 'almond flavoring', 'bitter almond flavouring', 'bitter almond oil', 'hazelnut extract', 'pistachio extract', 'walnut extract']), allergens: ['nuts'] },
  { key: 'vanilla pod', name: 'vanilla pod', names: ['vanilla bean', 'vanilla pods'], role: 'flavour', pieceG: 3 },
  flavour('vanilla paste', 'vanilla paste', 5.5, ['vanilla bean paste']),
  flavour('instant coffee', 'instant coffee', 1.6, ['coffee granules', 'instant coffee granules']),
  flavour('espresso powder', 'espresso coffee powder', 2.3, ['espresso powder', 'instant espresso', 'instant espresso powder', 'espresso instant coffee']),
  { key: 'cinnamon', name: 'cinnamon', names: ['ground cinnamon', 'cinnamon powder', 'cinnamon stick', 'cinnamon sticks'], role: 'flavour', tspG: 2.6, packG: { stick: 3.5 } },
  flavour('ginger', 'ground ginger', 1.8, ['ground ginger', 'ginger powder', 'dried ginger', 'ginger']),
  flavour('spice', 'ground spice', 2.1, ['mixed spice', 'cayenne', 'spice']),
  flavour('turmeric', 'turmeric', 3, ['ground turmeric']),
  flavour('saffron', 'saffron', 0.7, ['saffron threads', 'saffron strands']),
  flavour('herb', 'chopped herb', 0.9, ['thyme', 'thyme leaves', 'rosemary', 'lavender', 'basil', 'fresh thyme', 'sage', 'lemon balm']),
  { key: 'lime zest', name: 'lime zest', names: ['zest of lime'], role: 'flavour', pieceG: 3, tspG: 2 },
  { key: 'zest', name: 'citrus zest', names: ['orange zest', 'lemon zest', 'zest of orange', 'zest of lemon', 'grated zest', 'zest', 'orange peel', 'lemon peel', 'grapefruit zest', 'clementine zest', 'mandarin zest'], role: 'flavour', pieceG: 6, tspG: 2 },
  flavour('poppy seed', 'poppy seeds', 2.8, ['poppy seeds', 'poppyseed', 'poppyseeds']),
  { key: 'sesame', name: 'sesame seeds', names: ['sesame seeds', 'sesame seed'], role: 'nut', tspG: 3, cupG: 144, allergens: ['sesame'] },
  { key: 'tahini', name: 'tahini', names: ['sesame paste'], role: 'nut', tspG: 5, cupG: 240, allergens: ['sesame'] },
  { key: 'gelatine', name: 'gelatine', names: ['gelatin', 'powdered gelatine', 'gelatine powder'], role: 'other', tspG: 3.1, packG: { leaf: 2, sheet: 2, sachet: 11, packet: 11 } },
  { key: 'yeast', name: 'dried yeast', names: ['dried yeast', 'dry yeast', 'instant yeast'], role: 'other', tspG: 3.1, packG: { sachet: 7, packet: 7 } },
  { key: 'colour', name: 'colour paste', names: ['food colour', 'food colouring', 'gel colour', 'colour gel', 'food coloring'], role: 'other', tspG: 5.5 },
  nut('ground almonds', 'ground almonds', 100, ['almond flour', 'almond meal', 'ground almond']),
  nut('ground hazelnuts', 'ground hazelnuts', 82, ['hazelnut flour', 'hazelnut meal', 'ground hazelnut']),
  nut('flaked almonds', 'flaked almonds', 90, ['sliced almonds', 'almond flakes', 'slivered almonds']),
  nut('whole almonds', 'whole almonds', 143, ['almonds', 'blanched almonds', 'skinned almonds']),
  { ...nut('chopped nuts', 'chopped nuts', 118, ['walnuts', 'pecans', 'hazelnuts', 'chopped almonds', 'pistachios', 'chopped pistachios', 'chopped walnuts', 'chopped hazelnuts', 'chopped pecans', 'walnut halves', 'pecan halves', 'walnut pieces', 'nuts', 'cashews', 'walnut', 'pecan', 'hazelnut', 'pistachio', 'cashew', 'almond', 'pistachio slivers', 'tree nuts', 'cob nuts', 'cobnuts', 'filberts', 'nut']) },
  nut('mixed nuts', 'mixed nuts', 130, ['chopped mixed nuts', 'mixed chopped nuts', 'salted nuts', 'honey roasted nuts'], ['nuts', 'peanut']),
  nut('peanuts', 'peanuts', 146, ['peanut', 'chopped peanuts', 'groundnuts', 'monkey nuts'], ['peanut']),
  nut('peanut butter', 'peanut butter', 255, [], ['peanut']),
  bought(nut('nut spread', 'nut spread', 295, ['hazelnut spread', 'chocolate spread', 'chocolate hazelnut spread', 'hazelnut chocolate spread']), 'milk', 'nuts', 'soya'),
  nut('nut butter', 'nut butter', 255, ['almond butter', 'cashew butter', 'hazelnut butter', 'pistachio paste']),
  other('seeds', 'seeds', 140, ['sunflower seeds', 'pumpkin seeds']),
  bought(other('mixed seeds', 'mixed seeds', 140, ['seed mix', 'toasted seeds']), 'sesame'),
  other('small seeds', 'linseed', 165, ['chia seeds', 'chia', 'linseeds', 'flaxseed', 'flax seeds']),
  { key: 'rolled oats', name: 'rolled oats', names: ['oats', 'porridge oats', 'oatmeal', 'oatbran'], role: 'other', cupG: 90, allergens: ['gluten'] },
  bought(other('biscuit crumb', 'biscuit crumb', 100, ['biscuit crumbs', 'crushed biscuits', 'biscuits']), 'gluten', 'wheat', 'milk'),
  { ...other('desiccated coconut', 'desiccated coconut', 85, ['coconut', 'shredded coconut', 'fine coconut']), allergens: ['sulphite'] },
  { key: 'semolina', name: 'semolina', names: [], role: 'other', cupG: 167, allergens: ['gluten', 'wheat'] },
  other('cornmeal', 'cornmeal', 140, ['polenta', 'maize meal']),
  bought(other('marshmallow creme', 'marshmallow creme', 100, ['marshmallow fluff', 'marshmallow cream']), 'egg'),
  bought(other('marshmallows', 'marshmallows', 50, ['marshmallow', 'mini marshmallows', 'mini marshmallow'])),
  bought(other('sprinkles', 'sprinkles', 190, ['sugar strands', 'strands'])),
  fruit('jam', 'jam', 320, ['raspberry jam', 'strawberry jam', 'apricot jam', 'marmalade', 'preserve', 'quince jelly', 'apple butter']),
  { ...fruit('raisins', 'raisins', 150, ['dried fruit', 'mixed dried fruit', 'vine fruit']), allergens: ['sulphite'] },
  { key: 'banana', name: 'banana', names: ['bananas', 'mashed banana', 'ripe banana', 'ripe bananas', 'mashed bananas'], role: 'fruit', cupG: 225, pieceG: 105 },
  { key: 'apple', name: 'apple', names: ['apples', 'grated apple', 'diced apple', 'chopped apple', 'cooking apple'], role: 'fruit', cupG: 118, pieceG: 130 },
  fruit('apple sauce', 'apple sauce', 244, ['applesauce', 'apple puree', 'apple purée']),
  { key: 'pear', name: 'pear', names: ['pears', 'grated pear', 'chopped pear'], role: 'fruit', cupG: 160, pieceG: 140 },
  { key: 'carrot', name: 'carrot', names: ['carrots', 'grated carrot', 'grated carrots'], role: 'fruit', cupG: 110, pieceG: 75 },
  { key: 'courgette', name: 'courgette', names: ['courgettes', 'zucchini', 'grated courgette'], role: 'fruit', cupG: 125, pieceG: 180 },
  fruit('beetroot', 'beetroot', 225, ['beetroots', 'cooked beetroot', 'beetroot puree', 'beetroot purée', 'beet', 'beets']),
  fruit('pumpkin purée', 'pumpkin purée', 245, ['pumpkin puree', 'pumpkin', 'squash puree', 'squash purée', 'squash', 'roasted squash']),
  fruit('sweet potato', 'mashed sweet potato', 328, ['mashed sweet potatoes', 'sweet potato', 'sweet potato purée', 'sweet potato puree']),
  fruit('berries', 'berries', 145, ['blackcurrants', 'frozen berries', 'mixed berries']),
  fruit('raspberries', 'raspberries', 123, ['raspberry', 'frozen raspberries']),
  fruit('redcurrants', 'redcurrants', 112, ['redcurrant', 'red currants']),
  fruit('rhubarb', 'rhubarb', 122, ['chopped rhubarb']),
  fruit('plum', 'plum', 165, ['plums', 'chopped plums']),
  fruit('stem ginger', 'stem ginger', 200, ['preserved ginger']),
  { ...fruit('crystallised ginger', 'crystallised ginger', 200, ['candied ginger', 'crystallized ginger']), allergens: ['sulphite'] },
  fruit('fresh ginger', 'fresh ginger', 96, ['grated ginger', 'root ginger']),
];

/** Everything that can be read and weighed. */
export const INGREDIENTS: readonly Ingredient[] = [...STAPLES, ...MORE_INGREDIENTS, ...RARE_INGREDIENTS].map(
  (one) => {
    const also = ALSO_NAMED[one.name];
    return also === undefined ? one : { ...one, names: [...one.names, ...also.split('|')] };
  },
);

/**
 * Egg sizes without shell, g. Basis: typical; US and EU size classes less 11 % shell. One egg of a class spreads by
 * some 6 % (half the 10–90 width), a bowl of several by less.
 */
export const EGG_SIZE_G: Readonly<Record<'us' | 'metric' | 'australian', Readonly<Record<string, number>>>> =
  {
    us: { small: 38, medium: 44, large: 50, 'extra large': 56, jumbo: 63 },
    metric: { small: 44, medium: 50, large: 57, 'extra large': 65, jumbo: 65 },
    australian: { small: 40, medium: 45, large: 50, 'extra large': 56, jumbo: 62 },
  };

/** How the way of filling a cup changes its mass, as a factor on the table's cup. Basis: typical, weighed cups. */
export const FILLING_FACTOR: readonly {
  readonly key: string;
  readonly word: RegExp;
  readonly factor: number;
}[] = [
  { key: 'plain flour', word: /spooned/i, factor: 120 / 125 },
  { key: 'plain flour', word: /dipped|scooped/i, factor: 142 / 125 },
  { key: 'icing sugar', word: /sifted/i, factor: 102 / 118 },
];

/** Half the 10–90 width of one piece's mass, as a share. Basis: typical; fruit varies more than eggs. */
export const PIECE_SPREAD_SHARE = { egg: 0.06, other: 0.2 } as const;

/**
 * Ingredients whose names are things of their own in a shop: a walnut is no almond, and rum no brandy. Elsewhere the
 * names of an ingredient mean the same thing.
 */
export const COLLECTIVE: ReadonlySet<string> = new Set([
  'spirit',
  'wine',
  'extract',
  'spice',
  'herb',
  'zest',
  'citrus juice',
  'vinegar',
  'chopped nuts',
  'nut spread',
  'seeds',
  'jam',
  'raisins',
  'berries',
  'stem ginger',
  'crystallised ginger',
  'amaretto',
  'almond extract',
  'colour',
  'sprinkles',
  'light syrup',
  'cream',
  'oil',
  'tea',
  'pumpkin purée',
  'small seeds',
  'nut butter',
  'liqueur',
]);

const BY_KEY = new Map(INGREDIENTS.map((ingredient) => [ingredient.key, ingredient]));

export function ingredientOf(key: string): Ingredient | null {
  return BY_KEY.get(key) ?? null;
}
