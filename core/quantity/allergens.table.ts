/**
 * The fourteen of the EU list and the nine of the US one (wheat stands beside gluten), and what nobody can tell without
 * the packet. Basis: the published lists; which things hold them is what such things are usually made of.
 */
export const ALLERGENS = [
  'gluten',
  'wheat',
  'egg',
  'milk',
  'nuts',
  'peanut',
  'soya',
  'sesame',
  'sulphite',
  'fish',
  'crustaceans',
  'molluscs',
  'celery',
  'mustard',
  'lupin',
  'unknown',
] as const;
export type Allergen = (typeof ALLERGENS)[number];

/** Words that tell of allergens; what a longer phrase says is not said again by a word within it. */
interface Tells {
  readonly words: string;
  readonly of: readonly Allergen[];
}

const tells = (of: readonly Allergen[], words: string): Tells => ({ words, of });

/** Longer phrases stand before the words within them: "coconut milk" holds no milk, "flax eggs" no egg. */
export const ALLERGEN_PHRASES: readonly Tells[] = [
  tells(['lupin'], 'lupine?s?( flour)?'),
  tells(['unknown'], '(vegan|plant based) (butter|cream|cheese|block|yoghurt|yogurt|chocolate|margarine)'),
  // What only sounds like it.
  tells(
    [],
    'coconut (milk|cream|butter|yoghurt|yogurt|flour|whip)|rice (milk|cream|flour)|hemp milk|pea milk',
  ),
  tells([], '(cocoa|shea|apple|pumpkin|cacao) butter|butter ?beans?|butternut( squash)?|butter flavou?ring'),
  tells(
    [],
    'cream of tartar|cream of coconut|cream soda|milk thistle|nutmeg|nutmegs|coconuts?|doughnut peach(es)?|water chestnuts?|chestnuts?',
  ),
  tells(
    [],
    '(flax|linseed|chia)( seed)? eggs?|eggs? (replacer|substitute|free)|egg ?plants?|aquafaba|eggless',
  ),
  tells(
    [],
    '(corn|maize|potato|tapioca|cassava|teff|sorghum|millet|buckwheat|chickpea|gram|besan|quinoa|chestnut|banana|plantain|arrowroot|amaranth)( flour| starch)?|rice flour|corn ?flour|corn ?starch|vanilla extract|pastry (bag|brush)',
  ),
  tells(['gluten', 'milk', 'egg', 'wheat'], 'butter cake|milk bread|brioches?|ice cream cones?'),
  tells(
    ['soya'],
    '(soya?|soy) (milk|flour|cream|yoghurt|yogurt|butter|lecithin|sauce)|lecithin|tofu|edamame|tempeh|miso|soya?|soybeans?',
  ),
  tells(
    ['gluten'],
    'oat (milk|drink|flour|bran|cream)|barista oat|oats?|oat ?meal|porridge|rye( flour| bread)?|pumpernickel|barley( flour| malt)?|malt(ed)?( extract| syrup| vinegar)?|stout|ale|lager|beer|brewer s yeast',
  ),
  tells(['gluten', 'milk'], 'malted milk|horlicks?|granola|muesli'),
  tells(
    ['nuts'],
    '(almond|hazelnut|cashew|pistachio|walnut|pecan|macadamia|nut|mixed nut) (milk|butter|flour|meal|cream|paste|spread|drink|oil)|ground (almonds?|hazelnuts?|nuts?)',
  ),
  tells(['peanut'], 'pea ?nut( butter| flour| oil| brittle)?s?|ground ?nuts?|arachis|monkey nuts?|pb2?'),
  tells(['nuts', 'milk', 'soya'], 'gianduja|hazelnut chocolate|(chocolate )?hazelnut spread|praline|ferrero'),
  tells(
    ['nuts'],
    'almonds?|hazel ?nuts?|filberts?|cob ?nuts?|walnuts?|pecans?|cashews?|pistachios?|brazil nuts?|brazils|macadamias?|marzipan|persipan|almond paste|frangipane|orgeat|amaretto|nuts?|nutty|krokant|croquant|noisettes?|marchpane',
  ),
  tells(['nuts', 'egg'], 'nougat|amaretti|macarons?|macaroons?|torrone|turron|florentines?'),
  tells(['sesame'], 'sesame( seeds?| oil| paste)?|tahini|tahin|halva|halwa|benne|til seeds?|gomashio'),
  tells(
    ['egg', 'milk'],
    '(lemon|lime|orange|passion ?fruit|fruit|raspberry) curd|curd(?! cheese)|custard(?! powder)|creme patissiere|pastry cream|creme anglaise|zabaglione|sabayon|advocaat|egg ?nog|semifreddo',
  ),
  tells(
    ['egg'],
    'meringues?|pavlova|marshmallow (creme|fluff|cream)|royal icing|meringue powder|albumen|mayonnaise|eggs?|yolks?|egg ?whites?|whites of|quails? eggs?',
  ),
  tells(
    ['gluten', 'wheat', 'egg', 'milk', 'unknown'],
    '(sponge|cake|brownie|muffin|cup ?cake|doughnut|donut|panettone|swiss roll|lady) ?(crumbs?|fingers?|pops?|offcuts?|trimmings?|scraps?|mix)|cakes?|brownies?|muffins?|doughnuts?|donuts?|croissants?|panettone|savoiardi|madeleines?|pancakes?|waffles?',
  ),
  tells(
    ['gluten', 'wheat', 'milk', 'unknown'],
    '(chocolate |cream |digestive |tea |butter |ginger |oat |rich tea )?(biscuits?|cookies?)( crumbs?| spread| butter)?|digestives?|shortbread|speculoos|gingerbread|ginger ?nuts?|wafers?|graham crackers?|crackers?|cones?|pretzels?|rusks?|hobnobs?',
  ),
  tells(
    ['gluten', 'wheat'],
    'wheat( ?germ| bran| flour| starch)?|semolina|semola|sooji|suji|rava|spelt( flour)?|couscous|bulgur|durum|kamut|farro|einkorn|emmer|freekeh|seitan|bread( ?crumbs?| flour)?|panko|naan|pitta|filo|phyllo|puff pastry|shortcrust|pastry|kataifi|vermicelli|noodles?|pasta|cake flour|self ?rais(ing|ed) flour|self ?rising flour|(plain|all ?purpose|ap|white|strong|soft|sponge|wholemeal|whole ?wheat|sr|type|t) ?(\\d{2,4} )?flour|maida|atta|flour|mehl',
  ),
  tells(
    ['milk', 'soya'],
    '(milk|white|ruby|caramel|blonde?|dark|plain|bitter|cooking|semi ?sweet|bitter ?sweet)? ?chocolate( chips?| chunks?| buttons?| drops?| shavings?| coating| sprinkles| vermicelli)?|couverture|ganache|candy (melts?|coating)|compound coating|almond bark|truffles?',
  ),
  tells(
    ['milk'],
    'butter ?cream|butter ?milk|butter ?scotch|caramels?|dulce de leche|toffees?|fudge|condensed milk|evaporated milk|milk powder|dried milk|(creme|sour|soured|clotted|double|single|whipping|whipped|heavy|light|squirty|pouring|extra thick)? ?cream|creme fraiche|creme|(soft|cream|curd|cottage|goat s|blue)? ?cheese|mascarpone|ricotta|quark|paneer|khoya|mawa|khoa|ghee|whey|casein(ate)?|lactose|kefir|skyr|yoghurts?|yogurts?|curds?|half ?and ?half|butter|margarine|milk|dairy|gelato|ice cream|lassi|feta|philadelphia',
  ),
  tells(
    ['sulphite'],
    'dried apricots?|dried (fruits?|pears?|peach(es)?|mango(es)?|apples?|bananas?|cranberries)|(golden )?raisins?|sultanas?|currants? dried|(glace|candied|maraschino|cocktail) (cherries|cherry|fruit|peel|ginger)|mixed peel|candied peel|crystalli[sz]ed (ginger|fruit)|wine|cider|prosecco|champagne|cava|sherry|port|madeira|marsala|vermouth|desiccated coconut|molasses|treacle',
  ),
  tells(['fish'], 'fish( sauce| gelatine?)?|isinglass|anchov(y|ies)|worcester(shire)? sauce|caviar|roe'),
  tells(['crustaceans'], 'prawns?|shrimps?|crabs?|lobsters?|crayfish|langoustines?'),
  tells(['molluscs'], 'oysters?|mussels?|clams?|squid|cuttlefish ink|squid ink|octopus|scallops?'),
  tells(['celery'], 'celery( salt| seeds?)?|celeriac|lovage'),
  tells(['mustard'], 'mustard( seeds?| powder| oil)?'),
  tells(
    ['unknown'],
    'sprinkles?|nonpareils?|jimmies|hundreds and thousands|(pudding|protein|custard|blancmange|instant) (powder|mix)|(cake|baking|bread|muffin|frosting|icing) mix|ready (made|to roll)( icing| frosting)?|shop ?bought|bought|packet mix|leftovers?|cand(y|ies)|sweets|sweeties|gummies|gummy|jelly (beans?|babies)|(chocolate|candy|cereal|protein) bars?|cereals?|decorations?|toppers?|edible (glitter|pearls?)|protein powder|spread|meal replacement|(frosting|icing) (tub|ready)|(vanilla|chocolate|strawberry) frosting',
  ),
];

/** What a word such as "free" frees of; "lactose-free" milk is still milk. */
export const FREES: Readonly<Record<string, readonly Allergen[]>> = {
  gluten: ['gluten', 'wheat'],
  wheat: ['wheat'],
  dairy: ['milk'],
  milk: ['milk'],
  egg: ['egg'],
  nut: ['nuts', 'peanut'],
  nuts: ['nuts', 'peanut'],
  peanut: ['peanut'],
  soya: ['soya'],
  soy: ['soya'],
  sesame: ['sesame'],
};
/** Made of plants alone. */
export const PLANT_BASED: readonly Allergen[] = ['milk', 'egg', 'fish', 'crustaceans', 'molluscs'];
