import { expose } from 'comlink';
import { PiecesBroken, SnapshotPieces, type PiecesFault } from '../core/exchange/pieces';
import type { AnyDoc } from '../core/model/documents';

/** What came of a file. */
export type Brought =
  | { readonly ok: true; readonly at: string; readonly unread: number }
  | { readonly ok: false; readonly why: PiecesFault | 'not to be unpacked' };

/** A compressed file begins so. */
const GZIP = [0x1f, 0x8b];

async function isPacked(file: Blob): Promise<boolean> {
  const [first, second] = new Uint8Array(await file.slice(0, 2).arrayBuffer());
  return first === GZIP[0] && second === GZIP[1];
}

/** Reads a file of everything, as it comes off the disk. The page can end this worker at any time. */
export const bringing = {
  /**
   * @param told how much of the file has been read, 0 to 1
   * @param take hears of documents as they are whole
   */
  async read(
    file: Blob,
    told: (share: number) => Promise<void> | void,
    take: (docs: readonly AnyDoc[]) => Promise<void> | void,
  ): Promise<Brought> {
    const pieces = new SnapshotPieces();
    let bytes = 0;
    const counted = new TransformStream<Uint8Array<ArrayBuffer>, Uint8Array<ArrayBuffer>>({
      transform(chunk, to) {
        bytes += chunk.length;
        to.enqueue(chunk);
      },
    });
    const raw = file.stream().pipeThrough(counted);
    try {
      const plain = (await isPacked(file)) ? raw.pipeThrough(new DecompressionStream('gzip')) : raw;
      const reader = plain.pipeThrough(new TextDecoderStream()).getReader();
      for (let next = await reader.read(); !next.done; next = await reader.read()) {
        const docs = pieces.push(next.value);
        if (docs.length > 0) await take(docs);
        await told(file.size === 0 ? 1 : Math.min(1, bytes / file.size));
      }
      pieces.end();
      return { ok: true, at: pieces.at ?? '', unread: pieces.unread };
    } catch (fault) {
      return { ok: false, why: fault instanceof PiecesBroken ? fault.why : 'not to be unpacked' };
    }
  },
};
export type Bringing = typeof bringing;

expose(bringing);
