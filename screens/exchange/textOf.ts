import { MOST_LETTERS } from '../../core/exchange/limits';

/** Words that a file may take, as the letters that may be in it and some for signs of several bytes. */
const MOST_BYTES = MOST_LETTERS * 3;

/** The text of a file; of one that is too large only as much as shows that it is. */
export async function textOf(file: File): Promise<string> {
  return file.size > MOST_BYTES ? file.slice(0, MOST_BYTES).text() : file.text();
}
