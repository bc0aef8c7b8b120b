import { memo } from 'react';
import { View } from 'react-native';
import type { CubeLine, Line, MiniWellsLine, RunDoc } from '../../../core/model/documents';
import { copyOf, remake } from '../../../core/line/edit';
import { newLine, type MiniStyle } from '../../../core/line/newLine';
import type { PlannedLine } from '../../../core/plan';
import { showText } from '../../../core/quantity';
import { formulaIn } from '../../../state/documents';
import { newId } from '../../../state/ids';
import { editLine, changeLines, useDocuments, useKitchen, useNumberStyle } from '../../../state/store';
import { QuietAction } from '../../../ui/actions';
import { Card } from '../../../ui/card';
import { ChoiceValue, Sentence } from '../../../ui/sentence';
import { Notice } from '../../../ui/notice';
import { Small } from '../../../ui/text';
import { space } from '../../../ui/theme';
import { PieceDrawing } from '../LineCut';
import { LineFault } from '../RunFrame';
import { STYLE_WORDS } from '../words';
import { CakesicleWords, PopWords } from './DoughWords';
import { CountField, setterOf } from './fields';
import { FreeFrom } from './FreeFrom';
import { KeepPiece } from './KeepPiece';
import { WithoutOne } from './WithoutOne';
import { Lots } from './Lots';
import { CubeWords } from './CubeWords';
import { MugWords } from './MugWords';
import { CupcakeWords, MiniWellsWords } from './WellsWords';

interface LineCardProps {
  readonly run: RunDoc;
  readonly line: Line;
  /** What was reckoned of the line last: it may be a picture behind; null for a line that was just added. */
  readonly planned: PlannedLine | null;
  readonly draw: boolean;
}

/** What of a plan shows on its card: as long as it is the same, the card need not be drawn anew. */
function shownOf({ planned, draw, run }: LineCardProps): string {
  if (!planned?.planned) return JSON.stringify([planned?.fault, run.lines.length]);
  const drawn = draw
    ? planned.figures.filter(({ unit }) => unit === 'mm' || unit === 'share').map(({ value }) => value)
    : [];
  const { portion, piece, count } = planned.parts;
  const values = [portion?.value, piece.value, count.made.value];
  return JSON.stringify([values, drawn, run.lines.length]);
}

/**
 * One line of a run: a sentence in which every value can be changed, its lots, and what becomes of it. A run may have
 * sixty: a change of one leaves the others as they are.
 */
export const LineCard = memo(
  LineCardBody,
  (before, after) =>
    before.line === after.line &&
    before.draw === after.draw &&
    before.run.id === after.run.id &&
    ((before.planned === after.planned && before.run.lines.length === after.run.lines.length) ||
      shownOf(before) === shownOf(after)),
);

function LineCardBody({ run, line, planned, draw }: LineCardProps) {
  const style = useNumberStyle();
  return (
    <Card>
      {draw && planned?.planned ? (
        <View style={{ alignItems: 'center' }}>
          <PieceDrawing plan={planned} width={300} height={130} label="The piece, cut through" />
        </View>
      ) : null}
      {planned?.planned
        ? planned.warnings
            .filter(({ why }) => why.code === 'batter lacks')
            .map(({ fault, mend }) => <Notice key={fault} fault={fault} mend={mend} />)
        : null}
      <LineWords run={run} line={line} />
      {planned?.planned ? (
        <Small>{`${showText((planned.parts.portion ?? planned.parts.piece).value, 'g', style)} each; ${planned.parts.count.made.value} made.`}</Small>
      ) : planned ? (
        <LineFault line={planned} />
      ) : null}
      <Lots run={run} line={line} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        {run.lines.length < 60 ? (
          <QuietAction
            title="The same again"
            icon="plus"
            onPress={() =>
              changeLines('The same again', run.id, (lines) =>
                lines.flatMap((one) => (one.id === line.id ? [one, copyOf(one, newId('line'))] : [one])),
              )
            }
          />
        ) : null}
        <KeepPiece line={line} />
        <WithoutOne run={run} line={line} />
        <FreeFrom run={run} line={line} />
        {run.lines.length > 1 ? (
          <QuietAction
            title="Take this line out"
            icon="bin"
            onPress={() =>
              changeLines('Take this line out', run.id, (lines) => lines.filter(({ id }) => id !== line.id))
            }
          />
        ) : null}
      </View>
    </Card>
  );
}

function LineWords({ run, line }: { readonly run: RunDoc; readonly line: Line }) {
  switch (line.family) {
    case 'cupcake':
      return (
        <Sentence>
          <CupcakeWords run={run} line={line} set={setterOf(run, line)} />
        </Sentence>
      );
    case 'pop':
      return <PopWords run={run} line={line} set={setterOf(run, line)} />;
    case 'cakesicle':
      return <CakesicleWords run={run} line={line} set={setterOf(run, line)} />;
    case 'mug':
      return (
        <Sentence>
          <MugWords run={run} line={line} set={setterOf(run, line)} />
        </Sentence>
      );
    case 'mini':
      return (
        <Sentence>
          <CountField line={line} set={setterOf(run, line)} />
          <StyleField run={run} line={line} />
          {line.style === 'cubes' ? (
            <CubeWords run={run} line={line} set={setterOf(run, line)} />
          ) : (
            <MiniWellsWords run={run} line={line} set={setterOf(run, line)} />
          )}
        </Sentence>
      );
  }
}

/** Which kind of mini cake. Another kind starts as usual, with the same count, formula and lots. */
function StyleField({ run, line }: { readonly run: RunDoc; readonly line: MiniWellsLine | CubeLine }) {
  const kitchen = useKitchen();
  const formula = useDocuments((state) => formulaIn(state.docs, line.formulaId));
  const choose = (style: MiniStyle) => {
    if (!formula) return;
    const made = newLine({
      id: line.id,
      family: 'mini',
      count: line.count,
      crumb: { from: 'formula', formula },
      kitchen,
      style,
    });
    if (made.ok) editLine('Kind', run.id, line.id, remake(made.line));
  };
  return (
    <ChoiceValue
      testID="value-style"
      label="Kind"
      title="Which kind of mini cake"
      value={line.style}
      text={STYLE_WORDS[line.style].title}
      choices={(Object.keys(STYLE_WORDS) as MiniStyle[]).map((key) => ({ value: key, ...STYLE_WORDS[key] }))}
      onChoose={choose}
      after=" of"
    />
  );
}
