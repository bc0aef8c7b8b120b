import { useState } from 'react';
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

/** How many go on of those lines of which some are lost; and whether that is still enough. */
export function LostLine({
  run,
  lost,
}: {
  readonly run: RunDoc;
  readonly lost: ReadonlyMap<string, number>;
}) {
  return (
    <>
      {[...lost].map(([lineId, pieces]) => {
        const line = run.lines.find(({ id }) => id === lineId);
        return line ? (
          <Body key={lineId}>{`${pieces} lost of ${lineName(run, lineId)}: the rest goes on.`}</Body>
        ) : null;
      })}
    </>
  );
}
