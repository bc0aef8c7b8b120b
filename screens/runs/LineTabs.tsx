import { ScrollView } from 'react-native';
import type { RunDoc } from '../../core/model/documents';
import { plainFormulaId } from '../../core/model/references';
import { formulaIn } from '../../state/documents';
import { useDocuments, useScreen } from '../../state/store';
import { Tap } from '../../ui/tap';
import { Small, Strong } from '../../ui/text';
import { space, useTokens } from '../../ui/theme';
import { pieceWords } from './words';

/** The lines of a run, to look at one of them; nothing where there is only one. */
export function LineTabs({ run, lineId }: { readonly run: RunDoc; readonly lineId: string }) {
  const docs = useDocuments((state) => state.docs);
  const lookAt = useScreen((state) => state.lookAt);
  const { carnelian, carnelianSoft, line: edge, raised } = useTokens();
  if (run.lines.length < 2) return null;
  return (
    <ScrollView
      horizontal
      role="tablist"
      aria-label="Lines of the run"
      showsHorizontalScrollIndicator={false}
      contentContainerStyle={{ gap: space(1) }}
      style={{ flexGrow: 0 }}
    >
      {run.lines.map((line) => {
        const here = line.id === lineId;
        const id = plainFormulaId(line);
        const of = id === null ? 'no baking' : (formulaIn(docs, id)?.name ?? 'a formula that is gone');
        return (
          <Tap
            key={line.id}
            role="tab"
            selected={here}
            label={`${line.count} ${pieceWords(line)}, ${of}`}
            onPress={() => lookAt(run.id, line.id)}
            style={{
              borderRadius: 12,
              borderWidth: here ? 2 : 1.5,
              borderColor: here ? carnelian : edge,
              backgroundColor: here ? carnelianSoft : raised,
              paddingHorizontal: space(1.5),
              paddingVertical: space(0.75),
              maxWidth: 220,
            }}
          >
            <Strong>{`${line.count} ${pieceWords(line)}`}</Strong>
            <Small numberOfLines={1}>{of}</Small>
          </Tap>
        );
      })}
    </ScrollView>
  );
}
