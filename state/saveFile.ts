/** Hands a text to the person as a file. */
export function saveFile(name: string, text: string, type = 'application/json'): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser has taken hold of it by then.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A name for a file: letters, digits and dashes. */
export const fileName = (name: string, kind: 'run' | 'piece' = 'run'): string =>
  `${fileStem(name) || kind}.${kind}.json`;

/** The same without what kind it is of. */
export const fileStem = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60);
