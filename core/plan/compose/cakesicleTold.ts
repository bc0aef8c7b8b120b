import { mouldedSection } from '../../piece';
import type { Planned } from '../linePlan';
import { bindNotes, shellNotes } from '../notes';
import { SECTIONS } from '../sections';
import { shellWarnings } from '../warnings';
import type { CakesicleMade } from './cakesicleMade';
import { crumbBakeSections, doughParts, doughStrata, doughTold } from './dough';

/** What a line of moulded pieces tells, from what its stations made. */
export function cakesicleTold(made: CakesicleMade): Planned {
  const { run, line, mould, table, dough, bakes, kind, portion, portions, cavity, shell, room } = made;
  const { count, rounds, sets, melts, pots, piece, lots, finished } = made;
  const told = doughTold(made, {
    coated: false,
    mould: true,
    stick: cavity.stick !== null,
    coatOnHandG: line.coatOnHandG,
  });
  return {
    ...told,
    count,
    parts: () => ({ ...doughParts(made), shell, rounds }),
    sizes: made.sizes,
    ownCoat: { kind: line.kind, formulaId: line.coatFormulaId },
    tasks: () => made.tasks,
    preparations: () => [...told.preparations(), { do: 'wash mould', mould: mould.name }],
    cold: () => ({
      where: 'freezer',
      pieces: count.made,
      on: { what: 'mould', cavities: mould.cavities, owned: mould.owned },
    }),
    strata: () => doughStrata(made, portions, pots, melts.total, finished),
    sections: () => [
      ...crumbBakeSections(bakes),
      SECTIONS.crumb(table, dough, bakes),
      SECTIONS.shell(shell, cavity, room, rounds, [sets.shell, sets.filled], melts),
      SECTIONS.portions(portion, null, dough, kind, portions, []),
      ...SECTIONS.lots({ piece, lots }, finished),
    ],
    drawing: () => ({
      is: 'section',
      section: mouldedSection(
        { shape: mould.shape, lengthMm: cavity.length.value, depthMm: cavity.depth.value },
        shell.thickness.value,
        (10 * shell.backVolume.value) / cavity.opening.value,
        cavity.stick !== null,
      ),
    }),
    cutSays: () => ({ is: 'moulded', shell: shell.thickness, chocolate: shell.taken, portion }),
    warnings: () => [...told.warnings(), ...shellWarnings(line.shellMm)],
    notes: () => [...bindNotes(line.binder, table, dough), ...shellNotes(run.kitchen, line, pots, shell)],
  };
}
