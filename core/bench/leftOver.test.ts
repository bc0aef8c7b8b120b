import { FAMILY_FILES } from '../../demo/families';
import type { RunFile } from '../model/documents';
import { planWhole, type LinePlan } from '../plan';
import { frostingFromLeft, frostingMade } from './leftOver';
import { benchStateOf } from './log';

const EVENING = FAMILY_FILES.evening as RunFile;
const planned = planWhole(EVENING).lines.flatMap((line) => (line.planned ? [line] : []));
const find = (frosted: boolean): LinePlan => {
  const plan = planned.find((one) => (one.parts.frostingNeeded !== null) === frosted);
  if (!plan) throw new Error('the evening has both');
  return plan;
};
const NONE = benchStateOf([]);

describe('frosting that is left over', () => {
  const plan = find(true);
  const each = plan.figure('frosting.each').value;
  const made = frostingMade(plan) ?? 0;

  it('says what a piece took: nothing left is as planned, a quarter left three quarters of it', () => {
    expect(frostingFromLeft(plan, 0, NONE)).toBeCloseTo(each, 9);
    expect(frostingFromLeft(plan, made / 4, NONE)).toBeCloseTo(each * 0.75, 9);
  });

  it('is shared by the pieces that were frosted', () => {
    const n = made / each;
    const state = benchStateOf([{ id: 'e', at: 1, what: 'lost', lineId: plan.line.id, pieces: 2 }]);
    expect(frostingFromLeft(plan, 0, state)).toBeCloseTo(made / (n - 2), 9);
  });

  it('cannot be more than was made, and is none where nothing is frosted', () => {
    expect(frostingFromLeft(plan, made, NONE)).toBeNull();
    expect(frostingFromLeft(plan, -1, NONE)).toBeNull();
    expect(frostingMade(find(false))).toBeNull();
  });
});
