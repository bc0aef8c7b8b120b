import { proxy } from 'comlink';
import type { AnyDoc } from '../core/model/documents';
import type { Bringing, Brought } from './bringing.worker';
import { Hand } from './hand';

/** A file that is being read: its answer, and how to leave it. */
export interface Reading {
  readonly found: Promise<{ readonly docs: readonly AnyDoc[]; readonly brought: Brought }>;
  readonly cancel: () => void;
}

/** Reads a file of everything in a worker of its own, which ends with it. */
export function readInPieces(file: Blob, told: (share: number) => void): Reading {
  let worker: Worker | null = null;
  const hand = new Hand<Bringing>(() => {
    worker = new Worker(new URL('./bringing.worker', import.meta.url));
    return worker;
  });
  let left = false;
  const read = async () => {
    let docs: AnyDoc[] = [];
    const brought = await hand.ask<Brought>(async (remote, alive) => {
      docs = [];
      return await remote.read(
        file,
        proxy((share: number) => {
          alive();
          if (!left) told(share);
        }),
        proxy((some: readonly AnyDoc[]) => {
          docs.push(...some);
        }),
      );
    });
    worker?.terminate();
    return { docs, brought };
  };
  return {
    found: read(),
    cancel: () => {
      left = true;
      worker?.terminate();
    },
  };
}
