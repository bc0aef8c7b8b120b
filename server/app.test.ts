import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createApp } from './app';

const HASHED = '/_expo/static/js/web/entry-0123456789abcdef0123456789abcdef.js';

describe('the server', () => {
  let server: Server;
  let base = '';

  beforeAll((done) => {
    const dist = mkdtempSync(join(tmpdir(), 'carnelian-dist-'));
    mkdirSync(join(dist, '_expo/static/js/web'), { recursive: true });
    writeFileSync(join(dist, 'index.html'), '<!doctype html><title>shell</title>');
    writeFileSync(join(dist, 'icon.svg'), '<svg/>');
    writeFileSync(join(dist, HASHED), '1');
    server = createApp(dist).listen(0, '127.0.0.1', () => {
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

  it('gives the shell for any address of the app and 404 for a missing file or route', async () => {
    for (const path of ['/', '/runs/run-1/sums', '/kitchen']) {
      const response = await fetch(base + path);
      expect(await response.text()).toContain('shell');
      expect(response.headers.get('cache-control')).toBe('no-cache');
    }
    expect((await fetch(`${base}/missing.js`)).status).toBe(404);
    expect((await fetch(`${base}/api/nothing`)).status).toBe(404);
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
});
