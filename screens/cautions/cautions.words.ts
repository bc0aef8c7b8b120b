/** What the app's cautions rest on, and who decides: a page to read once. Measures in braces, for `inStyle`. */
export interface Ground {
  readonly title: string;
  readonly says: readonly string[];
}

export const GROUNDS: readonly Ground[] = [
  {
    title: 'Who decides',
    says: [
      'The app advises. Your local food law, your food office and trained people decide.',
      'Selling or giving food to the public from a home kitchen usually needs registration, and the label has rules of its own. Ask before the first sale.',
      'If somebody reacts badly to what they ate, call your emergency number at once. Do not wait and see.',
    ],
  },
  {
    title: 'Allergens',
    says: [
      'Two published lists: the 14 of the European Union and the 9 of the United States. Wheat is named beside gluten, and pine nuts count as tree nuts.',
      'Each ingredient in the tables has one row that says what such things are usually made of. Your packet comes first: makers differ, and recipes change.',
      '"Not known" means that no table here answers the name. It is never taken for "free of".',
      '"May hold more" stands beside things that are bought ready made: chocolate, sprinkles, biscuits, mixes, leftover cake.',
      'A promise of "free of" covers what goes in. No home kitchen is wholly free of traces: tell whoever eats.',
    ],
  },
  {
    title: 'How long things keep',
    says: [
      'Usual guidance for home kitchens, on the careful side: the shortest time of anything in or on the piece.',
      'What spoils stands out for two hours at most, one hour above {32 °C}. A fridge is {5 °C} or colder.',
      'What nobody here knows is kept as what spoils soonest, and says so.',
    ],
  },
  {
    title: 'Egg, flour, herbs in oil',
    says: [
      'Raw egg and raw flour can carry germs that make people very ill. A baked cake is hot enough all through; a taste of the batter is not.',
      'Garlic and herbs in oil can grow botulism at room temperature without any smell.',
      'Honey can carry its spores, which harm children under one year.',
    ],
  },
  {
    title: 'Heat',
    says: [
      'Water boils 1 °C lower for each 300 m of height. Every temperature for a cake’s middle or for a syrup is told for the height under Kitchen.',
      'Burns: cool running water for twenty minutes, and a doctor for anything larger than the hand that was burnt.',
    ],
  },
  {
    title: 'Choking',
    says: [
      'Round, hard and springy things block a small child’s windpipe. The caution stands where they are met whole; what is chopped, or soft from the oven, has none.',
    ],
  },
];
