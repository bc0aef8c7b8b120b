import { bakersPercent, type Choice, type Doubt, type ReadFormula } from '../../core/formula';
import { memo, useState } from 'react';
import { View } from 'react-native';
import type { Substitution } from '../../core/formula/substitute';
import { A_NOTE, INGREDIENTS, inStyle, join, show, type OwnThing, type ReadLine } from '../../core/quantity';
import { useNumberStyle } from '../../state/store';
import { Card } from '../../ui/card';
import { Icon } from '../../ui/icons';
import { Notice } from '../../ui/notice';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { FONT, space, useTokens } from '../../ui/theme';
import { IngredientSheet } from './IngredientSheet';
import { Substitutes } from './SubstituteSheet';
import { Unsure } from './Unsure';

interface ReadBackProps {
  readonly read: ReadFormula;
  readonly doubts: readonly Doubt[];
  readonly ownThings: readonly OwnThing[];
  readonly onSettle: (doubt: Doubt, choice: Choice) => void;
  readonly onTell: (thing: OwnThing) => void;
  /** Says what a written line is; null takes that back. */
  readonly onTakenFor: (written: string, key: string | null) => void;
  /** Puts something else in the place of a line; left out where the formula is not kept yet. */
  readonly onSubstitute?: (lineIndex: number, substitution: Substitution) => void;
}

/** Each line read back in grams with what it was taken for, and what is wrong with it beside it. */
export function ReadBack(props: ReadBackProps) {
  const { read, doubts, ownThings, onSettle, onTell, onTakenFor, onSubstitute } = props;
  const style = useNumberStyle();
  const [asked, setAsked] = useState<ReadLine | null>(null);
  const lines = read.lines.filter((line) => line.status !== 'blank');
  // A further thing of a line follows the first, which stands for it where it is taken for something else.
  const isPart = (line: ReadLine) => {
    const i = read.lines.indexOf(line);
    return i > 0 && read.at[i] === read.at[i - 1];
  };
  const percents = bakersPercent(read.lines).map((one) => (one === null ? null : Math.round(one)));
  return (
    <Card title="Read back">
      {lines.length === 0 ? (
        <Body soft>
          Nothing written yet. What you write on the left or above is read back here as you type.
        </Body>
      ) : null}
      <Unsure doubts={doubts} ownThings={ownThings} onSettle={onSettle} onTell={onTell} />
      <View>
        {lines.map((line, i) => (
          <LineRow
            key={`${i} ${line.raw}`}
            line={line}
            onAsk={line.status === 'note' || isPart(line) ? null : setAsked}
            percent={percents[read.lines.indexOf(line)] ?? null}
          />
        ))}
      </View>
      {read.massG > 0 ? (
        <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
          <Strong>One batch</Strong>
          <Strong>{join(show(read.massG, 'g', style))}</Strong>
        </View>
      ) : null}
      {read.checks.map((check) => (
        <Notice key={check.fault} fault={inStyle(check.fault, style)} mend={inStyle(check.mend, style)} />
      ))}
      <TakenForSheet
        line={asked}
        onClose={() => setAsked(null)}
        onChoose={(key) => {
          if (asked) onTakenFor(asked.raw.trim(), key);
          setAsked(null);
        }}
        onSubstitute={
          onSubstitute && asked
            ? (substitution) => {
                onSubstitute(read.lines.indexOf(asked), substitution);
                setAsked(null);
              }
            : null
        }
      />
    </Card>
  );
}

/** Drawn again only when its line changes: a long formula is typed into as fast as a short one. */
const LineRow = memo(function LineRow({
  line,
  percent,
  onAsk,
}: {
  readonly line: ReadLine;
  /** Its mass to 100 of flour; null where there is no flour to compare with. */
  readonly percent: number | null;
  /** Null where there is nothing to choose: a note, or a further thing of a line. */
  readonly onAsk: ((line: ReadLine) => void) | null;
}) {
  const style = useNumberStyle();
  const tokens = useTokens();
  const bad = line.status === 'unread';
  if (line.status === 'heading') {
    return <Strong style={{ paddingVertical: space(1) }}>{line.name}</Strong>;
  }
  if (line.status === 'note')
    return (
      <Small
        style={{ paddingVertical: space(1) }}
      >{`${line.raw.trim()} (a note: nothing is weighed for it)`}</Small>
    );
  const range = line.highG - line.lowG > line.massG * 0.03;
  const ends = `${show(line.lowG, 'g', style, line.massG).number}–${join(show(line.highG, 'g', style, line.massG))}`;
  return (
    <View
      testID={bad ? 'line-unread' : 'line-read'}
      style={{
        borderBottomWidth: 1,
        borderBottomColor: tokens.line,
        ...(bad ? { backgroundColor: tokens.warnSoft, borderRadius: 10, paddingHorizontal: space(1) } : {}),
      }}
    >
      <Tap
        onPress={() => onAsk?.(line)}
        label={`${line.raw.trim()}: taken for ${line.name}${onAsk ? '. Change' : ''}`}
        style={{ paddingVertical: space(1) }}
      >
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: space(1.5) }}>
          <View style={{ flex: 1 }}>
            <Small>{line.raw.trim()}</Small>
            <Body style={{ color: bad ? tokens.warn : tokens.ink }}>
              {bad ? (line.fault?.fault ?? '') : line.name}
            </Body>
            {line.reading ? <Small>{inStyle(line.reading, style)}</Small> : null}
            {bad ? <Small style={{ color: tokens.warn }}>{line.fault?.mend}</Small> : null}
          </View>
          {line.status === 'read' ? (
            <View style={{ alignItems: 'flex-end' }}>
              <Body style={{ fontFamily: FONT.sansStrong, fontSize: 22, lineHeight: 28 }}>
                {join(show(line.massG, 'g', style))}
              </Body>
              {range ? <Small>{ends}</Small> : null}
              {percent !== null && percent > 0 ? <Small>{`${percent} % of the flour`}</Small> : null}
            </View>
          ) : bad ? (
            <Icon name="warn" color={tokens.warn} />
          ) : null}
        </View>
      </Tap>
      {line.notices.map((notice) => (
        <View key={notice.fault} style={{ paddingBottom: space(1) }}>
          <Notice fault={inStyle(notice.fault, style)} mend={inStyle(notice.mend, style)} />
        </View>
      ))}
    </View>
  );
});

function TakenForSheet({
  line,
  onClose,
  onChoose,
  onSubstitute,
}: {
  readonly line: ReadLine | null;
  readonly onClose: () => void;
  readonly onChoose: (key: string | null) => void;
  readonly onSubstitute: ((substitution: Substitution) => void) | null;
}) {
  const { line: lineColor } = useTokens();
  const choice = (title: string, key: string | null) => (
    <Tap onPress={() => onChoose(key)} style={{ borderBottomWidth: 1, borderBottomColor: lineColor }}>
      <Strong>{title}</Strong>
    </Tap>
  );
  return (
    <IngredientSheet
      title="Taken for"
      says={
        line
          ? `"${line.raw.trim()}". Say what it is where the name alone misleads. To change the amount, change the line.`
          : ''
      }
      items={INGREDIENTS}
      visible={line !== null}
      onClose={onClose}
      onChoose={onChoose}
      above={line && onSubstitute ? <Substitutes line={line} onChoose={onSubstitute} /> : null}
      first={
        <>
          {choice('As its name says', null)}
          {choice('A note: nothing is weighed for it', A_NOTE)}
        </>
      }
    />
  );
}
