import { FAMILY_FILES } from '../../demo/families';
import type { RunFile } from '../model/documents';
import { readRunFile } from './read';

type Loose = Record<string, unknown>;
const evening = () => JSON.parse(JSON.stringify(FAMILY_FILES.evening)) as RunFile;
const faults = (change: (file: RunFile) => void) => {
  const file = evening();
  change(file);
  const read = readRunFile(file);
  return read.ok ? [] : read.faults.map(({ field, fault, mend }) => `${field}: ${fault} ${mend}`);
};
const lineOf = (file: RunFile, id: string) =>
  file.run.lines.find((line) => line.id === id) as unknown as Loose;

describe('run files of all families', () => {
  it('read as they are, and export what they read', () => {
    const read = readRunFile(evening());
    expect(read.ok ? JSON.parse(JSON.stringify(read.value)) : read.faults).toEqual(evening());
  });

  it.each<[string, (file: RunFile) => void, RegExp]>([
    [
      'a sheet',
      (file) => void ((lineOf(file, 'pops-fresh').crumb as Loose[])[0]!.sheetId = 'x'),
      /crumb\[0\]\.sheetId: There is no sheet "x".+sheet-tray/,
    ],
    [
      'a binder’s formula',
      (file) => void ((lineOf(file, 'pops-fresh').binder as Loose).formulaId = 'x'),
      /binder\.formulaId: There is no formula "x"/,
    ],
    [
      'a vessel',
      (file) => void ((lineOf(file, 'cubes-dipped').coat as Loose).vesselId = 'x'),
      /coat\.vesselId: There is no vessel "x".+vessel-jug/,
    ],
    [
      'a mould',
      (file) => void (lineOf(file, 'sicles-plum').mouldId = 'x'),
      /mouldId: There is no mould "x".+mould-lantern/,
    ],
    [
      'a mug',
      (file) => void (lineOf(file, 'mugs-apple').mugId = 'x'),
      /mugId: There is no mug "x".+mug-hall/,
    ],
    [
      'a microwave',
      (file) => void (lineOf(file, 'mugs-apple').microwaveId = 'x'),
      /microwaveId: .+microwave-hall/,
    ],
    [
      'a filling’s formula',
      (file) => void ((lineOf(file, 'fingers-quince').filling as Loose).formulaId = 'x'),
      /filling\.formulaId: /,
    ],
    [
      'all mugs',
      (file) => void ((file.kitchen as Loose).mugs = undefined),
      /mugId: There is no mug "mug-hall" in this file\. Add the mug to the file/,
    ],
  ])('say where %s is missing and what could stand there', (_, change, words) =>
    expect(faults(change).join('\n')).toMatch(words),
  );

  it('say which formula has a part that is not there', () => {
    const found = faults(
      (file) =>
        void (file.formulas.find(({ id }) => id === 'formula-malt-buttercream')!.parts = [
          { formulaId: 'gone', massG: 4 },
        ]),
    );
    expect(found.join()).toMatch(/^formulas\[\d+\]\.parts\[0\]\.formulaId: There is no formula "gone"/);
  });

  it('say every fault, not just the first', () => {
    const found = faults((file) => {
      lineOf(file, 'sicles-plum').mouldId = 'x';
      lineOf(file, 'mugs-apple').mugId = 'y';
    });
    expect(found).toHaveLength(2);
  });
});
