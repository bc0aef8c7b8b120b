import type { FormulaDoc } from '../../core/model/documents';

/** A formula to be kept, changed and lost, told apart by its name. */
export const cake = (name: string): FormulaDoc => ({
  kind: 'formula',
  version: 1,
  id: 'mine',
  name,
  text: '100 g flour',
  measures: 'us',
  method: 'creamed',
  ovenC: 175,
  takenFor: {},
  steps: '',
});
