import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import { join } from 'node:path';

const YEAR = 365 * 24 * 3600;
/** Files that carry a hash of their content in their name never change. */
const HASHED = /[.-][0-9a-f]{32}\./;

/** The server: the built app with cache and security headers, a health route, and the shell for every other address. */
export function createApp(dist: string): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // react-native-web and expo-font write their style sheets into the page.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'", 'data:'],
          workerSrc: ["'self'", 'blob:'],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      // The app is served on this machine over plain http; asking browsers for https would lock people out.
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.get('/api/health', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ ok: existsSync(join(dist, 'index.html')) });
  });
  app.use('/api', (_request, response) => {
    response
      .status(404)
      .json({ fault: 'There is no such route.', mend: 'GET /api/health is the one there is.' });
  });
  app.use(
    express.static(dist, {
      index: false,
      setHeaders(response, path) {
        response.set('Cache-Control', HASHED.test(path) ? `public, max-age=${YEAR}, immutable` : 'no-cache');
      },
    }),
  );
  app.get('/{*path}', (request, response) => {
    if (/\.[a-z0-9]+$/i.test(request.path)) {
      response.status(404).type('text/plain').send('There is no such file.');
      return;
    }
    response.set('Cache-Control', 'no-cache').sendFile(join(dist, 'index.html'));
  });
  return app;
}
