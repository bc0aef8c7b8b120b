import { useState } from 'react';
import type { CakesicleLine, KitchenDoc, PopLine, PortionSize } from '../../../core/model/documents';
import { scoopsOf } from '../../../core/plan/stations/scoop';

import { showText, type NumberStyle } from '../../../core/quantity';
import { useKitchen, useNumberStyle } from '../../../state/store';

import { ChoiceValue, Sentence, Words, type Choice } from '../../../ui/sentence';

import { CountField, MeasureField, ThingField, plainChoices, type LineProps } from './fields';
import { GramsSheet } from './GramsSheet';
import { OnHandField, StockField } from './stockFields';
import { Dough } from './CrumbWords';
import { CHOCOLATES, CoatWords, chocolateName } from './finish';

const OWN = 'own';

/** How large a pop may be: by weight, across, or by a scoop of the kitchen. */
const sizesOf = (kitchen: KitchenDoc, style: NumberStyle): readonly Choice<string>[] => [
  ...[
    { massG: 15, detail: 'One bite.' },
    { massG: 25, detail: 'Usual on a stick.' },
    { massG: 35, detail: 'Large: wants a firm bind.' },
  ].map(({ massG, detail }) => ({
    value: `mass:${massG}`,
    title: `by weight: ${showText(massG, 'g', style)}`,
    detail,
  })),
  ...[30, 35, 40].map((mm) => ({ value: `diameter:${mm}`, title: `${showText(mm, 'mm', style)} across` })),
  ...scoopsOf(kitchen).map(({ number, name }) => ({ value: `scoop:${number}`, title: name })),
  { value: OWN, title: 'by a weight of your own', detail: 'So many grams a piece.' },
];

function sizeOf(choice: string): PortionSize {
  const [by, what] = choice.split(':');
  const n = Number(what);
  if (by === 'scoop') return { by: 'scoop', number: n };
  return by === 'diameter' ? { by: 'diameter', mm: n } : { by: 'mass', massG: n };
}

export function PopWords({ run, line, set }: LineProps<PopLine>) {
  const kitchen = useKitchen();
  const style = useNumberStyle();
  const { size } = line;
  const [asking, setAsking] = useState(false);
  const key =
    size.by === 'mass'
      ? `mass:${size.massG}`
      : size.by === 'scoop'
        ? `scoop:${size.number}`
        : `diameter:${size.mm}`;
  const sizeText =
    size.by === 'mass'
      ? showText(size.massG, 'g', style)
      : size.by === 'scoop'
        ? `a level scoop ${size.number}`
        : `${showText(size.mm, 'mm', style)} across`;
  return (
    <>
      <Sentence>
        <CountField line={line} set={set} />
        <ChoiceValue
          label="On a stick"
          title="On a stick"
          value={line.stick ? 'stick' : 'ball'}
          text={line.stick ? 'pops on sticks' : 'balls'}
          choices={[
            {
              value: 'stick',
              title: 'pops on sticks',
              detail: 'The stick goes half-way in, anchored with a dab of coat.',
            },
            { value: 'ball', title: 'balls', detail: 'Without a stick: rolled, dipped or bare.' },
          ]}
          onChoose={(choice) => set('Stick', { stick: choice === 'stick' })}
          after=","
        />
        <ChoiceValue
          testID="value-size"
          label="Size"
          title="How large"
          value={key}
          text={sizeText}
          choices={() => sizesOf(kitchen, style)}
          onChoose={(choice) => (choice === OWN ? setAsking(true) : set('Size', { size: sizeOf(choice) }))}
          after="."
        />
        <GramsSheet
          title="Dough in a piece"
          open={asking}
          valueG={size.by === 'mass' ? size.massG : null}
          minG={2}
          maxG={500}
          onClose={() => setAsking(false)}
          onSave={(massG) => set('Size', { size: { by: 'mass', massG } })}
        />
        {line.stick ? (
          <>
            <Words>Sticks:</Words>
            <StockField
              label="Sticks in stock"
              value={line.sticksOnHand}
              onSave={(sticksOnHand) => set('Sticks in stock', { sticksOnHand })}
              after="."
            />
          </>
        ) : null}
        <CoatWords coat={line.coat} optional onChange={(label, coat) => set(label, { coat })} />
      </Sentence>
      <Dough run={run} line={line} set={set} />
    </>
  );
}

export function CakesicleWords({ run, line, set }: LineProps<CakesicleLine>) {
  const { moulds = [] } = useKitchen();
  const style = useNumberStyle();
  const mould = moulds.find(({ id }) => id === line.mouldId);
  return (
    <>
      <Sentence>
        <CountField line={line} set={set} />
        <Words>moulded in the</Words>
        <ThingField
          testID="value-mould"
          things={moulds}
          value={line.mouldId}
          label="Mould"
          title="Which mould"
          gone="a mould that is gone"
          detail={(item) =>
            `${item.owned} × ${item.cavities} cavities, ${showText(item.lengthMm, 'mm', style)} by ${showText(item.widthMm, 'mm', style)}, ${showText(item.depthMm, 'mm', style)} deep`
          }
          onChoose={(mouldId) => set('Mould', { mouldId })}
          after=","
        />
        <Words>in a shell of</Words>
        <ChoiceValue
          testID="value-kind"
          label="Chocolate"
          title="What the shell is of"
          value={line.kind}
          text={chocolateName(line.kind)}
          choices={CHOCOLATES}
          onChoose={(kind) => set('Chocolate', { kind })}
          after=","
        />
        <MeasureField
          testID="value-shell"
          label="Shell, thick"
          hint={`Both coats together. Under ${showText(1.2, 'mm', style)} it cracks when it comes out; over ${showText(2.5, 'mm', style)} it is hard to bite.`}
          value={line.shellMm}
          unit="mm"
          min={0.6}
          max={5}
          onSave={(shellMm) => set('Shell', { shellMm })}
        />
        <Words>thick,</Words>
        <ChoiceValue
          testID="value-shellBy"
          label="School of the shell"
          title="How the shell is laid"
          value={line.shellBy}
          text={line.shellBy === 'brush' ? 'brushed in' : 'poured in and out'}
          choices={[
            {
              value: 'brush',
              title: 'brushed in',
              detail: 'Two coats by hand: sparing, and thin spots are seen.',
            },
            {
              value: 'pour',
              title: 'poured in and out',
              detail: 'Filled to the brim and emptied: even and quick, and needs far more melted.',
            },
          ]}
          onChoose={(shellBy) => set('School of the shell', { shellBy })}
          after=","
        />
        <Words>in</Words>
        <ChoiceValue
          label="Rounds"
          title="Rounds of the mould at most"
          value={line.maxRounds === null ? 'any' : String(line.maxRounds)}
          text={line.maxRounds === null ? 'as many rounds as it takes' : `at most ${line.maxRounds} rounds`}
          choices={[
            { value: 'any', title: 'as many as it takes' },
            ...plainChoices(['1', '2', '3', '4', '6']),
          ]}
          onChoose={(n) => set('Rounds', { maxRounds: n === 'any' ? null : Number(n) })}
          after="."
        />
        <Words>Chocolate:</Words>
        <OnHandField
          label="Chocolate on the table"
          value={line.coatOnHandG}
          onSave={(coatOnHandG) => set('Chocolate on the table', { coatOnHandG })}
          after="."
        />
        {mould && mould.stickMl > 0 ? (
          <>
            <Words>Sticks:</Words>
            <StockField
              label="Sticks in stock"
              value={line.sticksOnHand}
              onSave={(sticksOnHand) => set('Sticks in stock', { sticksOnHand })}
              after="."
            />
          </>
        ) : null}
        <Words>{mould ? `A cavity is ${showText(mould.depthMm, 'mm', style)} deep.` : ''}</Words>
      </Sentence>
      <Dough run={run} line={line} set={set} />
    </>
  );
}
