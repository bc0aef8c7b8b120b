import { wrap, type Remote } from 'comlink';

/** A worker failed to load, threw outside of a question, sent what cannot be read, or fell silent. */
export class WorkerLost extends Error {
  constructor() {
    super('A worker is gone.');
  }
}

/** So long after the last sign of a worker it is given up, ms: what it does in one piece takes a part of that. */
const SILENT_MS = 30_000;
/** A question is asked so often, each time of a new worker, before it is told that there is no answer. */
const TRIES = 2;

let told: () => void = () => undefined;
/** Who hears that a question was given up. */
export const whenLost = (hears: () => void): void => {
  told = hears;
};

/**
 * A worker that is started when it is first asked, and started once more where it is lost: a worker that dies answers no
 * question and refuses none, so whoever waits for it would wait for ever.
 */
export class Hand<T> {
  private held: {
    readonly worker: Worker;
    readonly remote: Remote<T>;
    readonly lost: Promise<never>;
  } | null = null;

  constructor(
    private readonly start: () => Worker,
    private readonly silentMs = SILENT_MS,
  ) {}

  /**
   * Asks something, and once more of another worker where this one is lost.
   * @param ask is handed the worker, and what to call at each sign of life
   * @throws WorkerLost where both are lost; whatever the question itself throws
   */
  async ask<A>(ask: (remote: Remote<T>, alive: () => void) => Promise<A>): Promise<A> {
    for (let tries = 1; ; tries += 1) {
      const { remote, lost } = this.open();
      let silent: ReturnType<typeof setTimeout> | undefined;
      let giveUp: (fault: WorkerLost) => void = () => undefined;
      const silence = new Promise<never>((_, refuse) => {
        giveUp = refuse;
      });
      const alive = () => {
        clearTimeout(silent);
        silent = setTimeout(() => giveUp(new WorkerLost()), this.silentMs);
      };
      alive();
      try {
        return await Promise.race([ask(remote, alive), lost, silence]);
      } catch (fault) {
        if (!(fault instanceof WorkerLost)) throw fault;
        this.drop();
        if (tries >= TRIES) {
          told();
          throw fault;
        }
      } finally {
        clearTimeout(silent);
      }
    }
  }

  private open() {
    if (this.held) return this.held;
    const worker = this.start();
    const lost = new Promise<never>((_, refuse) => {
      const gone = () => refuse(new WorkerLost());
      worker.addEventListener('error', gone);
      worker.addEventListener('messageerror', gone);
    });
    // Nobody may be waiting when it dies.
    lost.catch(() => this.drop(worker));
    this.held = { worker, remote: wrap<T>(worker), lost };
    return this.held;
  }

  private drop(worker = this.held?.worker): void {
    if (this.held?.worker !== worker) return;
    this.held?.worker.terminate();
    this.held = null;
  }
}
