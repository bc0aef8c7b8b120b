const words = (text: string): ReadonlySet<string> => new Set(text.trim().split(/\s+/));

/**
 * Words that make another thing of what stands before them: chocolate cake is no chocolate, banana chips are no banana.
 * What ends in one of these and is not in the table is a thing of its own that nobody has weighed yet.
 */
export const PRODUCT_WORDS = words(`
  powder paste chips chip crisps crisp jelly jello crackers cracker replacer substitute jam butter flour water syrup sauce sugar
  custard cream milk oil extract essence frosting icing buttercream ganache sponge cake cakes biscuits biscuit cookies cookie wafers
  wafer crumbs crumb mix filling spread candy candies drops buttons melts coating liqueur wine vinegar tea coffee drink yoghurt
  yogurt cheese bread brittle fudge toffee caramel mousse curd compote puree juice zest peel pods seeds nuts flakes granules crystals
  concentrate cordial soda beer ale leather bar bars bites clusters muesli granola cereal pretzels marshmallows gummies sweets
  sprinkles pudding shake protein dust glitter glaze topping pie tart scones loaf brioche croissants noodles rice eggs nibs
`);

/** Names of one word that stand for the plain thing only: almond milk is no milk, rice flour no flour. */
export const PLAIN_ONLY = words(`
  flour water milk butter sugar cream oil chocolate cheese egg eggs syrup tea coffee wine powder juice jelly curd coconut
  biscuits biscuit vinegar yoghurt yogurt salt honey cocoa
`);

/** What is put before a thing without making another of it: size, state, quality, heat, and how it is treated. */
export const HARMLESS = words(`
  small medium large big extra jumbo tiny heaped level scant generous good quality best finest fine finely coarse coarsely rough
  roughly thick thin thinly fresh freshly ripe overripe very soft softened hard cold chilled cool warm hot boiling tepid lukewarm iced
  room temperature plain pure natural real proper organic free range freerange local simple ordinary regular normal standard basic
  new old whole full skimmed semi fat low lowfat reduced light lite dark pale white brown golden unsalted salted slightly lightly
  sweet sweetened unsweetened unrefined refined raw cooked baked roasted toasted ground grated chopped diced sliced crushed mashed
  pureed sieved sifted strained drained rinsed washed peeled cored stoned pitted seeded deseeded hulled shelled skinned blanched
  halved quartered flaked slivered shredded torn beaten whisked whipped melted creamed separated packed firmly loosely tightly cubed
  squeezed filtered tap still bottled table cooking baking kitchen household everyday vegetable unbleached bleached enriched multi
  purpose all common wheat spring high quality firm runny clear set dry dried-out leftover remaining more extra some additional
  british english irish american dutch french italian swiss belgian australian indian german scottish cornish jersey mexican
  spooned levelled leveled scooped dipped weighed measured and or for plus the a an of in from to with each pure
  about approx approximately your favourite favorite homemade own brand shop bought store
`);

/** Forms that make another thing of whatever they stand before. */
export const OTHER_FORM = words(`
  dried powdered dehydrated condensed evaporated clotted malted flavoured flavored candied crystallised crystallized glace pickled
  fermented smoked vegan plant dairyfree eggless imitation artificial mock instant almond oat soy soya rice coconut hemp cashew
  hazelnut pea peanut chickpea gram besan buckwheat spelt rye corn maize tapioca cassava potato banana teff millet sorghum quinoa
  goat goats sheep buffalo camel green herbal
`);

/** What a thing is cut into, and the forms in which it is sold, where they stand behind it. */
export const CUTS = words(`
  leaves leaf sheets sheet strips strip sticks stick stalks stalk pieces piece bits bit chunks chunk halves half quarters quarter
  slices slice cubes cube dice wedges wedge segments segment kernels kernel rings ring rounds round shavings shaving curls curl
  sprigs sprig bunch bunches heads head hearts heart shards shard matchsticks ribbons batons florets tops bottoms ends bottom top
  block blocks tablets tablet discs disc rolls roll logs log lumps lump squares square blossoms blossom threads thread strands
  flesh pulp meat root roots bulb fillets tin tins can cans jar jars pack packet bag box carton tub tube bottle pot
  variety type kind grade brand size sized style equivalent temperature temp percent solids fat content total weight volume
  each apiece extra optional needed required preferred essential please
`);

/** From such a word on a name is told no more, only what for or how. */
export const JOINING = words(
  'to as until til till for from into onto on at of and or but per about around plus minus if when so such like than without with that which depending according see not no nor use using',
);
