import { counted } from '../quantity';
import type { z } from 'zod';

/** What is wrong with a document: which field, what is wrong, and what would be right. */
export interface DocFault {
  readonly field: string;
  readonly fault: string;
  readonly mend: string;
}

export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly faults: readonly DocFault[] };

type Issue = z.core.$ZodIssue;

/** What stands in a field, in a person's words. */
const KINDS: Readonly<Record<string, string>> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'yes or no (true or false)',
  array: 'a list',
  object: 'a group of fields',
  record: 'a group of fields',
};

/** Messages that the schema library words by itself; ours begin otherwise. */
const NOT_OURS = /^(Invalid|Too (small|big)|Unrecognized|Expected|Required)/;

/** What is wrong, never in the words of the schema library. */
function faultOf(issue: Issue): string {
  if (!NOT_OURS.test(issue.message)) return issue.message;
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined && !('received' in issue)
        ? 'This is missing, or is something else.'
        : 'Something else stands here.';
    case 'invalid_value':
      return 'This is none of what it can be.';
    case 'too_small':
      return 'This is too little.';
    case 'too_big':
      return 'This is too much.';
    default:
      return 'This is not written as it can be read.';
  }
}

/** What would be right, from what is wrong: the bound itself where there is one. */
function mendOf(issue: Issue): string {
  switch (issue.code) {
    case 'invalid_type':
      return `Put ${KINDS[issue.expected] ?? 'what belongs'} here.`;
    case 'invalid_value':
      return `Use one of: ${issue.values.slice(0, 12).map(String).join(', ')}.`;
    case 'invalid_union':
      return 'Use one of the forms that the schema in docs/schemas names.';
    case 'too_small':
      return boundWords(issue.origin, 'at least', issue.minimum);
    case 'too_big':
      return boundWords(issue.origin, 'at most', issue.maximum);
    default:
      return 'Correct it and read the document again.';
  }
}

function boundWords(origin: string, which: 'at least' | 'at most', bound: number | bigint): string {
  if (origin === 'string') return `Write ${which} ${counted(Number(bound), 'letter')}.`;
  if (origin === 'array' || origin === 'set') return `Give ${which} ${bound} of them.`;
  return `Write a number that is ${which} ${bound}.`;
}

/** `["lines", 0, "count"]` as `lines[0].count`; the document itself is `(document)`. */
function fieldName(path: readonly PropertyKey[]): string {
  const text = path
    .slice(0, 12)
    .map((part) => (typeof part === 'number' ? `[${part}]` : `.${String(part).slice(0, 60)}`))
    .join('');
  return text.replace(/^\./, '') || '(document)';
}

/** Faults that are told of one document: whoever mends these reads it again. */
const MOST_FAULTS = 40;

/** Reads unknown data against a schema, naming field, fault and mend of all that does not fit. */
export function readWith<T>(schema: z.ZodType<T>, data: unknown): Result<T> {
  const parsed = schema.safeParse(data);
  if (parsed.success) return { ok: true, value: parsed.data };
  return {
    ok: false,
    faults: parsed.error.issues.slice(0, MOST_FAULTS).map((issue) => ({
      field: fieldName(issue.path),
      fault: faultOf(issue),
      mend: mendOf(issue),
    })),
  };
}
