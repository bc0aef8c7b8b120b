import { readFileSync } from 'node:fs';
import { demoPast } from './demoPast';

const answer = (over: Partial<Response>) =>
  jest.fn(() =>
    Promise.resolve({
      ok: true,
      json: () => Promise.resolve(JSON.parse(readFileSync('public/demo-past.json', 'utf8')) as unknown),
      ...over,
    } as Response),
  );

describe('the past of the demo', () => {
  const before = globalThis.fetch;
  beforeAll(() => {
    // Browsers have it; the page of these tests has not.
    if (!('timeout' in AbortSignal))
      Object.assign(AbortSignal, { timeout: () => new AbortController().signal });
  });
  afterAll(() => {
    globalThis.fetch = before;
  });

  it('comes before the Saturday to come', async () => {
    globalThis.fetch = answer({});
    const past = await demoPast('2026-11-25T09:30');
    expect(past?.runs).toHaveLength(12);
    expect(past?.runs.at(-1)?.readyAt).toBe('2026-11-14T16:00');
  });

  it.each([
    ['is not there', answer({ ok: false })],
    ['is no past', answer({ json: () => Promise.resolve({ runs: 7 }) })],
    ['cannot be asked for', jest.fn(() => Promise.reject(new Error('no network')))],
  ])('is done without where it %s', async (_, fetched) => {
    globalThis.fetch = fetched;
    expect(await demoPast('2026-11-25T09:30')).toBeNull();
  });
});
