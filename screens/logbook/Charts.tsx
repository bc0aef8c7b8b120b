import { useState } from 'react';
import { View } from 'react-native';
import { BarChart, LineChart } from 'react-native-gifted-charts';
import { chartsOf, type Chart } from '../../core/logbook';
import type { KitchenDoc, RunDoc } from '../../core/model/documents';
import { formatNumber, inStyle, showText, type NumberStyle } from '../../core/quantity';
import { useNow } from '../../state/clock';
import { useDocuments, useNumberStyle } from '../../state/store';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Columns } from '../../ui/screen';
import { Body, Small, Strong } from '../../ui/text';
import { FONT, space, useTokens } from '../../ui/theme';
import { thingOf } from '../kitchen/StatedHere';
import { longName } from './things';

/** Short names of what is learned, beside the thing that it is learned of. */
const HEIGHT = 168;
/** Room for the figures beside the axis. */
const AXIS = 44;

/** Every chart that the closed runs are enough for, each with its sentence, and its table behind a tap. */
export function Charts({
  runs,
  kitchen,
}: {
  readonly runs: readonly RunDoc[];
  readonly kitchen: KitchenDoc;
}) {
  const docs = useDocuments((state) => state.docs);
  const now = useNow(600_000);
  const charts = chartsOf(runs, kitchen, (param, of) => longName(thingOf(of, kitchen, docs), param), now);
  if (charts.length === 0)
    return (
      <Card title="No chart yet">
        <Body>
          One batch with its taps at the bench is enough for the first of them: what eats the day, how even
          pieces were. Two show how long loads take.
        </Body>
      </Card>
    );
  return (
    <Columns>
      {charts.map((chart) => (
        <OneChart key={chart.id} chart={chart} />
      ))}
    </Columns>
  );
}

function OneChart({ chart }: { readonly chart: Chart }) {
  const style = useNumberStyle();
  const [width, setWidth] = useState(0);
  const [table, setTable] = useState(false);
  const says = inStyle(chart.says, style);
  return (
    <Card title={chart.title}>
      <Body>{says}</Body>
      <View
        onLayout={({ nativeEvent }) => setWidth(Math.floor(nativeEvent.layout.width))}
        role="img"
        aria-label={`${chart.title}. ${says}`}
        style={{ minHeight: HEIGHT + 24 }}
      >
        {width > 0 ? <Drawn chart={chart} width={width} /> : null}
      </View>
      <Legend chart={chart} />
      <QuietAction
        title={table ? 'Without the table' : 'As a table'}
        label={`${chart.title}: ${table ? 'without the table' : 'as a table'}`}
        onPress={() => setTable(!table)}
      />
      {table ? <Table chart={chart} style={style} /> : null}
    </Card>
  );
}

/** Steps of an axis that can be read: 1, 2, 2.5 or 5 of a power of ten. */
export function stepOf(span: number, sections: number): number {
  const rough = span / sections;
  const power = 10 ** Math.floor(Math.log10(rough));
  const of = [1, 2, 2.5, 5, 10].find((one) => one * power >= rough * 0.999) ?? 10;
  return of * power;
}

const SECTIONS = 4;

/** From where to where an axis goes: bars from nothing, lines where their values are. */
export function axisOf(values: readonly number[], fromZero: boolean) {
  const [low, high] = [fromZero ? 0 : Math.min(...values), Math.max(...values)];
  const step = stepOf(Math.max(high - low, Math.abs(high) * 0.02, 1e-6), SECTIONS);
  const from = Math.floor(low / step) * step;
  const sections = Math.max(1, Math.ceil((high - from) / step - 1e-9));
  return { from, step, sections };
}

interface BarOf {
  readonly value: number;
  readonly frontColor: string;
  readonly label?: string;
  readonly spacing?: number;
  readonly labelWidth?: number;
}

function Drawn({ chart, width }: { readonly chart: Chart; readonly width: number }) {
  const style = useNumberStyle();
  const { ink, inkSoft, line, carnelian, material } = useTokens();
  const { points, marks, drawn, unit } = chart;
  const values = [
    ...points.flatMap(({ value, beside }) => (beside === null ? [value] : [value, beside])),
    ...marks.map(({ value }) => value),
  ];
  const { from, step, sections } = axisOf(values, drawn === 'bars');
  const decimals = step >= 1 ? 0 : step >= 0.1 ? 1 : 2;
  const axis = {
    height: HEIGHT,
    width: width - AXIS - 8,
    noOfSections: sections,
    stepValue: step,
    maxValue: step * sections,
    yAxisOffset: from,
    yAxisLabelWidth: AXIS,
    formatYLabel: (label: string) => `${formatNumber(Number(label), decimals, style.decimal)} ${unit}`,
    yAxisTextStyle: { color: inkSoft, fontFamily: FONT.sans, fontSize: 13 },
    xAxisLabelTextStyle: { color: inkSoft, fontFamily: FONT.sans, fontSize: 13 },
    yAxisColor: line,
    xAxisColor: line,
    rulesColor: line,
    rulesType: 'solid' as const,
    disableScroll: true,
    isAnimated: false,
  };
  if (drawn === 'bars') {
    const paired = points.some(({ beside }) => beside !== null);
    const each = (width - AXIS - 24) / points.length;
    const bar = Math.max(4, Math.min(34, paired ? each * 0.36 : each * 0.62));
    return (
      <BarChart
        {...axis}
        data={points.flatMap(({ value, beside }, i): BarOf[] => {
          const label = String(i + 1);
          const own = { value, frontColor: carnelian };
          return beside === null
            ? [{ ...own, label }]
            : [{ value: beside, label, frontColor: material.coatBand, spacing: 2, labelWidth: bar * 2 }, own];
        })}
        barWidth={bar}
        spacing={Math.max(2, each - (paired ? 2 * bar + 2 : bar))}
        initialSpacing={6}
        barBorderTopLeftRadius={3}
        barBorderTopRightRadius={3}
        showReferenceLine1={marks.length > 0}
        referenceLine1Position={marks[0]?.value ?? 0}
        referenceLine1Config={{ color: ink, dashWidth: 4, dashGap: 4, thickness: 1.5 }}
      />
    );
  }
  const every = Math.ceil(points.length / 6);
  const spacing = (width - AXIS - 30) / Math.max(1, points.length - 1);
  const across = (value: number) => points.map(() => ({ value }));
  const paired = points.every(({ beside }) => beside !== null);
  const lines = paired
    ? [points.map(({ beside }) => ({ value: beside ?? 0 }))]
    : marks.map(({ value }) => across(value));
  const dashes = paired ? [true] : marks.map((_, i) => i !== 1);
  return (
    <LineChart
      {...axis}
      dataSet={[
        {
          data: points.map(({ value }, i) => ({
            value,
            ...(i % every === 0
              ? { labelComponent: () => <Below words={String(i + 1)} spacing={spacing} /> }
              : {}),
          })),
          color: carnelian,
          thickness: 2.5,
          dataPointsColor: carnelian,
          dataPointsRadius: 4,
        },
        ...lines.map((data, i) => ({
          data,
          color: dashes[i] ? inkSoft : ink,
          thickness: 1.5,
          hideDataPoints: true,
          ...(dashes[i] ? { strokeDashArray: [5, 4] } : {}),
        })),
      ]}
      spacing={spacing}
      initialSpacing={12}
      endSpacing={0}
    />
  );
}

/** A number under its point: wider than the room between two points. */
function Below({ words, spacing }: { readonly words: string; readonly spacing: number }) {
  return (
    <View style={{ width: 34, marginLeft: spacing / 2 - 17, alignItems: 'center' }}>
      <Small>{words}</Small>
    </View>
  );
}

/** So many bars are named under the drawing; more are named in the table. */
const NAMED = 8;

/** Which line or bar is what, in words beside its colour and its dash. */
function Legend({ chart }: { readonly chart: Chart }) {
  const style = useNumberStyle();
  const { carnelian, ink, inkSoft, material } = useTokens();
  const besideColor = chart.drawn === 'bars' ? material.coatBand : inkSoft;
  const entry = (name: string, color: string, dashed: boolean) => (
    <View key={name} style={{ flexDirection: 'row', alignItems: 'center', gap: space(1) }}>
      <View
        style={{
          width: 22,
          height: 0,
          borderTopWidth: chart.drawn === 'bars' ? 10 : 3,
          borderTopColor: color,
          borderStyle: dashed ? 'dashed' : 'solid',
        }}
      />
      <Small soft={false}>{name}</Small>
    </View>
  );
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(2) }}>
      {entry(chart.value, carnelian, false)}
      {chart.beside ? entry(chart.beside, besideColor, chart.drawn === 'line') : null}
      {chart.marks.map(({ name, value }, i) =>
        entry(`${name} ${shownAs(value, chart.unit, style)}`, i === 1 ? ink : inkSoft, i !== 1),
      )}
      {chart.drawn === 'bars' && chart.points.length <= NAMED ? (
        <Small soft={false}>{chart.points.map(({ label }, i) => `${i + 1} ${label}`).join('; ')}</Small>
      ) : null}
    </View>
  );
}

const shownAs = (value: number, unit: Chart['unit'], style: NumberStyle): string =>
  unit === 'g'
    ? showText(value, 'g', style)
    : `${formatNumber(value, unit === 'min' && value < 20 ? 1 : 0, style.decimal)} ${unit}`;

/** The same in figures, by the numbers under the drawing. */
function Table({ chart, style }: { readonly chart: Chart; readonly style: NumberStyle }) {
  const { line } = useTokens();
  const { points, unit, value, beside, marks } = chart;
  const row = (cells: readonly string[], head: boolean, key: string) => (
    <View
      key={key}
      role="row"
      style={{
        flexDirection: 'row',
        gap: space(1),
        borderBottomWidth: 1,
        borderBottomColor: line,
        paddingVertical: 4,
      }}
    >
      {cells.map((cell, i) => (
        <View key={i} role={head ? 'columnheader' : 'cell'} style={{ flex: i === 0 ? 2 : 1 }}>
          {head ? (
            <Small style={i > 0 ? { textAlign: 'right' } : {}}>{cell}</Small>
          ) : i === 0 ? (
            <Body>{cell}</Body>
          ) : (
            <Strong style={{ textAlign: 'right' }}>{cell}</Strong>
          )}
        </View>
      ))}
    </View>
  );
  return (
    <View role="table" aria-label={chart.title}>
      {row(['', ...(beside === null ? [] : [beside]), value], true, 'head')}
      {points.map((point, i) =>
        row(
          [
            point.label === String(i + 1) ? point.label : `${i + 1}  ${point.label}`,
            ...(point.beside === null ? [] : [shownAs(point.beside, unit, style)]),
            shownAs(point.value, unit, style),
          ],
          false,
          String(i),
        ),
      )}
      {marks.map((mark) => row([mark.name, shownAs(mark.value, unit, style)], false, mark.name))}
    </View>
  );
}
