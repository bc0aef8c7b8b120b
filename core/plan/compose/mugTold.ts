import { finishedTold } from './finishedTold';
import { bladeOf, type Ways } from '../../caution/facts';
import { doneTests } from '../../caution/doneTests';
import { mugSection, type Section } from '../../piece';
import type { Stratum, SumsSection } from '../emitted';
import { NO_PARTS, type Parts, type Planned } from '../linePlan';
import { finishMaterials, toppingWords, boughtFilling, boughtToppings } from '../materials';
import { NOTES } from '../notes.words';
import { mugRemainder } from '../remainder';
import { SECTIONS } from '../sections';
import { bandsOf } from '../strata';
import { BANDS } from '../strata.words';
import { inTurn } from '../taskSaid';
import { mugTasks } from '../tasks';
import { bowlWarnings, mugWarnings } from '../warnings';
import type { MugMade } from './mugMade';

/** What a line of mug cakes tells, from what its stations made. */
export function mugTold(made: MugMade): Planned {
  const { run, line, formula, method, part, portion, groups, micro, cool, all, each, left, count } = made;
  return {
    ...finishedTold(made),
    parts: () => partsOf(made),
    pots: [],
    sizes: groups,
    ownCoat: null,
    tasks: () =>
      inTurn(
        mugTasks({
          method,
          mix: made.mix,
          groups,
          micro,
          last: made.last,
          microwaveId: made.microwave.id,
          mugId: made.mug.id,
          cool: line.frosting ? cool : null,
        }),
      ),
    materials: () => finishMaterials(each, all),
    remainder: () => mugRemainder(count, portion, made.ready, left),
    strata: () => strataOf(made),
    sections: () => sectionsOf(made),
    drawing: () => ({ is: 'section', section: sectionOf(made) }),
    cutSays: () => ({ is: 'mug', filled: part.filled, risen: part.finish, portion }),
    warnings: () => [
      ...mugWarnings(part.filled, micro.time, groups, line.setting, made.last),
      ...bowlWarnings(made.bowl.mixed, part.densities.batter, run.kitchen),
    ],
    ways: () => waysOf(made),
    tests: () => doneTests(formula.read.lines, micro.oven.done.value, true),
    notes: () => notesOf(made),
  };
}

function partsOf({
  count,
  portion,
  part,
  bowl,
  byBatter,
  groups,
  micro,
  cake,
  cool,
  left,
  last,
  all,
}: MugMade): Parts {
  return {
    ...NO_PARTS,
    count,
    portion,
    filled: part.filled,
    batterDensity: part.densities.batter,
    bowl,
    byBatter,
    clocked: {
      sizes: groups,
      of: 'mug',
      each: portion,
      inLoad: null,
      time: micro.time,
      firstLook: micro.firstLook,
      last,
      shows: [portion, micro.time, micro.stand],
    },
    cake,
    micro,
    cool,
    batterLeft: left,
    frostingNeeded: all.frostingTotal?.needed ?? null,
    piece: all.piece,
  };
}

const strataOf = ({ bowl, left, portions, cakes }: MugMade): Stratum[] =>
  bandsOf([
    ['mixed', BANDS.mixed, 'ingredient', bowl.own],
    ['over', BANDS.over, 'left', left],
    ['mugs', BANDS.mugs, 'batter', portions],
    ['cakes', BANDS.cakes, 'crumb', cakes],
  ]);

const sectionsOf = (made: MugMade): SumsSection[] => [
  SECTIONS.mug(made.portion, made.part.filled, made.part.finish, made.scoop, made.part.volume),
  SECTIONS.microwave(
    made.micro,
    [made.atOnce, made.load, made.last?.time ?? null, made.micro.oven.middle],
    [made.cool.time, made.cake],
  ),
  ...SECTIONS.filling(made.each, made.all),
  ...SECTIONS.frosting(made.each, made.all),
  ...SECTIONS.lots(made.all, null),
];

const sectionOf = ({ part, each }: MugMade): Section =>
  mugSection(
    part.volume.value,
    part.filled.value,
    part.finish.value,
    each.frosting ? each.frosting.each.value / each.frosting.density.value : 0,
  );

const waysOf = ({ line }: MugMade): Ways => ({
  family: line.family,
  words: [line.filling?.what ?? '', ...toppingWords(line.lots)],
  boughtWords: [...boughtFilling(line.filling), ...boughtToppings(line.lots)],
  frosting: line.frosting?.kind ?? null,
  coat: false,
  oven: false,
  microwave: true,
  blade: bladeOf(line.filling),
});

const notesOf = ({ atOnce, alone, micro }: MugMade): string[] => [
  ...(atOnce.value > 1 ? [NOTES.aloneAndTogether(alone.value, atOnce.value, micro.time.value)] : []),
  NOTES.thickMug,
  ...(micro.oven.core.value > 0 ? [NOTES.deepMug] : []),
];
