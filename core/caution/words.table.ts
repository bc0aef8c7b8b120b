/**
 * Words that tell what a thing warns of, in names and in lines as people write them. Basis: usual guidance for home
 * kitchens; what is chopped, ground or powdered chokes nobody.
 */

export const ALCOHOL =
  /\b(rum|brandy|cognac|whiske?y|bourbon|liqueur|liquor|spirits?|wine|port|sherry|marsala|prosecco|champagne|cider|beer|ale|stout|gin|vodka|amaretto|kirsch|schnapps|limoncello)\b(?! (vinegar|essence|flavou?ring|extract|raisin flavou?r))/i;

const SMALL =
  '(?!.*\\b(chopped|ground|flaked|slivered|nibbed|crushed|grated|sliced|quartered|halved|mashed|pur[ée]e[d]?|finely|meal|flour|butter|paste|spread|jam|juice|milk|oil|extract|essence|sauce|syrup|powder|freeze-dried)\\b)';

/** Whole round, hard or springy things. */
export const CHOKES = new RegExp(
  `^${SMALL}.*\\b(cherr(y|ies)|grapes?|blueberr(y|ies)|olives?|hazelnuts?|almonds?|walnuts?|pecans?|peanuts?|cashews?|macadamias?|brazil nuts?|pistachios?|whole nuts?|mixed nuts|nuts|pearls?(?! (sugar|barley|dust|mist|tapioca))|dragees?|dragées?|hard sweets?|boiled sweets?|hard cand(y|ies)|jelly (sweets?|beans?|bab(y|ies))|gumm(y|ies)|gumdrops?|marshmallows?(?! (creme|fluff))|toffees?|popcorn|chocolate eggs?|mini eggs?)\\b`,
  'i',
);

/** Of these, what an oven or a microwave makes soft: a berry in a muffin chokes nobody. */
export const BAKED_SOFT =
  /\b(berr(y|ies)|blueberr(y|ies)|raspberr(y|ies)|grapes?|marshmallows?|jelly (sweets?|beans?|bab(y|ies))|gumm(y|ies)|gumdrops?|chocolate eggs?|mini eggs?)\b/i;

/** Flowers and leaves as they grow. */
export const FLOWERS =
  /\b(flowers?(?! water)|blossoms?(?! water)|petals?|violas?|pans(y|ies)|nasturtiums?|marigolds?|calendula|cornflowers?|borage|daisies|daisy|primroses?|violets?|roses(?! water)|lavender|elderflowers?(?! cordial)|(bay|geranium|ivy|fig|fern) lea(f|ves)|eucalyptus)\b/i;

export const GLITTER =
  /\b(glitter|lustre|luster|shimmer|mist|metallic|gold (leaf|dust|paint)|silver (leaf|dust|paint)|petal dust|pearl dust|disco dust)\b/i;

/** What holds or adorns a piece and must come off again. */
export const NOT_FOOD =
  /\b(wires?|wired|toothpicks?|cocktail sticks?|picks?|paper (flags?|toppers?)|card toppers?|ribbons?|candles?|straws?|pipettes?)\b/i;

/** Steps that heat what they make. */
export const COOKED =
  /\b(boil\w*|simmer\w*|scald\w*|cook\w*|heat(ed|ing)?|thicken\w*|syrup|bain|water bath|double boiler|pasteuris\w*|over (steaming|hot|simmering) water)\b|\d\s*°/i;

/** Sugar on the boil. */
export const SYRUP =
  /\b(caramel|toffee|brittle|praline|nougat|honeycomb|syrup (to|boils|reaches)|boil\w* (the )?(sugar|syrup)|sugar (and water )?(boils|to a boil)|11[5-9] ?°|12\d ?°)\b/i;

export const EGG_OR_MILK = {
  cream:
    /\b(custard|cr[eè]me p[aâ]tissi[eè]re|pastry cream|mousse|panna cotta|yogh?urt|mascarpone|clotted cream|fresh cream|whipped cream|double cream|(?<!butter ?|ice[ -])(?<!\w)cream)\b(?! (of tartar|crackers?|cheese))/i,
  curd: /\bcurd\b/i,
  cheese: /\b(soft|cream|curd|ricotta|quark) ?cheese\b|\b(ricotta|quark)\b/i,
} as const;

/** Fruit as it grows, on or in a piece. */
export const FRESH_FRUIT =
  /^(?!.*\b(dried|freeze-dried|candied|crystallised|glac[eé]|jam|jelly|curd|compote|syrup|powder|essence|extract|zest|peel|paste|leather|sweets?|cordial|flavour(ed)?|chips?)\b).*\b(raspberr(y|ies)|strawberr(y|ies)|blueberr(y|ies)|blackberr(y|ies)|redcurrants?|blackcurrants?|gooseberr(y|ies)|fresh \w*|berries|grapes?|cherr(y|ies)|figs?|kiwis?|peach(es)?|plums?|apricots?|mango(es)?|apple slices?|pear slices?|orange (slices?|segments?)|banana slices?)\b/i;

/** Meat, fish, cheese that is not soft, and what is bound with mayonnaise: baked or not, it is kept cold. */
export const SAVOURY =
  /\b(prawns?|shrimps?|crab(?! ?apples?)|lobster|salmon|tuna|mackerel|haddock|trout|fish|seafood|anchov(y|ies)|sardines?|chicken|turkey|duck|ham|bacon|pancetta|prosciutto|beef|pork|lamb|meat(?! ?free)|minced? (beef|meat|lamb|pork)|sausages?|chorizo|salami|pepperoni|p[aâ]t[eé]|burgers?|liver|gravy|mayo|mayonnaise|aioli|coleslaw|egg salad|(?<!(cream|soft|curd|cottage|lemon)[ -])cheese(?!cake)|cheddar|feta|parmesan|mozzarella|gruy[eè]re|halloumi|gouda|brie|camembert|stilton|goat'?s cheese|pesto|hummus|houmous|tofu|sprouts?|beansprouts?|guacamole)\b/i;

/** Vegetables as a filling or on top; in a batter they are cake. */
export const VEGETABLES =
  /\b(onions?|leeks?|shallots?|mushrooms?|spinach|kale|cabbage|peas|sweetcorn|broccoli|cauliflower|aubergines?|peppers(?!corns?)|(red|green|roast(ed)?|bell) peppers?|tomato(es)?|potato(es)?|(?<!sweet )potato|courgettes?|vegetables?|lentils?|beans(?! paste)|chickpeas?|olives?|avocado|cucumber|rice)\b/i;

/** Herbs or garlic in oil, in which no air gets at what grows there. */
export const HERB_OIL =
  /\b(garlic|herbs?|basil|rosemary|thyme|sage|oregano|chill?i|pesto)\b.*\b(oil|confit)\b|\boil\b.*\b(garlic|herbs?|basil|rosemary|thyme|sage|oregano|chill?i)\b|\bconfit (of )?garlic\b|\bpesto\b/i;
export const HERBS = /\b(garlic|herbs?|basil|rosemary|thyme|sage|oregano|chill?i(es)?)\b/i;

/** Dough or batter that nobody bakes. */
export const RAW_DOUGH =
  /\b(cookie|biscuit|brownie|cake|edible|raw|unbaked) (dough|batter)\b|\bcookie[- ]dough\b/i;
/** Flour that heat has made safe. */
export const HEAT_TREATED =
  /\b(heat[- ]treated|toasted|baked|roasted) (plain )?flour\b|\bflour\b.*\bheat[- ]treated\b/i;

export const CUSTARD =
  /\b(custard(?! powder)|cr[eè]me p[aâ]tissi[eè]re|pastry cream|cr[eè]me anglaise|diplomat cream|frangipane cream)\b/i;
export const HONEY = /\bhoney(?!comb|dew)\b/i;
export const DRY_ICE = /\bdry ice\b/i;
/** What no oven takes. */
export const NOT_IN_OVEN =
  /\b(plastic|acrylic|wire|wired|wooden?|lolly sticks?|lollipop sticks?|cocktail sticks?|toothpicks?|skewers?|cling ?film|paper straws?)\b/i;
/** What is dried, and keeps a cake that is half of it. */
export const DRIED_FRUIT: ReadonlySet<string> = new Set([
  'raisins',
  'sultanas',
  'currants',
  'mixed peel',
  'glacé cherries',
  'dried apricots',
  'dried figs',
  'dates',
  'medjool dates',
  'prunes',
  'dried cranberries',
  'dried mango',
]);
