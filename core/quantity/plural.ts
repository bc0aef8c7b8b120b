import pluralize from 'pluralize';

/** The word for so many of a thing: plural('half', 2) is "halves". */
export const plural = (thing: string, count: number): string => pluralize(thing, count);

/** One of a thing: "walnut" of walnuts. */
export const singular = (thing: string): string => pluralize.singular(thing);

/** So many of a thing, in words: "1 tin", "3 tins". */
export const counted = (count: number, thing: string): string => `${count} ${plural(thing, count)}`;
