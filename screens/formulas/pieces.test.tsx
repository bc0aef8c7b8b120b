import { bringIn } from '../../core/exchange/bringIn';
import { pieceOf } from '../../core/model/pieceDoc';
import { FAMILY_FILES } from '../../demo/families';
import { pieceKey, piecesIn } from '../../state/documents';
import { useDocuments } from '../../state/store';
import { act, fireEvent, layOutDemo, open, put, router, screen, tap, undo, within } from '../test-utils/open';
import { FormulasScreen } from './FormulasScreen';

jest.mock('expo-router', () => {
  const utils: { router: unknown } = jest.requireActual('../test-utils/open');
  return { useRouter: () => utils.router, usePathname: () => '/formulas' };
});

beforeEach(layOutDemo);

describe('whole pieces', () => {
  const [demoLine] = FAMILY_FILES.pops?.run.lines ?? [];
  const pieces = () => piecesIn(useDocuments.getState().docs);
  beforeEach(() => {
    if (!demoLine) throw new Error('the demo has pops');
    const piece = pieceOf(demoLine, { id: 'piece-1', name: 'For the gate' });
    act(() => useDocuments.getState().change('Keep', { [pieceKey(piece.id)]: piece }));
    open(<FormulasScreen />);
    tap('button', 'For the gate. Open');
  });
  const sheet = () => within(screen.getAllByRole('dialog').at(-1) as HTMLElement);

  it('start a run with their own choices', () => {
    fireEvent.click(sheet().getByRole('button', { name: 'Start a run of it' }));
    expect(router.navigate).toHaveBeenCalledWith({
      pathname: '/runs/new',
      params: { piece: 'pop', formula: 'piece-1' },
    });
  });

  it('are renamed, but not to nothing', () => {
    fireEvent.click(sheet().getByRole('button', { name: 'Rename it' }));
    put('  ', 'Save');
    expect(sheet().getByRole('alert')).toBeTruthy();
    put('For the door', 'Save');
    expect(pieces().map(({ name }) => name)).toEqual(['For the door']);
    undo();
    expect(pieces().map(({ name }) => name)).toEqual(['For the gate']);
  });

  it('are taken out as one step, and come back', () => {
    fireEvent.click(sheet().getByRole('button', { name: 'Take it out' }));
    expect(pieces()).toEqual([]);
    expect(screen.queryByText('Whole pieces')).toBeNull();
    undo();
    expect(pieces()).toHaveLength(1);
  });

  it('go out as a file that can be brought in', async () => {
    const made: Blob[] = [];
    URL.createObjectURL = (blob: Blob) => {
      made.push(blob);
      return 'blob:a-piece';
    };
    URL.revokeObjectURL = () => undefined;
    const clicked = jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(() => undefined);
    fireEvent.click(sheet().getByRole('button', { name: 'Save it as a file' }));
    expect(clicked).toHaveBeenCalledTimes(1);
    const text = await new Promise<string>((done) => {
      const reader = new FileReader();
      reader.onload = () => done(reader.result as string);
      reader.readAsText(made[0] as Blob);
    });
    expect(bringIn(text)).toMatchObject({
      ok: true,
      what: 'piece file',
      file: { piece: { name: 'For the gate' } },
    });
    clicked.mockRestore();
  });
});
