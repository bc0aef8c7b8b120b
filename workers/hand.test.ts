import { expose } from 'comlink';
import { Hand, WorkerLost, whenLost } from './hand';

/** A worker in this thread: what it exposes answers over a channel. */
function workerOf(api: Record<string, unknown>): Worker & { readonly ended: boolean } {
  const { port1, port2 } = new MessageChannel();
  expose(api, port2);
  port1.start();
  return Object.assign(port1, {
    ended: false,
    terminate(this: { ended: boolean }) {
      this.ended = true;
      port1.close();
      port2.close();
    },
  }) as unknown as Worker & { readonly ended: boolean };
}

interface Api {
  readonly twice: (n: number) => number;
  readonly never: () => Promise<number>;
  readonly fails: () => number;
}
const api: Api = {
  twice: (n) => 2 * n,
  never: () => new Promise(() => undefined),
  fails: () => {
    throw new Error('no such thing');
  },
};

describe('a worker that is asked', () => {
  const started: (Worker & { readonly ended: boolean })[] = [];
  const hand = (silentMs?: number) =>
    new Hand<Api>(() => {
      const worker = workerOf({ ...api });
      started.push(worker);
      return worker;
    }, silentMs);
  beforeEach(() => (started.length = 0));
  afterEach(() => started.forEach((one) => one.terminate()));

  it('answers, and is started once', async () => {
    const one = hand();
    expect(await one.ask((remote) => remote.twice(21))).toBe(42);
    expect(await one.ask((remote) => remote.twice(4))).toBe(8);
    expect(started).toHaveLength(1);
  });

  it('is asked once more of another where it dies, and then it is told', async () => {
    const heard = jest.fn();
    whenLost(heard);
    const one = hand();
    const answer = one.ask((remote) => remote.never());
    started[0]?.dispatchEvent(new Event('error'));
    while (started.length < 2) await new Promise((done) => setTimeout(done, 1));
    expect(started[0]?.ended).toBe(true);
    expect(heard).not.toHaveBeenCalled();
    started[1]?.dispatchEvent(new Event('messageerror'));
    await expect(answer).rejects.toBeInstanceOf(WorkerLost);
    expect(heard).toHaveBeenCalledTimes(1);
    // The next question finds a new one.
    expect(await one.ask((remote) => remote.twice(3))).toBe(6);
  });

  it('is given up where it falls silent, but not while it gives signs of life', async () => {
    const one = hand(40);
    await expect(one.ask((remote) => remote.never())).rejects.toBeInstanceOf(WorkerLost);
    expect(started).toHaveLength(2);
    const slow = one.ask(async (remote, alive) => {
      for (let i = 0; i < 6; i += 1) {
        await new Promise((done) => setTimeout(done, 20));
        alive();
      }
      return remote.twice(5);
    });
    expect(await slow).toBe(10);
  });

  it('hands on what a question itself throws, without asking again', async () => {
    const one = hand();
    await expect(one.ask(async (remote) => remote.fails())).rejects.toThrow('no such thing');
    expect(started).toHaveLength(1);
  });
});
