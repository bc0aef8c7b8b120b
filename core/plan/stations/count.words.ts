import { words } from '../../figure';
import type { Supply } from '../emitted';

export const COUNT = {
  wanted: (many: string) => words(`${many} wanted`, 'As many as this run was asked for.'),
  made: (many: string) =>
    words(`${many} made`, 'The smallest of what was wanted and what every supply allows.'),
  onHand: (name: string) => words(`${name} on the table`, 'As much as there is, as stated for this run.'),
  allows: (name: string) =>
    words(`The ${name.toLowerCase()} allows`, 'What is on the table, over what one piece takes.'),
  counted: (name: string) =>
    words(`The ${name} allow`, `One ${name.replace(/s$/, '')} to a piece, as many as there are.`),
  free: words('Until it must be ready', 'From now until it must be ready.'),
  fixed: words(
    'Takes as long for few as for many',
    'Mixing, baking, cooling and setting, by the longer end of each.',
  ),
  round: (what: string) => words(what, 'Hands, and what has to set before the next can begin.'),
  roundPieces: words('Pieces of it', 'Made in that time.'),
  minutes: words('The clock allows', 'Whole rounds that still fit before it must be ready.'),
} as const;

/** What a limit is called: "What limits it: the paper cases". */
export const SUPPLY_WORDS: Readonly<Record<Supply, string>> = {
  batter: 'what is in the bowl',
  tins: 'wells and loads',
  loads: 'wells and loads',
  minutes: 'the time left',
  liners: 'paper cases',
  dough: 'the dough',
  binder: 'the binder',
  sticks: 'the sticks',
  coat: 'the chocolate',
  cavities: 'cavities and rounds',
  filling: 'the filling',
  frosting: 'the frosting',
  pieces: 'the sheets as cut',
  mugs: 'the mugs: each is eaten from its own',
};
/** What is on the table of it. */
export const SUPPLY_NAMES = {
  binder: 'Binder',
  coat: 'Coat',
  filling: 'Filling',
  frosting: 'Frosting',
} as const;
export const COUNTED_NAMES = { liners: 'liners', sticks: 'sticks', mugs: 'mugs' } as const;
