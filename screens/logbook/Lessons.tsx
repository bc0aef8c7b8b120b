import { useEffect, useState } from 'react';
import { View } from 'react-native';
import type { Lesson } from '../../core/learn';
import type { RunDoc } from '../../core/model/documents';
import { inStyle } from '../../core/quantity';
import { breath } from '../../state/breath';
import { lessonsFor, takeLesson } from '../../state/learned';
import { usePlanner } from '../../state/plans';
import { useDocuments, useNumberStyle } from '../../state/store';
import { Chip, Chips } from '../../ui/actions';
import { Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { amountText } from './beliefText';

const TAKEN = [
  ['yes', 'From now on'],
  ['wait', 'Not yet'],
  ['no', 'No, a slip'],
] as const;

/** What a run taught, each lesson with its figure: taken to heart, kept for later, or refused. */
export function Lessons({ run }: { readonly run: RunDoc }) {
  const docs = useDocuments((state) => state.docs);
  const planner = usePlanner((state) => state.planner);
  const [lessons, setLessons] = useState<readonly Lesson[] | null>(null);
  // The batches stand there first; what they taught is reckoned once they do, and anew with whatever is told since.
  useEffect(() => {
    let wanted = true;
    void breath().then(() => {
      if (wanted) setLessons(lessonsFor(run, docs, planner));
    });
    return () => {
      wanted = false;
    };
  }, [run, docs, planner]);
  if (!lessons || lessons.length === 0) return null;
  return (
    <View style={{ gap: space(2) }}>
      <Strong>What it taught</Strong>
      {lessons.map((lesson) => (
        <OneLesson key={lesson.key} run={run} lesson={lesson} />
      ))}
    </View>
  );
}

function OneLesson({ run, lesson }: { readonly run: RunDoc; readonly lesson: Lesson }) {
  const style = useNumberStyle();
  const { line } = useTokens();
  const { of, now, was, first, words, taken } = lesson;
  const shown = (amount: typeof first) => amountText(amount, of.unit, style);
  return (
    <View style={{ gap: space(1), borderLeftWidth: 3, borderLeftColor: line, paddingLeft: space(2) }}>
      <Strong style={{ fontSize: 19, lineHeight: 26 }}>{inStyle(words.join(' '), style)}</Strong>
      <Small soft={false}>
        {`${of.label}: ${shown(now)}, ${was ? `was ${shown(was)}` : `at first ${shown(first)}`}; from ${now.seen === 1 ? 'one batch' : `${now.seen} batches`}.`}
      </Small>
      <Chips label={`What becomes of it: ${words[0] ?? ''}`}>
        {TAKEN.map(([id, title]) => (
          <Chip
            key={id}
            title={title}
            selected={taken === id}
            onPress={() => takeLesson(run.id, lesson, id)}
          />
        ))}
      </Chips>
    </View>
  );
}
