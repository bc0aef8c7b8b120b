import fc from 'fast-check';
import type { z } from 'zod';

/** As much of a schema as has to be known to make values of it. */
interface Def {
  readonly type: string;
  readonly shape?: Readonly<Record<string, z.ZodType>>;
  readonly element?: z.ZodType;
  readonly innerType?: z.ZodType;
  readonly options?: readonly z.ZodType[];
  readonly values?: readonly (string | number | boolean | null)[];
  readonly entries?: Readonly<Record<string, string>>;
  readonly valueType?: z.ZodType;
  readonly checks?: readonly { readonly _zod: { readonly def: CheckDef } }[];
}
interface CheckDef {
  readonly check: string;
  readonly value?: number;
  readonly inclusive?: boolean;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly format?: string;
}

const defOf = (schema: z.ZodType): Def =>
  (schema as unknown as { readonly _zod: { readonly def: Def } })._zod.def;

interface Bounds {
  readonly min: number | null;
  readonly max: number | null;
  readonly whole: boolean;
}

function boundsOf({ checks = [] }: Def): Bounds {
  let [min, max, whole] = [null as number | null, null as number | null, false];
  for (const { _zod } of checks) {
    const { check, value, minimum, maximum, inclusive } = _zod.def;
    const open = inclusive === false ? 1e-6 : 0;
    if (check === 'greater_than') min = (value ?? 0) + open;
    if (check === 'less_than') max = (value ?? 0) - open;
    if (check === 'min_length') min = minimum ?? 0;
    if (check === 'max_length') max = maximum ?? 0;
    if (check === 'number_format') whole = true;
  }
  return { min, max, whole };
}

/** What stands in place of a field of that name, whatever its schema: references to what there is, times, texts. */
export type Fields = Readonly<Record<string, fc.Arbitrary<unknown>>>;

/** Lists are kept short: their length is no matter of the sums. */
const LONGEST = 3;

/**
 * Values that fit a schema, the ends of its bounds often among them. Built from the schema itself, so that a bound that
 * is too wide for the sums is met, and a new field is filled without anybody thinking of it.
 */
export function fromSchema(schema: z.ZodType, fields: Fields = {}): fc.Arbitrary<unknown> {
  return ofDef(schema, fields).filter((value) => schema.safeParse(value).success);
}

function ofDef(schema: z.ZodType, fields: Fields): fc.Arbitrary<unknown> {
  const def = defOf(schema);
  const inner = (one: z.ZodType | undefined) => ofDef(one as z.ZodType, fields);
  switch (def.type) {
    case 'object': {
      const entries = Object.entries(def.shape ?? {}).map(
        ([key, one]) => [key, fields[key] ?? ofDef(one, fields)] as const,
      );
      return fc
        .record(Object.fromEntries(entries))
        .map((made) => Object.fromEntries(Object.entries(made).filter(([, value]) => value !== undefined)))
        .filter((made) => schema.safeParse(made).success);
    }
    case 'number':
      return ofNumber(boundsOf(def));
    case 'string': {
      const { max } = boundsOf(def);
      return fc.constantFrom('plain', 'oats', 'a longer name').map((text) => text.slice(0, max ?? 20));
    }
    case 'boolean':
      return fc.boolean();
    case 'literal':
      return fc.constantFrom(...(def.values ?? []));
    case 'enum':
      return fc.constantFrom(...Object.values(def.entries ?? {}));
    case 'array': {
      const { min, max } = boundsOf(def);
      const least = min ?? 0;
      return fc.array(inner(def.element), {
        minLength: least,
        maxLength: Math.max(least, Math.min(max ?? LONGEST, LONGEST)),
      });
    }
    case 'optional':
      return fc.option(inner(def.innerType), { nil: undefined });
    case 'nullable':
      return fc.option(inner(def.innerType), { nil: null });
    case 'default':
      return inner(def.innerType);
    case 'union':
      return fc.oneof(...(def.options ?? []).map((one) => ofDef(one, fields)));
    case 'record':
      return fc.constant({});
    default:
      throw new Error(`no values are made of a schema of the type "${def.type}"`);
  }
}

function ofNumber({ min, max, whole }: Bounds): fc.Arbitrary<number> {
  const [low, high] = [min ?? -1e6, max ?? 1e6];
  const ends = fc.constantFrom(low, high);
  // Small ones far oftener than large ones: that is how people's numbers lie.
  const between = fc
    .double({ min: 0, max: 1, noNaN: true })
    .map((at) =>
      low >= 0 && high > 100 * (low + 1)
        ? (low + 1) * ((high + 1) / (low + 1)) ** at - 1
        : low + at * (high - low),
    );
  const inside = between.map((value) =>
    Math.min(high, Math.max(low, whole ? Math.round(value) : Number(value.toFixed(4)))),
  );
  return fc.oneof({ weight: 1, arbitrary: ends }, { weight: 6, arbitrary: inside });
}
