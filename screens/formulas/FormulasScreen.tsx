import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { isBatter, type FormulaDoc } from '../../core/model/documents';
import { METHODS } from '../../core/process/batter.table';
import { counted, showText, type NumberStyle } from '../../core/quantity';
import { Readings, readFormula, unsureCount } from '../../core/formula';
import { formulasIn } from '../../state/documents';
import { useDocuments, useKitchen, useNumberStyle, useScreen } from '../../state/store';
import { MainAction, QuietAction } from '../../ui/actions';
import { Card } from '../../ui/card';
import { Icon } from '../../ui/icons';
import { Columns, Screen } from '../../ui/screen';
import { Tap } from '../../ui/tap';
import { Body, Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { Pieces } from './Pieces';
import { Shares } from './Shares';

/** How a batter is mixed and baked; of all else only what it is. */
function underOf(formula: FormulaDoc, massG: number, style: NumberStyle): string {
  const batch = `${showText(massG, 'g', style)} a batch`;
  return isBatter(formula)
    ? `${METHODS[formula.method].name}, ${batch}, ${showText(formula.ovenC, '°C', style)}`
    : `${formula.makes}, ${batch}`;
}

/** The formulas of this kitchen, and the whole pieces built of them. */
export function FormulasScreen() {
  const docs = useDocuments((state) => state.docs);
  const router = useRouter();
  const style = useNumberStyle();
  const { raised, inkSoft, warn } = useTokens();
  const formulas = formulasIn(docs);
  const kitchen = useKitchen();
  const [readings] = useState(() => new Readings());
  return (
    <Screen
      title="Formulas"
      broad
      foot={<MainAction title="New formula" icon="plus" onPress={() => router.navigate('/formulas/new')} />}
    >
      {formulas.length === 0 ? (
        <Card title="No formula yet">
          <Body>
            Write or paste one as it stands in the book, one ingredient a line. It is read back in grams, line
            by line.
          </Body>
        </Card>
      ) : null}
      <Columns>
        {formulas.map((formula) => {
          const read = readFormula(formula, kitchen, readings);
          const unsure = unsureCount(formula, read);
          return (
            <Tap
              key={formula.id}
              role="link"
              label={formula.name}
              onPress={() => router.navigate({ pathname: '/formulas/[id]', params: { id: formula.id } })}
              style={{ backgroundColor: raised, borderRadius: 18, padding: space(2) }}
            >
              <View style={{ flexDirection: 'row', alignItems: 'center', gap: space(1) }}>
                <View style={{ flex: 1 }}>
                  <Strong style={{ fontSize: 19 }}>{formula.name}</Strong>
                  <Small>{underOf(formula, read.massG, style)}</Small>
                  {unsure > 0 ? (
                    <Small style={{ color: warn }}>{`${counted(unsure, 'line')} to settle`}</Small>
                  ) : null}
                </View>
                <Icon name="next" color={inkSoft} />
              </View>
              <Shares lines={read.lines} />
            </Tap>
          );
        })}
      </Columns>
      <Pieces />
      <QuietAction
        title="Bring in a formula"
        icon="down"
        onPress={() => useScreen.getState().setBringing(true)}
      />
    </Screen>
  );
}
