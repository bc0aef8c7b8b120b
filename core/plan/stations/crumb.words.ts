import { words } from '../../figure';

export const CRUMB = {
  thirst: (kind: string) =>
    words(`Thirst of ${kind} crumb`, 'Against crumb of an average moist cake: dry crumb drinks more binder.'),
  addIn: (what: string, wet: boolean) => ({
    label: what,
    sentence: wet
      ? 'It wets the crumb and stands in for binder.'
      : 'It is dry and drinks binder as biscuit does.',
  }),
  standing: (biscuit: boolean) => ({
    label: biscuit ? 'Biscuit, crushed' : 'Trimmings, crumbled',
    sentence: 'Weighed, or as stated for this run.',
  }),
  leftover: 'With its frosting, as it stands.',
  frostingShare: 'Judged by eye. Scrape one piece and weigh both to know better.',
  ofLeftover: words('Crumb of leftover cake', 'The cake without its frosting.'),
  frosting: (scraped: boolean) =>
    words(
      'Frosting that stays in the crumb',
      scraped ? 'Half is scraped off first, as a rule: more makes a paste.' : 'All of it goes in and binds.',
    ),
  lossInMicrowave: 'Water that it loses in the microwave.',
  trim: 'Dark or hard edges make lumps in the dough. As chosen.',
  breakage: 'Crumbs on the bench.',
  batterNeeded: words('Batter needed', 'The crumb wanted, and all that is lost on the way to it.'),
  nothing: words('Crumb to bake', 'What is on the table is enough.'),
  ready: words('Batter to bake', 'What goes into the tin.'),
  bowls: words(
    'Bowls, one after another',
    'More than that at once heats unevenly: raw in the middle, tough at the rim.',
  ),
  inABowl: words('Batter in a bowl', 'The same in each.'),
  untilCrumbled: 'Cooling until it can be crumbled',
  cake: words('Cake, baked', 'What comes out of the tin. Weigh it and the plan goes on from there.'),
  ofCake: words(
    'Crumb of it',
    'Without its crust and what falls aside. Weigh it and the plan goes on from there.',
  ),
  aside: words('Crust and crumbs aside', 'Trimmed off, or fallen: dry it for biscuit crumb.'),
  mixing: words('Weighing out and mixing', 'Usual for a household bowl.'),
} as const;

export const BIND = {
  school: (name: string, meaning: string) =>
    words(`Bound ${name}`, `${meaning} Grams of buttercream to a gram of moist crumb.`),
  kind: (kind: string) =>
    words(`${kind} against buttercream`, 'How much of it does the work of a gram of buttercream.'),
  factor:
    'Crumbs differ by a third. What was really added at the last batch, over what was reckoned, is yours.',
  share: words(
    'Binder to a gram of moist crumb',
    'The school’s share, for this binder and this kitchen’s crumb.',
  ),
  fixed: words(
    'Binder for what is on the table',
    'What it drinks, less what its frosting and liquor give; below zero where it brings more than it takes.',
  ),
  crumbNeeded: (bakes: number) =>
    words(
      'Crumb to bake',
      bakes === 1
        ? 'The dough wanted, less all that is there, leaving room for the binder that the new crumb takes.'
        : 'The dough wanted, less all that is there, leaving room for binder; the bakes share it alike.',
    ),
  crumb: words('Crumb in the bowl', 'From all that it comes from.'),
  ownFrosting: words('Frosting that came with it', 'It binds as well.'),
  need: words(
    'Binder needed',
    'An estimate, and a third off either way: add the first part, then stop by the squeeze, not by the figure.',
  ),
  excess: words(
    'Frosting and liquor too much',
    'What they give beyond what the crumb takes: the dough comes out wet by it.',
  ),
  excessCake: words('Plain cake crumb that takes it up', 'Average crumb at the school’s share.'),
  excessBiscuit: words('Biscuit crumb that takes it up', 'Beside cake it drinks most.'),
  first: words('First addition', 'Three fifths of it cannot be too much. Then a spoonful at a time.'),
  added: words('Binder added', 'As reckoned, until somebody says what really went in.'),
  dough: words(
    'Dough in the bowl',
    'All that is in it. Weigh the full bowl, less the empty one, and the plan goes on from there.',
  ),
  lost: words('Left on hands and bench', 'Scraped together, it makes one to taste.'),
  ready: words('Dough to portion', 'What becomes portions.'),
  allows: words('The dough allows', 'As many whole portions as it makes.'),
  each: words('Binder in a portion', 'What a piece takes of the binder, losses and all.'),
  density: (baked: boolean) => `Usual for ${baked ? 'crumb of cake' : 'a no-bake mix'} pressed together.`,
  handLoss: 'What sticks while it is portioned and rolled.',
} as const;

export const PORTION = {
  diameter: words('Ball wanted, across', 'As chosen.'),
  byDiameter: words(
    'Dough in a portion',
    'The ball of that width. What to weigh for each, to the step of the scale.',
  ),
  scoop: (number: number) =>
    words(`Scoop ${number}, level`, 'So many level scoops of that number make a quart of {946 ml}.'),
  scoopFill: (number: number) =>
    `How much a scoop ${number} holds as it is levelled here, against its number.`,
  byScoop: words(
    'Dough in a portion',
    'A level scoop of dough, as full as it comes. What to weigh for each, to the step of the scale.',
  ),
  chosen: words('Portion, as chosen', 'As chosen.'),
  byMass: words('Dough in a portion', 'What to weigh for each, to the step of the scale.'),
  needed: words('Dough needed', 'For every piece, and what stays on hands and bench.'),
  total: words('Dough in portions', 'All portions together.'),
  left: words('Dough left over', 'What remains once every piece has its portion.'),
} as const;
