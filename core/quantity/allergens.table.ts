import { ALLERGEN_KINDS, type AllergenKind } from '../model/kinds';

export const ALLERGENS = ALLERGEN_KINDS;
export type Allergen = AllergenKind;

/** Names of things that nobody weighs by the cup and that no row of the ingredients answers, with what they hold. */
export interface Named {
  /** Parted by bars. */
  readonly names: string;
  readonly of: readonly Allergen[];
  /** Sold ready made, by many makers: its packet may tell of more. */
  readonly more: boolean;
}

const named = (names: string, ...holds: readonly (Allergen | 'more')[]): Named => ({
  names,
  of: holds.filter((one) => one !== 'more'),
  more: holds.includes('more'),
});

/**
 * What has no row among the ingredients. No name stands in both tables; of two names the longer one answers ("butter
 * beans" are no butter). Basis: what such things are usually made of.
 */
// One kind of thing a line, so that the table can be read as one.
// prettier-ignore
export const NAMED: readonly Named[] = [
  // What only sounds like it.
  named('nut brown|nutty brown|egg sized|egg size|size of an egg|walnut sized|walnut size|size of a walnut|size of walnuts|hazelnut sized|size of a hazelnut|almond sized|pea sized|nut sized|size of a nut|milk jug|milk pan|butter knife|butter dish|butter paper|egg timer|egg cup|egg cups|flour shaker|pastry bag|pastry brush|pastry cutter|cake tin|cake tins|cake board|cake boards|cake case|cake cases|cake stand|cupcake case|cupcake cases|muffin case|muffin cases|muffin tin|bread tin|biscuit cutter|cookie cutter|cake pop stick|cake pop sticks|milk thistle|water chestnut|water chestnuts|butternut pumpkin|egg plant|eggplant|aubergine|cream of coconut drink|doughnut peach|doughnut peaches|shea butter|butter lettuce|sugar snap peas|wheatgrass|buckwheat flakes|buckwheat honey|coconut butter|coconut whip|coconut whipped cream|coconut drinking yoghurt|corn bread flour|corn starch mix|rice bran oil|rice flakes|rice bran|nutmeg butter|milk free|butterfly pea flower|butterfly pea powder|flax egg|flax eggs|chia egg|chia eggs|linseed egg|linseed eggs|flaxseed egg|flaxseed eggs'),
  // Meals and starches of other plants.
  named('maize flour|maize starch|corn meal|polenta flour|plantain flour|amaranth|teff|sorghum|quinoa flakes|cassava|fonio|gram|garbanzo beans|lentils|red lentils|peas|green peas|broad beans|pinto beans|black eyed peas|runner beans|hemp flour|sunflower flour|pumpkin seed flour|psyllium fibre|inulin|potato fibre|gluten free breadcrumbs|gluten free oats|gluten free flour mix'),
  // Cereals with gluten.
  named('wheat|wheat berries|wholewheat|wheat noodles|bulgur|bulgur wheat|bulghur|freekeh|durum wheat|durum|seitan|wheat gluten|vital wheat gluten|gluten|kamut|spelt|spelt berries|farro|emmer|dinkel|triticale|egg free pasta|pasta|spaghetti|macaroni|orzo|udon|ramen noodles|noodles|couscous salad|naan|pitta|pita|pita bread|flatbread|tortilla|tortillas|wraps|chapati|roti|bagel|bagels|baguette|ciabatta|focaccia|sourdough|sourdough starter|sourdough discard|pizza dough|bread dough|croutons|bread mix|stuffing|stuffing mix|matzo|matzo meal|matzah|cracker meal|farina|cream of wheat|wheat semolina|shredded wheat|wheat biscuits|malt loaf|crumpets|crumpet|english muffins', 'gluten', 'wheat'),
  named('rye|rye bread|rye crumbs|pumpernickel|barley|pearl barley|pot barley|barley malt|malt|malted barley|malt flour|oat|oat drink powder|oat groats|steel cut oats|pinhead oats|oat fibre|porridge|brewers yeast|brewer yeast|malt beer|porter', 'gluten'),
  named('malt drink|malt chocolate drink|malted chocolate drink', 'gluten', 'milk', 'more'),
  named('malt balls|malted milk balls|malted chocolate balls', 'gluten', 'wheat', 'milk', 'soya', 'more'),
  // Pastry and things baked.
  named('pastry|shortcrust|rough puff|hot water crust|choux|choux pastry|choux buns|profiteroles|eclairs|eclair|strudel|strudel pastry|spring roll pastry|wonton wrappers|samosa pastry|brick pastry', 'gluten', 'wheat', 'more'),
  named('baklava|baklava crumbs|kunafa|knafeh', 'gluten', 'wheat', 'milk', 'nuts', 'more'),
  named('biscotti|cantucci|cantuccini|biscotti crumbs', 'gluten', 'wheat', 'egg', 'nuts', 'milk', 'more'),
  named('biscuit|cookie|cookies and cream|cookie pieces|cookie dough|edible cookie dough|biscuit dough|biscuit pieces|shortbread pieces|gingerbread|gingerbread men|gingerbread crumbs|lebkuchen|pfeffernusse|flapjack|flapjacks|oat clusters|granola clusters|granola bar|granola bars|cereal bar|cereal bars|cookie crumb|biscuit rubble|wafer|wafer biscuit|wafer sheets|cone|cones|sugar cone|sugar cones|oatcake|cheesecake base|crumble|crumble topping|streusel|streusel topping|biscuit balls|scones|scone|teacakes|teacake|hot cross buns|buns|bun|cinnamon rolls|cinnamon roll', 'gluten', 'wheat', 'milk', 'more'),
  named('cake|cakes|cake pops|cake pop|cake balls|cake pieces|cake cubes|cake offcuts|cake trimmings|cake scraps|offcuts|trimmings|cake rusks|sponge pieces|sponge offcuts|sponge trimmings|cupcake|cupcake crumbs|muffin|muffin crumbs|brownie|brownie pieces|blondie|blondies|butter cake|layer cake|swiss roll|madeleines|madeleine|financiers|pancakes|pancake|crepes|crepe|waffle|waffle pieces|doughnut|donut|doughnut pieces|churros|lamington|lamingtons|gingercake|marble cake|tray bake|traybake|christmas pudding|christmas cake|trifle|trifle sponge|trifle sponges|bread pudding|french toast|angel cake|birthday cake|wedding cake|cake mix crumbs|chocolate muffin|chocolate cupcakes|vanilla cupcakes|whoopie pies|whoopie pie|popovers|yorkshire pudding|babka|kugelhopf|simnel cake|dundee cake|parkin', 'gluten', 'wheat', 'egg', 'milk', 'more'),
  named('cheesecake|cheesecake pieces|tiramisu', 'gluten', 'wheat', 'egg', 'milk', 'more'),
  named('frangipane|almond cake|bakewell|bakewell tart|battenberg|almond filling|almond croissant', 'gluten', 'wheat', 'egg', 'milk', 'nuts', 'more'),
  // Nuts.
  named('almond paste filling|almond drink powder|hazelnut crumb|almond nibs|nibbed almonds|almond slivers|toasted almonds|almond butter filling|almond cream|almond crumble|almond praline|hazelnut praline|hazelnut cream|hazelnut pieces|cashew cream|cashew cheese|cashew pieces|pistachio cream|pistachio crumbs|pistachio kernels|pistachio nibs|walnut crumbs|walnut kernels|pecan pieces|pecan pie filling|pecan praline|brazil nut|macadamia|macadamia pieces|hickory nuts|beech nuts|heartnuts|butternuts|nut crumbs|nut crumble|nut pieces|nut topping|nut mix|nut granola|nut butter filling|nut oil|nut flour|nut cream|nut powder|almond powder|marchpane|persipan|marzipan fruits|marzipan pieces|marzipan roses|noisette|noisettes|gingko nuts|ginkgo nuts|pili nuts|candlenuts|mandeln|noix|amandes|noisettes concassees|pistaches|nocciole|mandorle|pistacchi|noci|almendras|avellanas|nueces|pinoli|pignons', 'nuts'),
  named('praline chocolate|praline filling|praline cream|hazelnut chocolate spread filling|nut chocolate|fruit and nut chocolate|fruit and nut|nut clusters|chocolate nut clusters|rocky road|hazelnut wafers|hazelnut wafer balls|walnut whip|walnut whips|rocher|rochers|dubai style chocolate filling|pistachio chocolate', 'milk', 'nuts', 'soya', 'more'),
  named('trail mix|student mix|nuts and raisins|fruit and nut mix|peanuts and raisins', 'nuts', 'peanut', 'sulphite', 'more'),
  named('snack mix|bombay mix|party mix|cocktail snacks|bar snacks|pretzel mix', 'gluten', 'wheat', 'nuts', 'peanut', 'soya', 'more'),
  named('macarons|macaron|macaroons|macaroon|ricciarelli|torrone|turron|florentine|dacquoise|dacquoises|marron glace filling', 'egg', 'nuts', 'more'),
  named('florentines', 'milk', 'nuts', 'gluten', 'wheat', 'sulphite', 'more'),
  named('dukkah|dukka', 'nuts', 'sesame', 'more'),
  named('pesto|basil pesto|green pesto|red pesto', 'milk', 'nuts', 'more'),
  named('satay|satay sauce|satay crumble|peanut sauce|peanut satay|satay paste', 'peanut', 'soya', 'more'),
  named('peanut oil spread|peanut pieces|peanut crumble|peanut brittle pieces|peanut cookies filling|peanut paste|peanut praline|peanut powder|peanut spread|arachis oil|pb|pb powder|groundnut|ground nut paste|cacahuetes|erdnusse|arachides', 'peanut'),
  named('peanut butter filling|peanut butter frosting|peanut bar|peanut bars|peanut candy|peanut nougat', 'peanut', 'milk', 'more'),
  named('cereal clusters|protein bar|protein bars|energy balls|energy bites|power balls', 'gluten', 'nuts', 'milk', 'soya', 'more'),
  // Seeds.
  named('sesame|sesame brittle|sesame snaps|sesame bar|sesame bars|sesame crumble|tahin|tahini sauce|tahini paste|hummus|houmous|benne seeds|benne|til|til seeds|gomasio|gomashio|zaatar|za atar|sesame crackers|sesam|halva crumbs|halva pieces|sesame filling|everything bagel seasoning', 'sesame'),
  // Soya.
  named('soya|soy|soya mince|soya protein|soy protein|soya beans|soybeans|soya bean|edamame|edamame beans|tempeh|natto|bean curd|tvp|textured vegetable protein|soya spread|soya butter|soya chunks|soya nuts', 'soya'),
  named('soy sauce|soya sauce|tamari|shoyu', 'gluten', 'wheat', 'soya'),
  named('gochujang', 'gluten', 'soya', 'more'),
  // Lupin, mustard, celery.
  named('lupin|lupins|lupine|lupin beans|lupini beans|lupin seeds|lupin bran|lupin protein', 'lupin'),
  named('mustard seed|mustard seeds|mustard oil|wholegrain mustard|dijon mustard|dijon|english mustard|honey mustard|mostarda', 'mustard'),
  named('celery salt|celery seed|celery seeds|celery powder|celery leaf|celery leaves|lovage', 'celery'),
  // Egg.
  named('egg wash|eggwash|egg mix|egg salad|egg custard powder|egg noodles|fresh egg pasta|quail eggs|quails eggs|quail egg|duck eggs|duck egg|goose egg|goose eggs|hens eggs|boiled egg|boiled eggs|scrambled egg|omelette|frittata|albumen|albumin|egg albumen|pavlova|pavlova pieces|meringue crumbs|meringue kisses|meringue frosting|meringue topping|meringue icing|meringue shards|italian meringue|swiss meringue|french meringue|cooked meringue|seven minute frosting|boiled icing|seven minute icing|royal icing flowers|royal icing decorations|ovalbumin|lysozyme|marshmallow frosting|marshmallow filling|marshmallow topping|eischnee|oeufs|oeuf|huevos|huevo|uova|uovo', 'egg'),
  named('egg noodle|tagliatelle', 'egg', 'gluten', 'wheat'),
  named('aioli|tartare sauce|hollandaise|remoulade|salad cream', 'egg', 'mustard', 'more'),
  named('prawn mayonnaise|prawn mayo|prawn cocktail|seafood sauce|crab mayonnaise', 'crustaceans', 'egg', 'mustard', 'more'),
  named('tuna mayonnaise|tuna mayo|salmon mousse|fish mousse', 'fish', 'egg', 'milk', 'mustard', 'more'),
  named('egg mayonnaise|egg mayo|potato salad|coleslaw', 'egg', 'mustard', 'more'),
  named('curd filling|raspberry curd|passionfruit curd|rhubarb curd|grapefruit curd|plum curd|gooseberry curd|cranberry curd|blackcurrant curd|apple curd|blood orange curd|yuzu curd|custard filling|custard cream filling|creme anglaise|crema pasticcera|creme brulee|creme caramel|flan|zabaglione|sabayon|semifreddo|creme mousseline|diplomat cream|bavarois|bavarian cream|frangipane cream|mousse|chocolate mousse|lemon mousse|fruit mousse|parfait|egg tart filling', 'egg', 'milk', 'more'),
  // Milk.
  named('vegetable bouillon|vegetable stock|stock cube|stock cubes|bouillon cube|bouillon powder|bouillon', 'celery', 'more'),
  named('hoisin sauce|teriyaki sauce', 'gluten', 'wheat', 'soya', 'more'),
  named('crab sticks|surimi|surimi filling', 'gluten', 'wheat', 'egg', 'fish', 'crustaceans', 'more'),
  named('prawn crackers', 'crustaceans', 'more'),
  named('oyster sauce', 'gluten', 'wheat', 'soya', 'molluscs', 'more'),
  named('white sauce|bechamel|bechamel sauce|mornay|mornay sauce|cheese sauce', 'gluten', 'wheat', 'milk'),
  named('gulab jamun', 'gluten', 'wheat', 'milk', 'more'),
  named('gelato|frozen yoghurt|frozen yogurt|kulfi|rabri|burfi|barfi|ras malai|sandesh|peda', 'milk', 'more'),
  named('dairy|cows milk|cow milk|jersey milk|raw milk|uht milk|filled milk|long life milk|chocolate milk|milkshake|milkshake powder|strawberry milk powder|milk solids|milk fat|milk protein|milk sugar|lactose|casein|caseinate|sodium caseinate|whey butter|butterfat|butter oil|butter sauce|brandy butter|rum butter|garlic butter|herb butter|cinnamon butter|honey butter|lemon butter|butter crumbs|cream filling|cream topping|cream frosting|whipped ganache|chantilly|chantilly cream|creme chantilly|creme|creme double|double creme|smetana|schmand|panna|panna cotta|clotted|squirty|cheese|cheeses|hard cheese|blue cheese|stilton|brie|camembert|mozzarella|gouda|gruyere|emmental|edam|halloumi|parmesan cheese|pecorino|grana padano|cheese filling|cheese topping|goat curd|goats curd|sheep cheese|manchego|neufchatel|cream cheese filling|farmers cheese|junket|yoghurt coating|yogurt coating|yoghurt drops|yoghurt powder|yogurt powder|cream powder|sour cream powder|cheese powder|creamer|coffee creamer|tea whitener|milk cake filling|condensed cream|tres leches|cajeta|confiture de lait|milk jam|caramel filling|caramel drizzle|caramel pieces|caramel chips|caramel bits|caramel icing|caramel frosting|caramel shards|salted caramels|caramel spread|toffee filling|toffee crunch|butterscotch filling|butterscotch icing|fudge icing|fudge frosting|fudge topping|fudge sauce|fudge bits|toffee apples sauce|penuche|lait|beurre|fromage|burro|latte|formaggio|mantequilla|leche|queso|nata|kase|butterschmalz|sahnequark', 'milk'),
  named('white candy coating|yoghurt raisins|yogurt raisins|yoghurt coated raisins', 'milk', 'soya', 'sulphite', 'more'),
  // Chocolate and its kin.
  named('choc|chocs|dark coating|dark choc chips|milk choc|milk choc chips|milk chocolate buttons|milk chocolate drops|chocolate coins|chocolate bar|chocolate bars|chocolate piece|chocolate pieces|chocolate squares|chocolate square|chocolate discs|chocolate callets|chocolate button|chocolate drop|chocolate drizzle|chocolate glaze|chocolate icing|chocolate filling|chocolate cream|chocolate sauce powder|chocolate collar|chocolate decorations|chocolate decoration|chocolate toppers|chocolate topper|chocolate stars|chocolate hearts|chocolate cigarellos|chocolate fingers coating|chocolate flake|crumbly chocolate flakes|flaked chocolate bar|chocolate orange|chocolate mints|after dinner mints|chocolate balls|chocolate pearls|crispy chocolate pearls|chocolate crunch|chocolate honeycomb|honeycomb bar|caramel chocolates|chocolate caramels|filled chocolates|chocolate bunnies|chocolate buttercream filling|chocolate fondant filling|coating chocolate|dipping chocolate|melting chocolate|melts|candy buttons|coloured candy coating|confectionery coating|chocolate flavour coating|dark chocolate coating|milk chocolate coating|white chocolate coating|chocolate shell|magic shell|chocolat|schokolade|cioccolato|kuverture|chocolate lanterns|chocolate curl', 'milk', 'soya', 'more'),
  // Sulphites.
  named('dried peaches|dried peach|dried fruit mix|dried tropical mix|tropical fruit mix|candied cherries halves|candied lemon|candied lemon slices|candied citrus peel|candied ginger cubes|candied pineapple|candied melon|candied peel mix|glace fruit|glace fruits|glace ginger|glace cherry|maraschino cherry|cocktail cherry|luxury mixed fruit|mixed fruit|fruit cake mix fruit|champagne|cava|cider brandy sauce|rose wine|dessert wine|ice wine|perry|mead|sangria|grape must|verjus|sherry vinegar glaze|pickled onions|gherkins|sauerkraut|horseradish|horseradish sauce|dried coconut|sweetened coconut|toasted coconut|coconut shreds|coconut strips|vin|vino|wein', 'sulphite'),
  // Fish and other.
  named('fish|fish sauce|fish gelatine|fish gelatin|isinglass|anchovy|anchovies|anchovy paste|salmon|smoked salmon|tuna|cod|haddock|mackerel|sardines|trout|herring|caviar|roe|fish roe|bonito flakes|dashi', 'fish'),
  named('worcester sauce|worcestershire sauce', 'fish', 'gluten', 'more'),
  named('caesar dressing', 'fish', 'egg', 'milk', 'more'),
  named('prawns|prawn|shrimp|shrimps|shrimp paste|crab|crabs|crab meat|lobster|crayfish|langoustines|langoustine|krill', 'crustaceans'),
  named('oyster|oysters|mussels|mussel|clams|clam|squid|cuttlefish|cuttlefish ink|squid ink|octopus|scallops|scallop|snails|whelks|abalone', 'molluscs'),
  // What only its packet tells.
  named('leftover|leftovers|packet mix|ready mix|ready made|shop bought|instant dessert|instant whip|dessert topping mix|mousse mix|frosting mix|icing mix|buttercream mix|cheesecake mix|bread and butter pudding mix|custard mix|jelly mix|crumble mix|cookie mix|biscuit mix|flapjack mix|meringue mix|pancake batter mix|waffle mix|candy|candies|sweet|sweets|sweeties|gummy|gummy sweets|gummy worms|jelly bean|jelly snakes|foam sweets|foam bananas|fizzy sweets|sherbet|sherbet powder|popping candy|candy eyes|sugar eyes|candy cane|candy canes pieces|candy corn|candy buttons mix|lollipop|lolly|lollies|boiled sweet|mints|peppermints|humbugs|rock|seaside rock|chewing sweets|chewy sweets|fruit chews|chews|toffee apples|sugar decorations|sugar decoration|sugar shapes|sugar figures|sugar snowflakes|sugar leaves|sugar toppers|icing decorations|icing shapes|icing flowers|decoration|decorations|cake decorations|cake topper|cake toppers|edible decorations|edible toppers|edible topper|edible image|edible images|edible print|edible photo|edible paint|edible ink pens|edible ink|cake lace|cake spray|topper|toppers|pearl|pearls|sugar balls|sprinkle mix|sprinkle|sprinkle blend|confetti|confetti sprinkles|quins|glimmer sugar|glimmer|crunch balls|crispy balls|crispies|crisp pearls|spread|meal replacement|meal replacement powder|dessert sauce|ice cream sauce|squeezy icing|writing icing|icing pens|icing tubes|tube icing|tub icing|drip icing|cake drip|flavour drops|bubble tea pearls|popping pearls|popping boba|fruit snacks|pick and mix|energy bar|stuffing mix filling|seasoning|spice mix|curry powder|curry paste|sausage|sausages|sausage meat|ham|chorizo|salami|burger|pate|gravy|gravy granules|ketchup|brown sauce|bbq sauce|barbecue sauce|relish|chutney|salad dressing|crisps|nachos|soup|ready meal|vegan cheese|vegan mayo|vegan mayonnaise|vegan meringue|vegan marshmallows|vegan sausage|vegan custard|vegan whipped cream|vegan ice cream|vegan caramel|vegan fudge|vegan buttercream|vegan frosting|vegan egg|vegan egg replacer|vegan sprinkles|vegan yoghurt coating|dairy free ice cream|dairy free custard|dairy free chocolate spread|non dairy whip|non dairy topping|non dairy creamer|plant butter block|plant whip|plant based cheese|plant based block|plant cheese|plant cream cheese|plant based spread|plant based egg', 'more'),
  // Fruit, flowers, leaves and the like, where no row has them.
  named('fruit|fresh fruit|fruits|berry|currant|raspberry halves|strawberry halves|strawberry slices|orange slices|lemon slices|lime slices|lemon wedges|citrus|citrus slices|kumquat|kumquats|yuzu|bergamot|pomelo|physalis|cape gooseberries|dragon fruit|star fruit|starfruit|figs halves|fruit salad|fruit cocktail|fruit pieces|tinned fruit|fruit coulis filling|fruit gel|fruit jam filling|jam filling|strawberry filling|raspberry filling|fruit spread|apple pieces|apple slices|apple crisps|pear slices|banana slices|pineapple slices|mint sprig|mint sprigs|rosemary sprig|herb|herbs|parsley|chives|dill|coriander|cilantro|oregano|tarragon|marjoram|sage leaves|bay|chervil|garlic|garlic cloves|onion|onions|red onion|spring onion|spring onions|shallot|shallots|leek|leeks|tomato|tomatoes|sun dried tomatoes|cherry tomatoes|pepper|peppers|red pepper|cucumber|olive|olives|capers|mushroom|mushrooms|kale|cabbage|broccoli|cauliflower|lettuce|rocket|watercress|radish|radishes|turnip|corn|sweetcorn kernels|chicken|turkey|beef|pork|lamb|mince|meat|pansy|pansies|viola|violet|violets|candied violets|crystallised violets|crystallised rose petals|crystallised petals|nasturtium|nasturtiums|nasturtium petals|borage|borage flowers|cornflowers|cornflower|marigold|marigolds|calendula|calendula petals|primrose|primroses|daisy|daisies|rose|roses|hibiscus|hibiscus flowers|hibiscus powder|chamomile|jasmine|dried flowers|flower|flowers|blossom|blossoms|petals|apple blossom|elderflower blossoms|chive flowers|pea flowers|leaf|leaves'),
  // Sugars, syrups, colours and helpers.
  named('sugars|syrup|stock|sugar glaze|sugar icing|glaze|glace icing|water icing|lemon glaze|orange glaze|lemon icing|lemon drizzle|drizzle|apricot glaze|jam glaze|honey glaze|spun sugar|sugar nest|sugar shards|sugar work|caramelised sugar|burnt sugar|lemon syrup|lime syrup|orange syrup|mint syrup|rose syrup|lavender syrup|cinnamon syrup|ginger syrup glaze|barley sugar|maple flakes|maple sugar|nectar|honeycomb honey|soaking syrup|lemon juice and sugar|juice|fruit juice concentrate|ice|ice cubes|coffee syrup glaze|coffee glaze|colour|color|colouring|coloring|colourings|food dye|gel colours|icing colour|powder colour|colour spray|airbrush colour|cocoa butter colour|cocoa butter colours|beet juice|spices|seasoned salt|flavour|flavor|flavouring drops|essential oil|baking spray|oil spray|cake release|release spray|stabiliser|vegetable glycerin|gum arabic|gum tragacanth|tylose|tylo powder|liquid glucose|liquid smoke|pectin sugar|gelatine leaves|gelatine leaf|vegetarian gelatine|carrageenan|vitamin c|bicarbonate|cream of tartare|baking ammonia|seed|kernels|flax|poppy|basil seeds'),
  // What is no food.
  named('lolly stick|lolly sticks|lollipop stick|lollipop sticks|paper stick|paper sticks|paper straw|paper straws|skewers|toothpick|toothpicks|cocktail stick|cocktail sticks|wire stems|stars on wires|paper flag|paper flags|paper topper|paper toppers|card topper|card toppers|wooden topper|acrylic topper|candle|candles|ribbon|ribbons|twine|raffia|cellophane|cling film|baking paper|pipette|pipettes'),
];

/** What a word such as "free" frees of; "lactose-free" milk is still milk. */
export const FREES: Readonly<Record<string, readonly Allergen[]>> = {
  gluten: ['gluten', 'wheat'],
  wheat: ['wheat'],
  dairy: ['milk'],
  milk: ['milk'],
  egg: ['egg'],
  nut: ['nuts', 'peanut'],
  'tree nut': ['nuts'],
  almond: [],
  hazelnut: [],
  peanut: ['peanut'],
  soya: ['soya'],
  soy: ['soya'],
  sesame: ['sesame'],
  sulphite: ['sulphite'],
  sulfite: ['sulphite'],
  mustard: ['mustard'],
  celery: ['celery'],
  lupin: ['lupin'],
  fish: ['fish'],
  lactose: [],
  sugar: [],
  fat: [],
  alcohol: [],
  caffeine: [],
};
/** Made of plants alone. */
export const PLANT_BASED: readonly Allergen[] = ['milk', 'egg', 'fish', 'crustaceans', 'molluscs'];

/** Words of a colour's name: a colour that is named by these alone is the colour paste of the tables. */
export const COLOUR_WORDS: ReadonlySet<string> = new Set(
  (
    'red orange yellow green blue purple violet pink black white brown grey gray ivory cream gold golden silver bronze copper teal ' +
    'turquoise aqua cyan magenta mauve lilac lavender lime mint peach apricot coral salmon rose ruby scarlet crimson burgundy maroon ' +
    'navy sky royal baby ocean sea sage moss olive leaf forest grass emerald jade amber ember ash mustard ochre rust terracotta sand stone ' +
    'charcoal slate plum berry raspberry strawberry cherry lemon tangerine rainbow natural plain pale light dark deep bright mid soft ' +
    'dusty dusky pastel neon hot warm cool vivid sunset sunshine sun dawn dusk midnight lantern flame fire smoke ice snow ' +
    'holly autumn spring summer winter and with of left as it is colour color gel paste one two three blush nude champagne buttercup ' +
    'primrose cornflower indigo aubergine pumpkin carrot beetroot vanilla skin tone flesh'
  ).split(' '),
);
