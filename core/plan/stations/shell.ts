import type { CakesicleLine, MouldDoc } from '../../model/documents';
import {
  atLeast,
  cm2,
  layerMl,
  measure,
  minus,
  over,
  plus,
  times,
  toScale,
  type Expr,
  type Ref,
} from '../../figure';
import { PARAMS, scopeOf } from '../../param';
import { CAVITY_SHAPES } from '../../piece';
import { COAT, PATCH } from '../../process/coat.table';
import type { Pot } from '../emitted';
import type { PlanFigures } from '../figures';
import { addCoatDensity, addDripShare, addPotCount, addChocolate, addThinner, potsOf } from './coat';
import { COAT_WORDS, SHELL } from './coat.words';
import type { Supplied } from './count';
import type { CountedLot } from './lots';

export interface CavityPart {
  readonly length: Ref<'mm'>;
  readonly depth: Ref<'mm'>;
  readonly volume: Ref<'ml'>;
  readonly wall: Ref<'cm²'>;
  readonly opening: Ref<'cm²'>;
  /** Null without a stick. */
  readonly stick: Ref<'ml'> | null;
}

/** Volume, wall and opening of a cavity, from its measures. */
export function addCavity(f: PlanFigures, mould: MouldDoc): CavityPart {
  const side = (name: 'length' | 'width' | 'depth', label: string, value: number) =>
    f.root({
      id: `cavity.${name}`,
      words: SHELL.side(label, mould.name),
      unit: 'mm',
      value,
      spread: 0.5,
      basis: 'geometry',
      key: `cavity.${name}@mould:${mould.id}`,
    });
  const sides = {
    length: side('length', 'Cavity, long', mould.lengthMm),
    width: side('width', 'Cavity, wide', mould.widthMm),
    depth: side('depth', 'Cavity, deep', mould.depthMm),
  };
  const shape = CAVITY_SHAPES[mould.shape];
  const volume = f.sum('cavity.volume', SHELL.volume, 'ml', shape.volume(sides, COAT.edgeMm), {
    pin: { min: 1, max: 500 },
  });
  const wall = f.sum('cavity.wall', SHELL.wall, 'cm²', shape.wall(sides, COAT.edgeMm));
  const opening = f.sum('cavity.opening', SHELL.opening, 'cm²', cm2(shape.opening(sides)));
  const stick =
    mould.stickMl > 0 ? f.given('stick.volume', SHELL.stick, 'ml', mould.stickMl, 'geometry') : null;
  return { length: sides.length, depth: sides.depth, volume, wall, opening, stick };
}

export interface ShellPart {
  readonly thickness: Ref<'mm'>;
  readonly shellVolume: Ref<'ml'>;
  readonly backVolume: Ref<'ml'>;
  readonly first: Ref<'g'>;
  readonly second: Ref<'g'>;
  readonly back: Ref<'g'>;
  readonly taken: Ref<'g'>;
  readonly patchShare: Ref<'share'>;
  readonly perPiece: Ref<'g'>;
  readonly cavities: Ref<'pieces'>;
  readonly poured: Ref<'g'>;
}

/** Shell in two coats, back plate, drips, and what a piece takes of the chocolate. */
export function addShell(
  f: PlanFigures,
  line: CakesicleLine,
  mould: MouldDoc,
  cavity: CavityPart,
): ShellPart {
  const density = addCoatDensity(f);
  const thickness = f.believe(PARAMS.shellThickness, {
    of: [],
    start: { value: line.shellMm, spread: line.shellMm * COAT.thicknessSpread, basis: 'stated' },
    sentence: SHELL.thickness,
  });
  const shellVolume = f.sum('shell.volume', SHELL.shell, 'ml', layerMl(times(cavity.wall, thickness)));
  const backVolume = f.sum(
    'back.volume',
    SHELL.back(COAT.backMm),
    'ml',
    layerMl(times(cavity.opening, measure(COAT.backMm, 'mm'))),
  );
  const [firstShare, secondShare] = COAT.shellCoats;
  const shellMass = times(shellVolume, density);
  const first = f.sum('shell.first', SHELL.first, 'g', times(shellMass, firstShare));
  const second = f.sum('shell.second', SHELL.second, 'g', times(shellMass, secondShare));
  const back = f.sum('shell.back', SHELL.backMass, 'g', times(backVolume, density));
  const taken = f.total('shell.taken', SHELL.taken, 'g', [first, second, back], { min: 0.5, max: 300 });
  const drips = addDripShare(f, line.kind, COAT_WORDS.scrapings);
  const patchShare = f.believe(PARAMS.patchShare, {
    of: [scopeOf('mould', mould.id)],
    start: { value: PATCH.share, spread: PATCH.spread, basis: 'typical' },
    sentence: SHELL.patch,
  });
  const perPiece = f.sum(
    'shell.perPiece',
    SHELL.perPiece,
    'g',
    times(plus(taken, times(patchShare, second)), plus(1, drips)),
  );
  const all = mould.cavities * mould.owned;
  const cavities = f.given(
    'cavities.all',
    SHELL.cavities(mould.owned, mould.name, mould.cavities),
    'pieces',
    all,
    'counted',
  );
  const pour = line.shellBy === 'pour';
  const comesBack: Expr<'g'> = pour
    ? atLeast(times(cavities, minus(times(cavity.volume, density), first)), 0)
    : times(cavities, measure(0, 'g'));
  const poured = f.sum('pour.round', SHELL.poured(pour), 'g', comesBack);
  return {
    thickness,
    shellVolume,
    backVolume,
    first,
    second,
    back,
    taken,
    patchShare,
    perPiece,
    cavities,
    poured,
  };
}

/** What is left inside for the dough. */
export function addRoomInside(f: PlanFigures, cavity: CavityPart, shell: ShellPart): Ref<'ml'> {
  const { volume, stick } = cavity;
  const less = [shell.shellVolume, shell.backVolume, ...(stick ? [stick] : [])];
  return f.sum('cavity.room', SHELL.room, 'ml', minus(volume, ...less));
}

/** Dough pressed into a shell. */
export const addPressed = (f: PlanFigures, room: Ref<'ml'>, density: Ref<'g/ml'>, stepG: number): Ref<'g'> =>
  f.sum('portion.mass', SHELL.portion, 'g', times(times(room, density), COAT.pressFactor), {
    decide: toScale(stepG),
    pin: { min: 1, max: 500 },
  });

/** Rounds of the mould. */
export function cavityLimit(
  f: PlanFigures,
  line: CakesicleLine,
  mould: MouldDoc,
  cavities: Ref<'pieces'>,
): Supplied {
  const rounds = line.maxRounds ?? Math.ceil(line.count / cavities.value);
  const allowed = f.given(
    'rounds.allowed',
    SHELL.roundsAllowed(line.maxRounds),
    'loads',
    rounds,
    line.maxRounds === null ? 'counted' : 'stated',
  );
  const pieces = f.sum('count.cavities', SHELL.allows(mould.name), 'pieces', times(cavities, allowed));
  return { supply: 'cavities', pieces };
}

export interface MeltsPart {
  readonly total: Ref<'g'>;
  readonly patching: Ref<'g'>;
  readonly pots: readonly Pot[];
}

/** What to melt, by kind, and what of it comes back. */
export function addMelts(
  f: PlanFigures,
  line: CakesicleLine,
  shell: ShellPart,
  lots: readonly CountedLot[],
  made: Ref<'pieces'>,
): MeltsPart {
  const total = f.sum('shell.total', SHELL.total, 'g', times(made, shell.taken));
  const patching = f.sum(
    'patch.needed',
    SHELL.patching,
    'g',
    times(times(made, shell.patchShare), shell.second),
  );
  const pots = potsOf(lots, line.kind).map((pot): Pot => {
    const { kind, prefix } = pot;
    const count = addPotCount(f, pot, made, false);
    const melt = f.sum(
      `${prefix}melt`,
      COAT_WORDS.meltForShells(kind),
      'g',
      plus(times(count, shell.perPiece), shell.poured),
      { pin: { min: 0, max: 1_000_000 } },
    );
    const thinner = addThinner(f, pot, melt, line.thinnedShare);
    return {
      kind,
      formulaId: kind === line.kind ? (line.coatFormulaId ?? null) : null,
      vesselId: null,
      lotNames: pot.lots.map(({ name }) => name),
      count,
      coat: null,
      melt,
      saved: null,
      spooned: false,
      thinner,
      chocolate: addChocolate(f, pot, melt, thinner),
    };
  });
  return { total, patching, pots };
}

/** Rounds of a mould for all pieces. */
export const addRounds = (f: PlanFigures, made: Ref<'pieces'>, cavities: Ref<'pieces'>): Ref<'loads'> =>
  f.sum('rounds.count', SHELL.rounds, 'loads', over(made, cavities), { whole: 'ceil' });
