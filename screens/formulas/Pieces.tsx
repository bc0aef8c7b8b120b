import { counted } from '../../core/quantity';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { PieceDoc } from '../../core/model/documents';
import { plainFormulaId } from '../../core/model/references';
import { formulaIn, pieceKey, piecesIn } from '../../state/documents';
import { pieceFileText } from '../../state/exchange';
import { fileName, saveFile } from '../../state/saveFile';
import { change, useDocuments } from '../../state/store';
import { MainAction, QuietAction } from '../../ui/actions';
import { Icon } from '../../ui/icons';
import { Sheet } from '../../ui/sheet';
import { Tap } from '../../ui/tap';
import { Body, Heading, Small, Strong } from '../../ui/text';
import { TextSheet, nameFault } from '../../ui/textSheet';
import { space, useTokens } from '../../ui/theme';
import { pieceWords } from '../runs/words';

/** Whole pieces: batter, tin, filling, frosting, coat and lots as they were chosen once, to start runs from. */
export function Pieces() {
  const docs = useDocuments((state) => state.docs);
  const { raised, inkSoft } = useTokens();
  const [open, setOpen] = useState<PieceDoc | null>(null);
  const pieces = piecesIn(docs);
  if (pieces.length === 0) return null;
  return (
    <>
      <Heading level={3}>Whole pieces</Heading>
      {pieces.map((piece) => {
        const formula = formulaIn(docs, plainFormulaId(piece.line) ?? '');
        const lots = piece.line.lots?.length ?? 0;
        return (
          <Tap
            key={piece.id}
            label={`${piece.name}. Open`}
            onPress={() => setOpen(piece)}
            style={{
              backgroundColor: raised,
              borderRadius: 18,
              padding: space(2),
              flexDirection: 'row',
              alignItems: 'center',
              gap: space(1),
            }}
          >
            <View style={{ flex: 1 }}>
              <Strong style={{ fontSize: 19 }}>{piece.name}</Strong>
              <Small>
                {[
                  `${pieceWords({ ...piece.line, count: 2 })}${formula ? ` of ${formula.name}` : ''}`,
                  ...(lots > 0 ? [`${counted(lots, 'lot')}`] : []),
                ].join(', ')}
              </Small>
            </View>
            <Icon name="next" color={inkSoft} />
          </Tap>
        );
      })}
      <Sheet title={open?.name ?? ''} visible={open !== null} onClose={() => setOpen(null)}>
        {open ? <PieceActions piece={open} onDone={() => setOpen(null)} /> : null}
      </Sheet>
    </>
  );
}

function PieceActions({ piece, onDone }: { readonly piece: PieceDoc; readonly onDone: () => void }) {
  const router = useRouter();
  const [naming, setNaming] = useState(false);
  return (
    <>
      <Body>{`Last made ${piece.line.count} at a time. A run of it starts with everything chosen; only how many and when are asked.`}</Body>
      <MainAction
        title="Start a run of it"
        icon="plus"
        onPress={() => {
          onDone();
          router.navigate({
            pathname: '/runs/new',
            params: { piece: piece.line.family, formula: piece.id },
          });
        }}
      />
      <QuietAction title="Rename it" onPress={() => setNaming(true)} />
      <QuietAction
        title="Save it as a file"
        icon="down"
        onPress={() => saveFile(fileName(piece.name, 'piece'), pieceFileText(piece))}
      />
      <QuietAction
        title="Take it out"
        icon="bin"
        onPress={() => {
          onDone();
          change(`Take out ${piece.name}`, { [pieceKey(piece.id)]: null });
        }}
      />
      <TextSheet
        ask={naming ? { title: 'What it is called', value: piece.name, fault: nameFault } : null}
        onClose={() => setNaming(false)}
        onSave={(name) => {
          onDone();
          change('Name of the piece', { [pieceKey(piece.id)]: { ...piece, name: name.trim() } });
        }}
      />
    </>
  );
}
