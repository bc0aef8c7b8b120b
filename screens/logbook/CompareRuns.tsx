import { comparedRuns, type Compared as Pair } from '../../core/logbook';
import type { RunDoc } from '../../core/model/documents';
import { formatNumber, showText, type NumberStyle } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { momentText } from '../../state/time';
import { Compared } from '../../ui/compared';
import { Sheet } from '../../ui/sheet';
import { Body, Small } from '../../ui/text';
import { FINISH_WORDS, isDomed } from '../runs/HowItCame';
import { useRunWords } from '../runs/RunList';

/** Tenths of what is small, and whole ones of the rest. */
const placesOf = (value: number): number => (value < 20 && !Number.isInteger(value) ? 1 : 0);

/** As it is shown: what stands in the third column is the difference of the other two. */
const asShown = (value: number): number => Number(value.toFixed(placesOf(value)));

const shown = (value: number | null, unit: Pair['unit'], style: NumberStyle): string =>
  value === null
    ? 'not told'
    : unit === 'g'
      ? showText(value, 'g', style)
      : `${formatNumber(value, placesOf(value), style.decimal)}${unit === 'pieces' ? '' : ` ${unit}`}`;

/** Two closed batches side by side: what differs most first. */
export function CompareRuns({
  a,
  b,
  visible,
  onClose,
}: {
  readonly a: RunDoc;
  readonly b: RunDoc;
  readonly visible: boolean;
  readonly onClose: () => void;
}) {
  const style = useNumberStyle();
  const words = useRunWords();
  const rows = comparedRuns(a, b).map(({ what, unit, a: x, b: y }) => {
    const by = x === null || y === null ? null : Number((asShown(y) - asShown(x)).toFixed(1));
    return {
      label: what,
      now: shown(x, unit, style),
      then: shown(y, unit, style),
      by: by === null ? '' : `${by > 0 ? '+' : by < 0 ? '−' : ''}${shown(Math.abs(by), unit, style)}`,
    };
  });
  const told = (run: RunDoc) =>
    run.closed
      ? `${run.name}, ${momentText(run.closed.at)}: ${words(run)}${run.lines.some(isDomed) ? `, ${FINISH_WORDS[run.closed.finish]}` : ''}. ${run.closed.note}`
      : '';
  return (
    <Sheet title="Two batches" visible={visible} onClose={onClose}>
      <Body>{told(a)}</Body>
      <Body>{told(b)}</Body>
      <Compared rows={rows} heads={['first', 'second', 'by']} title="Two batches side by side" />
      <Small>What differs most stands first.</Small>
    </Sheet>
  );
}
