import type { KitchenDoc, Line, RunDoc } from '../model/documents';
import { finishing } from '../model/references';
import type { Fault } from '../quantity';
import { coldRoomOf, coldWords } from './cold';
import { bowlsOf, type Bowl } from './bowls';
import type { TimedStep } from './chain';
import type { LinePlan, RunPlan } from './plan';

/** A thing to set out that no bowl of a formula holds: chocolate to melt, sprinkles, sticks. */
export interface Thing {
  /** Under this key it is ticked off. */
  readonly key: string;
  readonly lineId: string;
  readonly figureId: string;
  readonly what: string;
  /** A word on it, such as how it is treated. */
  readonly note: string;
}

export type GatherStage = 'set out' | 'batter' | 'crumb' | 'shared' | 'melt' | 'fill' | 'finish';

/** What is needed at one time in one place. */
export interface GatherGroup {
  readonly id: string;
  readonly stage: GatherStage;
  readonly title: string;
  /** Local time from which it is needed; null where the day does not say. */
  readonly at: string | null;
  readonly bowl: Bowl | null;
  readonly things: readonly Thing[];
}

/** Something to do before the work starts: butter out, moulds washed, tins lined. */
export interface Preparation {
  readonly id: string;
  readonly kind: 'warm up' | 'thaw' | 'wash' | 'line' | 'cold';
  readonly words: string;
  readonly at: string | null;
}

/** The steps of a day at which each stage begins. */
const BEGINS: Readonly<Record<GatherStage, RegExp>> = {
  'set out': /^(weigh-out|prep|fill|roll|coats)/,
  batter: /^(weigh-out|prep|mix|bake|fill)/,
  crumb: /^roll|^fill-/,
  shared: /^roll|^fill|^cool|^frost/,
  melt: /^(stick|dip|coats)/,
  fill: /^(cool|fill-)/,
  finish: /^(dip|cool|back|turn-out)/,
};

function beginsAt(steps: readonly TimedStep[], stage: GatherStage): string | null {
  const found = steps.filter(({ id }) => BEGINS[stage].test(id)).map(({ startAt }) => startAt);
  return found.sort()[0] ?? null;
}

const TITLES: Readonly<Record<Exclude<GatherStage, 'batter' | 'shared'>, string>> = {
  'set out': 'Set out',
  crumb: 'Into the crumb',
  melt: 'To melt',
  fill: 'To fill and to frost',
  finish: 'To finish with',
};

/** One list for the whole run: bowls once, loose things by when they are needed. */
export function gatherOf(run: RunDoc, whole: RunPlan): GatherGroup[] {
  const plans = whole.lines.flatMap((line) => (line.planned ? [line] : []));
  const stepsOf = (ids: readonly string[]) =>
    plans.filter(({ line }) => ids.includes(line.id)).flatMap(({ day }) => day);
  const bowls = bowlsOf(run, whole).map((bowl): GatherGroup => {
    const stage: GatherStage = bowl.lineId === null ? 'shared' : 'batter';
    return {
      id: `bowl-${bowl.batch.formula.id}`,
      stage,
      title: bowl.batch.formula.name,
      at: beginsAt(stepsOf(bowl.batch.lineIds), stage),
      bowl,
      things: [],
    };
  });
  const loose = plans.flatMap((plan) => thingsOf(plan));
  const group = (stage: keyof typeof TITLES): GatherGroup[] => {
    const things = loose.filter((one) => one.stage === stage).map(({ thing }) => thing);
    if (things.length === 0) return [];
    const at = beginsAt(stepsOf(things.map(({ lineId }) => lineId)), stage);
    return [{ id: stage, stage, title: TITLES[stage], at, bowl: null, things }];
  };
  return [
    ...group('set out'),
    ...bowls.filter(({ stage }) => stage === 'batter'),
    ...bowls.filter(({ stage }) => stage === 'shared'),
    ...group('crumb'),
    ...group('melt'),
    ...group('fill'),
    ...group('finish'),
  ];
}

interface Staged {
  readonly stage: keyof typeof TITLES;
  readonly thing: Thing;
}

/** Loose things of a line, from its figures; what comes to nothing is left out. */
export function thingsOf(plan: LinePlan): Staged[] {
  const { line } = plan;
  const out: Staged[] = [];
  const add = (stage: keyof typeof TITLES, figureId: string, what: string, note = '') => {
    if (!plan.has(figureId) || plan.figure(figureId).value <= 0) return;
    out.push({ stage, thing: { key: `${line.id}:${figureId}`, lineId: line.id, figureId, what, note } });
  };
  if (usesSticks(plan)) add('set out', 'count.made', 'Sticks', 'One a piece; have some to spare.');
  if (line.family === 'cupcake' && line.liner && line.liner !== 'none')
    add('set out', 'count.made', `Cases: ${line.liner}`, line.liner === 'double paper' ? 'Two a piece.' : '');
  if (line.family === 'pop' || line.family === 'cakesicle') {
    line.crumb.forEach((part, i) => {
      if (part.from === 'biscuit') add('crumb', `crumb.${i + 1}`, 'Biscuit', 'Crushed fine.');
      if (part.from === 'trimmings') add('crumb', `crumb.${i + 1}`, 'Cake trimmings', 'Crumbled.');
      if (part.from === 'leftovers') add('crumb', `crumb.${i + 1}.cake`, 'Leftover cake', 'Crumbled.');
    });
    line.addIns.forEach(({ what }, i) => add('crumb', `addin.${i + 1}`, what));
    if (line.binder.formulaId === null)
      add('crumb', 'binder.added', `Binder: ${line.binder.kind}`, 'Hold back; add by the spoon at the end.');
  }
  if (line.family === 'mini' && line.style === 'base-layer')
    add('fill', 'layer.mass', line.baseLayer?.what ?? 'Base layer', 'In each well.');
  const { filling, frosting } = finishing(line);
  if (filling?.formulaId === null) add('fill', 'filling.needed', filling.what);
  if (frosting?.formulaId === null) add('fill', 'frosting.needed', capital(frosting.kind));
  add('finish', 'fondant.needed', 'Fondant', 'Covered until it is rolled.');
  for (const { id } of plan.figures) {
    const pot = /^pot\.(\d+)\.(melt|thinner)$/.exec(id);
    if (pot) {
      const label = plan.figure(`pot.${pot[1]}.melt`).label.replace(/^To melt, /, '');
      const chocolate =
        label === 'compound' ? 'Compound coating' : `${label[0]?.toUpperCase()}${label.slice(1)} chocolate`;
      if (pot[2] === 'melt' && !meltedByFormula(line, label)) add('melt', id, chocolate);
      if (pot[2] === 'thinner') add('melt', id, 'Coconut oil or cocoa butter', `Stirred into the ${label}.`);
    }
    const topping = /^lot\.(\d+)\.topping\.(\d+)\.total$/.exec(id);
    if (topping) {
      const lot = line.lots?.[Number(topping[1]) - 1];
      const one = lot?.toppings[Number(topping[2]) - 1];
      if (one && !one.formulaId) add('finish', id, one.what, `For ${lot?.name ?? 'a lot'}.`);
    }
    const gel = /^lot\.(\d+)\.gel$/.exec(id);
    if (gel) {
      const lot = line.lots?.[Number(gel[1]) - 1];
      add('finish', id, `Gel colour, ${lot?.colour?.name ?? 'own'}`, `For ${lot?.name ?? 'a lot'}.`);
    }
  }
  return out;
}

const capital = (words: string): string => `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`;

function usesSticks(plan: LinePlan): boolean {
  return plan.family === 'pop' ? plan.line.stick : plan.has('stick.volume');
}

/** Whether a pot's chocolate is made by a formula of the line, and so stands among the bowls. */
function meltedByFormula(line: Line, kind: string): boolean {
  if (line.family === 'cakesicle') return Boolean(line.coatFormulaId) && line.kind === kind;
  const { coat } = finishing(line);
  return Boolean(coat?.formulaId) && coat?.kind === kind;
}

/** What to bring to room temperature, to thaw, to wash warm, to line, to make cold. */
export function preparationsOf(run: RunDoc, whole: RunPlan, kitchen: KitchenDoc): Preparation[] {
  const plans = whole.lines.flatMap((line) => (line.planned ? [line] : []));
  const out = new Map<string, Preparation>();
  const add = (kind: Preparation['kind'], words: string, at: string | null) => {
    const id = `${kind}:${words}`;
    const known = out.get(id);
    if (!known || (at !== null && (known.at === null || at < known.at))) out.set(id, { id, kind, words, at });
  };
  for (const plan of plans) {
    const { line, day } = plan;
    const start = day[0]?.startAt ?? null;
    for (const step of day) {
      if (step.kind === 'prompt' && step.id !== 'oven-on' && !/^oven/.test(step.id))
        add('warm up', `${step.label}. ${step.detail}`, step.startAt);
    }
    for (const { ingredients } of plan.batches) {
      for (const { name, written } of ingredients)
        if (/\bfrozen\b/i.test(written)) add('thaw', `${name}: overnight in the fridge, in a bowl.`, start);
    }
    if (line.family === 'cakesicle') {
      const mould = kitchen.moulds?.find(({ id }) => id === line.mouldId);
      add(
        'wash',
        `${mould?.name ?? 'Mould'}: warm water, no abrasive, dried and polished with a soft cloth.`,
        start,
      );
    }
    if (line.family === 'pop') {
      add('line', 'A tray lined with paper for the portions, and one for the finished pieces.', start);
    }
    const cold = coldRoomOf(plan, kitchen);
    if (cold) add('cold', coldWords(cold), start);
    if (line.family === 'cupcake') {
      const tin = kitchen.tins.find(({ id }) => id === line.tinId)?.name ?? 'the tin';
      const cased = line.liner && line.liner !== 'none';
      add('line', cased ? `Cases into ${tin}.` : `Grease and flour ${tin}.`, start);
    }
    if (line.family === 'mini' && line.style !== 'cubes') {
      const tin = kitchen.tins.find(({ id }) => id === line.tinId)?.name ?? 'the tin';
      add('line', `Grease ${tin} well, into every curve.`, start);
    }
    if (plan.has('sheet.count'))
      add(
        'line',
        `Line ${plan.figure('sheet.count').value === 1 ? 'the sheet' : 'the sheets'} with paper.`,
        start,
      );
    if (finishing(line).frosting?.kind === 'whipped cream')
      add('cold', 'Bowl and whisk cold for the cream.', start);
  }
  return [...out.values()].sort((a, b) => (a.at ?? '').localeCompare(b.at ?? ''));
}

const NUTTY = new Set(['nuts', 'peanut']);

/** A nut-free promise of one line that another line breaks: a bowl that both take from, or a vessel that both dip in. */
export function sharedNutFaults(run: RunDoc, whole: RunPlan): Fault[] {
  const plans = whole.lines.flatMap((line) => (line.planned ? [line] : []));
  const nutty = plans.filter(({ lots, allergens }) =>
    [...allergens, ...lots.flatMap((lot) => lot.allergens)].some((one) => NUTTY.has(one)),
  );
  const vesselOf = (line: Line) => finishing(line).coat?.vesselId ?? null;
  const shared = [...bowlsOf(run, whole)].filter(({ batch }) => batch.lineIds.length > 1);
  const out: Fault[] = [];
  for (const { line } of plans) {
    for (const lot of line.lots ?? []) {
      if (lot.nutFree !== true) continue;
      for (const other of nutty) {
        if (other.line.id === line.id) continue;
        const bowl = shared.find(
          ({ batch }) => batch.lineIds.includes(line.id) && batch.lineIds.includes(other.line.id),
        );
        const vessel = vesselOf(line) !== null && vesselOf(line) === vesselOf(other.line);
        if (!bowl && !vessel) continue;
        out.push({
          fault: `"${lot.name}" is promised free of nuts and shares ${bowl ? `the bowl of ${bowl.batch.formula.name}` : 'the dipping vessel'} with pieces that have them.`,
          mend: bowl
            ? 'Portion its share into a clean bowl before the nuts come out, or make it apart.'
            : 'Dip it first, in a clean vessel of its own. Clean tools alone may not be enough: ask who eats.',
        });
        break;
      }
    }
  }
  return out;
}
