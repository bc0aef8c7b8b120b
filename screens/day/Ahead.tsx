import { View } from 'react-native';
import type { RunDoc } from '../../core/model/documents';
import type { Part, RunDay } from '../../core/schedule/chores';
import { changeRunOf } from '../../state/store';
import { Chip, Chips } from '../../ui/actions';
import { Card } from '../../ui/card';
import { CautionLine } from '../cautions/CautionLine';
import { Small, Strong } from '../../ui/text';
import { space } from '../../ui/theme';
import { lineName } from './day.words';

/** What keeps and can be made days before, at no loss. */
export function Ahead({ run, day }: { readonly run: RunDoc; readonly day: RunDay }) {
  const parts = new Map<string, { readonly part: Part; readonly lineIds: readonly string[] }>();
  for (const { chore } of day.chores)
    if (chore.part && chore.part.keepsDays > 0)
      parts.set(chore.part.id, { part: chore.part, lineIds: chore.lineIds });
  if (parts.size === 0) return null;
  const set = (part: Part, days: number) =>
    changeRunOf(days === 0 ? `${part.name} on the day` : `${part.name} ahead`, run.id, (now) => {
      const { [part.id]: _, ...others } = now.ahead ?? {};
      return { ...now, ahead: days === 0 ? others : { ...others, [part.id]: days } };
    });
  return (
    <Card title="Days before">
      {[...parts.values()].map(({ part, lineIds }) => {
        const chosen = Math.min((run.ahead ?? {})[part.id] ?? 0, part.keepsDays);
        const days = Array.from({ length: Math.min(part.keepsDays, 4) + 1 }, (_, i) => i);
        return (
          <View key={part.id} style={{ gap: space(0.5) }}>
            <Strong>{part.name}</Strong>
            {run.lines.length > 1 ? <Small>{lineIds.map((id) => lineName(run, id)).join(', ')}</Small> : null}
            <Chips label={`When to make ${part.name}`}>
              {days.map((n) => (
                <Chip
                  key={n}
                  title={n === 0 ? 'On the day' : n === 1 ? 'Day before' : `${n} days`}
                  selected={chosen === n}
                  onPress={() => set(part, n)}
                />
              ))}
            </Chips>
            {chosen > 0 ? <Small>{part.how}</Small> : null}
          </View>
        );
      })}
      <CautionLine words="How long things keep depends on what is in them and where they stand. Local rules go before these days; in doubt, make it on the day." />
    </Card>
  );
}
