import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { ReactElement } from 'react';
import { PaperProvider } from 'react-native-paper';
import type { CupcakeLine, FormulaDoc, RunDoc } from '../../core/model/documents';
import { steadyNow } from '../../state/clock';
import { formulaKey, runKey } from '../../state/documents';
import { loadPlanner } from '../../state/plans';
import { useDocuments, useScreen } from '../../state/store';
import { WhySheet } from '../../ui/whySheet';
import * as planning from '../../workers/planning';

/** A Wednesday morning, three days before the lantern evening. */
export const NOW = new Date(2026, 10, 25, 9, 30).getTime();
export const RUN = 'run-lantern-evening';

export const router = { navigate: jest.fn(), replace: jest.fn() };

/**
 * Puts the clock on the wall to a moment, and the steady one with it: by way of a month later, as a date that was wrong is
 * followed. The day on which tests are run may be the very day that they are about.
 */
export function setNow(at: number): void {
  const wall = jest.spyOn(Date, 'now');
  for (const ms of [at + 30 * 86_400_000, at]) {
    wall.mockReturnValue(ms);
    steadyNow();
  }
}

/** Every test starts from the demo as on a first start, at the same hour. */
export async function layOutDemo(): Promise<void> {
  cleanup();
  router.navigate.mockClear();
  router.replace.mockClear();
  setNow(NOW);
  useScreen.setState({ why: null, lines: {} });
  useDocuments.setState({ docs: {}, undoable: [], aside: [], unsaved: null, ready: false });
  await act(() => loadPlanner(() => Promise.resolve(planning)));
  await act(() => useDocuments.getState().hydrate('2026-11-25T09:30'));
  act(() => useDocuments.getState().loadDemo('2026-11-25T09:30'));
}

export function open(element: ReactElement): void {
  render(
    <PaperProvider settings={{ icon: () => null }}>
      {element}
      <WhySheet />
    </PaperProvider>,
  );
}

export const run = (id = RUN): RunDoc => useDocuments.getState().docs[runKey(id)] as RunDoc;
export const line = (id = RUN): CupcakeLine => run(id).lines[0] as CupcakeLine;
export const formula = (id: string): FormulaDoc => useDocuments.getState().docs[formulaKey(id)] as FormulaDoc;
export const undo = (): void => act(() => useDocuments.getState().undo());

export const tap = (role: string, name: string | RegExp): void => {
  fireEvent.click(screen.getByRole(role, { name }));
};

/** Types into the field of the sheet on top and saves by the key of that name. */
export function put(text: string, save: string | RegExp): void {
  const sheet = within(screen.getAllByRole('dialog').at(-1) as HTMLElement);
  fireEvent.change(sheet.getByRole('textbox'), { target: { value: text } });
  fireEvent.click(sheet.getByRole('button', { name: save }));
}

export const choose = (name: string | RegExp): void => {
  const sheet = within(screen.getAllByRole('dialog').at(-1) as HTMLElement);
  fireEvent.click(sheet.getByRole('radio', { name }));
};

/** The words of an element, with plain spaces where a number and its unit are kept together. */
export const words = (element: HTMLElement): string => (element.textContent ?? '').replace(/\u00a0/g, ' ');

export { act, fireEvent, screen, waitFor, within };
