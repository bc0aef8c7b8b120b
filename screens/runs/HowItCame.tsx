import type { Inside, Line } from '../../core/model/documents';
import type { FinishKind, FinishWords } from '../../core/plan';
import { Chip, Chips } from '../../ui/actions';
import { Small } from '../../ui/text';

export const FINISH_WORDS: Readonly<Record<FinishKind, string>> = {
  sunk: 'sunk',
  flat: 'flat',
  gentle: 'gently domed',
  high: 'high-domed',
  over: 'ran over',
};

/** What bakes in wells of its own ends flat or domed; a pop or a mug does not. */
export const isDomed = ({ family }: Line): boolean => family === 'cupcake' || family === 'mini';

/** How a load was inside, in a baker's words. */
const INSIDE: readonly (readonly [Inside, string])[] = [
  ['wet', 'still wet'],
  ['right', 'just right'],
  ['dry', 'a little dry'],
  ['burnt', 'burnt'],
];

/** How pieces ended in their wells, beside what the plan said. */
export function FinishField({
  said,
  of,
  teaches = true,
  finish,
  onFinish,
}: {
  readonly said: FinishWords;
  /** Which pieces, where a sheet asks of several. */
  readonly of?: string;
  /** It is told of one line: of several together it says nothing of any. */
  readonly teaches?: boolean;
  /** Null for as long as nobody has said so. */
  readonly finish: FinishKind | null;
  readonly onFinish: (finish: FinishKind) => void;
}) {
  return (
    <>
      <Small>
        {teaches
          ? `How they ended. The plan said ${said.name}: tap what it was, and the next fill goes by it.`
          : `How they ended. The plan said ${said.name}.`}
      </Small>
      <Chips label={['How they ended', of].filter(Boolean).join(', ')}>
        {(Object.keys(FINISH_WORDS) as FinishKind[]).map((kind) => (
          <Chip
            key={kind}
            title={FINISH_WORDS[kind]}
            selected={kind === (finish ?? said.kind)}
            onPress={() => onFinish(kind)}
          />
        ))}
      </Chips>
    </>
  );
}

/** How a load was inside, once it was eaten or cut. */
export function InsideField({
  of,
  inside,
  onInside,
}: {
  readonly of?: string;
  readonly inside: Inside | null;
  readonly onInside: (inside: Inside | null) => void;
}) {
  return (
    <>
      <Small>Inside they were. Leave it open, and the last look counts.</Small>
      <Chips label={['Inside they were', of].filter(Boolean).join(', ')}>
        {INSIDE.map(([id, title]) => (
          <Chip
            key={id}
            title={title}
            selected={inside === id}
            onPress={() => onInside(inside === id ? null : id)}
          />
        ))}
      </Chips>
    </>
  );
}
