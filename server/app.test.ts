import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createServer, request as httpRequest } from 'node:http';
import { connect } from 'node:net';
import { LIMITS, createApp, drain, serverOf } from './app';

const HASHED = '/_expo/static/js/web/entry-0123456789abcdef0123456789abcdef.js';

describe('the server', () => {
  let server: Server;
  let base = '';
  let dist = '';

  beforeAll((done) => {
    dist = mkdtempSync(join(tmpdir(), 'carnelian-dist-'));
    mkdirSync(join(dist, '_expo/static/js/web'), { recursive: true });
    writeFileSync(
      join(dist, 'index.html'),
      '<!doctype html><title>shell</title><script>1</script><style>a{}</style>',
    );
    writeFileSync(join(dist, 'icon.svg'), '<svg/>');
    writeFileSync(join(dist, HASHED), 'whole');
    writeFileSync(join(dist, `${HASHED}.br`), 'brotli');
    writeFileSync(join(dist, `${HASHED}.gz`), 'gzipped');
    server = serverOf(createApp(dist)).listen(0, '127.0.0.1', () => {
      base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
      done();
    });
  });
  afterAll((done) => void server.close(done));

  it('answers for its health', async () => {
    const response = await fetch(`${base}/api/health`);
    expect(await response.json()).toEqual({ ok: true });
    expect(response.headers.get('cache-control')).toBe('no-store');
  });

  it('locks nobody out by the streams that one reader leaves open', async () => {
    const stops: AbortController[] = [];
    const stream = async (name: string) => {
      const stop = new AbortController();
      stops.push(stop);
      const { status, body } = await fetch(`${base}/api/instruments/stream?session=${name}`, {
        signal: stop.signal,
      });
      return { status, reader: (body as ReadableStream<Uint8Array>).getReader() };
    };
    for (let i = 0; i < 70; i += 1) expect((await stream(`many-${i}`)).status).toBe(200);
    const other = await stream('another');
    expect(other.status).toBe(200);
    expect(new TextDecoder().decode((await other.reader.read()).value)).toContain('data:');
    for (const stop of stops) stop.abort();
  });

  it('closes a client that sends its headers too slowly, soon after its time is up', async () => {
    expect(LIMITS).toMatchObject({ headersMs: 10_000, lookMs: 1000 });
    const quick = serverOf(createApp(dist), { ...LIMITS, headersMs: 600, requestMs: 900, lookMs: 100 });
    await new Promise<void>((done) => quick.listen(0, '127.0.0.1', done));
    const socket = connect((quick.address() as AddressInfo).port, '127.0.0.1');
    socket.write('GET / HTTP/1.1\r\nHost: a\r\n');
    const drip = setInterval(() => socket.write('x-a: b\r\n'), 100);
    socket.on('error', () => undefined);
    socket.resume();
    await new Promise<void>((done) => socket.on('close', () => done()));
    clearInterval(drip);
    await new Promise<void>((done) => quick.close(() => done()));
  });

  it('streams the instruments of a simulated kitchen, and does in it what is asked', async () => {
    const stop = new AbortController();
    const response = await fetch(`${base}/api/instruments/stream?session=test-1`, { signal: stop.signal });
    expect(response.headers.get('content-type')).toContain('text/event-stream');
    const reader = (response.body as ReadableStream<Uint8Array>).getReader();
    const done = await fetch(`${base}/api/instruments/do?session=test-1&do=put%20on&massG=250`);
    expect(await done.json()).toEqual({ ok: true });
    let text = '';
    while (!/"id":"scale"[^}]*"value":2(49|50)/.test(text) && text.length < 200_000)
      text += new TextDecoder().decode((await reader.read()).value);
    expect(text).toMatch(/"value":2(49|50)/);
    stop.abort();
  });

  it('refuses a deed that is none, and a kitchen that nobody opened', async () => {
    const of = (query: string) => fetch(`${base}/api/instruments/do?${query}`);
    expect((await of('session=nobody&do=tare')).status).toBe(404);
    expect((await fetch(`${base}/api/instruments/stream?session=../x`)).status).toBe(400);
    const wrong = await of('session=test-1&do=put%20on&massG=lots');
    expect(wrong.status).toBe(400);
    expect(await wrong.json()).toMatchObject({ fault: expect.stringContaining('massG') as string });
  });

  it('gives the shell for any address of the app and 404 for a missing file or route', async () => {
    for (const path of ['/', '/runs/run-1/sums', '/kitchen', '/runs/run-1.5/sums', '/formulas/butter.cake']) {
      const response = await fetch(base + path);
      expect(await response.text()).toContain('shell');
      expect(response.headers.get('cache-control')).toBe('no-cache');
    }
    expect((await fetch(`${base}/missing.js`)).status).toBe(404);
    expect((await fetch(`${base}/api/nothing`)).status).toBe(404);
    expect((await fetch(`${base}/_expo/static/js/web/gone-0123.js`)).status).toBe(404);
    expect((await fetch(`${base}/..%2f..%2fetc/passwd`)).status).not.toBe(500);
  });

  it('lets hashed files be kept for good and others be asked for again', async () => {
    expect((await fetch(base + HASHED)).headers.get('cache-control')).toContain('immutable');
    expect((await fetch(`${base}/icon.svg`)).headers.get('cache-control')).toBe('no-cache');
  });

  it('sends security headers and hides what it runs on', async () => {
    const { headers } = await fetch(base);
    expect(headers.get('content-security-policy')).toContain("default-src 'self'");
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('x-powered-by')).toBeNull();
  });

  /** An answer to a bare request, past what fetch would do to it. */
  const bare = (path: string, headers: Record<string, string> = {}, method = 'GET') =>
    new Promise<{ status: number; headers: Record<string, unknown>; body: string }>((done, fail) => {
      const asked = httpRequest(base + path, { method, headers }, (response) => {
        let body = '';
        response.on('data', (part: Buffer) => (body += part.toString()));
        response.on('end', () => done({ status: response.statusCode ?? 0, headers: response.headers, body }));
      });
      asked.on('error', fail);
      asked.end();
    });

  it('sends what was compressed when the app was built, as the client reads it', async () => {
    expect((await bare(HASHED, { 'accept-encoding': 'gzip, br' })).body).toBe('brotli');
    expect((await bare(HASHED, { 'accept-encoding': 'gzip' })).body).toBe('gzipped');
    const { body, headers } = await bare(HASHED);
    expect(body).toBe('whole');
    expect(headers['content-encoding']).toBeUndefined();
  });

  it('answers nothing but reading, and in one line without a path or a trace', async () => {
    expect((await bare('/', {}, 'POST')).status).toBe(405);
    expect((await bare('/', { 'content-length': '5' })).status).toBe(413);
    for (const path of ['/%E0%A4%A', '/_expo/%00', '/%2e%2e/%2e%2e/etc/passwd', '/fonts/..%5c..%5cx.js']) {
      const { status, body } = await bare(path);
      expect(status).toBeLessThan(500);
      if (!body.startsWith('<!doctype')) expect(body).toMatch(/^[A-Z][^\n/]*\.$/);
    }
  });

  it('allows its own scripts and styles and no others', async () => {
    const policy = (await fetch(base)).headers.get('content-security-policy') ?? '';
    expect(policy).not.toMatch(/unsafe/);
    expect(policy).toMatch(/script-src 'self' 'sha256-[^']+'/);
    expect(policy).toMatch(/style-src 'self' 'sha256-[^']+' 'sha256-[^']+'/);
  });

  it('refuses headers without end', async () => {
    const long = await bare('/', { 'x-long': 'a'.repeat(40_000) }).catch(() => null);
    expect(long === null || long.status >= 400).toBe(true);
  });

  it('lets what is being answered finish when it stops', async () => {
    const other = createServer((_request, response) => void setTimeout(() => response.end('all of it'), 80));
    await new Promise<void>((done) => other.listen(0, '127.0.0.1', done));
    const at = `http://127.0.0.1:${(other.address() as AddressInfo).port}`;
    const answer = fetch(at, { headers: { connection: 'close' } }).then((response) => response.text());
    await new Promise((done) => setTimeout(done, 30));
    await drain(other);
    expect(await answer).toBe('all of it');
    await expect(fetch(at)).rejects.toThrow();
  });
});
