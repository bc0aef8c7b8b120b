import {
  isList,
  isThing,
  nameOf,
  own,
  sameJson,
  threeWay,
  type Json,
  type Merged,
  type Some,
} from './threeWay';

/**
 * Merges two changes of a document. Of what a kitchen has learned nobody is asked: it follows from the runs of both sides
 * and is worked out anew at the next closing; until then the belief from more outcomes stands, one for each thing.
 */
export function mergeDocuments(base: Some, theirs: Some, mine: Some): Merged {
  if (sameJson(theirs, base)) return { value: mine, clashes: [] };
  if (![theirs, mine].every((doc) => isThing(doc) && isList(own(doc, 'beliefs'))))
    return threeWay(base, theirs, mine);
  const { value, clashes } = threeWay(withoutLearned(base), withoutLearned(theirs), withoutLearned(mine));
  if (!isThing(value)) return { value, clashes };
  const said = beliefsIn(value);
  const set = new Set(said.map(nameOf));
  // What somebody has set by hand stands.
  const learned = learnedOf(base, theirs, mine).filter((item) => !set.has(nameOf(item)));
  return { value: { ...value, beliefs: [...said, ...learned] }, clashes };
}

const beliefsIn = (doc: Some): readonly Json[] => {
  const beliefs = isThing(doc) ? own(doc, 'beliefs') : undefined;
  return isList(beliefs) ? beliefs : [];
};

const isLearned = (item: Json): boolean => isThing(item) && own(item, 'learned') === true;

const withoutLearned = (doc: Some): Some =>
  isThing(doc) ? { ...doc, beliefs: beliefsIn(doc).filter((item) => !isLearned(item)) } : doc;

/** What was learned by whichever side learned something; where both did, of each thing the belief that rests on more. */
function learnedOf(base: Some, theirs: Some, mine: Some): readonly Json[] {
  const [before, there, here] = [base, theirs, mine].map((doc) => beliefsIn(doc).filter(isLearned));
  if (sameJson(here, before)) return there ?? [];
  if (sameJson(there, before)) return here ?? [];
  const best = new Map<string, Json>();
  for (const item of [...(there ?? []), ...(here ?? [])]) {
    const known = best.get(nameOf(item));
    if (known === undefined || restsOnMore(item, known)) best.set(nameOf(item), item);
  }
  return [...best.values()];
}

/** From more outcomes, or as many and later; in the last resort by what it says, so that both windows choose alike. */
function restsOnMore(a: Json, b: Json): boolean {
  const seen = (item: Json) => (isThing(item) ? Number(own(item, 'seen') ?? 0) : 0);
  const said = (item: Json) =>
    `${isThing(item) ? JSON.stringify(own(item, 'since')) : ''} ${JSON.stringify(item)}`;
  return seen(a) === seen(b) ? said(a) > said(b) : seen(a) > seen(b);
}
