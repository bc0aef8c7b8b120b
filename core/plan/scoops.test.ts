import { FAMILY_FILES } from '../../demo/families';
import type { RunFile } from '../model/documents';
import { scoopsOf } from './scoops';
import { questionsOf } from './whatIf';

const EVENING = FAMILY_FILES.evening as RunFile;
const kitchen = { ...EVENING.kitchen, scoops: undefined };
const own = {
  ...kitchen,
  scoops: [
    { id: 's1', name: 'Blue scoop', number: 40 },
    { id: 's2', name: 'Small scoop', number: 70 },
    { id: 's3', name: 'Blue scoop, the other', number: 40 },
  ],
};

describe('scoops to portion with', () => {
  it('are the usual ones where a kitchen names none, the smallest first', () => {
    expect(scoopsOf(kitchen).map(({ number }) => number)).toEqual([60, 50, 40, 30]);
    expect(scoopsOf({ ...kitchen, scoops: [] })).toEqual(scoopsOf(kitchen));
  });

  it('are the kitchen’s own where it has some, each number once', () => {
    expect(scoopsOf(own)).toEqual([
      { number: 70, name: 'Small scoop, level (number 70)' },
      { number: 40, name: 'Blue scoop, the other, level (number 40)' },
    ]);
  });

  it('are what is asked about when a size is tried', () => {
    const line = EVENING.run.lines.find(({ family }) => family === 'pop');
    if (!line) throw new Error('the evening has pops');
    const titles = questionsOf(line, own)
      .find(({ id }) => id === 'size')
      ?.alternatives.map(({ title }) => title);
    expect(titles).toContain('Small scoop, level (number 70)');
    expect(titles).not.toContain('A level scoop 60');
    // Weights stand in braces: the screen puts them into the person's unit.
    expect(titles).toContain('Usual: {25 g}');
  });
});
