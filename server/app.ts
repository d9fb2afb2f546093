import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { join } from 'node:path';
import { simulatedReading } from './simulatedCaliper.ts';

const SELF = ["'self'"];

/** The application's server: static files with security headers; any other path falls to the application. */
export function createApp(clientDir: string): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      // plain http on loopback: no transport security to promise
      strictTransportSecurity: false,
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
    res.json({ ok: true });
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
  app.use('/assets', express.static(join(clientDir, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(clientDir, { maxAge: 0, index: false }));
  app.get('/{*path}', (_, res) => {
    res.set('Cache-Control', 'no-cache').sendFile(join(clientDir, 'index.html'));
  });
  return app;
}
