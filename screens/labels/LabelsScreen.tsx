import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { holdsWords } from '../../core/caution/allergens.words';
import {
  LABEL_SHEETS,
  LAWFUL_MM,
  bestBy,
  daysOf,
  labelIngredients,
  labelsSvg,
  lettersFor,
  placesOn,
  type LabelParagraph,
  type LabelSheet,
  type LabelText,
} from '../../core/logbook';
import { KEPT_PLACES, type Line, type RunDoc } from '../../core/model/documents';
import { formatNumber, join, show, type NumberStyle } from '../../core/quantity';
import { fileStem, saveFile } from '../../state/saveFile';
import { useGoingOn } from '../../state/goingOn';
import { usePlanOf, useRun, type LinePlan, type RunPlan } from '../../state/plans';
import { useNumberStyle } from '../../state/store';
import { dateOf, localNow, longDateText } from '../../state/time';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Notice } from '../../ui/notice';
import { NumberValue } from '../../ui/numberValue';
import { Columns, Screen } from '../../ui/screen';
import { ChoiceValue, Sentence, Words } from '../../ui/sentence';
import { Body, Small } from '../../ui/text';
import { FONT } from '../../ui/theme';
import { pieceWords } from '../runs/words';
import { PriceCard } from './PriceCard';
import { Preview, printPages } from './paper';

/** Labels of a run, drawn to scale on the sheet that is in the printer, and what a piece has to cost. */
export function LabelsScreen({ id }: { readonly id: string }) {
  const view = useRun(id);
  const router = useRouter();
  const back = () => router.navigate({ pathname: '/runs/[id]', params: { id } });
  if (view.state !== 'open')
    return (
      <Screen title={view.state === 'missing' ? 'No such run' : 'Labels'} onBack={() => router.navigate('/')}>
        {view.state === 'missing' ? (
          <Notice fault="This run is not in this browser." mend="It may have been taken out." />
        ) : (
          <Small>Reckoning.</Small>
        )}
      </Screen>
    );
  const planned = view.whole.lines.flatMap((line) => (line.planned ? [line] : []));
  if (planned.length === 0)
    return (
      <Screen title="Labels" under={view.run.name} onBack={back}>
        <Notice
          fault="None of its lines can be planned."
          mend="Mend them under Pieces: what is not known cannot stand on a label."
        />
      </Screen>
    );
  return <Good run={view.run} whole={view.whole} onBack={back} />;
}

/** Labels are for the good ones: as the run was closed, or as it goes on. */
function Good({
  run,
  whole,
  onBack,
}: {
  readonly run: RunDoc;
  readonly whole: RunPlan;
  readonly onBack: () => void;
}) {
  const going = useGoingOn(run, whole);
  const plans = going.whole.lines.flatMap((line) => (line.planned ? [line] : []));
  return (
    <Ready key={plans.map(({ line }) => line.count).join()} run={going.run} plans={plans} onBack={onBack} />
  );
}

/** What labels are printed of: a line, or one of its lots where they are finished differently. */
interface Labelled {
  readonly id: string;
  readonly name: string;
  readonly plan: LinePlan;
  readonly line: Line;
  readonly pieces: number;
  readonly holds: LinePlan['holds'];
}

function labelledOf(plan: LinePlan): Labelled[] {
  const { line, lots } = plan;
  const name = `${plan.formula ? `${plan.formula.name} ` : ''}${pieceWords(line)}`;
  const own: Labelled = {
    id: line.id,
    name,
    plan,
    line,
    pieces: Math.max(1, Math.round(plan.parts.count.made.value)),
    holds: plan.holds,
  };
  if (lots.length < 2) return [own];
  return lots.map(({ id, name: called, count, holds }) => {
    const lot = 'lots' in line ? line.lots?.find((one) => one.id === id) : undefined;
    return {
      ...own,
      id: `${line.id}/${id}`,
      name: lot ? `${name}, ${called.toLowerCase()}` : name,
      // Only what is in and on this lot stands on its label.
      line: { ...line, count, lots: lot ? [{ ...lot, count }] : [] },
      pieces: Math.max(1, count),
      holds,
    };
  });
}

function Ready({
  run,
  plans,
  onBack,
}: {
  readonly run: RunDoc;
  readonly plans: readonly LinePlan[];
  readonly onBack: () => void;
}) {
  const all = plans.flatMap(labelledOf);
  const [id, setId] = useState(all[0]?.id ?? '');
  const one = all.find((labelled) => labelled.id === id) ?? all[0];
  if (!one) throw new Error('invariant: a run with labels has a line');
  return <OfLine key={one.id} run={run} all={all} of={one} onOf={setId} onBack={onBack} />;
}

function OfLine({
  run,
  all,
  of,
  onOf,
  onBack,
}: {
  readonly run: RunDoc;
  readonly all: readonly Labelled[];
  readonly of: Labelled;
  readonly onOf: (id: string) => void;
  readonly onBack: () => void;
}) {
  const { plan, pieces: made } = of;
  const style = useNumberStyle();
  const own = aloneOf(run, of);
  const alone = usePlanOf(own);
  const [sheetId, setSheetId] = useState(LABEL_SHEETS[0]?.id ?? '');
  const [count, setCount] = useState(made);
  const [free, setFree] = useState(0);
  const sheet = LABEL_SHEETS.find(({ id }) => id === sheetId) ?? LABEL_SHEETS[0];
  if (!sheet) throw new Error('invariant: there are sheets of labels');
  const places = placesOn(sheet).length;
  const skipped = Math.min(free, places - 1);
  const paragraphs = alone ? paragraphsOf(run, of, alone, style) : null;
  const mm = paragraphs && lettersFor(paragraphs, sheet);
  const larger = paragraphs && LABEL_SHEETS.filter((one) => lettersFor(paragraphs, one) !== null).at(-1);
  const label: LabelText | null = paragraphs && mm !== null ? { paragraphs, mm } : null;
  const pages = label ? pagesOf(sheet, label, count, skipped) : [];
  return (
    <Screen
      title="Labels"
      under={run.name}
      onBack={onBack}
      broad
      foot={
        pages.length > 0 ? (
          <>
            <MainAction
              title={`Print ${pages.length === 1 ? 'one page' : `${pages.length} pages`}`}
              onPress={() => printPages(sheet, pages)}
            />
            <QuietAction
              title="Save the page as SVG"
              icon="down"
              onPress={() => saveFile(`${fileStem(run.name)}-labels.svg`, pages[0] ?? '', 'image/svg+xml')}
            />
          </>
        ) : undefined
      }
    >
      <Columns>
        <View style={{ gap: 16 }}>
          <Sentence>
            <NumberValue
              label="Labels"
              text={String(count)}
              ask={{
                title: 'How many labels',
                value: count,
                unit: '',
                min: 1,
                max: 2000,
                whole: true,
                quick: [made],
              }}
              onSave={setCount}
            />
            <Words>labels for</Words>
            {all.length > 1 ? (
              <ChoiceValue
                label="Of which line"
                title="Labels of which line"
                value={of.id}
                text={of.name}
                choices={all.map((one) => ({ value: one.id, title: one.name }))}
                onChoose={onOf}
              />
            ) : (
              <Words>{of.name}</Words>
            )}
            <Words>on</Words>
            <ChoiceValue
              label="Sheet"
              title="The sheet in the printer"
              value={sheet.id}
              text={sheet.name}
              choices={LABEL_SHEETS.map(({ id, name }) => ({ value: id, title: name }))}
              onChoose={setSheetId}
              after=","
            />
            <Words>the first</Words>
            <NumberValue
              label="Places used already"
              text={String(skipped)}
              ask={{
                title: 'Places used already',
                value: skipped,
                unit: '',
                min: 0,
                max: places - 1,
                whole: true,
              }}
              onSave={setFree}
            />
            <Words>places left free.</Words>
          </Sentence>
          {paragraphs && mm === null ? (
            <Notice
              fault="All that has to stand there does not fit on labels of this size."
              mend={
                larger ? `Take larger ones: ${larger.name}.` : 'Print a sheet to stand beside them instead.'
              }
            />
          ) : null}
          {larger && mm === null ? (
            <MainAction title={`Take ${larger.name}`} onPress={() => setSheetId(larger.id)} />
          ) : null}
          {mm !== null && mm < LAWFUL_MM ? (
            <Small soft={false}>
              {`Letters of ${formatNumber(mm, 1, style.decimal)} mm are small: many food laws ask for an x-height of 1.2 mm, which is about ${formatNumber(LAWFUL_MM, 1, style.decimal)} mm here. A larger label has room.`}
            </Small>
          ) : null}
          {label ? (
            <Preview
              svg={labelsSvg(oneOf(sheet), [label], { edges: true, family: FONT.sans })}
              sheet={oneOf(sheet)}
              label={wordsOf(label)}
            />
          ) : null}
          {label ? (
            <Preview
              svg={labelsSvg(sheet, onPage(sheet, label, count, skipped, 0), {
                edges: true,
                family: FONT.sans,
              })}
              sheet={sheet}
              label={`The first of ${pages.length} pages, ${sheet.name}`}
            />
          ) : null}
        </View>
        <View style={{ gap: 16 }}>
          <PriceCard run={run} plan={plan} alone={alone && { run: own, whole: alone }} />
          <Card title="Before they are stuck on">
            <Body>
              Ingredients and allergens stand as the formula’s lines tell them. Read the packets: what a
              packet says it may contain is not known here.
            </Body>
            <Small>
              What a label has to say where you sell or give away is local food law, and so is who may sell
              from a home kitchen. Print at full size, without fitting to the page.
            </Small>
          </Card>
        </View>
      </Columns>
    </Screen>
  );
}

const aloneRuns = new WeakMap<RunDoc, Map<string, RunDoc>>();
/** The run with that line and no other: what only that line is made of. */
function aloneOf(run: RunDoc, { id, line }: Labelled): RunDoc {
  const known = aloneRuns.get(run) ?? new Map<string, RunDoc>();
  aloneRuns.set(run, known);
  const before = known.get(id);
  if (before) return before;
  const one: RunDoc = { ...run, id: `${run.id}/${id}`, lines: [line], measured: {} };
  known.set(id, one);
  return one;
}

const PLACE_WORDS = {
  room: 'Keep cool and dry.',
  fridge: 'Keep in the fridge.',
  freezer: 'Keep frozen.',
} as const;

/** What stands on a label, in its order. */
function paragraphsOf(
  run: RunDoc,
  { plan, line, name, holds }: Labelled,
  alone: RunPlan,
  style: NumberStyle,
): LabelParagraph[] {
  const ingredients = labelIngredients({ lines: [line] }, alone);
  const made = run.closed ? localNow(run.closed.at).slice(0, 10) : run.readyAt.slice(0, 10);
  const days = daysOf(plan.keeping);
  // Where it keeps longest without the freezer: a label says how to keep it, and until when like that.
  const place = KEPT_PLACES.filter((one) => one !== 'freezer').reduce((best, one) =>
    (days[one] ?? -1) > (days[best] ?? -1) ? one : best,
  );
  const by = bestBy({ place, since: made, used: 0, days });
  const date = (local: string) => longDateText(dateOf(`${local}T12:00`));
  const { notKnown, contains, mayHoldMore } = holdsWords(holds);
  return [
    { runs: [{ text: capital(name), strong: true }], times: 1.35 },
    {
      runs: [
        { text: 'Ingredients: ' },
        ...ingredients.flatMap((one, i) => [
          {
            text: `${one.name}${one.holds.packets.some(({ known }) => !known) ? ' (not known)' : ''}`,
            strong: one.holds.allergens.length > 0,
          },
          { text: i === ingredients.length - 1 ? '.' : ', ' },
        ]),
      ],
    },
    ...(contains === '' ? [] : [{ runs: [{ text: `Contains ${contains}.`, strong: true }] }]),
    ...(notKnown === null ? [] : [{ runs: [{ text: notKnown, strong: true }] }]),
    ...(mayHoldMore === null ? [] : [{ runs: [{ text: mayHoldMore }] }]),
    {
      runs: [
        { text: `Made ${date(made)}. ` },
        { text: by === null ? 'Eat today. ' : `Best by ${date(by)}. `, strong: true },
        { text: PLACE_WORDS[place] },
      ],
    },
    { runs: [{ text: `About ${weightOf(plan, style)} each.` }] },
  ];
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

function weightOf(plan: LinePlan, style: NumberStyle): string {
  const each = plan.has('piece.mass')
    ? plan.figure('piece.mass').value
    : plan.figure('finished.total').value / Math.max(1, plan.parts.count.made.value);
  return join(show(each, 'g', style));
}

/** The labels of one page, empty where a place is left free. */
function onPage(sheet: LabelSheet, label: LabelText, count: number, free: number, page: number): LabelText[] {
  const places = placesOn(sheet).length;
  const EMPTY: LabelText = { paragraphs: [], mm: label.mm };
  return Array.from({ length: places }, (_, i) => {
    const at = page * places + i - free;
    return at >= 0 && at < count ? label : EMPTY;
  });
}

function pagesOf(sheet: LabelSheet, label: LabelText, count: number, free: number): string[] {
  const pages = Math.ceil((count + free) / placesOn(sheet).length);
  return Array.from({ length: pages }, (_, page) =>
    labelsSvg(sheet, onPage(sheet, label, count, free, page), { family: FONT.sans }),
  );
}

/** One label as a sheet of its own, to be read on the screen. */
const oneOf = (sheet: LabelSheet): LabelSheet => ({
  ...sheet,
  pageWide: sheet.wide,
  pageHigh: sheet.high,
  columns: 1,
  rows: 1,
  left: 0,
  top: 0,
});

const wordsOf = ({ paragraphs }: LabelText): string =>
  paragraphs.map(({ runs }) => runs.map(({ text }) => text).join('')).join(' ');
