import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp, HEALTH } from './app.ts';
import { namesGiven, UNENCRYPTED } from './named.ts';

/**
 * Serves the built application on loopback, at PORT or the usual one and nowhere else: another port is another record. Under
 * names given with --host it answers the shop's network too, and under those alone.
 */
const clientDir = join(dirname(fileURLToPath(import.meta.url)), '../client');
if (!existsSync(join(clientDir, 'index.html'))) {
  console.error('The application is not built yet. Run: npm run build (npm start does it by itself).');
  process.exit(1);
}

const HOST = '127.0.0.1';
const asked = process.env['PORT'];
const USUAL_PORT = 4173;
const ASK_MS = 2000;
const port = asked === undefined ? USUAL_PORT : Number(asked);
if (!(Number.isInteger(port) && port >= 0 && port <= 65535)) {
  console.error(`PORT=${asked ?? ''} is not a port. Right would be a number from 1 to 65535.`);
  process.exit(1);
}

const named = namesGiven(process.argv.slice(2));
if (!named.ok) {
  console.error(named.message);
  process.exit(1);
}
const { names } = named;

/** Whether what holds the port is Gelvin. */
async function isOurs(): Promise<boolean> {
  try {
    const answer = await fetch(`http://${HOST}:${port}/api/health`, { signal: AbortSignal.timeout(ASK_MS) });
    return ((await answer.json()) as { app?: string }).app === HEALTH.app;
  } catch {
    return false;
  }
}

async function inUse(): Promise<never> {
  if (await isOurs()) {
    console.log(`Gelvin is already running at http://${HOST}:${port}/`);
    process.exit(0);
  }
  console.error(
    `Port ${port} is held by something else. Stop that, or choose another port: PORT=4200 npm start\n` +
      'Note that the browser keeps one shop for each port: at another one Gelvin begins with its demo shop. Export the shop\n' +
      'here first (Settings & backup) if it is to be taken along.',
  );
  process.exit(1);
}

const server = createApp(clientDir, names).listen(port, names.size === 0 ? HOST : '::', (error?: Error) => {
  if (error) {
    if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE') void inUse();
    else {
      console.error(`Cannot listen on port ${port}: ${error.message}`);
      process.exit(1);
    }
    return;
  }
  const address = server.address();
  const got = typeof address === 'object' && address ? address.port : port;
  console.log(`Gelvin is at http://${HOST}:${got}/ (Ctrl C stops it)`);
  if (names.size === 0) return;
  for (const name of names) console.log(`and on the network at http://${name}:${got}/`);
  console.log(UNENCRYPTED);
});
const stop = (): void => {
  server.close(() => process.exit(0));
  server.closeAllConnections();
};
process.once('SIGTERM', stop);
process.once('SIGINT', stop);
