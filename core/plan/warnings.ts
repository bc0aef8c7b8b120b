import { batterWaitMin } from './batterWait';
import { KEEPING } from '../caution/keeping';
import type { CrumbPart, KitchenDoc } from '../model/documents';
import type { Ref } from '../figure';
import { BOWLS } from '../process/batter.table';
import { COAT } from '../process/coat.table';
import { FITTED_AIR_C, HANDS } from '../process/oven.table';
import { MICROWAVE } from '../process/microwave.table';
import { isHighFor } from '../formula/altitude';
import type { KnownFormula, RunContext } from './context';
import type { formulasOf } from './facts';
import type { DoughPart } from './stations/bind';
import type { Promised } from './promise';
import type { OvenPart } from './stations/oven';
import type { FinishWords } from './finish';
import type { BakePart } from './stations/bake';
import type { CoatPart } from './stations/coat';
import type { LoadPlan } from './stations/loads';
import { warning, type Warning } from './warnings.words';

/** Promises of a line and its lots that are broken, not known to hold, or endangered by what is beside them. */
export const promiseWarnings = ({ promises }: { readonly promises: readonly Promised[] }): Warning[] =>
  promises.flatMap(({ name, of, broken, toRead, beside }): Warning[] => {
    if (broken.length > 0) return [warning({ code: 'promise broken', name, broken })];
    return [
      ...(toRead.length > 0 ? [warning({ code: 'promise not known', name, of, toRead })] : []),
      ...(beside.length > 0 ? [warning({ code: 'promise beside', name, of: beside })] : []),
    ];
  });

/** How the cake ends in its well. */
export const finishWarnings = ({ name, warning: mend }: FinishWords): Warning[] =>
  mend ? [warning({ code: 'finish', name, mend })] : [];

/** Less than this is no more than a crumb, g; and so small a share of the dough nobody feels. */
const EXCESS_FROM = { g: 5, share: 0.02 } as const;

/** Leftover frosting and wet add-ins beyond what the crumb takes. */
export function excessWarnings({ excess, total }: DoughPart, crumb: readonly CrumbPart[]): Warning[] {
  if (!excess || excess.over.value < Math.max(EXCESS_FROM.g, EXCESS_FROM.share * total.value)) return [];
  return [
    warning({
      code: 'binder in excess',
      overG: excess.over.value,
      cakeG: excess.cake.value,
      biscuitG: excess.biscuit.value,
      scrape: crumb.some((part) => part.from === 'leftovers' && !part.scraped),
    }),
  ];
}

/** Cake from before that is older than frosted cake keeps in a fridge. */
export function oldWarnings(ageDays: number): Warning[] {
  const mostDays = KEEPING.buttercream.fridgeDays ?? 0;
  return ageDays > mostDays ? [warning({ code: 'leftovers old', days: ageDays, mostDays })] : [];
}

/** Lines of any formula that could not be read, and batters written for lower down. */
export function formulaWarnings(
  run: RunContext,
  { baked, unbaked }: ReturnType<typeof formulasOf>,
): Warning[] {
  const unread = [...baked, ...unbaked].flatMap((id): Warning[] => {
    const { doc, read } = run.formula(id);
    return read.unread > 0 ? [warning({ code: 'lines unread', lines: read.unread, formula: doc.name })] : [];
  });
  const heightM = run.kitchen.altitudeM ?? 0;
  const low = baked.map((id) => run.formula(id)).filter((known) => isHighFor(known, heightM));
  const lacking = baked.flatMap((id): Warning[] => {
    const { doc, read } = run.formula(id);
    return read.lacks.length > 0
      ? [warning({ code: 'batter lacks', lacks: read.lacks, formula: doc.name })]
      : [];
  });
  return [
    // Above all else: whatever follows is worked out from a batter that cannot be.
    ...lacking,
    ...unread,
    ...low.map(({ doc }) => warning({ code: 'written for lower down', heightM, formula: doc.name })),
  ];
}

/** An oven outside what the model was fitted to. */
export function ovenWarnings({ wanted }: OvenPart): Warning[] {
  const [least, most] = FITTED_AIR_C;
  return wanted.value < least || wanted.value > most
    ? [warning({ code: 'oven not fitted', airC: wanted.value })]
    : [];
}

/** Minutes that the last load's batter waits between mixing and the oven. */
export function lastLoadWaitsMin(loads: readonly number[], bakeTimeS: number, turnaroundS: number): number {
  return loads.length <= 1
    ? 0
    : ((loads.length - 1) * (bakeTimeS + turnaroundS) + (loads[0] ?? 0) * HANDS.fillWellS) / 60;
}

/** Batter that loses its lift before the last load goes in. */
export function waitWarnings({ read, doc }: KnownFormula, { sizes }: LoadPlan, bake: BakePart): Warning[] {
  const waitMin = lastLoadWaitsMin(sizes, bake.time.value, bake.turnaround.value);
  const allowedMin = batterWaitMin(read.lines, doc.method);
  return waitMin > allowedMin ? [warning({ code: 'batter waits', waitMin, allowedMin })] : [];
}

export const scaleWarnings = (portion: Ref<'g'>, { scaleStepG }: KitchenDoc): Warning[] =>
  portion.value < scaleStepG * 5 ? [warning({ code: 'scale too coarse' })] : [];

/** Batter that no bowl of the kitchen mixes at once. */
export function bowlWarnings(mixed: Ref<'g'>, density: Ref<'g/ml'>, kitchen: KitchenDoc): Warning[] {
  const [largest] = [...(kitchen.bowls ?? [])].sort((a, b) => b.volumeMl - a.volumeMl);
  const bowlMl = largest?.volumeMl ?? BOWLS.usualMl;
  const batterMl = mixed.value / density.value;
  const bowls = Math.ceil(batterMl / (BOWLS.fullestShare * bowlMl) - 1e-9);
  return bowls <= 1
    ? []
    : [
        warning({
          code: 'bowl too small',
          litres: batterMl / 1000,
          bowl: largest?.name ?? null,
          bowlLitres: bowlMl / 1000,
        }),
      ];
}

/** A sheet may rise this much over its rim before it runs. Basis: as for wells. */
const OVER_RIM = 1.3;
export const sheetWarnings = (height: Ref<'mm'>, depthMm: number): Warning[] =>
  height.value > depthMm * OVER_RIM
    ? [warning({ code: 'sheet runs over', highMm: height.value, depthMm })]
    : [];

/** Room round a ball in its vessel, mm; and the heaviest that a stick holds, g. Basis: assumption; typical. */
const ROUND_MM = 6;
const STICK_HOLDS_G = 45;

/** A vessel that does not fit, a coat too thick, a ball too heavy for its stick. */
export function dipWarnings(coat: CoatPart, portion: Ref<'g'>, stick: boolean): Warning[] {
  const { vessel, depth, solid, thickness } = coat;
  const out: Warning[] = [];
  if (vessel.depthMm < depth.value)
    out.push(
      warning({ code: 'vessel shallow', vessel: vessel.name, deepMm: vessel.depthMm, neededMm: depth.value }),
    );
  if (vessel.diameterMm < solid.height.value + ROUND_MM)
    out.push(warning({ code: 'vessel narrow', vessel: vessel.name, ballMm: solid.height.value }));
  if (thickness.value > COAT.shellTooThickMm) out.push(warning({ code: 'coat thick', mm: thickness.value }));
  if (stick && portion.value > STICK_HOLDS_G) out.push(warning({ code: 'ball heavy' }));
  return out;
}

export function shellWarnings(mm: number): Warning[] {
  const { shellTooThinMm, shellTooThickMm, shellMm: usualMm } = COAT;
  if (mm < shellTooThinMm) return [warning({ code: 'shell thin', mm, leastMm: shellTooThinMm, usualMm })];
  if (mm > shellTooThickMm) return [warning({ code: 'shell thick', mm, mostMm: shellTooThickMm, usualMm })];
  return [];
}

/** Longer than this in a microwave dries the rim, s; below this setting it cycles. Basis: typical. */
const LONG_S = 600;
const LOW_POWER = 0.5;

export function mugWarnings(
  filled: Ref<'share'>,
  time: Ref<'s'>,
  groups: readonly number[],
  setting: number,
  last: { readonly time: Ref<'s'>; readonly firstLook: Ref<'s'> } | null,
): Warning[] {
  const out: Warning[] = [];
  if (filled.value > MICROWAVE.mugFullest + 0.02)
    out.push(warning({ code: 'mug overfull', share: filled.value }));
  if (time.value > LONG_S) out.push(warning({ code: 'microwave long' }));
  if (new Set(groups).size > 1)
    out.push(
      warning({
        code: 'groups uneven',
        groups,
        last: last && { timeS: last.time.value, lookS: last.firstLook.value },
      }),
    );
  if (setting < LOW_POWER) out.push(warning({ code: 'low power' }));
  return out;
}
