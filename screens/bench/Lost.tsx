import { useState } from 'react';
import type { BenchState } from '../../core/bench/log';
import type { RunDoc } from '../../core/model/documents';
import type { LinePlan } from '../../core/plan';
import { lose } from '../../state/bench';
import { QuietAction } from '../../ui/actions';
import { NumberSheet } from '../../ui/numberSheet';
import { Body } from '../../ui/text';
import { lineName } from '../day/day.words';

/** Some of a line broke, fell or burnt: how many, and the rest of the day is for fewer. */
export function Lost({ run, plan }: { readonly run: RunDoc; readonly plan: LinePlan }) {
  const [asked, setAsked] = useState(false);
  const made = plan.parts.count.made.value;
  return (
    <>
      <QuietAction title="Some are lost" onPress={() => setAsked(true)} />
      <NumberSheet
        ask={
          asked
            ? {
                title: 'How many are lost',
                hint: `Of ${made}. What is left of the day goes on for the rest.`,
                value: 1,
                unit: 'pieces',
                min: 1,
                max: Math.max(1, made),
                whole: true,
                quick: [1, 2, 3, 6],
              }
            : null
        }
        onClose={() => setAsked(false)}
        onSave={(pieces) => {
          lose(run.id, plan.line.id, pieces);
          setAsked(false);
        }}
      />
    </>
  );
}

/** How many go on of those lines of which some are lost, or whose bowl came to another count. */
export function LostLine({
  run,
  state: { lost, counted },
}: {
  readonly run: RunDoc;
  readonly state: Pick<BenchState, 'lost' | 'counted'>;
}) {
  return (
    <>
      {run.lines.map((line) => {
        const gone = lost.get(line.id) ?? 0;
        const came = counted.get(line.id);
        if (gone === 0 && came === undefined) return null;
        const words = [
          ...(came === undefined ? [] : [`the bowl came to ${came}`]),
          ...(gone === 0 ? [] : [`${gone} lost`]),
        ].join(', ');
        return <Body key={line.id}>{`${lineName(run, line.id)}: ${words}. The rest goes on.`}</Body>;
      })}
    </>
  );
}
