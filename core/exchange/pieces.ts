import type { AnyDoc } from '../model/documents';
import { readDocument } from './migrate';

/** Letters that one document of a file may have: a formula of the longest lines, or a run of a year, takes a part of it. */
export const MOST_OF_A_DOCUMENT = 5_000_000;

/** What stands before the documents of a file of everything, and where they begin. */
const HEAD = /^\uFEFF?\s*\{(?:[^"[\]{}]|"(?:[^"\\]|\\.)*")*?"docs"\s*:\s*\[/;
/** So much of a file may stand before them. */
const MOST_OF_HEAD = 2000;

export type PiecesFault = 'no file of everything' | 'broken off' | 'document too long';

/** A file of everything cannot be read on from here. */
export class PiecesBroken extends Error {
  constructor(readonly why: PiecesFault) {
    super(why);
  }
}

/**
 * Reads a file of everything in pieces, as they come: whatever its size, no more of it is held than one document. Each is
 * read by itself, so that one that is damaged does not cost the rest.
 */
export class SnapshotPieces {
  /** Local time at which it was saved; null until that has been read. */
  at: string | null = null;
  /** Documents that could not be read. */
  unread = 0;
  private began = false;
  private ended = false;
  private text = '';
  /** Where the document that is being read begins in `text`, and how far it has been looked through. */
  private from = -1;
  private looked = 0;
  private depth = 0;
  private quoted = false;

  /**
   * Takes the next piece of text.
   * @returns the documents that are whole by now
   * @throws PiecesBroken where it is no such file, or a document has no end
   */
  push(piece: string): AnyDoc[] {
    this.text += piece;
    if (!this.began) this.begin();
    if (!this.began || this.ended) return [];
    const out: AnyDoc[] = [];
    for (; this.looked < this.text.length && !this.ended; this.looked += 1) this.look(out);
    this.forget();
    return out;
  }

  /** @throws PiecesBroken where the file ends before its documents do */
  end(): void {
    if (!this.began) throw new PiecesBroken('no file of everything');
    if (!this.ended) throw new PiecesBroken('broken off');
  }

  private begin(): void {
    const head = HEAD.exec(this.text.slice(0, MOST_OF_HEAD));
    if (!head) {
      if (this.text.length >= MOST_OF_HEAD) throw new PiecesBroken('no file of everything');
      return;
    }
    if (!/"kind"\s*:\s*"snapshot"/.test(head[0])) throw new PiecesBroken('no file of everything');
    this.at = /"at"\s*:\s*"([^"\\]{1,40})"/.exec(head[0])?.[1] ?? '';
    this.began = true;
    this.looked = head[0].length;
  }

  private look(out: AnyDoc[]): void {
    const sign = this.text[this.looked];
    if (this.quoted) {
      if (sign === '\\') this.looked += 1;
      else if (sign === '"') this.quoted = false;
    } else if (sign === '"') this.quoted = true;
    else if (sign === '{' || sign === '[') {
      if (this.depth === 0) this.from = this.looked;
      this.depth += 1;
    } else if (sign === '}' || sign === ']') {
      this.depth -= 1;
      if (this.depth === 0) this.take(out);
      else if (this.depth < 0) this.ended = true;
    }
    if (this.from >= 0 && this.looked - this.from > MOST_OF_A_DOCUMENT)
      throw new PiecesBroken('document too long');
  }

  private take(out: AnyDoc[]): void {
    const read = documentIn(this.text.slice(this.from, this.looked + 1));
    if (read) out.push(read);
    else this.unread += 1;
    this.from = -1;
  }

  /** What has been read is let go. */
  private forget(): void {
    const keep = this.from >= 0 ? this.from : Math.min(this.looked, this.text.length);
    this.text = this.text.slice(keep);
    this.looked -= keep;
    if (this.from >= 0) this.from = 0;
  }
}

function documentIn(text: string): AnyDoc | null {
  try {
    const read = readDocument(JSON.parse(text));
    return read.ok ? read.value : null;
  } catch {
    return null;
  }
}
