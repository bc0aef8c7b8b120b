import Papa from 'papaparse';
import { FAMILY_FILES } from '../../demo/families';
import type { RunFile } from '../model/documents';
import { planWhole } from '../plan';
import { bowlsOf, tickKey, withTicks } from '../plan/bowls';
import { gatherCsv } from './gatherCsv';

const FILE = FAMILY_FILES.evening as RunFile;
const WHOLE = planWhole(FILE);
const read = (run = FILE.run) => {
  const { data, errors } = Papa.parse<Record<string, string>>(gatherCsv(run, WHOLE, null), {
    header: true,
    skipEmptyLines: true,
  });
  expect(errors).toEqual([]);
  return data;
};

describe('the list to gather by as a table', () => {
  it('has every bowl’s ingredients with their grams, none lost and none twice', () => {
    const bowls = bowlsOf(FILE.run, WHOLE).flatMap(({ batch }) => batch.ingredients);
    const grams = (all: readonly number[]) => all.reduce((sum, one) => sum + one, 0);
    const ofBowls = read().filter(({ unit, weighed }) => unit === 'g' && weighed !== undefined);
    const wanted = bowls.map(({ mass }) => mass.value);
    const found = wanted.map((one) => ofBowls.some(({ amount }) => Math.abs(Number(amount) - one) < 0.006));
    expect(found).not.toContain(false);
    expect(ofBowls.length).toBeGreaterThanOrEqual(bowls.length);
    expect(grams(ofBowls.map(({ amount }) => Number(amount)))).toBeGreaterThanOrEqual(grams(wanted) - 1);
  });

  it('says what is weighed already', () => {
    const [bowl] = bowlsOf(FILE.run, WHOLE);
    const [item] = bowl?.batch.ingredients ?? [];
    if (!bowl || !item) throw new Error('a bowl');
    expect(read().filter(({ weighed }) => weighed === 'true')).toEqual([]);
    const ticked = read(withTicks(FILE.run, [tickKey(bowl.batch, item)])).filter(
      ({ weighed }) => weighed === 'true',
    );
    expect(ticked.map(({ what }) => what)).toEqual([item.name]);
  });
});
