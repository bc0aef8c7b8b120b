import { words } from '../figure';
import type { Makes } from '../model/documents';

const USES: Readonly<Record<Makes, string>> = {
  batter: 'Batter',
  filling: 'Filling',
  frosting: 'Frosting',
  binder: 'Binder',
  coat: 'Coat',
  topping: 'Topping',
};

export const COMPONENT = {
  ofLine: (makes: Makes, lineId: string) =>
    words(`${USES[makes]} of line ${lineId}`, 'As the sums of that line come to.'),
  partOf: (formula: string) => words(`Part of ${formula}`, 'As the sums of that line come to.'),
  asked: (name: string) => words(`${name}, asked for`, 'By all lines and formulas of the run.'),
  needed: (name: string) => words(`${name} needed`, 'And what the bowl keeps.'),
  inTheBowl: (name: string) => `${name} in the bowl`,
} as const;
