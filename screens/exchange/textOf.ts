import { MOST_LETTERS } from '../../core/exchange/limits';

/** From this size on a file is read in pieces: what holds one run, one page or one formula is smaller. */
const LARGE_BYTES = MOST_LETTERS;

/** Whether a file is read in pieces: a large one, and one that is compressed. */
export const isLarge = ({ size, name, type }: File): boolean =>
  size > LARGE_BYTES || /\.gz$/i.test(name) || /gzip/.test(type);

/** The text of a file that is read whole. */
export const textOf = (file: File): Promise<string> => file.text();
