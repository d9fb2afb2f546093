import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp } from './app.ts';

/** Serves the built application on loopback: PORT if given, else 4173, else any free port. */
const clientDir = join(dirname(fileURLToPath(import.meta.url)), '../client');
if (!existsSync(join(clientDir, 'index.html'))) {
  console.error('The application is not built yet. Run: npm run build (npm start does it by itself).');
  process.exit(1);
}

const asked = process.env['PORT'];
const USUAL_PORT = 4173;
const app = createApp(clientDir);

function listen(port: number, mayMove: boolean): void {
  const server = app.listen(port, '127.0.0.1', (error?: Error) => {
    if (error) {
      const inUse = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
      if (inUse && mayMove) {
        console.log(`Port ${port} is in use; taking a free one.`);
        listen(0, false);
        return;
      }
      console.error(
        inUse
          ? `Port ${port} is in use. Choose another: PORT=4200 npm start`
          : `Cannot listen on port ${port}: ${error.message}`,
      );
      process.exit(1);
    }
    const address = server.address();
    const got = typeof address === 'object' && address ? address.port : port;
    console.log(`Gelvin is at http://127.0.0.1:${got}/ (Ctrl C stops it)`);
  });
  const stop = (): void => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
}

const port = asked === undefined ? USUAL_PORT : Number(asked);
if (!(Number.isInteger(port) && port >= 0 && port <= 65535)) {
  console.error(`PORT=${asked ?? ''} is not a port. Right would be a number from 1 to 65535.`);
  process.exit(1);
}
listen(port, asked === undefined);
