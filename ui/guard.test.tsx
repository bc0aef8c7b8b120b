import { fireEvent, render, screen } from '@testing-library/react';
import { PaperProvider } from 'react-native-paper';
import { ScriptMissing } from '../state/scriptMissing';
import { Card } from './card';
import { DrawingGuard, Guard } from './guard';
import { Body } from './text';

let broken: Error | null = null;
function Part() {
  if (broken) throw broken;
  return <Body>All is well.</Body>;
}

const show = (element: React.ReactElement) =>
  render(<PaperProvider settings={{ icon: () => null }}>{element}</PaperProvider>);

describe('what fails', () => {
  beforeEach(() => {
    broken = new Error('a figure is gone');
    jest.spyOn(console, 'error').mockImplementation(() => undefined);
  });
  afterEach(() => jest.restoreAllMocks());

  it('is told in its own card, and the next one stands', () => {
    show(
      <>
        <Card title="The grams">
          <Part />
        </Card>
        <Card title="The day">
          <Body>Mix at ten.</Body>
        </Card>
      </>,
    );
    expect(screen.getByText('“The grams” could not be shown.')).toBeTruthy();
    expect(screen.getByText('Mix at ten.')).toBeTruthy();
    broken = null;
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(screen.getByText('All is well.')).toBeTruthy();
  });

  it('as a drawing leaves a line of words', () => {
    show(
      <DrawingGuard>
        <Part />
      </DrawingGuard>,
    );
    expect(screen.getByText('The drawing could not be made.')).toBeTruthy();
  });

  it('for want of a script asks for the page to be loaded again', () => {
    broken = new ScriptMissing();
    show(
      <Guard what="This page">
        <Part />
      </Guard>,
    );
    expect(screen.getByText('A part of Carnelian is missing here.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Load the page again' })).toBeTruthy();
  });
});
