import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { join } from 'node:path';
import { holdFiles, sendFrom } from './files';
import { addInstruments } from './instruments';

/** Where only files are; elsewhere an address with a dot in it is one of the app's. */
const FILES =
  /^\/(_expo|assets|fonts)\/|^\/[^/]+\.(js|css|json|map|svg|png|ico|txt|webmanifest|woff2|html)$/i;
/** Ten seconds of one client, far above what a browser asks for and what a bakery's browsers do together. */
const MOST_IN_10_S = 20_000;

const hashOf = (text: string): string => `'sha256-${createHash('sha256').update(text).digest('base64')}'`;

/** Hashes of what the served page says itself, of one kind of element: that and nothing else may stand in it. */
function inlineHashes(html: string, element: 'script' | 'style'): string[] {
  const all = html.matchAll(new RegExp(`<${element}(?![^>]*\\bsrc=)[^>]*>([\\s\\S]*?)</${element}>`, 'g'));
  return [...all].map(([, text]) => hashOf(text ?? ''));
}

/** The server: the built app with cache and security headers, a health route, and the shell for every other address. */
export function createApp(dist: string): Express {
  const page = existsSync(join(dist, 'index.html')) ? readFileSync(join(dist, 'index.html'), 'utf8') : '';
  const app = express();
  app.disable('x-powered-by');
  app.disable('etag');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'", ...inlineHashes(page, 'script')],
          // react-native-web puts an empty style sheet into the page and writes its rules through the browser's own objects.
          styleSrc: ["'self'", hashOf(''), ...inlineHashes(page, 'style')],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          workerSrc: ["'self'", 'blob:'],
          connectSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'none'"],
          frameAncestors: ["'none'"],
        },
      },
      // The app is served on this machine over plain http; asking browsers for https would lock people out.
      strictTransportSecurity: false,
    }),
  );
  app.use(
    rateLimit({
      windowMs: 10_000,
      limit: MOST_IN_10_S,
      standardHeaders: false,
      legacyHeaders: false,
      message: 'Too many requests: wait a moment.',
    }),
  );
  app.use(onlyReading);
  app.get('/api/health', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ ok: page !== '' });
  });
  addInstruments(app);
  app.use('/api', (_request, response) => {
    response.status(404).json({
      fault: 'There is no such route.',
      mend: 'GET /api/health says whether the app is there; instruments stream from /api/instruments/stream.',
    });
  });
  const files = holdFiles(dist);
  app.use(sendFrom(files));
  app.get('/{*path}', (request, response, next) => {
    if (FILES.test(request.path)) {
      response.status(404).type('text/plain').send('There is no such file.');
      return;
    }
    next();
  });
  app.use(sendFrom(files, '/index.html'));
  app.use((_request, response) => {
    response.status(404).type('text/plain').send('There is no such file.');
  });
  app.use(inOneLine);
  return app;
}

const readable = (path: string): boolean => {
  try {
    return !decodeURIComponent(path).includes('\0');
  } catch {
    return false;
  }
};

/** The app is read and nothing is sent to it: a body is no business of this server. */
function onlyReading(request: Request, response: Response, next: NextFunction): void {
  const reading = request.method === 'GET' || request.method === 'HEAD';
  const bare =
    request.headers['transfer-encoding'] === undefined &&
    Number(request.headers['content-length'] ?? 0) === 0;
  if (!readable(request.path)) {
    response.status(400).type('text/plain').send('This address cannot be read.');
    return;
  }
  if (reading && bare) {
    next();
    return;
  }
  response
    .status(reading ? 413 : 405)
    .set({ Allow: 'GET, HEAD', Connection: 'close' })
    .type('text/plain')
    .send(reading ? 'Send no body.' : 'Only GET and HEAD are answered.');
}

/** Whatever goes wrong is said in one line, without a path or a trace. */
function inOneLine(fault: unknown, _request: Request, response: Response, next: NextFunction): void {
  if (response.headersSent) {
    next(fault);
    return;
  }
  const { status } = fault as { readonly status?: unknown };
  const code = typeof status === 'number' && status >= 400 && status < 500 ? status : 500;
  response
    .status(code)
    .type('text/plain')
    .send(code === 500 ? 'The server failed to answer.' : 'This address cannot be read.');
}

/** How long a client may take, ms, and how many there may be. */
export const LIMITS = {
  headersMs: 10_000,
  requestMs: 20_000,
  idleMs: 10_000,
  keepAliveMs: 5_000,
  headerBytes: 16_384,
  headers: 64,
  connections: 2_000,
  /** How often it is looked who takes too long. */
  lookMs: 1_000,
} as const;

type Limits = { readonly [K in keyof typeof LIMITS]: number };

/** A server that looks often enough at who is slow: by itself it looks every half a minute only. */
export const serverOf = (app: Express, limits: Limits = LIMITS): Server =>
  limit(
    createServer({ maxHeaderSize: limits.headerBytes, connectionsCheckingInterval: limits.lookMs }, app),
    limits,
  );

/** Slow clients, and more of them than a bakery has, do not hold the server up. */
function limit(server: Server, limits: Limits): Server {
  server.headersTimeout = limits.headersMs;
  server.requestTimeout = limits.requestMs;
  server.timeout = limits.idleMs;
  server.keepAliveTimeout = limits.keepAliveMs;
  server.maxHeadersCount = limits.headers;
  server.maxConnections = limits.connections;
  server.on('clientError', (_fault, socket) => {
    if (socket.writable)
      socket.end('HTTP/1.1 400 Bad Request\r\nConnection: close\r\nContent-Length: 0\r\n\r\n');
    else socket.destroy();
    // Who goes on sending has been told.
    setTimeout(() => socket.destroy(), limits.lookMs).unref();
  });
  return server;
}

/** Lets what is being answered finish, and takes no more; what is still open after a while is closed. */
export function drain(server: Server, afterMs = 5_000): Promise<void> {
  return new Promise((done) => {
    const late = setTimeout(() => server.closeAllConnections(), afterMs);
    server.close(() => {
      clearTimeout(late);
      done();
    });
    server.closeIdleConnections();
  });
}
