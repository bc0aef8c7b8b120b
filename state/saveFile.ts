/** Hands a text to the person as a file. */
export function saveFile(name: string, text: string, type = 'application/json'): void {
  saveBlob(name, new Blob([text], { type }));
}

function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser has taken hold of it by then.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** The same in pieces, so that no more of it is held than each of them; packed with gzip where somebody asks for it. */
export async function saveParts(name: string, parts: readonly string[], packed: boolean): Promise<void> {
  const plain = new Blob([...parts], { type: 'application/json' });
  const blob = packed
    ? await new Response(plain.stream().pipeThrough(new CompressionStream('gzip'))).blob()
    : plain;
  saveBlob(packed ? `${name}.gz` : name, blob);
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
