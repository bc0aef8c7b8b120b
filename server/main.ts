import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { createApp, drain, serverOf } from './app';

function option(name: string, fallback: string): string {
  const at = process.argv.indexOf(`--${name}`);
  return at >= 0 ? (process.argv[at + 1] ?? fallback) : fallback;
}

function stop(words: string): never {
  process.stderr.write(`${words}\n`);
  process.exit(2);
}

const port = Number(option('port', String(process.env.PORT ?? 8137)));
const host = option('host', '127.0.0.1');
const dist = resolve(option('dist', 'dist'));

if (!Number.isInteger(port) || port < 0 || port > 65535)
  stop('--port: not a port number. Use one from 1024 to 65535.');
if (!existsSync(`${dist}/index.html`)) stop(`${dist}: the app is not built there. Run npm run build first.`);

const server = serverOf(createApp(dist));
server.on('error', (error) => stop(`--port: ${port} cannot be used (${error.message}). Choose another.`));
server.listen(port, host, () => {
  const address = server.address();
  const at = typeof address === 'object' && address ? address.port : port;
  process.stdout.write(`Carnelian is at http://${host}:${at}\n`);
});

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.once(signal, () => void drain(server).then(() => process.exit(0)));
}
