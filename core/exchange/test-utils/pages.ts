/** Pages in twelve layouts, all made up for these tests. */
export const STORY = `Grandmother's Pear Squares

My grandmother baked these on the last Sunday of October, and the whole street knew it. She never wrote anything down.

Prep time: 20 minutes
Makes 16

For the cake
1 1/2 cups (190 g) all-purpose flour
1.5 tsp baking powder
8 oz. butter, softened
3 large eggs
2 pears, diced

For the frosting:
4 oz. cream cheese
1 cup powdered sugar

Preheat the oven to 350°F and line a 9 inch pan.
Cream the butter. Beat in the eggs, one at a time.
Bake for 25 to 30 minutes, until golden.
Notes: keeps for three days in a tin.`;

export const CARD = `OAT BARS
Ingredients
200 g rolled oats
100g butter
80 g golden syrup
Method
1. Melt the butter and syrup.
2. Stir in the oats.
3. Press into a tin and bake for 20 minutes at 170 C.`;

export const TABLE_HTML = `<html><head><title>x</title><script>alert(1)</script></head><body><h1>Beet muffins</h1><table>
<tr><th>Amount</th><th>What</th></tr><tr><td>250 g</td><td>plain flour</td></tr><tr><td>2 tsp</td><td>baking powder</td></tr>
<tr><td>180 g</td><td>caster sugar</td></tr><tr><td>3</td><td>eggs</td></tr></table><p>Mix it all and bake for 22 minutes.</p></body></html>`;

export const COMMAS =
  'Quick sponge\n200 g flour, 200 g sugar, 200 g butter, 4 eggs, 2 tsp baking powder\nMix everything and bake.';
export const NUMBERED =
  'Ginger cups\n1. 225 g self-raising flour\n2. 2 tsp ground ginger\n3. 150 g treacle\n4. 2 eggs\n5. 100 ml milk\n\nDirections\n1. Mix.\n2. Fill 12 cases and bake 18 minutes.';
export const BULLETS =
  'Cocoa cups\n• 150 g flour\n◦ 40 g cocoa\n☐ 180 g sugar\n– 2 eggs\n* **100 g** butter\n✓ 120 ml milk';
export const FRACTIONS =
  'Apfelbecher / Apple cups\n¹⁄₂ l milk\n2 ½ cups flour\n1,5 EL sugar\n3/4 TL baking powder\n1 1⁄2 apples, grated';
export const NO_COLONS =
  'Plum buns\n\nSponge\n200 g flour\n150 g sugar\n3 eggs\n\nButtercream\n200 g butter\n350 g icing sugar\n\nWhisk the eggs and sugar until thick.';
export const BETWEEN =
  'Nut cake\n200 g sugar\n4 eggs\nWhisk these together until pale.\n200 g ground hazelnuts\n1 tsp baking powder\nFold in gently.\nBake for 35 minutes.';
export const RECIPE = {
  '@type': 'Recipe',
  name: 'Seed loaf',
  recipeIngredient: ['200 g flour', '2 eggs'],
  recipeInstructions: 'Mix.',
};
export const DATA = (recipe: object) =>
  `<html><script type="application/ld+json">${JSON.stringify(recipe)}</script></html>`;
export const OLD =
  'A good plain cake. Take half a pound of flour, 4 oz. of butter, 4 oz. sugar, two eggs and a teaspoonful of baking powder. Rub the butter into the flour, add the rest with a little milk, and bake in a moderate oven for an hour.';
export const CHAT =
  'ok so this is the mug cake:\n4 tbsp flour\n2 tbsp sugar\n1 tbsp cocoa\n1 egg\n3 tbsp milk + 1 tbsp oil\nmix in the mug and microwave for 60 seconds 😋';

/** Twelve layouts, each with its name and what its ingredients are, line by line, in the formulas that it becomes. */
export const PAGES: readonly {
  readonly layout: string;
  readonly text: string;
  readonly names: readonly string[];
  /** Lines of ingredients of each formula. */
  readonly lines: readonly number[];
}[] = [
  {
    layout: 'a page with a story',
    text: STORY,
    names: ["Grandmother's Pear Squares", "Grandmother's Pear Squares: frosting"],
    lines: [5, 2],
  },
  { layout: 'a card', text: CARD, names: ['OAT BARS'], lines: [3] },
  { layout: 'a table', text: TABLE_HTML, names: ['Beet muffins'], lines: [4] },
  { layout: 'a list of commas', text: COMMAS, names: ['Quick sponge'], lines: [5] },
  { layout: 'numbered lines', text: NUMBERED, names: ['Ginger cups'], lines: [5] },
  { layout: 'bullets of several kinds', text: BULLETS, names: ['Cocoa cups'], lines: [6] },
  { layout: 'fractions of two languages', text: FRACTIONS, names: ['Apfelbecher / Apple cups'], lines: [5] },
  {
    layout: 'parts without colons',
    text: NO_COLONS,
    names: ['Plum buns', 'Plum buns: Buttercream'],
    lines: [3, 2],
  },
  { layout: 'steps between ingredients', text: BETWEEN, names: ['Nut cake'], lines: [4] },
  { layout: 'structured data', text: DATA(RECIPE), names: ['Seed loaf'], lines: [2] },
  { layout: 'an old book', text: OLD, names: ['A formula without a name'], lines: [5] },
  { layout: 'a message', text: CHAT, names: ['ok so this is the mug cake'], lines: [6] },
];
