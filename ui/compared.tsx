import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Tap } from './tap';
import { Body, Small, Strong } from './text';
import { space, useTokens } from './theme';

/** One thing as it is and as it would be, in words. */
export interface ComparedRow {
  readonly label: string;
  readonly now: string;
  readonly then: string;
  readonly by: string;
}

/** As many as matter at a glance. */
const FIRST = 3;

/** Now, then, and by how much: three rows, and the rest behind a tap. */
export function Compared({
  rows,
  whole = false,
  heads = HEADS,
  title = 'What changes',
}: {
  readonly rows: readonly ComparedRow[];
  /** Over the three columns. */
  readonly heads?: readonly [string, string, string];
  readonly title?: string;
  /** All rows at once. */
  readonly whole?: boolean;
}) {
  const [all, setAll] = useState(whole);
  const { line } = useTokens();
  const shown = all ? rows : rows.slice(0, FIRST);
  return (
    <View>
      <View role="table" aria-label={title}>
        <Row
          line={null}
          cells={heads.map((head) => (
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
          <Strong>{`Show ${rows.length - FIRST} more`}</Strong>
        </Tap>
      ) : null}
    </View>
  );
}

const HEADS = ['now', 'then', 'by'] as const;

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
