import type { NextFunction, Request, Response } from 'express';
import { readFileSync, readdirSync } from 'node:fs';
import { extname, join } from 'node:path';

const YEAR = 365 * 24 * 3600;
/** Files that carry a hash of their content in their name never change. */
const HASHED = /[.-][0-9a-f]{32}\./;

const TYPES: Readonly<Record<string, string>> = {
  '.html': 'text/html; charset=utf-8',
  '.js': 'text/javascript; charset=utf-8',
  '.json': 'application/json; charset=utf-8',
  '.css': 'text/css; charset=utf-8',
  '.svg': 'image/svg+xml',
  '.png': 'image/png',
  '.woff2': 'font/woff2',
  '.webmanifest': 'application/manifest+json',
  '.txt': 'text/plain; charset=utf-8',
};

/** One file as it is sent: whole, and as it was compressed when the app was built. */
interface Held {
  readonly type: string;
  readonly cache: string;
  readonly whole: Buffer;
  readonly br: Buffer | null;
  readonly gzip: Buffer | null;
}

/** All files of a build, some ten megabytes, held in memory: reading them anew at each request took most of its time. */
export function holdFiles(folder: string, within = ''): Map<string, Held> {
  const held = new Map<string, Held>();
  const names = new Set(readdirSync(join(folder, within)));
  for (const entry of readdirSync(join(folder, within), { withFileTypes: true })) {
    const path = `${within}/${entry.name}`;
    if (entry.isDirectory()) {
      for (const [inner, file] of holdFiles(folder, path)) held.set(inner, file);
      continue;
    }
    if (/\.(br|gz)$/.test(entry.name)) continue;
    const as = (ending: string) =>
      names.has(`${entry.name}.${ending}`) ? readFileSync(join(folder, `${path}.${ending}`)) : null;
    held.set(path, {
      type: TYPES[extname(entry.name)] ?? 'application/octet-stream',
      cache: HASHED.test(entry.name) ? `public, max-age=${YEAR}, immutable` : 'no-cache',
      whole: readFileSync(join(folder, path)),
      br: as('br'),
      gzip: as('gz'),
    });
  }
  return held;
}

/** Sends a file as the client reads it best. */
function send(file: Held, request: Request, response: Response): void {
  const accepts = String(request.headers['accept-encoding'] ?? '');
  const coded =
    file.br && /\bbr\b/.test(accepts)
      ? ({ as: 'br', bytes: file.br } as const)
      : file.gzip && /\bgzip\b/.test(accepts)
        ? ({ as: 'gzip', bytes: file.gzip } as const)
        : null;
  const { bytes } = coded ?? { bytes: file.whole };
  response.writeHead(200, {
    'Content-Type': file.type,
    'Cache-Control': file.cache,
    'Content-Length': bytes.length,
    Vary: 'Accept-Encoding',
    ...(coded ? { 'Content-Encoding': coded.as } : {}),
  });
  response.end(request.method === 'HEAD' ? undefined : bytes);
}

/** Answers with the file of an address, or with one that stands for all addresses; goes on where there is none. */
export const sendFrom =
  (files: ReadonlyMap<string, Held>, always?: string) =>
  (request: Request, response: Response, next: NextFunction): void => {
    const file = files.get(always ?? decodeURIComponent(request.path));
    if (file) send(file, request, response);
    else next();
  };
