import { TextEncoder } from 'node:util';
import 'fake-indexeddb/auto';
import { configure } from '@testing-library/react';
import type * as BakeCurveModule from '../core/process/bakeCurve';
import type * as SolverModule from '../core/schedule/solver';
import type * as WorkModule from '../core/schedule/chores';
import type * as TriedModule from '../workers/tried';

jest.setTimeout(30000);
// A browser has it; the page of these tests has not.
globalThis.TextEncoder ??= TextEncoder as typeof globalThis.TextEncoder;
// Kept values are texts; the page of these tests has no way to copy anything else.
globalThis.structuredClone ??= <T>(value: T): T => value;
// What is hidden is not drawn at all here; looking for what might be hidden takes most of a test's time.
// A machine that does other things as well answers late, not never.
configure({ defaultHidden: true, asyncUtilTimeout: 8000 });

// There are no workers in these tests: the model answers at once, as it would from one.
jest.mock('../workers/ovenModel', () => ({
  askOven: (...asked: Parameters<typeof BakeCurveModule.bakeCurve>) =>
    Promise.resolve(
      jest.requireActual<typeof BakeCurveModule>('../core/process/bakeCurve').bakeCurve(...asked),
    ),
}));

jest.mock('../workers/planner', () => {
  const tried = jest.requireActual<typeof TriedModule>('../workers/tried');
  return {
    askPlanner: () => ({
      triedOn: (...asked: Parameters<typeof tried.triedOn>) => Promise.resolve(tried.triedOn(...asked)),
      costsOf: (...asked: Parameters<typeof tried.costsOf>) => Promise.resolve(tried.costsOf(...asked)),
      offersFrom: (...asked: Parameters<typeof tried.offersFrom>) =>
        Promise.resolve(tried.offersFrom(...asked)),
    }),
  };
});

// A few orders are enough here: the search itself has tests of its own.
jest.mock('../workers/dayPlanner', () => {
  const { dayLeft, dayOfFile, waysOut } = jest.requireActual<typeof WorkModule>('../core/schedule/chores');
  const { toEnd } = jest.requireActual<typeof SolverModule>('../core/schedule/solver');
  return {
    askDay: (file: WorkModule.DayFile) => Promise.resolve(toEnd(dayOfFile(file, 6, 100))),
    stopDay: () => Promise.resolve(),
    askDayLeft: (question: WorkModule.LeftQuestion) => Promise.resolve(dayLeft(question)),
    askWaysOut: (file: WorkModule.DayFile, day: WorkModule.RunDay, since: WorkModule.Since | null) =>
      Promise.resolve(toEnd(waysOut(file, day, since, 3))),
  };
});

// Jest runs no dynamic imports: what loads late in a browser is there at once.
jest.mock('../screens/loadLater', () => ({
  loadLater: () => Promise.resolve(jest.requireActual<object>('../screens/laterScreens')),
}));

// Finding by role asks for the style of every element, and working it out from some hundred rules takes most of a test's
// time. All that is asked for is whether something is shown and whether it stands within a line: texts do.
if (typeof window !== 'undefined') {
  const within: Readonly<Record<string, string>> = { display: 'inline', visibility: 'visible' };
  const block: Readonly<Record<string, string>> = { display: 'block', visibility: 'visible' };
  const styleOf = (element: Element) => {
    const known = element.className.toString().includes('css-text') ? within : block;
    return { ...known, getPropertyValue: (name: string) => known[name] ?? '' };
  };
  window.getComputedStyle = styleOf as unknown as typeof window.getComputedStyle;
}
