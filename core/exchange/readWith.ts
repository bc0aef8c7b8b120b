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

/** What would be right, from what is wrong: the bound itself where there is one. */
function mendOf(issue: Issue): string {
  switch (issue.code) {
    case 'invalid_type':
      return `Give a value of the kind that the schema in docs/schemas names${'expected' in issue ? `: ${issue.expected}` : ''}.`;
    case 'invalid_value':
      return `Use one of: ${issue.values.slice(0, 12).map(String).join(', ')}.`;
    case 'invalid_union':
      return 'Use one of the forms that the schema names.';
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
  const text = path.map((part) => (typeof part === 'number' ? `[${part}]` : `.${String(part)}`)).join('');
  return text.replace(/^\./, '') || '(document)';
}

/** Reads unknown data against a schema, naming field, fault and mend of all that does not fit. */
export function readWith<T>(schema: z.ZodType<T>, data: unknown): Result<T> {
  const parsed = schema.safeParse(data);
  if (parsed.success) return { ok: true, value: parsed.data };
  return {
    ok: false,
    faults: parsed.error.issues.map((issue) => ({
      field: fieldName(issue.path),
      fault: issue.message,
      mend: mendOf(issue),
    })),
  };
}
