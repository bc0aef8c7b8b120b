import { useState } from 'react';
import { View } from 'react-native';
import type { RunDoc } from '../../core/model/documents';
import type { WayOut } from '../../core/schedule/chores';
import type { RunStanding } from '../../state/benchView';
import { keepTried, useWaysOut } from '../../state/runDay';
import { changeKitchen, changeLines, changeRunOf } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { spanText } from './day.words';

/** What would give the day time, each tried; one tap takes it. Asked for, or shown at once where there is no time. */
export function WaysOut({
  run,
  standing,
  pressing,
}: {
  readonly run: RunDoc;
  readonly standing: RunStanding;
  /** The day does not fit as it is. */
  readonly pressing: boolean;
}) {
  const [asked, setAsked] = useState(false);
  const wanted = asked || pressing;
  const { view, since } = standing;
  const ways = useWaysOut(view, wanted, since);
  const { line } = useTokens();
  if (!wanted)
    return <QuietAction title="What would give more time?" icon="bench" onPress={() => setAsked(true)} />;
  return (
    <Card title="What would give time">
      {ways === null ? (
        <Small>Trying each way.</Small>
      ) : ways.length === 0 ? (
        <Body>Nothing that was tried gives five minutes. Fewer lines, or a later hour.</Body>
      ) : (
        ways.slice(0, 6).map((way) => (
          <Tap
            key={way.id}
            label={`${way.words}: ${gains(way)}. Take it`}
            onPress={() => {
              keepTried(view, way);
              take(run, way);
            }}
            style={{
              flexDirection: 'row',
              gap: space(2),
              borderBottomWidth: 1,
              borderBottomColor: line,
              paddingVertical: space(1),
              alignItems: 'center',
            }}
          >
            <View style={{ flex: 1 }}>
              <Body>{whose(run, way)}</Body>
            </View>
            <Strong>{gains(way)}</Strong>
          </Tap>
        ))
      )}
      <Small>Each was planned anew. A tap takes it; undo takes it back.</Small>
    </Card>
  );
}

const gains = ({ gainsMin }: WayOut): string =>
  Number.isFinite(gainsMin) ? `${spanText(gainsMin)} more` : 'then it fits';

/** Which line a count is about, where there are several. */
function whose(run: RunDoc, { change, words }: WayOut): string {
  if (change.of !== 'line' || run.lines.length < 2) return words;
  const place = run.lines.findIndex(({ id }) => id === change.line.id) + 1;
  return `${words}, line ${place}`;
}

function take(run: RunDoc, { change, words }: WayOut): void {
  switch (change.of) {
    case 'kitchen':
      changeKitchen(words, change.kitchen);
      break;
    case 'line':
      changeLines(words, run.id, (lines) =>
        lines.map((line) => (line.id === change.line.id ? change.line : line)),
      );
      break;
    case 'ahead':
      changeRunOf(words, run.id, (now) => ({ ...now, ahead: { ...now.ahead, ...change.ahead } }));
      break;
  }
}
