/**
 * What the server stands: so many requests a second for the page and for its largest script, on this machine's loopback,
 * with the server in a process of its own. `npm run bench:server`
 */
import autocannon, { type Result } from 'autocannon';
import { spawn } from 'node:child_process';
import { readFileSync, readdirSync, statSync } from 'node:fs';

const A_SECOND = 500;
const SECONDS = 20;
const PORT = 8292;
const SCRIPTS = 'dist/_expo/static/js/web';

const largest = (): string =>
  readdirSync(SCRIPTS)
    .filter((file) => file.endsWith('.js'))
    .sort((a, b) => statSync(`${SCRIPTS}/${b}`).size - statSync(`${SCRIPTS}/${a}`).size)[0] ?? '';

/** Memory that the process holds, MB; not a number where the system does not tell. */
function memoryMB(pid: number): number {
  try {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? NaN) / 1024;
  } catch {
    return NaN;
  }
}

const fire = (url: string): Promise<Result> =>
  autocannon({
    url,
    connections: 50,
    overallRate: A_SECOND,
    duration: SECONDS,
    headers: { 'accept-encoding': 'br' },
  });

async function main(): Promise<void> {
  const server = spawn('node_modules/.bin/tsx', ['server/main.ts', '--port', String(PORT)], {
    stdio: 'pipe',
  });
  await new Promise<void>((done) => server.stdout.once('data', () => done()));
  // tsx runs the server in a child of its own.
  const children = readFileSync(`/proc/${server.pid}/task/${server.pid}/children`, 'utf8').trim().split(' ');
  const pid = Number(children[0] ?? server.pid);
  let most = 0;
  const watch = setInterval(() => (most = Math.max(most, memoryMB(pid) || 0)), 200);
  const base = `http://127.0.0.1:${PORT}`;
  process.stdout.write(
    `Server, ${A_SECOND} requests a second for ${SECONDS} s (wanted: no error, 99 % within 250 ms, 300 MB)\n`,
  );
  for (const [name, path] of [
    ['the page', '/runs/run-1/sums'],
    ['the largest script', `/_expo/static/js/web/${largest()}`],
  ] as const) {
    const { requests, latency, errors, non2xx, timeouts } = await fire(base + path);
    process.stdout.write(
      `  ${name}: ${requests.total} answered, ${errors + non2xx + timeouts} failed, 99 % within ${latency.p99} ms, at most ${latency.max} ms\n`,
    );
  }
  clearInterval(watch);
  process.stdout.write(`  at most ${most.toFixed(0)} MB\n`);
  server.kill('SIGTERM');
}

void main();
