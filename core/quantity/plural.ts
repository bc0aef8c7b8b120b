import pluralize from 'pluralize';

/** The word for so many of a thing: plural('half', 2) is "halves". */
export const plural = (thing: string, count: number): string => pluralize(thing, count);

/** So many of a thing, in words: "1 tin", "3 tins". */
export const counted = (count: number, thing: string): string => `${count} ${plural(thing, count)}`;
