import fc from 'fast-check';
import { FAMILY_FILES } from '../../demo/families';
import { planWhole } from '../plan';
import { workOf, type DayFile } from '../schedule/chores';
import { LEVELS, hiddenOf } from './hidden';
import { PIECE_MIN, bestOf, momentOf, played, toNextScene, type Rehearsal, type Script } from './rehearse';
import {
  coatScene,
  frostScene,
  hasCome,
  lookScene,
  outScene,
  squeezeScene,
  trueBakeS,
  type Scene,
} from './scenes';

const scriptOf = (name: string): Script => {
  const file = FAMILY_FILES[name] as DayFile;
  const whole = planWhole(file);
  return { whole, chores: workOf(whole, file.kitchen), named: (id) => id };
};
const POPS = scriptOf('pops');
const MINIS = scriptOf('minis');
const start = (seed: number, level: Rehearsal['level'] = 'usual'): Rehearsal => ({
  seed,
  level,
  answers: [],
});
const byBest = (scene: Scene) => bestOf(scene).answers;
/** Somebody who takes the first thing that is offered. */
const byFirst = (scene: Scene) => [scene.options[0]?.id ?? ''];
const seed = fc.integer({ min: 1, max: 100_000 });

describe('a rehearsal', () => {
  it('is played to its end by its best answers, and loses nothing that they could have kept', () => {
    fc.assert(
      fc.property(seed, fc.constantFrom(...LEVELS), fc.constantFrom(POPS, MINIS), (n, level, script) => {
        const best = momentOf(script, played(script, start(n, level), byBest));
        const bad = momentOf(script, played(script, start(n, level), byFirst));
        expect(best.chore).toBeNull();
        expect(best.done).toBe(best.of);
        expect(best.extraMin).toBeCloseTo(0, 6);
        expect(best.lost * PIECE_MIN).toBeLessThanOrEqual(
          bad.lost * PIECE_MIN + Math.max(0, bad.extraMin) + 1e-6,
        );
        for (const one of best.judged) expect(one.came.lost).toBe(one.best.lost);
      }),
      { numRuns: 30 },
    );
  });

  it('costs something to answer badly', () => {
    const cost = (choose: (scene: Scene) => readonly string[]) => {
      let all = 0;
      for (let n = 1; n <= 20; n += 1) {
        const { lost, extraMin } = momentOf(MINIS, played(MINIS, start(n), choose));
        all += lost * PIECE_MIN + extraMin;
      }
      return all;
    };
    expect(cost(byFirst)).toBeGreaterThan(cost(byBest) + 100);
  });

  it('is the same for the same seed, and can be left and taken up after every answer', () => {
    fc.assert(
      fc.property(seed, fc.nat(), (n, cut) => {
        const whole = played(POPS, start(n), byBest);
        const at = cut % (whole.answers.length + 1);
        const half = { ...whole, answers: whole.answers.slice(0, at) };
        expect(played(POPS, half, byBest)).toEqual(whole);
        expect(momentOf(POPS, half).done).toBeLessThanOrEqual(momentOf(POPS, whole).done);
      }),
      { numRuns: 20 },
    );
  });

  it('passes over what cannot be answered there', () => {
    fc.assert(
      fc.property(seed, fc.array(fc.string({ maxLength: 6 }), { maxLength: 10 }), (n, noise) => {
        const moment = momentOf(POPS, { ...start(n), answers: noise.filter((one) => one !== 'done') });
        expect(moment.done).toBe(0);
      }),
      { numRuns: 20 },
    );
  });

  it('goes on to the next judgement where somebody knows the steps', () => {
    const there = toNextScene(POPS, start(3));
    const moment = momentOf(POPS, there);
    expect(moment.scene).not.toBeNull();
    expect(toNextScene(POPS, there)).toEqual(there);
  });

  it('is rougher the rougher it is asked for', () => {
    const spread = (level: Rehearsal['level']) => {
      let sum = 0;
      for (let n = 1; n <= 200; n += 1) sum += Math.abs(hiddenOf(n, level).ovenOffK);
      return sum;
    };
    expect(spread('calm')).toBeLessThan(spread('usual'));
    expect(spread('usual')).toBeLessThan(spread('rough'));
    expect(hiddenOf(5, 'calm').more).toBeNull();
    expect(hiddenOf(5, 'rough').more?.pieces).toBe(6);
  });
});

describe('scenes', () => {
  const end = (scene: Scene, id: string) => {
    const { then } = scene.answer(id);
    if (!hasCome(then)) throw new Error('an end');
    return then;
  };

  it('a look shows what the time in the heat has made of it', () => {
    const at = (share: number) => lookScene('cakes', 12, 1000, share * 1000);
    expect(at(0.8).looks).toBe('wet');
    expect(at(0.92).looks).toBe('crumbs');
    expect(at(1).looks).toBe('clean');
    expect(end(at(0.8), 'out').lost).toBeGreaterThan(0);
    expect(end(at(1), 'out').lost).toBe(0);
    expect(end(at(1.5), 'out').lost).toBeGreaterThan(0);
    // In again for four minutes of a bake of 1000 s: from 0.8 to just over.
    const again = at(0.8).answer('middle');
    expect(again.minutes).toBe(4);
    expect(hasCome(again.then) ? '' : again.then.looks).toBe('clean');
  });

  it('an oven that runs cool takes longer, by the baking model', () => {
    const plan = MINIS.whole.lines.find((line) => line.planned && line.parts.ovenQuestion !== null);
    if (!plan?.planned) throw new Error('minis bake');
    const hidden = { ...hiddenOf(1, 'calm'), bakeFactor: 1 };
    const time = (ovenOffK: number) => trueBakeS(plan, { ...hidden, ovenOffK }) ?? NaN;
    expect(time(0)).toBeCloseTo(plan.parts.clocked?.time.value ?? NaN, 3);
    expect(time(-10)).toBeGreaterThan(time(0));
    expect(time(10)).toBeLessThan(time(0));
  });

  it('binder by the spoon up to the squeeze is best, whatever the crumb drinks', () => {
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 300 }), (trueG) => {
        const best = bestOf(squeezeScene(36, trueG, 50));
        if (trueG < 150) expect(best.lost).toBe(0);
        expect(best.answers.at(-1)).toMatch(/roll|chill/);
      }),
    );
  });

  it('water in a coat is never the best, warmth is for a thick one', () => {
    expect(bestOf(coatScene(36, 1.4)).answers).not.toContain('water');
    expect(bestOf(coatScene(36, 1.4)).lost).toBe(0);
    expect(bestOf(coatScene(36, 1)).answers).toEqual(['dip']);
  });

  it('a cake that clings is given its minutes, and a warm one is not frosted', () => {
    expect(bestOf(outScene(12, true)).answers).toEqual(['wait']);
    expect(bestOf(frostScene(12, true)).answers).toEqual(['fridge']);
  });
});
