import { words } from '../../figure';
import type { TopStyle } from '../../model/kinds';
import { STANDARD_TOP_MM, TOP_STYLES } from '../../process/frost.table';

export const FILLING = {
  corer: words('Corer, across', 'As chosen.'),
  coreDepth: words('Core, deep', 'As chosen.'),
  plug: 'The top of the core, put back as a lid.',
  removed: words('Crumb cut out', 'A cylinder of cake, at the density of the crumb.'),
  kept: words('Crumb kept aside', 'What does not go back as a lid: good crumb for pops.'),
  coreDensity: 'Usual for jam and curd; lighter for cream. Weigh a level spoon to know yours.',
  densityLabel: (what: string) => `${what}, density`,
  inCore: (what: string) => words(`${what} in a piece`, 'What the core holds below its lid.'),
  cored: words('Cake with its lid', 'The cake once the core is out and its lid back on.'),
  channels: words('Channels', 'Places where the nozzle goes in, as chosen.'),
  channel: 'A piece takes some {8 g} to {15 g} before it bursts; stop when its top lifts.',
  channelChosen: 'As chosen.',
  injected: (what: string) =>
    words(`${what} in a piece`, 'All channels of one piece. Weigh one before and after to know yours.'),
  betweenLabel: (what: string) => `${what} between two halves`,
  betweenChosen: 'As chosen for this run.',
  thickness: 'Enough to hold two halves and not squeeze out.',
  betweenDensity: 'Usual for buttercream; jam is heavier.',
  between: (what: string) =>
    words(`${what} between two halves`, 'A layer as wide as the halves are at their top.'),
  total: (what: string) => words(`${what} in all`, 'For every piece made.'),
} as const;

export const FROSTING = {
  styleLabel: (style: TopStyle) => `A ${TOP_STYLES[style].name} on a standard top`,
  style: (style: TopStyle) =>
    `${TOP_STYLES[style].meaning} For a top of {${STANDARD_TOP_MM} mm} and buttercream; hands differ.`,
  densityLabel: (kind: string) => `Density of ${kind}`,
  density: 'Weigh a level cup of it, less the cup, over the cup’s millilitres.',
  each: words(
    'Frosting on a piece',
    'By the area of the top, and by volume where another frosting than buttercream is piped. Weigh a piece before and after.',
  ),
  bags: words('Piping bags', 'One for each lot, since each may have its own colour.'),
  bagLoss: 'What no hand squeezes out.',
  bagsLost: words('Left in the bags', 'All bags together.'),
  ofLot: (lot: string, piped: boolean) =>
    words(`Frosting for ${lot.toLowerCase()}`, piped ? 'Its pieces, and what the bag keeps.' : 'Its pieces.'),
  stripe: (colour: string | null, many: number) =>
    words(
      colour === null ? 'The stripe left as it is' : `The ${colour} stripe`,
      `${many === 2 ? 'Half' : 'A third'} of it: lay the colours side by side along the bag, or in thin bags of their own within it.`,
    ),
  gel: (colour: string, depth: string) =>
    words(
      `Gel, ${colour}`,
      `A ${depth} colour takes about that share of the frosting; brands differ, so start with half of it.`,
    ),
  drops: (colour: string) => words(`Gel, ${colour}, in drops`, 'Some twenty drops weigh {1 g}.'),
  total: words('Frosting in all', 'All colours together, bags and all.'),
} as const;

export const FONDANT_WORDS = {
  each: words('Fondant on a piece', 'Top and side, not the base, {3 mm} thick at {1.4 g/ml}.'),
  eachOfBox: words('Fondant on a piece', 'Top and sides, not the base, {3 mm} thick at {1.4 g/ml}.'),
  rolled: words(
    'Fondant to roll out',
    'Half as much again lies beyond the edge; most of that is rolled again.',
  ),
  needed: words('Fondant to have', 'On the pieces, and the trimmings that cannot be rolled again.'),
} as const;
