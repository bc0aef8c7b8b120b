import { View } from 'react-native';
import { beliefsCsv, ingredientsCsv, outcomesCsv } from '../../core/exchange/tables';
import { logCsv } from '../../core/logbook/logCsv';
import type { KitchenDoc, RunDoc } from '../../core/model/documents';
import { saveFile } from '../../state/saveFile';
import { QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Small } from '../../ui/text';
import { space } from '../../ui/theme';

/** The logbook as tables that every spreadsheet reads. */
export function Tables({
  runs,
  kitchen,
}: {
  readonly runs: readonly RunDoc[];
  readonly kitchen: KitchenDoc;
}) {
  const save = (name: string, text: string) => saveFile(`${name}.csv`, text, 'text/csv');
  return (
    <Card title="As tables">
      <Small soft={false}>For a spreadsheet: a comma between cells, dates as 2026-11-28.</Small>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space(1) }}>
        <QuietAction title="What happened" icon="down" onPress={() => save('log', logCsv(runs))} />
        <QuietAction
          title="Expected and came"
          icon="down"
          onPress={() => save('outcomes', outcomesCsv(runs))}
        />
        <QuietAction title="What is known" icon="down" onPress={() => save('known', beliefsCsv(kitchen))} />
        <QuietAction
          title="Ingredients"
          icon="down"
          onPress={() => save('ingredients', ingredientsCsv(kitchen))}
        />
      </View>
    </Card>
  );
}
