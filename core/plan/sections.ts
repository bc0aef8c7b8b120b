import { anyRef, type AnyRef, type Ref, type Unit } from '../figure';
import type { SumsSection } from './emitted';
import type { CrumbBake } from './stations/crumb';
import type { CavityPart, MeltsPart, ShellPart } from './stations/shell';
import type { DoughKind, DoughPart, Table } from './stations/bind';
import type { CutCake, CutPart, CutTotals } from './stations/cut';
import type { FinishAll, FinishEach } from './stations/finish';
import type { Heights, WellPart } from './stations/well';
import type { MicroPart } from './stations/microwave';
import type { PortionsPart } from './stations/portion';

type Maybe = { readonly [U in Unit]: Ref<U> }[Unit] | null | undefined;
const refs = (...all: readonly Maybe[]): AnyRef[] => all.flatMap((one) => (one ? [anyRef(one)] : []));

/** The sums of a line by the work they belong to, each with its figures: the main one, the few beside it, the rest. */
export const SECTIONS = {
  well: (well: WellPart, heights: Heights | null, scoop: Ref<'g'> | null): SumsSection => ({
    id: 'well',
    hero: anyRef(well.portion),
    few: refs(well.filled, heights?.belowRim, well.rise, well.finish),
    rows: refs(scoop, well.layer?.mass, well.volume),
  }),
  oven: (rows: readonly Maybe[], time: Ref<'s'>): SumsSection => ({
    id: 'oven',
    hero: anyRef(time),
    few: [],
    rows: refs(...rows),
  }),
  microwave: (
    { time, firstLook, stand, oven }: MicroPart,
    before: readonly Maybe[],
    rest: readonly Maybe[],
  ): SumsSection => ({
    id: 'microwave',
    hero: anyRef(time),
    few: [],
    rows: refs(firstLook, stand, ...before, oven.rated, oven.setting, ...rest),
  }),
  mug: (
    portion: Ref<'g'>,
    filled: Ref<'share'>,
    finish: Ref<'share'>,
    scoop: Ref<'g'> | null,
    volume: Ref<'ml'>,
  ): SumsSection => ({
    id: 'mug',
    hero: anyRef(portion),
    few: refs(filled, finish),
    rows: refs(scoop, volume),
  }),
  cut: (
    perSheet: Ref<'pieces'>,
    cut: CutPart,
    { height, cake, baked }: CutCake,
    { trimmings }: CutTotals,
  ): SumsSection => ({
    id: 'cut',
    hero: anyRef(perSheet),
    few: refs(cut.length, cut.width, height),
    rows: refs(cake, baked, cut.trim, cut.kerf, trimmings),
  }),
  crumb: (table: Table, dough: DoughPart, bakes: readonly CrumbBake[]): SumsSection => ({
    id: 'crumb',
    hero: anyRef(dough.need),
    few: refs(dough.first, dough.crumbTotal),
    rows: refs(
      ...table.sources.flatMap(({ cake, frosting }, i): Maybe[] => [
        cake ?? bakes.find(({ at }) => at === i)?.cake,
        dough.crumb[i],
        frosting,
      ]),
      ...table.addIns,
      dough.ownFrosting,
      table.share,
      dough.added,
      dough.total,
    ),
    weigh: { figure: dough.added, what: 'binder' },
  }),
  portions: (
    portion: Ref<'g'>,
    across: Ref<'mm'> | null,
    dough: DoughPart,
    kind: DoughKind,
    portions: PortionsPart,
    sets: readonly Maybe[],
  ): SumsSection => ({
    id: 'portions',
    hero: anyRef(portion),
    few: refs(across, dough.binderEach),
    rows: refs(kind.density, dough.ready, portions.total, portions.left, ...sets),
    weigh: { figure: dough.total, what: 'dough' },
  }),
  shell: (
    shell: ShellPart,
    cavity: CavityPart,
    room: Ref<'ml'>,
    rounds: Ref<'loads'>,
    sets: readonly Maybe[],
    { pots, patching }: MeltsPart,
  ): SumsSection => ({
    id: 'shell',
    hero: anyRef(shell.taken),
    few: refs(shell.first, shell.second, shell.back),
    rows: refs(
      shell.thickness,
      cavity.volume,
      room,
      shell.cavities,
      rounds,
      ...sets,
      patching,
      ...pots.flatMap(({ melt, thinner }): Maybe[] => [melt, thinner]),
    ),
  }),
  coat: ({ coat }: FinishEach, { pots }: Pick<FinishAll, 'pots'>, sets: Ref<'s'> | null): SumsSection[] =>
    coat
      ? [
          {
            id: 'coat',
            // Of a piece on a stick the scale tells both together: that figure stands first, as the bench asks for it.
            hero: anyRef(coat.anchor ? coat.taken : coat.each),
            few: refs(coat.thickness),
            rows: refs(
              ...(coat.anchor ? [coat.each, coat.anchor] : []),
              ...pots.flatMap(({ count, melt, saved, thinner }): Maybe[] => [count, melt, saved, thinner]),
              coat.depth,
              coat.stranded,
              coat.drips,
              sets,
            ),
          },
        ]
      : [],
  filling: ({ filling }: FinishEach, { fillingNeeded }: FinishAll): SumsSection[] =>
    filling
      ? [
          {
            id: 'filling',
            hero: anyRef(filling.each),
            few: [],
            rows: refs(
              fillingNeeded,
              filling.core?.removed,
              filling.core?.kept,
              filling.core ? filling.cake : null,
              filling.channels?.each,
              filling.thickness,
            ),
          },
        ]
      : [],
  frosting: ({ frosting }: FinishEach, { frostingTotal }: FinishAll): SumsSection[] =>
    frosting
      ? [
          {
            id: 'frosting',
            hero: anyRef(frosting.each),
            few: [],
            rows: refs(
              frostingTotal?.needed,
              frosting.bags?.count,
              frosting.bags?.lost,
              ...(frostingTotal?.coloured ?? []).flatMap(({ mass, stripes, gels }): Maybe[] => [
                mass,
                ...stripes,
                ...gels.flatMap((gel): Maybe[] => [gel.mass, gel.drops]),
              ]),
            ),
          },
        ]
      : [],
  /** Lots and toppings; nothing where all pieces are finished alike. */
  lots: ({ piece, lots }: Pick<FinishAll, 'piece' | 'lots'>, total: Ref<'g'> | null): SumsSection[] =>
    lots.length === 1 && lots[0]?.lot === null
      ? []
      : [
          {
            id: 'lots',
            hero: anyRef(piece),
            few: [],
            rows: refs(
              ...lots.flatMap(({ count, toppings, finished }): Maybe[] => [
                count,
                ...toppings.flatMap(({ each, total: all }): Maybe[] => [each, all]),
                finished,
              ]),
              total,
            ),
          },
        ],
} as const;
