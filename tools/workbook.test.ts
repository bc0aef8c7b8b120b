import { FAMILY_FILES } from '../demo/families';
import { planWhole } from '../core/plan';
import { differences, sheetOf, spokenSums, workbookOf } from './workbook';

describe('what the explanations say is what is reckoned', () => {
  const plan = planWhole(FAMILY_FILES.evening as NonNullable<(typeof FAMILY_FILES)['evening']>);
  const plans = plan.lines.map((line) => {
    if (!line.planned) throw new Error(line.fault.fault);
    return line;
  });

  it('tells all but heat, heights and the choice of a scoop as arithmetic', () => {
    const spoken = new Set(plans.flatMap(spokenSums));
    expect(
      [...spoken].filter(
        (id) =>
          !/bake\.(time|inside|colour)$|micro\.(middle|core)$|^(fill\.belowRim|finish\.aboveRim|scoop\.number)$/.test(
            id,
          ),
      ),
    ).toEqual([]);
  });

  it('comes to the same values and ranges, laid out by its own words in a workbook', () => {
    const sheets = plans.map((line) => sheetOf(line.line.id, line));
    const { components } = plan;
    if (components) sheets.push(sheetOf('components', components));
    const book = workbookOf(sheets);
    expect(sheets.flatMap((sheet) => differences(book, sheet))).toEqual([]);
    // The check can fail: one cell a hundredth off is found, with all that rests on it.
    const [first] = sheets;
    const row = first?.figures.findIndex(({ id }) => id === 'batter.density') ?? 0;
    book.setCellContents({ sheet: 0, row, col: 0 }, [[0.909]]);
    const found = first ? differences(book, first).map(({ id }) => id) : [];
    expect(found).toEqual(expect.arrayContaining(['batter.density', 'rise', 'fill.share']));
    book.destroy();
  });
});
