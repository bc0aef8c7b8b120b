import { useState } from 'react';
import { View } from 'react-native';
import type { RunDoc } from '../../../core/model/documents';
import type { LinePlan } from '../../../core/plan';
import { questionsOf, type Alternative, type Question } from '../../../core/plan/whatIf';
import { inStyle } from '../../../core/quantity';
import { useNow } from '../../../state/clock';
import { useTried, type Tried } from '../../../state/tried';
import { editLine, useDocuments, useKitchen, useNumberStyle } from '../../../state/store';
import { Chip, Chips, QuietAction } from '../../../ui/actions';
import { Sheet } from '../../../ui/sheet';
import { Body, Small, Strong } from '../../../ui/text';
import { space, useTokens } from '../../../ui/theme';
import { Compared } from '../../../ui/compared';
import { comparedRows } from './compared';

interface Part {
  readonly run: RunDoc;
  readonly plan: LinePlan;
}

/** Asks what would change with another tin, scoop, vessel, thickness or school, and shows it before it is taken. */
export function WhatIf({ run, plan }: Part) {
  const kitchen = useKitchen();
  const [open, setOpen] = useState(false);
  const questions = questionsOf(plan.line, kitchen, plan);
  if (questions.length === 0) return null;
  return (
    <>
      <QuietAction title="What if it were made otherwise" icon="scale" onPress={() => setOpen(true)} />
      <Sheet title="What if" visible={open} onClose={() => setOpen(false)}>
        {open ? (
          <Questions run={run} plan={plan} questions={questions} onTaken={() => setOpen(false)} />
        ) : null}
      </Sheet>
    </>
  );
}

function Questions({
  run,
  plan,
  questions,
  onTaken,
}: Part & { readonly questions: readonly Question[]; readonly onTaken: () => void }) {
  const [id, setId] = useState(questions[0]?.id ?? '');
  const question = questions.find((one) => one.id === id) ?? questions[0];
  return (
    <>
      <Chips label="What to change">
        {questions.map((one) => (
          <Chip key={one.id} title={one.title} selected={one === question} onPress={() => setId(one.id)} />
        ))}
      </Chips>
      {question ? (
        <Alternatives key={question.id} run={run} plan={plan} question={question} onTaken={onTaken} />
      ) : null}
    </>
  );
}

/** What each alternative of a question changes: reckoned together, beside the page. */
function Alternatives({
  run,
  plan,
  question,
  onTaken,
}: Part & { readonly question: Question; readonly onTaken: () => void }) {
  const docs = useDocuments((state) => state.docs);
  const now = useNow(60_000);
  const style = useNumberStyle();
  const [actions] = useState(() => question.alternatives.map(({ action }) => action));
  const tried = useTried({ run, docs, now }, plan.line.id, actions);
  return (
    <>
      {question.alternatives.map((alternative, i) => (
        <AlternativeRow
          key={alternative.id}
          alternative={alternative}
          tried={tried?.[i] ?? null}
          onTake={() => {
            onTaken();
            editLine(
              `${question.title}: ${inStyle(alternative.title, style)}`,
              run.id,
              plan.line.id,
              alternative.action,
            );
          }}
        />
      ))}
    </>
  );
}

/** One alternative with what it changes; what it breaks is said before it is taken. */
function AlternativeRow({
  alternative,
  tried,
  onTake,
}: {
  readonly alternative: Alternative;
  /** Null until it is reckoned. */
  readonly tried: Tried | null;
  readonly onTake: () => void;
}) {
  const style = useNumberStyle();
  const { line, carnelianSoft, warn } = useTokens();
  const { fault, changes, warnings } = alternative.now || !tried ? UNTRIED : tried;
  const rows = comparedRows(changes, style);
  const title = inStyle(alternative.title, style);
  const body = (
    <View style={{ flex: 1 }}>
      <Strong>{title}</Strong>
      {alternative.detail ? <Small>{inStyle(alternative.detail, style)}</Small> : null}
      {alternative.now ? <Small>As it is now.</Small> : null}
      {fault ? <Body style={{ color: warn }}>{fault}</Body> : null}
      {rows.length > 0 ? <Compared rows={rows} /> : null}
      {tried || alternative.now ? null : <Small>Reckoning.</Small>}
      {tried && !alternative.now && !fault && rows.length === 0 ? (
        <Small>Nothing to speak of changes.</Small>
      ) : null}
      {warnings.map((one) => (
        <Body key={one} style={{ color: warn }}>
          {inStyle(one, style)}
        </Body>
      ))}
    </View>
  );
  const box = {
    borderWidth: 1.5,
    borderColor: line,
    borderRadius: 14,
    padding: space(1.5),
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(1),
  } as const;
  if (alternative.now || fault)
    return <View style={[box, alternative.now && { backgroundColor: carnelianSoft }]}>{body}</View>;
  return (
    <View style={[box, { flexDirection: 'column', alignItems: 'stretch' }]}>
      {body}
      <QuietAction title={`Take ${title}`} onPress={onTake} />
    </View>
  );
}

const UNTRIED: Tried = { fault: null, changes: [], warnings: [] };
