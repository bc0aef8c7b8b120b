import { useState } from 'react';
import { bestBy, daysOf } from '../../core/logbook';
import { KEPT_PLACES, type Kept, type KeptPlace, type RunDoc } from '../../core/model/documents';
import { goodOf } from '../../core/bench/goingOn';
import { benchStateOf } from '../../core/bench/log';
import { keepingWords } from '../../core/caution/keeping';
import { useNow } from '../../state/clock';
import { KITCHEN_KEY, runsIn } from '../../state/documents';
import { newId } from '../../state/ids';
import { usePlanOf, type LinePlan } from '../../state/plans';
import { change, useDocuments, useKitchen } from '../../state/store';
import { dateOf, dayText, localNow } from '../../state/time';
import { Chip, Chips, MainAction } from '../../ui/actions';
import { NumberValue } from '../../ui/numberValue';
import { ChoiceValue, Sentence, Words } from '../../ui/sentence';
import { Sheet } from '../../ui/sheet';
import { Body, Small } from '../../ui/text';
import { pieceWords } from '../runs/words';

export const PLACE_NAMES: Readonly<
  Record<KeptPlace, { readonly in: string; readonly to: string; readonly name: string }>
> = {
  room: { in: 'in a cool room', to: 'Into the room', name: 'Cool room' },
  fridge: { in: 'in the fridge', to: 'Into the fridge', name: 'Fridge' },
  freezer: { in: 'in the freezer', to: 'Into the freezer', name: 'Freezer' },
};

/** Runs of so many days are offered to be put away: who bakes at night puts away next morning. */
const LATELY_DAYS = 5;

interface PutAwayProps {
  readonly visible: boolean;
  readonly onClose: () => void;
  /** The run of which it is; asked for where it is left out. */
  readonly runId?: string;
}

/** Puts pieces of a run into the cold, or the freezer, with their last day. */
export function PutAway(props: PutAwayProps) {
  return (
    <Sheet title="Put a batch away" visible={props.visible} onClose={props.onClose}>
      {props.visible ? <WhichRun {...props} /> : null}
    </Sheet>
  );
}

function WhichRun({ runId, onClose }: PutAwayProps) {
  const docs = useDocuments((state) => state.docs);
  const now = useNow(60_000);
  const runs = runsIn(docs).filter(
    ({ id, closed, readyAt }) =>
      id === runId ||
      (closed ? now - closed.at < LATELY_DAYS * 86_400_000 : dateOf(readyAt).getTime() - now < 86_400_000),
  );
  const all = runs.length > 0 ? runs : runsIn(docs).filter(({ closed }) => !closed);
  const [id, setId] = useState(runId ?? all[0]?.id ?? '');
  const run = all.find((one) => one.id === id);
  if (!run) return <Body>Bake a run first: what is put away is told by the run that it came of.</Body>;
  return (
    <>
      {all.length > 1 && runId === undefined ? (
        <Sentence>
          <Words>Of</Words>
          <ChoiceValue
            label="Run"
            title="Of which run"
            value={id}
            text={run.name}
            choices={all.map((one) => ({ value: one.id, title: one.name }))}
            onChoose={setId}
          />
        </Sentence>
      ) : null}
      <OfRun key={run.id} run={run} onClose={onClose} />
    </>
  );
}

function OfRun({ run, onClose }: { readonly run: RunDoc; readonly onClose: () => void }) {
  const whole = usePlanOf(run);
  const plans = (whole?.lines ?? []).flatMap((line) => (line.planned ? [line] : []));
  if (!whole) return <Small>Reckoning.</Small>;
  const [first] = plans;
  if (!first) return <Body>None of its lines can be planned, so nobody can say how long it keeps.</Body>;
  return <PutForm run={run} plans={plans} first={first} onClose={onClose} />;
}

function PutForm({
  run,
  plans,
  first,
  onClose,
}: {
  readonly run: RunDoc;
  readonly plans: readonly LinePlan[];
  readonly first: LinePlan;
  readonly onClose: () => void;
}) {
  const kitchen = useKitchen();
  const now = useNow(60_000);
  const today = localNow(now).slice(0, 10);
  const [lineId, setLineId] = useState(first.line.id);
  const plan = plans.find(({ line }) => line.id === lineId) ?? first;
  const state = benchStateOf(run.log ?? []);
  const made = goodOf(run, state, plan.line.id, Math.round(plan.parts.count.made.value));
  const [pieces, setPieces] = useState<number | null>(null);
  const [asked, setAsked] = useState<KeptPlace | null>(null);
  const days = daysOf(plan.keeping);
  const places = KEPT_PLACES.filter((place) => days[place] !== null);
  const place =
    asked !== null && places.includes(asked) ? asked : (places.find((one) => one === 'fridge') ?? places[0]);
  // What was made before today has had that of its time already.
  const madeOn = run.closed ? localNow(run.closed.at).slice(0, 10) : today;
  const n = Math.max(1, pieces ?? made);
  const kept = (where: KeptPlace): Kept => ({
    id: newId('kept'),
    name: nameOf(plan),
    runId: run.id,
    lineId: plan.line.id,
    madeOn,
    place: where,
    since: madeOn,
    used: 0,
    days,
    made: n,
    left: n,
  });
  return (
    <>
      <Sentence>
        <NumberValue
          label="How many"
          text={String(n)}
          ask={{ title: 'How many are put away', value: n, unit: '', min: 1, max: 5000, whole: true }}
          onSave={setPieces}
        />
        {plans.length > 1 ? (
          <ChoiceValue
            label="Which of them"
            title="Which of them"
            value={plan.line.id}
            text={nameOf(plan)}
            choices={plans.map((one) => ({ value: one.line.id, title: nameOf(one) }))}
            onChoose={(id) => {
              setLineId(id);
              setPieces(null);
            }}
          />
        ) : (
          <Words>{nameOf(plan)}</Words>
        )}
        <Words>{`, made ${dayText(dateOf(`${madeOn}T12:00`), now)}.`}</Words>
      </Sentence>
      {place === undefined ? (
        <Body>These keep nowhere: they are for today.</Body>
      ) : (
        <>
          <Chips label="Where they stand">
            {places.map((one) => (
              <Chip
                key={one}
                title={PLACE_NAMES[one].name}
                selected={one === place}
                onPress={() => setAsked(one)}
              />
            ))}
          </Chips>
          <Body>{`Best by ${dayText(dateOf(`${bestBy(kept(place)) ?? madeOn}T12:00`), now)}.`}</Body>
          <Small>{keepingWords(plan.keeping)}</Small>
          <MainAction
            title={PLACE_NAMES[place].to}
            large
            onPress={() => {
              const next = kept(place);
              change(`${next.made} ${next.name} put away`, {
                [KITCHEN_KEY]: { ...kitchen, kept: [...(kitchen.kept ?? []), next].slice(-500) },
              });
              onClose();
            }}
          />
        </>
      )}
    </>
  );
}

const nameOf = ({ line, formula }: LinePlan): string =>
  `${formula ? `${formula.name} ` : ''}${pieceWords(line)}`;
