import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import type { Unit } from '../../../core/figure';
import { join, show, type NumberStyle } from '../../../core/quantity';
import { Tap } from '../../../ui/tap';
import { space, useTokens } from '../../../ui/theme';
import { Body, Small, Strong } from '../../../ui/text';

/** A figure as it is and as it would be. */
export interface Difference {
  readonly label: string;
  readonly unit: Unit;
  readonly before: number;
  readonly after: number;
}

export interface ComparedRow {
  readonly label: string;
  readonly now: string;
  readonly then: string;
  readonly by: string;
}

/** As many as matter at a glance. */
const FIRST = 3;

/** How much one matters against another: pieces before all, then what changes most against itself. */
const weight = ({ unit, before, after }: Difference): number =>
  unit === 'pieces' || unit === 'loads'
    ? 1e6 + Math.abs(after - before)
    : Math.abs(after - before) / Math.max(Math.abs(before), Math.abs(after), 1e-9);

/** What differs on the kitchen's own scale and clock, what matters most first. */
export function comparedRows(changes: readonly Difference[], style: NumberStyle): ComparedRow[] {
  return [...changes]
    .sort((a, b) => weight(b) - weight(a))
    .flatMap(({ label, unit, before, after }) => {
      const [now, then] = [before, after].map((value) => join(show(value, unit, style))) as [string, string];
      if (now === then) return [];
      const share = before === 0 ? null : Math.round((after / before - 1) * 100);
      const counted = unit === 'pieces' || unit === 'loads';
      const off = Math.round(after - before);
      const by = counted
        ? `${off > 0 ? '+' : '−'}${Math.abs(off)}`
        : share === null
          ? ''
          : `${share >= 0 ? '+' : '−'}${Math.abs(share)} %`;
      return [{ label, now, then, by }];
    });
}

/** Now, then, and by how much: three rows, and the rest behind a tap. */
export function Compared({ rows }: { readonly rows: readonly ComparedRow[] }) {
  const [all, setAll] = useState(false);
  const { line } = useTokens();
  const shown = all ? rows : rows.slice(0, FIRST);
  return (
    <View>
      <View role="table" aria-label="What changes">
        <Row
          line={null}
          cells={HEADS.map((head) => (
            <Small key={head}>{head}</Small>
          ))}
          label={<Small> </Small>}
          head
        />
        {shown.map(({ label, now, then, by }) => (
          <Row
            key={label}
            line={line}
            label={<Small>{label}</Small>}
            cells={[
              <Body key="now">{now}</Body>,
              <Strong key="then">{then}</Strong>,
              <Body key="by">{by}</Body>,
            ]}
          />
        ))}
      </View>
      {rows.length > FIRST && !all ? (
        <Tap
          label={`${rows.length - FIRST} more that change`}
          onPress={() => setAll(true)}
          style={{ minHeight: 44, justifyContent: 'center' }}
        >
          <Small>{`${rows.length - FIRST} more`}</Small>
        </Tap>
      ) : null}
    </View>
  );
}

const HEADS = ['now', 'then', 'by'];

function Row({
  line,
  label,
  cells,
  head = false,
}: {
  readonly line: string | null;
  readonly label: ReactNode;
  readonly cells: readonly ReactNode[];
  readonly head?: boolean;
}) {
  const role = head ? 'columnheader' : 'cell';
  return (
    <View
      role="row"
      style={{
        flexDirection: 'row',
        gap: space(1),
        paddingVertical: space(0.5),
        borderTopWidth: line === null ? 0 : 1,
        borderTopColor: line ?? undefined,
      }}
    >
      <View role={role} style={{ flex: 2 }}>
        {label}
      </View>
      {cells.map((cell, i) => (
        <View key={HEADS[i]} role={role} style={{ flex: 1, alignItems: 'flex-end' }}>
          {cell}
        </View>
      ))}
    </View>
  );
}
