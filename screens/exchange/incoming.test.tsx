import { DEMO_KITCHEN } from '../../demo';
import { BringForm } from './BringForm';
import { everythingParts } from '../../state/snapshots';
import { kitchenIn } from '../../state/documents';
import { useDocuments } from '../../state/store';
import { act, fireEvent, layOutDemo, open, run, screen, tap, undo } from '../test-utils/open';

jest.mock('expo-router', () => {
  const utils: { router: unknown } = jest.requireActual('../test-utils/open');
  return { useRouter: () => utils.router, usePathname: () => '/' };
});

const RUN = 'run-lantern-evening';
const kitchen = () => kitchenIn(useDocuments.getState().docs);
const bringIn = (text: string) => {
  open(<BringForm start={text} onDone={() => undefined} />);
  tap('button', 'Bring it in');
};

beforeEach(layOutDemo);

describe('a file of everything', () => {
  it('says that nothing would change where all is there', async () => {
    bringIn((await everythingParts()).join(''));
    expect(screen.getByText('Nothing would change.')).toBeTruthy();
    expect(screen.getByText(/documents the same already\.$/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Bring in / })).toBeNull();
  });

  it('shows what is new and what differs before anything changes, and comes in as one step', async () => {
    const file = (await everythingParts()).join('');
    act(() => {
      useDocuments.getState().change('Other', {
        [`run/${RUN}`]: { ...run(RUN), name: 'Renamed here' },
        'run/run-lantern-makers-tea': null,
      });
    });
    bringIn(file);
    expect(screen.getByText('1 document new here')).toBeTruthy();
    expect(screen.getByText('Different: name.')).toBeTruthy();
    expect(run(RUN).name).toBe('Renamed here');
    tap('button', 'Bring in 2 documents');
    expect(run(RUN).name).toBe('Lantern evening');
    expect(run('run-lantern-makers-tea')).toBeTruthy();
    undo();
    expect(run(RUN).name).toBe('Renamed here');
    expect(run('run-lantern-makers-tea')).toBeUndefined();
  });

  it('leaves what somebody wants as it is here', async () => {
    const file = (await everythingParts()).join('');
    act(() => {
      useDocuments.getState().change('Other', { [`run/${RUN}`]: { ...run(RUN), name: 'Renamed here' } });
    });
    bringIn(file);
    tap('radio', 'As it is here');
    expect(screen.getByText('Nothing would change.')).toBeTruthy();
    expect(run(RUN).name).toBe('Renamed here');
  });
});

describe('a kitchen', () => {
  const theirs = JSON.stringify({
    ...DEMO_KITCHEN,
    name: 'Another kitchen',
    borrowed: false,
    mugs: [...(DEMO_KITCHEN.mugs ?? []), { id: 'mug-blue', name: 'Blue mug', owned: 2, volumeMl: 280 }],
  });

  it('gives way where it is still the demo’s', () => {
    bringIn(theirs);
    expect(kitchen().name).toBe('Hollow Lane kitchen');
    tap('button', 'Bring in 1 document');
    expect(kitchen()).toMatchObject({ name: 'Another kitchen', id: 'kitchen' });
  });

  it('of one’s own is brought together with it: nothing of here is lost', () => {
    act(() => {
      useDocuments.getState().change('Mine', { kitchen: { ...kitchen(), name: 'Mine', borrowed: false } });
    });
    bringIn(theirs);
    expect(screen.getByText(/^Different: .*mugs/)).toBeTruthy();
    tap('button', 'Bring in 1 document');
    expect(kitchen().name).toBe('Mine');
    expect(kitchen().mugs?.map(({ name }) => name)).toContain('Blue mug');
  });

  it('that cannot be read changes nothing, and says why', () => {
    const before = kitchen();
    bringIn(JSON.stringify({ ...DEMO_KITCHEN, tins: 'none' }));
    expect(screen.getAllByRole('note').length).toBeGreaterThan(0);
    expect(kitchen()).toBe(before);
    fireEvent.change(screen.getByLabelText('Paste it here'), { target: { value: '' } });
    expect(screen.queryByRole('note')).toBeNull();
  });
});
