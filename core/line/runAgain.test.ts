import { FAMILY_FILES } from '../../demo/families';
import { runSchema } from '../model/documents';
import { runAgain } from './runAgain';

describe('a run made again', () => {
  const run = FAMILY_FILES['evening']?.run;
  if (!run) throw new Error('the demo has an evening');
  const worked = {
    ...run,
    ticks: ['a'],
    held: { 'x/mix': 30 },
    ahead: { 'x/cake': 1 },
    lines: run.lines.map((line) => ({ ...line, ticks: ['b'], measured: { 'piece.mass': 20 } })),
    closed: { at: 1, made: 3, finish: 'flat' as const, note: '' },
  };
  const again = runAgain(worked, { id: 'run-b', name: 'Again', createdAt: 5, readyAt: '2026-12-05T10:00' });

  it('keeps what was chosen and lets go of what happened', () => {
    expect(runSchema.safeParse(again).success).toBe(true);
    expect(again.lines.map(({ count, family }) => [family, count])).toEqual(
      run.lines.map(({ count, family }) => [family, count]),
    );
    for (const line of again.lines) expect([line.measured, line.ticks]).toEqual([{}, []]);
    expect(again).toMatchObject({
      id: 'run-b',
      readyAt: '2026-12-05T10:00',
      closed: null,
      ahead: { 'x/cake': 1 },
    });
    expect(again.held).toBeUndefined();
    expect(again.ticks).toBeUndefined();
  });

  it('leaves the run that it was made from as it is', () => {
    expect(worked.lines[0]?.ticks).toEqual(['b']);
  });
});
