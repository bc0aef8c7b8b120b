import { View } from 'react-native';
import type { KitchenDoc } from '../../core/model/documents';
import { paramOf } from '../../core/param';
import { useNow } from '../../state/clock';
import { startAfresh } from '../../state/learned';
import { useDocuments, useNumberStyle } from '../../state/store';
import { dateOf, dayText } from '../../state/time';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { thingOf } from '../kitchen/StatedHere';
import { beliefText } from './beliefText';

/** What this kitchen has learned from its outcomes: each with what it started from, from how many, and a way to begin again. */
export function KnownHere({ kitchen }: { readonly kitchen: KitchenDoc }) {
  const docs = useDocuments((state) => state.docs);
  const style = useNumberStyle();
  const { line } = useTokens();
  const now = useNow(600_000);
  // What is only a start for things of the kind that were never seen stands behind those that were.
  const learned = kitchen.beliefs.filter((one) => one.learned);
  if (learned.length === 0) return null;
  return (
    <Card title="What this kitchen has learned">
      <Small soft={false}>Every plan uses it, and its ranges are as wide as what is left of the doubt.</Small>
      {learned.map(({ param, of, mean, spread, seen, since }) => {
        const known = paramOf(param);
        const label = known?.label ?? param;
        const thing = thingOf(of, kitchen, docs) || 'Any other of its kind';
        return (
          <View
            key={`${param}@${of}`}
            style={{
              gap: space(0.5),
              borderBottomWidth: 1,
              borderBottomColor: line,
              paddingVertical: space(1),
            }}
          >
            <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: space(2) }}>
              <Body style={{ flex: 1 }}>{label}</Body>
              <Strong>{beliefText({ param, mean, spread }, style)}</Strong>
            </View>
            <Small>
              {[
                thing,
                seen === 1 ? 'from one batch' : `from ${seen} batches`,
                since === null ? '' : `last ${dayText(dateOf(`${since}T12:00`), now)}`,
              ]
                .filter(Boolean)
                .join(', ')}
            </Small>
            <QuietAction
              title="Begin afresh"
              label={`Begin afresh: ${label.toLowerCase()}, ${thing}`}
              onPress={() => startAfresh(label, param, of)}
            />
          </View>
        );
      })}
    </Card>
  );
}
