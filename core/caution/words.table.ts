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
