import { View } from 'react-native';
import type { AddIn, BinderChoice, CakesicleLine, CrumbPart, PopLine } from '../../../core/model/documents';
import { crumbStart } from '../../../core/line/newLine';
import {
  BINDER_FACTOR,
  BIND_SCHOOLS,
  CRUMB_FACTOR,
  type BinderKind,
  type CrumbKind,
} from '../../../core/process/bind.table';
import { counted, showText } from '../../../core/quantity';
import { useKitchen, useNumberStyle } from '../../../state/store';
import { QuietAction } from '../../../ui/actions';
import { NumberValue } from '../../../ui/numberValue';
import { ChoiceValue, Sentence, Words, type Choice } from '../../../ui/sentence';
import { IconTap } from '../../../ui/screen';
import { space, useTokens } from '../../../ui/theme';
import {
  EggField,
  FormulaField,
  MeasureField,
  OvenField,
  OvenTemperature,
  ThingField,
  choicesOf,
  plainChoices,
  useFormulas,
  type LineProps,
} from './fields';
import { NameField, OnHandField } from './stockFields';
import { MadeByField } from './finish';

const CRUMB_MEANS: Readonly<Record<CrumbKind, string>> = {
  'very moist': 'Syrupy or with much fruit: takes little binder.',
  moist: 'Oil cakes and fresh sponges.',
  average: 'Butter cake of the day.',
  dry: 'Yesterday’s cake, trimmings, edges.',
  biscuit: 'Drinks most.',
};
const CRUMBS: readonly Choice<CrumbKind>[] = (Object.keys(CRUMB_FACTOR) as CrumbKind[]).map((key) => ({
  value: key,
  title: key,
  detail: CRUMB_MEANS[key],
}));

/** Where the crumb comes from, what goes in besides, and what binds it. */
export function Dough({ line, set }: LineProps<PopLine> | LineProps<CakesicleLine>) {
  const put = set;
  const kitchen = useKitchen();
  const formulas = useFormulas();
  const { line: edge } = useTokens();
  const { crumb, addIns, binder } = line;
  const setPart = (i: number, part: CrumbPart | null) =>
    put('Crumb', {
      crumb: crumb.flatMap((one, k) => (k === i ? (part ? [part] : []) : [one])),
    });
  const setAddIn = (i: number, addIn: AddIn | null) =>
    put('Add-in', { addIns: addIns.flatMap((one, k) => (k === i ? (addIn ? [addIn] : []) : [one])) });
  const [formula] = formulas;
  return (
    <View style={{ borderTopWidth: 1, borderTopColor: edge, paddingTop: space(1), gap: space(1) }}>
      {crumb.map((part, i) => (
        <View key={i} style={{ flexDirection: 'row', alignItems: 'flex-start' }}>
          <View style={{ flex: 1 }}>
            <Sentence>
              <PartWords part={part} onChange={(next) => setPart(i, next)} />
            </Sentence>
          </View>
          {crumb.length > 1 ? (
            <IconTap name="bin" label="Take this crumb out" onPress={() => setPart(i, null)} />
          ) : null}
        </View>
      ))}
      {addIns.map((addIn, i) => (
        <View key={i} style={{ flexDirection: 'row', alignItems: 'flex-start' }}>
          <View style={{ flex: 1 }}>
            <Sentence>
              <Words>And</Words>
              <MeasureField
                label="Add-in"
                value={addIn.massG}
                unit="g"
                min={0.5}
                max={20000}
                onSave={(massG) => setAddIn(i, { ...addIn, massG })}
              />
              <Words>of</Words>
              <NameField
                label="What goes in"
                value={addIn.what}
                onSave={(what) => setAddIn(i, { ...addIn, what })}
                after=","
              />
              <ChoiceValue
                label="Wet or dry"
                title="Wet or dry"
                value={addIn.wet ? 'wet' : 'dry'}
                text={addIn.wet ? 'wet' : 'dry'}
                choices={[
                  { value: 'dry', title: 'dry', detail: 'Oats, cocoa: drinks binder.' },
                  { value: 'wet', title: 'wet', detail: 'Juice, liquor: stands in for binder.' },
                ]}
                onChoose={(choice) => setAddIn(i, { ...addIn, wet: choice === 'wet' })}
                after="."
              />
            </Sentence>
          </View>
          <IconTap name="bin" label="Take this add-in out" onPress={() => setAddIn(i, null)} />
        </View>
      ))}
      <Sentence>
        <BinderWords binder={binder} onChange={(label, next) => put(label, { binder: next })} />
      </Sentence>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        {crumb.length < 8 ? (
          <QuietAction
            title="More crumb"
            icon="plus"
            onPress={() =>
              put('More crumb', { crumb: [...crumb, crumbStart({ from: 'leftovers', massG: 200 }, kitchen)] })
            }
          />
        ) : null}
        {addIns.length < 8 ? (
          <QuietAction
            title="Something else in it"
            icon="plus"
            onPress={() =>
              put('Add-in', { addIns: [...addIns, { what: 'rolled oats', massG: 20, wet: false }] })
            }
          />
        ) : null}
        {!formula ? null : crumb.some(({ from }) => from === 'bake') ? null : (
          <QuietAction
            title="Bake the rest"
            icon="plus"
            onPress={() =>
              put('Bake the rest', {
                crumb: [...crumb, crumbStart({ from: 'formula', formula }, kitchen)],
              })
            }
          />
        )}
      </View>
    </View>
  );
}

const FROM: readonly Choice<CrumbPart['from']>[] = [
  { value: 'bake', title: 'baked for it', detail: 'As much as the other crumb leaves open.' },
  {
    value: 'microwave',
    title: 'from the microwave',
    detail: 'In bowls, one after another: no oven, softer crumb.',
  },
  { value: 'leftovers', title: 'leftover cake', detail: 'Frosting and all: what is on it binds as well.' },
  { value: 'trimmings', title: 'trimmings', detail: 'Edges and domes: drier.' },
  { value: 'biscuit', title: 'biscuit, crushed', detail: 'No baking. Takes more binder.' },
];

function PartWords({
  part,
  onChange,
}: {
  readonly part: CrumbPart;
  readonly onChange: (part: CrumbPart) => void;
}) {
  const kitchen = useKitchen();
  const style = useNumberStyle();
  const formulas = useFormulas();
  const [formula] = formulas;
  const [microwave] = kitchen.microwaves ?? [];
  const [sheet] = kitchen.sheets ?? [];
  const choices = FROM.filter(({ value }) =>
    value === 'bake' ? formula && sheet : value === 'microwave' ? formula && microwave : true,
  );
  const massG = 'massG' in part ? part.massG : 300;
  const become = (from: CrumbPart['from']): CrumbPart => {
    const formulaId = 'formulaId' in part ? part.formulaId : (formula?.id ?? '');
    switch (from) {
      case 'bake':
        return {
          ...crumbStart({ from: 'formula', formula: formula as NonNullable<typeof formula> }, kitchen),
          formulaId,
        } as CrumbPart;
      case 'microwave':
        return {
          from,
          formulaId,
          microwaveId: microwave?.id ?? '',
          crumb: 'moist',
          trimShare: 0,
          eggs: 'follow',
        };
      case 'leftovers':
        return { from, massG, frostingShare: 0.15, scraped: false, crumb: 'average' };
      case 'trimmings':
        return { from, massG, crumb: 'dry' };
      case 'biscuit':
        return { from, massG };
    }
  };
  const kind =
    'crumb' in part ? (
      <ChoiceValue
        testID="value-crumbKind"
        label="Crumb"
        title="How thirsty the crumb is"
        value={part.crumb}
        text={part.crumb}
        choices={CRUMBS}
        onChoose={(crumb) => onChange({ ...part, crumb })}
        after="."
      />
    ) : null;
  return (
    <>
      <Words>Crumb</Words>
      <ChoiceValue
        testID="value-from"
        label="Where the crumb comes from"
        title="Where the crumb comes from"
        value={part.from}
        text={FROM.find(({ value }) => value === part.from)?.title ?? part.from}
        choices={choices}
        onChoose={(from) => onChange(become(from))}
        after={'massG' in part ? ',' : ' from'}
      />
      {'massG' in part ? (
        <MeasureField
          testID="value-crumbMass"
          label="How much of it"
          value={part.massG}
          unit="g"
          min={1}
          max={100000}
          onSave={(grams) => onChange({ ...part, massG: grams })}
          after={part.from === 'biscuit' ? '.' : ','}
        />
      ) : null}
      {'formulaId' in part ? (
        <FormulaField
          value={part.formulaId}
          onChoose={(formulaId) => onChange({ ...part, formulaId })}
          after=","
        />
      ) : null}
      {part.from === 'bake' ? (
        <>
          <Words>in the</Words>
          <ThingField
            things={kitchen.sheets ?? []}
            value={part.sheetId}
            label="Sheet"
            title="Which sheet"
            gone="a sheet that is gone"
            detail={(item) =>
              `${showText(item.lengthMm, 'mm', style)} by ${showText(item.widthMm, 'mm', style)}`
            }
            onChoose={(sheetId) => onChange({ ...part, sheetId })}
            after=","
          />
          <OvenField value={part.ovenId} onChoose={(ovenId) => onChange({ ...part, ovenId })} />
          <Words>as for</Words>
          <OvenTemperature
            ovenC={part.ovenC}
            formulaId={part.formulaId}
            after=","
            onSave={(ovenC) => onChange({ ...part, ovenC })}
          />
        </>
      ) : null}
      {'trimShare' in part ? (
        <>
          <MeasureField
            label="Crust trimmed off"
            value={part.trimShare}
            unit="share"
            min={0}
            max={0.5}
            onSave={(trimShare) => onChange({ ...part, trimShare })}
          />
          <Words>trimmed off,</Words>
          <EggField value={part.eggs} onChoose={(eggs) => onChange({ ...part, eggs })} after="," />
        </>
      ) : null}
      {part.from === 'leftovers' ? (
        <>
          <Words>of which</Words>
          <MeasureField
            label="Frosting on it"
            value={part.frostingShare}
            unit="share"
            min={0}
            max={0.8}
            onSave={(frostingShare) => onChange({ ...part, frostingShare })}
          />
          <Words>is frosting,</Words>
          <ChoiceValue
            label="Scraped or not"
            title="Is the frosting scraped off"
            value={part.scraped ? 'scraped' : 'kept'}
            text={part.scraped ? 'scraped off' : 'kept on'}
            choices={[
              { value: 'kept', title: 'kept on', detail: 'All of it goes into the crumb and binds.' },
              { value: 'scraped', title: 'scraped off', detail: 'About half of it stays in the crumb.' },
            ]}
            onChoose={(choice) => onChange({ ...part, scraped: choice === 'scraped' })}
            after=","
          />
        </>
      ) : null}
      {'ageDays' in part || part.from === 'leftovers' || part.from === 'trimmings' ? (
        <NumberValue
          testID="value-age"
          label="How old the cake is"
          text={part.ageDays === undefined ? 'of an age not said' : `${counted(part.ageDays, 'day')} old`}
          ask={{
            title: 'How many days old the cake is',
            hint: 'Counted from the day it was baked. It counts on in what is made of it.',
            value: part.ageDays ?? 1,
            unit: part.ageDays === 1 ? 'day' : 'days',
            min: 0,
            max: 60,
            whole: true,
            quick: [0, 1, 2, 3],
          }}
          onSave={(ageDays) => onChange({ ...part, ageDays })}
          after=","
        />
      ) : null}
      {kind ? <Words>the crumb</Words> : null}
      {kind}
      {part.from === 'biscuit' ? (
        <Words>{`It takes up ${showText(CRUMB_FACTOR.biscuit, 'times', style)} the binder of cake.`}</Words>
      ) : null}
    </>
  );
}

function BinderWords({
  binder,
  onChange,
}: {
  readonly binder: BinderChoice;
  readonly onChange: (label: string, binder: BinderChoice) => void;
}) {
  return (
    <>
      <Words>Bound</Words>
      <ChoiceValue
        testID="value-bindSchool"
        label="School of binder"
        title="How much binder"
        value={binder.school}
        text={binder.school}
        choices={choicesOf(BIND_SCHOOLS)}
        onChoose={(school) => onChange('School of binder', { ...binder, school })}
      />
      <Words>with</Words>
      <ChoiceValue
        testID="value-binder"
        label="Binder"
        title="What binds it"
        value={binder.kind}
        text={binder.kind}
        choices={plainChoices(Object.keys(BINDER_FACTOR) as BinderKind[])}
        onChoose={(kind) => onChange('Binder', { ...binder, kind })}
        after=","
      />
      <MadeByField
        makes="binder"
        label="Binder made by"
        bought="bought or by eye"
        value={binder.formulaId}
        onChoose={(formulaId) => onChange('Binder made by', { ...binder, formulaId })}
        after=","
      />
      <OnHandField
        label="Binder on the table"
        value={binder.onHandG}
        onSave={(onHandG) => onChange('Binder on the table', { ...binder, onHandG })}
        after="."
      />
    </>
  );
}
