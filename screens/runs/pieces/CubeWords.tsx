import type { CubeLine, SheetDoc } from '../../../core/model/documents';

import { showText } from '../../../core/quantity';
import { useKitchen, useNumberStyle } from '../../../state/store';

import { ChoiceValue, Words } from '../../../ui/sentence';
import {
  EggField,
  FormulaField,
  MeasureField,
  OvenField,
  OvenTemperature,
  ThingField,
  plainChoices,
  type LineProps,
} from './fields';

import { CoatWords, FrostingWords } from './finish';

export function FondantField({
  fondant,
  onChange,
}: {
  readonly fondant: boolean | undefined;
  readonly onChange: (fondant: boolean) => void;
}) {
  return (
    <ChoiceValue
      label="Fondant"
      title="Fondant"
      value={fondant ? 'yes' : 'no'}
      text={fondant ? 'Covered with fondant' : 'No fondant'}
      choices={[
        { value: 'no', title: 'no fondant' },
        { value: 'yes', title: 'covered with fondant', detail: 'Rolled out and laid over.' },
      ]}
      onChoose={(choice) => onChange(choice === 'yes')}
      after="."
    />
  );
}

/** Mini cakes are often handed over on a board each. */
export function BoardField({
  boards,
  onChange,
}: {
  readonly boards: boolean | undefined;
  readonly onChange: (boards: boolean) => void;
}) {
  return (
    <ChoiceValue
      testID="value-boards"
      label="Boards"
      title="Boards"
      value={boards ? 'yes' : 'no'}
      text={boards ? 'Each on a board' : 'No boards'}
      choices={[
        { value: 'no', title: 'no boards' },
        {
          value: 'yes',
          title: 'each on a board',
          detail: 'Boards are set out and stand on the shopping list.',
        },
      ]}
      onChoose={(choice) => onChange(choice === 'yes')}
      after="."
    />
  );
}

type Sheet = Pick<SheetDoc, 'lengthMm' | 'widthMm'> | null;

/** Sides of a sheet where its kitchen has none any more, mm. */
const NO_SHEET = { lengthMm: 330, widthMm: 230 };
const MOST_CUTS = 16;

/** What a piece measures along the sheet, mm. */
function pieceMm({ columns, trimMm }: CubeLine, sheet: Sheet): number {
  const { lengthMm } = sheet ?? NO_SHEET;
  return Math.round(Math.max(lengthMm - 2 * trimMm, 1) / columns);
}

/** As many whole pieces of a size as the sheet gives, and all of them. */
function cutsOf(mm: number, { trimMm }: CubeLine, sheet: Sheet): Partial<CubeLine> & { count: number } {
  const { lengthMm, widthMm } = sheet ?? NO_SHEET;
  const along = (side: number) => Math.min(Math.max(Math.floor((side - 2 * trimMm) / mm), 1), MOST_CUTS);
  const [columns, rows] = [along(lengthMm), along(widthMm)];
  return { columns, rows, count: columns * rows };
}

export function CubeWords({ run, line, set }: LineProps<CubeLine>) {
  const style = useNumberStyle();
  const { sheets = [] } = useKitchen();
  const sheet = sheets.find(({ id }) => id === line.sheetId) ?? null;
  const number = (value: number, over: (n: number) => Partial<CubeLine>, label: string, text: string) => (
    <ChoiceValue
      label={label}
      title={label}
      value={String(value)}
      text={text}
      choices={plainChoices(Array.from({ length: 16 }, (_, i) => String(i + 1)))}
      onChoose={(n) => set(label, over(Number(n)))}
    />
  );
  return (
    <>
      <FormulaField
        value={line.formulaId}
        onChoose={(formulaId) => set('Formula', { formulaId })}
        after=","
      />
      <Words>baked in the</Words>
      <ThingField
        testID="value-sheet"
        things={sheets}
        value={line.sheetId}
        label="Sheet"
        title="Which sheet"
        gone="a sheet that is gone"
        detail={(item) =>
          `${item.owned} × ${showText(item.lengthMm, 'mm', style)} by ${showText(item.widthMm, 'mm', style)}, ${showText(item.depthMm, 'mm', style)} deep`
        }
        onChoose={(sheetId) => set('Sheet', { sheetId })}
        after=","
      />
      <MeasureField
        label="Height of the cake"
        value={line.heightMm}
        unit="mm"
        min={8}
        max={100}
        onSave={(heightMm) => set('Height', { heightMm })}
      />
      <Words>high, cut into</Words>
      {number(line.columns, (columns) => ({ columns }), 'Pieces along', `${line.columns}`)}
      <Words>by</Words>
      {number(line.rows, (rows) => ({ rows }), 'Pieces across', `${line.rows}`)}
      <Words>pieces of about</Words>
      <MeasureField
        label="Size of a piece"
        value={pieceMm(line, sheet)}
        unit="mm"
        min={10}
        max={150}
        onSave={(mm) => set('Size of a piece', cutsOf(mm, line, sheet))}
      />
      <Words>after</Words>
      <MeasureField
        label="Trimmed off each edge"
        value={line.trimMm}
        unit="mm"
        min={0}
        max={40}
        onSave={(trimMm) => set('Trim', { trimMm })}
      />
      <Words>is trimmed off each edge, in the</Words>
      <OvenField value={line.ovenId} onChoose={(ovenId) => set('Oven', { ovenId })} />
      <Words>as for</Words>
      <OvenTemperature
        ovenC={line.ovenC}
        formulaId={line.formulaId}
        after=","
        onSave={(ovenC) => set('Oven temperature', { ovenC })}
      />
      <EggField value={line.eggs} onChoose={(eggs) => set('Eggs', { eggs })} />
      <FrostingWords
        run={run}
        line={line}
        frosting={line.frosting}
        onChange={(label, frosting) => set(label, { frosting })}
      />
      <CoatWords coat={line.coat} optional onChange={(label, coat) => set(label, { coat })} />
      <FondantField fondant={line.fondant} onChange={(fondant) => set('Fondant', { fondant })} />
      <BoardField boards={line.boards} onChange={(boards) => set('Boards', { boards })} />
    </>
  );
}
