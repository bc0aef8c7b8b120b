/** An id for a new document: its kind, and enough of a random number never to meet another. */
export function newId(kind: string): string {
  return `${kind}-${crypto.getRandomValues(new Uint32Array(2)).reduce((text, part) => text + part.toString(36), '')}`;
}
