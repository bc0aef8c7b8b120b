/**
 * Headless entry to the core: reads a run file and prints every figure as JSON, or with `--why FIGURE` how one came
 * about. Bad input: one line to standard error that names field, fault and mend, and exit code 2.
 */
import { readFileSync, statSync, writeSync } from 'node:fs';
import { MOST_LETTERS } from '../core/exchange/limits';
import { readRunFile } from '../core/exchange/read';
import { basisText, type Figure } from '../core/figure';
import { planWhole, type ComponentsPlan, type LinePlan, type PlannedLine } from '../core/plan';
import { dayOfFile, type RunDay } from '../core/schedule/chores';
import { toEnd } from '../core/schedule/solver';
import { keepingWords } from '../core/caution/keeping';
import { inStyle } from '../core/quantity';
import { listed, togetherHold } from '../core/quantity/allergens';
import { whyText } from '../core/plan/whyText';

/** One line that does nothing to a terminal: what a file says may hold anything. */
const oneLine = (text: string): string =>
  text.replace(/[\u0000-\u001f\u007f-\u009f\u2028\u2029\u202a-\u202e\u2066-\u2069]+/g, ' ').slice(0, 500);

/** What cannot be done as it was asked, in one line. */
class Refused extends Error {}

function fail(field: string, fault: string, mend: string): never {
  throw new Refused(oneLine(`${field}: ${fault} ${mend}`));
}

/** As long as the file of a run is read; ours take a tenth of it. */
const MOST_MB = MOST_LETTERS / 1e6;

function readArguments(args: readonly string[]): { path: string; why: string | null } {
  const at = args.indexOf('--why');
  const why = at >= 0 ? (args[at + 1] ?? null) : null;
  if (at >= 0 && why === null) fail('--why', 'No figure is named.', 'Write its id, such as portion.mass.');
  const paths = args.filter((arg, i) => !arg.startsWith('--') && (at < 0 || i !== at + 1));
  const unknown = args.find((arg) => arg.startsWith('--') && arg !== '--why');
  if (unknown) fail(unknown, 'There is no such option.', 'Use: sums run.json [--why FIGURE].');
  if (paths.length !== 1) fail('arguments', 'Name one run file.', 'Use: sums run.json [--why FIGURE].');
  return { path: paths[0] ?? '', why };
}

function readJson(path: string): unknown {
  let text: string;
  try {
    const mb = Math.ceil(statSync(path).size / 1e6);
    if (mb > MOST_MB)
      return fail(
        path,
        `The file is ${mb} MB long; at most ${MOST_MB} MB can be read.`,
        'Choose the file of one run.',
      );
    text = readFileSync(path, 'utf8').replace(/^\uFEFF/, '');
  } catch {
    return fail(path, 'The file cannot be read.', 'Check its name and folder.');
  }
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    const reason = error instanceof Error ? (error.message.split('\n')[0] ?? '').slice(0, 120) : '';
    return fail(path, `This is not JSON: ${reason}.`, 'Export the run again, or mend the text.');
  }
}

const printed = (figure: Figure) => ({
  value: figure.value,
  low: figure.low,
  high: figure.high,
  unit: figure.unit,
  basis: basisText(figure),
});

function whyPrinted(lines: readonly LinePlan[], name: string): string {
  const [lineId, id] = name.includes('/') ? (name.split('/', 2) as [string, string]) : [null, name];
  for (const plan of lines) {
    if (lineId !== null && plan.line.id !== lineId) continue;
    const figure = plan.figures.find((item) => item.id === id);
    if (!figure) continue;
    const explanation = { line: plan.line.id, figure: id, ...printed(figure), ...whyText(plan, figure) };
    return `${JSON.stringify(explanation, null, 2)}\n`;
  }
  const known = [...new Set(lines.flatMap((plan) => plan.figures.map((figure) => figure.id)))];
  const near = known.filter((item) => item.startsWith(id.split('.')[0] ?? '')).slice(0, 6);
  return fail(
    '--why',
    `There is no figure "${name}" in this run.`,
    `Use one of: ${(near.length ? near : known.slice(0, 6)).join(', ')}.`,
  );
}

const styled = (words: readonly string[]) => words.map((text) => inStyle(text));

/** Chores of the run's day as the app tells it, or those of one line; hours are null where no day comes together. */
const printedChores = (day: RunDay | null, lineId: string | null) =>
  [...(day?.chores ?? [])]
    .sort((a, b) => b.startMin - a.startMin || b.endMin - a.endMin)
    .filter(({ chore }) => lineId === null || chore.lineIds.includes(lineId))
    .map(({ chore: { label, detail, lineIds, pieces }, startAt, endAt }) => ({
      label: inStyle(label),
      detail: inStyle(detail),
      ...(lineId === null ? { lines: lineIds, pieces } : {}),
      startAt,
      endAt,
    }));

const printedDay = (day: RunDay | null) => ({
  safeStart: day?.safeStartAt ?? null,
  doneAt: day?.doneAt ?? null,
  inHandMin: day?.inHandMin ?? null,
  lacking: (day?.lacking ?? []).map(({ chore, thing, wants, has }) => ({
    chore: inStyle(chore.label),
    thing: thing.kind,
    wants,
    has,
  })),
  blockedBy: day?.blockedBy ?? null,
  chores: printedChores(day, null),
});

function printedLine(plan: LinePlan, day: RunDay | null) {
  const chores = printedChores(day, plan.line.id);
  return {
    line: plan.line.id,
    family: plan.family,
    ...(plan.family === 'mini' ? { style: plan.line.style } : {}),
    formula: plan.formula?.name ?? null,
    ...(plan.parts.finish ? { finish: plan.parts.finish.name } : {}),
    ...(plan.parts.cut ? { cuts: plan.parts.cut.plan } : {}),
    limits: plan.limits,
    loads: plan.loads.sizes,
    lots: plan.lots.map(({ id, name, count, holds }) => ({
      id,
      name,
      count,
      allergens: listed(holds),
      packets: holds.packets,
    })),
    remainder: {
      ...plan.remainder,
      offers: plan.remainder.offers.map((offer) => ({ ...offer, detail: inStyle(offer.detail) })),
    },
    startBy: chores[0]?.startAt ?? null,
    day: chores,
    tests: styled(plan.tests),
    notes: styled(plan.notes),
    keeping: keepingWords(plan.keeping),
    allergens: listed(plan.holds),
    packets: plan.holds.packets,
    promises: plan.promises,
    cautions: plan.cautions.map(({ words, ...rest }) => ({ ...rest, words: inStyle(words) })),
    warnings: plan.warnings.map(({ fault, mend }) => ({ fault: inStyle(fault), mend: inStyle(mend) })),
    figures: Object.fromEntries(plan.figures.map((figure) => [figure.id, printed(figure)])),
  };
}

function printedComponents(components: ComponentsPlan | null) {
  if (!components) return [];
  return components.batches.map((batch) => ({
    formula: batch.formula.name,
    makes: batch.makes,
    forLines: batch.lineIds,
    figures: Object.fromEntries(
      components.figures
        .filter(({ id }) => id.startsWith(`${batch.id}/`))
        .map((figure) => [figure.id, printed(figure)]),
    ),
  }));
}

/** The field that a line's fault is about: the id of a thing, or what was stated of a figure. */
function fieldOf(i: number, { fault, line }: Extract<PlannedLine, { planned: false }>): string {
  if (fault.field === 'measured') return `run.lines[${i}].measured["${fault.figureId ?? ''}"]`;
  if (fault.field === 'lots' || fault.field === 'line' || fault.field === 'kitchen')
    return `run.lines[${i}].${fault.field}`;
  const own = `${fault.field}Id`;
  return own in line ? `run.lines[${i}].${own}` : `run.lines[${i}].${fault.field}`;
}

function asked(args: readonly string[]): string {
  const { path, why } = readArguments(args);
  const read = readRunFile(readJson(path));
  if (!read.ok) {
    const [first] = read.faults;
    return fail(first?.field ?? path, first?.fault ?? 'It does not fit the schema.', first?.mend ?? '');
  }
  const { lines, components, fault } = planWhole(read.value);
  const planned: LinePlan[] = [];
  lines.forEach((line, i) => {
    if (line.planned) planned.push(line);
    else fail(fieldOf(i, line), line.fault.fault, line.fault.mend);
  });
  if (fault) fail('formulas', fault.fault, fault.mend);
  if (why !== null) return whyPrinted(planned, why);
  const day = toEnd(dayOfFile(read.value));
  const all = togetherHold(planned.map(({ holds }) => holds));
  const out = {
    run: read.value.run.id,
    readyAt: read.value.run.readyAt,
    allergens: listed(all),
    packets: all.packets,
    day: printedDay(day),
    lines: planned.map((plan) => printedLine(plan, day)),
    components: printedComponents(components),
  };
  return `${JSON.stringify(out, null, 2)}\n`;
}

/** What the command answers: its exit code, and what it prints to standard output and to standard error. */
export function sums(args: readonly string[]): { status: number; out: string; err: string } {
  try {
    return { status: 0, out: asked(args), err: '' };
  } catch (error) {
    const said =
      error instanceof Refused
        ? error.message
        : oneLine(`run: It could not be reckoned. ${error instanceof Error ? error.message : ''}`);
    return { status: 2, out: '', err: `${said}\n` };
  }
}

if (require.main === module) {
  // Whoever reads the figures may have read enough.
  process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 2));
  const { status, out, err } = sums(process.argv.slice(2));
  if (err) writeSync(2, err);
  process.exitCode = status;
  process.stdout.write(out);
}
