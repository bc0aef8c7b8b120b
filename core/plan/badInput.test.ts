import fc from 'fast-check';
import { FAMILY_FILES } from '../../demo/families';
import { readRunFile } from '../exchange/read';
import { planWhole } from '.';
import { dayOf, warningsOf } from '../schedule';

const FILES = Object.values(FAMILY_FILES);
type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

/** All places in a document, as paths. */
function placesIn(value: Json, path: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (value === null || typeof value !== 'object') return [path];
  const inner = Array.isArray(value)
    ? value.flatMap((item, i) => placesIn(item, [...path, i]))
    : Object.entries(value).flatMap(([key, item]) => placesIn(item, [...path, key]));
  return path.length === 0 ? inner : [path, ...inner];
}

function withAt(value: Json, path: readonly (string | number)[], put: unknown): Json {
  const [key, ...rest] = path;
  if (key === undefined) return put as Json;
  const copy = (Array.isArray(value) ? [...value] : { ...(value as object) }) as Record<
    string | number,
    Json
  >;
  const next = rest.length === 0 ? (put as Json) : withAt(copy[key] ?? null, rest, put);
  if (put === undefined && rest.length === 0) delete copy[key];
  else copy[key] = next;
  return copy;
}

const asJson = (file: unknown) => JSON.parse(JSON.stringify(file)) as Json;

/** Reads and plans; returns what came of it, or throws where anything but a fault comes out. */
function tried(data: unknown): 'refused' | 'unplanned' | 'planned' {
  const read = readRunFile(data);
  if (!read.ok) {
    for (const { field, fault, mend } of read.faults)
      if (!field || !fault || !mend) throw new Error('silent');
    return 'refused';
  }
  const { lines, fault: common } = planWhole(read.value);
  if (common && (!common.fault || !common.mend)) throw new Error('silent');
  for (const line of lines) {
    if (!line.planned) {
      if (!line.fault.fault || !line.fault.mend) throw new Error('silent');
      continue;
    }
    // Everything that is told must be tellable.
    void [
      line.figures,
      line.remainder,
      dayOf(line),
      warningsOf(line),
      line.cautions,
      line.keeping,
      line.notes,
    ];
    void [line.strata, line.tests, line.holds, line.needs];
  }
  return lines.every((line) => line.planned) ? 'planned' : 'unplanned';
}

describe('bad input', () => {
  it('plans every demo file as it is', () => {
    expect(FILES.map((file) => tried(asJson(file)))).toEqual(FILES.map(() => 'planned'));
  });

  it('comes out as a fault with field, fault and mend, whatever stands wherever in a file', () => {
    const odd = fc.oneof(
      fc.constantFrom<unknown>(undefined, null, NaN, Infinity, -1, 0, 1e-9, 1e9, '', 'x', [], {}, true),
      fc.double(),
      fc.integer({ min: -10, max: 6000 }),
      fc.anything({ maxDepth: 2 }),
    );
    fc.assert(
      fc.property(fc.nat(FILES.length - 1), fc.nat(), odd, (which, where, put) => {
        const file = asJson(FILES[which]);
        const places = placesIn(file);
        tried(withAt(file, places[where % places.length] ?? [], put));
      }),
      { numRuns: 600 },
    );
  });

  it('comes out as a fault for any numbers within the bounds of the schema, several at once', () => {
    const numbers = fc.oneof(
      fc.double({ min: 0.001, max: 5000, noNaN: true }),
      fc.integer({ min: 1, max: 5000 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
    );
    fc.assert(
      fc.property(
        fc.nat(FILES.length - 1),
        fc.array(fc.tuple(fc.nat(), numbers), { minLength: 1, maxLength: 4 }),
        (which, changes) => {
          let file = asJson(FILES[which]);
          const places = placesIn(file).filter((path) => {
            let at: Json = file;
            for (const key of path) at = (at as Record<string | number, Json>)[key] ?? null;
            return typeof at === 'number';
          });
          for (const [where, put] of changes) file = withAt(file, places[where % places.length] ?? [], put);
          tried(file);
        },
      ),
      { numRuns: 600 },
    );
  });

  it('names a weigh-in that cannot be: more crumb than cake, more cake than batter', () => {
    const pops = FAMILY_FILES.pops;
    if (!pops) throw new Error('the demo has pops');
    const stating = (measured: Record<string, number>) => {
      const [first] = pops.run.lines;
      if (!first) throw new Error('with a line');
      const [line] = planWhole({ ...pops, run: { ...pops.run, lines: [{ ...first, measured }] } }).lines;
      return line?.planned === false ? line.fault : null;
    };
    expect(stating({ 'crumb.1.cake': 900, 'crumb.1': 1000 })).toMatchObject({
      field: 'measured',
      figureId: 'crumb.1',
      fault: '"Crumb of it" is stated as 1000 g; it cannot be more than 900 g.',
    });
    expect(stating({ 'crumb.1.cake': 900, 'crumb.1': 850 })).toBeNull();
    expect(stating({ 'crumb.1.cake': 9000 })).toMatchObject({ figureId: 'crumb.1.cake' });
    expect(stating({ 'dough.density': -1 })).toMatchObject({ figureId: 'dough.density' });
  });

  it('names formulas that are made of themselves', () => {
    const evening = asJson(FAMILY_FILES.evening) as { formulas: { id: string; parts?: unknown }[] };
    const syrup = evening.formulas.find(({ id }) => id === 'formula-barley-syrup');
    if (!syrup) throw new Error('the demo has a syrup');
    syrup.parts = [{ formulaId: 'formula-malt-buttercream', massG: 10 }];
    const read = readRunFile(evening);
    expect(read.ok ? [] : read.faults.map(({ fault }) => fault)).toContain(
      '"Barley syrup" is made of itself: Barley syrup → Malt buttercream → Barley syrup.',
    );
  });

  it('refuses lots that promise more pieces than the line has', () => {
    const pops = FAMILY_FILES.pops;
    const [line] = pops
      ? planWhole({
          ...pops,
          run: { ...pops.run, lines: pops.run.lines.slice(0, 1).map((one) => ({ ...one, count: 20 })) },
        }).lines
      : [];
    expect(line).toMatchObject({ planned: false, fault: { field: 'lots' } });
  });
});
