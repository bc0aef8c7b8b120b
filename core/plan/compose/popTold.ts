import { ballSection } from '../../piece';
import type { Clocked, Planned } from '../linePlan';
import { bindNotes, coatNotes, garnishNote } from '../notes';
import { SECTIONS } from '../sections';
import type { CrumbBake } from '../stations/crumb';
import { dipWarnings } from '../warnings';
import { crumbBakeSections, doughParts, doughStrata, doughTold } from './dough';
import type { PopMade } from './popMade';

/** What a line of pops or balls tells, from what its stations made. */
export function popTold(made: PopMade): Planned {
  const { run, line, table, dough, bakes, kind, portion, portions, pots, coat, solid, waits } = made;
  const { count, finished, piece, lots } = made;
  const told = doughTold(made, {
    coated: coat !== null,
    mould: false,
    stick: line.stick,
    coatOnHandG: line.coat?.onHandG,
  });
  const [first] = bakes;
  return {
    ...told,
    count,
    parts: () => ({ ...doughParts(made), clocked: first?.sheet ? sheetsClocked(first.sheet) : null, coat }),
    sizes: [],
    ownCoat: line.coat ? { kind: line.coat.kind, formulaId: line.coat.formulaId } : null,
    tasks: () => made.tasks,
    preparations: () => [...told.preparations(), { do: 'line trays' }],
    cold: () => ({
      where: line.coat?.school === 'frozen' ? 'freezer' : 'fridge',
      pieces: count.made,
      on: { what: 'tray', acrossMm: solid.height.value },
    }),
    strata: () => doughStrata(made, portions, pots, null, finished),
    sections: () => [
      ...crumbBakeSections(bakes),
      SECTIONS.crumb(table, dough, bakes),
      SECTIONS.portions(portion, solid.height, dough, kind, portions, [waits.firm, waits.anchor]),
      ...SECTIONS.coat(
        {
          filling: null,
          frosting: null,
          fondant: null,
          coat,
          solid,
          takes: solid.area,
          adds: [],
          supplies: [],
        },
        { pots },
        waits.coat,
      ),
      ...SECTIONS.lots({ piece, lots }, finished),
    ],
    drawing: () => ({
      is: 'section',
      section: ballSection(solid.height.value, coat?.thickness.value ?? 0, line.stick),
    }),
    cutSays: () => ({ is: 'ball', across: solid.height, portion }),
    warnings: () => [...told.warnings(), ...(coat ? dipWarnings(coat, portion, line.stick) : [])],
    notes: () => [
      ...bindNotes(line.binder, table, dough),
      ...(coat ? coatNotes(run.kitchen, pots, coat) : []),
      ...(coat && waits.coat ? [garnishNote(waits.coat)] : []),
    ],
  };
}

/** The sheets of the first bake for crumb: one load after another, told as one. */
const sheetsClocked = ({ count, mass, bake }: NonNullable<CrumbBake['sheet']>): Clocked => ({
  sizes: [count.value],
  of: 'sheet',
  each: mass,
  inLoad: count.value,
  time: bake.time,
  firstLook: bake.firstLook,
  last: null,
  shows: [mass, bake.oven.setting, bake.time],
});
