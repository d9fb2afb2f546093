import compression from 'compression';
import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import { join } from 'node:path';
import { LOOPBACK } from './named.ts';
import { packed } from './packed.ts';
import { simulatedReading } from './simulatedCaliper.ts';

const SELF = ["'self'"];
/** How a second start knows that the port is held by one of its own. */
export const HEALTH = { ok: true, app: 'gelvin' } as const;

const hostOf = (header: string | undefined): string => (header ?? '').replace(/:\d+$/, '').toLowerCase();
/** Under a name that nobody gave, the request comes from a page that was lured here. */
const onlyNamed =
  (names: ReadonlySet<string>): RequestHandler =>
  (req, res, next) => {
    const host = hostOf(req.headers.host);
    if (LOOPBACK.has(host) || names.has(host)) next();
    else res.status(421).type('text/plain').send('Gelvin answers only under the names that it was given.\n');
  };
/** Whatever goes wrong is said in a line, without a path of this machine. */
const plainErrors: ErrorRequestHandler = (error: { status?: number; statusCode?: number }, _req, res, next) => {
  if (res.headersSent) {
    next(error);
    return;
  }
  const status = error.status ?? error.statusCode ?? 500;
  res
    .status(status >= 400 && status < 600 ? status : 500)
    .type('text/plain')
    .send(status === 404 ? 'There is nothing at this address.\n' : 'That could not be answered.\n');
};
/** An address of the application has no file's ending; a file that is not there is not the page. */
const isFileName = (path: string): boolean => /\.[a-z0-9]+$/i.test(path);

/** The application's server: static files with security headers; any other path falls to the application. @param names besides this machine's own, under which it answers */
export function createApp(clientDir: string, names: ReadonlySet<string> = new Set()): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(onlyNamed(names));
  app.use(
    helmet({
      // plain http on loopback: no transport security to promise
      strictTransportSecurity: false,
      // a browser complains of these under a name that is not encrypted
      crossOriginOpenerPolicy: names.size === 0,
      originAgentCluster: names.size === 0,
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: SELF,
          // Radix's scroll lock inserts style elements; scripts stay strict
          styleSrc: [...SELF, "'unsafe-inline'"],
          fontSrc: SELF,
          imgSrc: [...SELF, 'data:', 'blob:'],
          connectSrc: SELF,
          workerSrc: SELF,
          manifestSrc: SELF,
          frameAncestors: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'none'"],
          objectSrc: ["'none'"],
        },
      },
    }),
  );
  app.use(compression());
  app.get('/api/health', (_, res) => {
    res.json(HEALTH);
  });
  app.get('/api/simulated-caliper', (req, res) => {
    const trueMm = Number(req.query['trueMm']);
    const system = req.query['system'] === 'in' ? 'in' : 'mm';
    if (!(trueMm > 0 && trueMm < 3000)) {
      res
        .status(400)
        .json({ problem: { field: 'trueMm', message: 'The true size is a length in millimetres.', right: '31.6' } });
      return;
    }
    res.json({ text: simulatedReading(trueMm, system, Math.random) });
  });
  app.use('/api', (_, res) => {
    res.status(404).json({ problem: { field: 'path', message: 'There is nothing at this address.' } });
  });
  app.get('/favicon.ico', (_, res) => res.redirect(301, '/icon.svg'));
  app.use(packed(clientDir));
  app.use('/assets', express.static(join(clientDir, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  // the service worker is asked for anew each time: a new version is seen at once
  app.use(express.static(clientDir, { maxAge: 0, index: false, cacheControl: true }));
  app.get('/{*path}', (req, res, next) => {
    if (isFileName(req.path)) {
      res.status(404).type('text/plain').send('There is nothing at this address.\n');
      return;
    }
    res.set('Cache-Control', 'no-cache').sendFile(join(clientDir, 'index.html'), (e) => {
      if (e) next(e);
    });
  });
  app.use((_, res) => {
    res.status(404).type('text/plain').send('There is nothing at this address.\n');
  });
  app.use(plainErrors);
  return app;
}
