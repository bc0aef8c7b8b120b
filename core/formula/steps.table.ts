import type { Role } from '../quantity';

/** What steps say for a number besides the numbers that lines have. */
export const STEP_NUMBERS: Readonly<Record<string, number>> = {
  'half an': 0.5,
  halves: 2,
  thirds: 3,
  quarters: 4,
};

/** Minutes in a unit of time, by its first letter. */
export const MINUTES_OF: Readonly<Record<string, number>> = { s: 1 / 60, m: 1, h: 60 };

/** How much of a thing is meant by what stands before its name; with the longer ones first. */
export const SHARES: readonly (readonly [RegExp, number | 'rest'])[] = [
  [/\btwo thirds (?:of )?(?:the )?$/, 2 / 3],
  [/\bthree quarters (?:of )?(?:the )?$/, 3 / 4],
  [/\b(?:a|one) third (?:of )?(?:the )?$/, 1 / 3],
  [/\b(?:a|one) quarter (?:of )?(?:the )?$/, 1 / 4],
  [/\bhalf (?:of )?(?:the )?$/, 1 / 2],
  [/\b(?:rest|remaining|remainder|other half)(?: of)?(?: the)? $/, 'rest'],
];

/** Words for several lines at once. */
export const SUMMED: readonly { readonly pattern: RegExp; readonly roles: ReadonlySet<Role> }[] = [
  {
    pattern: / dry (?:ingredients|things|mix|mixture) /,
    roles: new Set<Role>(['flour', 'starch', 'powder', 'bicarbonate', 'salt', 'cocoa']),
  },
  { pattern: / wet (?:ingredients|things) /, roles: new Set<Role>(['liquid', 'egg', 'acid']) },
];
