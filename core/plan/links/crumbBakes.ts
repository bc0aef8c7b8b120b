import type { CrumbPart } from '../../model/documents';
import { BREAKAGE } from '../../process/bind.table';
import { boilingShiftK } from '../../process/altitude';
import { METHODS, MUG_LOSS } from '../../process/batter.table';
import { COOLING_MUG, CRUMBLE_C } from '../../process/oven.table';
import type { Batch } from '../chain';
import type { SequenceStep } from '../families/sequence';
import type { BatterNeed } from '../families/planning';
import type { RunContext } from '../lookup';
import { addBatch, addBowlLoss } from './batch';
import { isBaked, type BakedPart } from './dough';
import { addMicrowave } from './microwave';
import { addCooling } from './oven';
import { addSheet, addSheetBake, addSheetCount, type SheetSpec } from './sheet';
import { type Figures } from '../figures';
import { WEIGH_MIN } from '../../process/hands.table';
import { MICROWAVE } from '../../process/microwave.table';

interface Part {
  readonly part: BakedPart;
  readonly i: number;
  /** The first bake of a line bears the plain ids. */
  readonly p: string;
}

function partsOf(crumb: readonly CrumbPart[]): Part[] {
  const out: Part[] = [];
  crumb.forEach((part, i) => {
    if (isBaked(part)) out.push({ part, i, p: out.length === 0 ? '' : `bake${out.length + 1}.` });
  });
  return out;
}

function sheetOf(run: RunContext, part: Extract<BakedPart, { from: 'bake' }>, p: string): SheetSpec {
  return {
    p,
    sheet: run.thing('sheet', part.sheetId),
    oven: run.thing('oven', part.ovenId),
    ovenC: part.ovenC,
    formula: run.formula(part.formulaId).doc,
    kitchen: run.kitchen,
  };
}

/** What every bake loses on its way from batter to crumb, and the batter that it needs. */
export function addBatterNeeded(
  ledger: Figures,
  run: RunContext,
  crumb: readonly CrumbPart[],
  crumbNeededId: string,
): BatterNeed[] {
  return partsOf(crumb).map(({ part, p }) => {
    if (part.from === 'bake') addSheet(ledger, sheetOf(run, part, p));
    else {
      ledger.start(
        `${p}bake.lossShare`,
        'Lost as steam',
        'share',
        MUG_LOSS,
        'Water that it loses in the microwave.',
        { min: 0, max: 0.5 },
      );
    }
    addBowlLoss(ledger, p);
    ledger.given(
      `${p}trim.share`,
      'Crust trimmed off',
      'share',
      part.trimShare,
      'stated',
      'Dark or hard edges make lumps in the dough. As chosen.',
      { min: 0, max: 0.6 },
    );
    ledger.start(`${p}breakage`, 'Falls aside', 'share', { ...BREAKAGE }, 'Crumbs on the bench.', {
      min: 0,
      max: 0.3,
    });
    ledger.calc(
      `${p}batter.needed`,
      'Batter needed',
      'g',
      `{${crumbNeededId}} ÷ ((1 − {${p}trim.share}) × (1 − {${p}breakage}) × (1 − {${p}bake.lossShare}) × (1 − {${p}bowl.lossShare}))`,
      (need = 0, trim = 0, broken = 0, steam = 0, bowl = 0) =>
        need / ((1 - trim) * (1 - broken) * (1 - steam) * (1 - bowl)),
      'The crumb wanted, and all that is lost on the way to it.',
    );
    return { formulaId: part.formulaId, massG: ledger.value(`${p}batter.needed`) };
  });
}

/** Batters, bakes and their crumb. */
export function addCrumbBakes(
  ledger: Figures,
  run: RunContext,
  crumb: readonly CrumbPart[],
  lineId: string,
  others: ReadonlyMap<string, number>,
): { batches: Batch[]; steps: SequenceStep[] } {
  const batches: Batch[] = [];
  const steps: SequenceStep[] = [];
  for (const { part, i, p } of partsOf(crumb)) {
    if (ledger.value(`${p}batter.needed`) <= 0) {
      ledger.given(`crumb.${i + 1}`, 'Crumb to bake', 'g', 0, 'counted', 'What is on the table is enough.');
      continue;
    }
    const { doc, read } = run.formula(part.formulaId);
    const method = METHODS[doc.method];
    const mixedId = `${p}batter.mixed`;
    const batch = addBatch(ledger, {
      p,
      formula: doc,
      read,
      eggs: part.eggs,
      neededId: `${p}batter.needed`,
      othersG: others.get(doc.id) ?? 0,
      mixedId,
      mixedLabel: 'Batter in the bowl',
    });
    batches.push({ ...batch, id: `${p}batter`, makes: 'batter', formula: doc, mixedId, lineIds: [lineId] });
    ledger.calc(
      `${p}batter.bowlLoss`,
      'Left on bowl and spoon',
      'g',
      `{${batch.ownId}} × {${p}bowl.lossShare}`,
      (mixed = 0, lost = 0) => mixed * lost,
      'What no spatula gets out.',
    );
    ledger.calc(
      `${p}batter.ready`,
      'Batter to bake',
      'g',
      `{${batch.ownId}} − {${p}batter.bowlLoss}`,
      (mixed = 0, lost = 0) => mixed - lost,
      'What goes into the tin.',
    );
    ledger.given(
      `${p}day.mix`,
      'Weighing out and mixing',
      's',
      (method.mixMin + WEIGH_MIN) * 60,
      'typical',
      'Usual for a household bowl.',
    );
    steps.push({
      id: `${p}mix`,
      label: 'Weigh out and mix',
      detail: method.meaning,
      kind: 'hands',
      length: ledger.figure(`${p}day.mix`),
    });
    if (part.from === 'bake') {
      const spec = sheetOf(run, part, p);
      addSheetCount(ledger, spec, `${p}batter.ready`);
      addSheetBake(ledger, spec, CRUMBLE_C, 'Cooling until it can be crumbled');
    } else {
      ledger.calc(
        `${p}micro.bowls`,
        'Bowls, one after another',
        'pieces',
        `{${p}batter.ready} ÷ {${MICROWAVE.mostBowlG} g}, rounded up`,
        (batter = 0) => batter / MICROWAVE.mostBowlG,
        'More than that at once heats unevenly: raw in the middle, tough at the rim.',
        { decide: { step: 1, how: 'up', least: 1 } },
      );
      ledger.calc(
        `${p}bowl.mass`,
        'Batter in a bowl',
        'g',
        `{${p}batter.ready} ÷ {${p}micro.bowls}`,
        (batter = 0, bowls = 1) => batter / bowls,
        'The same in each.',
      );
      const microwave = run.thing('microwave', part.microwaveId);
      const shift = boilingShiftK(run.kitchen.altitudeM ?? 0);
      addMicrowave(ledger, p, microwave, METHODS.mug, 1, `${p}bowl.mass`, shift);
      addCooling(
        ledger,
        p,
        ledger.value(`${p}bowl.mass`),
        COOLING_MUG,
        CRUMBLE_C,
        'Cooling until it can be crumbled',
      );
    }
    const time = part.from === 'bake' ? `${p}bake.time` : `${p}micro.time`;
    steps.push(
      {
        id: `${p}bake`,
        label: part.from === 'bake' ? 'Bake' : 'Microwave, a bowl at a time',
        detail: `First look ${Math.round(ledger.value(part.from === 'bake' ? `${p}bake.firstLook` : `${p}micro.firstLook`) / 60)} min after it goes in.`,
        kind: 'oven',
        length: ledger.figure(time),
        times: part.from === 'bake' ? ledger.value(`${p}loads.count`) : ledger.value(`${p}micro.bowls`),
      },
      {
        id: `${p}cool`,
        label: 'Cool',
        detail: 'Below {30 °C} it crumbles without steaming wet.',
        kind: 'wait',
        length: ledger.figure(`${p}cool.time`),
      },
    );
    addCrumbOf(ledger, p, i);
  }
  return { batches, steps };
}

/** Cake, what is trimmed and broken off it, and its crumb. More crumb than cake cannot be weighed. */
function addCrumbOf(ledger: Figures, p: string, i: number): void {
  const id = `crumb.${i + 1}`;
  const ready = ledger.figure(`${p}batter.ready`);
  ledger.calc(
    `${id}.cake`,
    'Cake, baked',
    'g',
    `{${p}batter.ready} × (1 − {${p}bake.lossShare})`,
    (batter = 0, lost = 0) => batter * (1 - lost),
    'What comes out of the tin. Weigh it and the plan goes on from there.',
    { pin: { min: 1, max: ready.high } },
  );
  const cake = ledger.figure(`${id}.cake`);
  ledger.calc(
    id,
    'Crumb of it',
    'g',
    `{${id}.cake} × (1 − {${p}trim.share}) × (1 − {${p}breakage})`,
    (mass = 0, trim = 0, broken = 0) => mass * (1 - trim) * (1 - broken),
    'Without its crust and what falls aside. Weigh it and the plan goes on from there.',
    { pin: { min: 0, max: cake.kind === 'pinned' ? cake.value : ready.high } },
  );
  ledger.calc(
    `${id}.aside`,
    'Crust and crumbs aside',
    'g',
    `{${id}.cake} − {${id}}`,
    (mass = 0, crumb = 0) => mass - crumb,
    'Trimmed off, or fallen: dry it for biscuit crumb.',
  );
}
