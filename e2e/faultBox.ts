import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';

/** `npm run faults` asks for more of everything; `npm test` does each once. */
export const MANY = process.env['FAULTS'] === 'many';

/** Figures of a run, printed for docs/reliability.md. */
export const figure = (name: string, value: string): void => console.log(`FIGURE ${name}: ${value}`);
export const median = (xs: readonly number[]): number => xs.toSorted((a, b) => a - b)[Math.floor(xs.length / 2)] ?? NaN;

/** A browser of its own, with a profile that survives being killed. */
export class Profile {
  readonly folder = mkdtempSync(join(tmpdir(), 'gelvin-profile-'));
  context: BrowserContext | null = null;
  async open(executablePath: string | undefined): Promise<Page> {
    this.context = await chromium.launchPersistentContext(this.folder, {
      ...(executablePath ? { executablePath } : {}),
      args: ['--no-sandbox', '--disable-dev-shm-usage'],
    });
    return this.context.pages()[0] ?? (await this.context.newPage());
  }
  /** As a power cut does: every process of it at once, without a word. */
  kill(): void {
    spawnSync('pkill', ['-9', '-f', this.folder]);
    this.context = null;
  }
  async close(): Promise<void> {
    await this.context?.close();
    rmSync(this.folder, { recursive: true, force: true, maxRetries: 5 });
  }
}

/** A server of its own, which can be stopped. */
async function ownServer(port: number): Promise<ChildProcess> {
  const server = spawn(process.execPath, ['dist/server/main.js'], { env: { ...process.env, PORT: String(port) } });
  await new Promise<void>((resolve, reject) => {
    server.stdout.on('data', (d: Buffer) => String(d).includes('Gelvin is at') && resolve());
    server.once('exit', () => reject(new Error('the server did not start')));
  });
  return server;
}

/** Does something to the record behind the application's back. */
export const inRecord = <T>(page: Page, what: string, arg: unknown = null): Promise<T> =>
  page.evaluate(
    async ([code, given]) => {
      const db = await new Promise<IDBDatabase>((resolve, reject) => {
        const asked = indexedDB.open('gelvin');
        asked.onsuccess = () => resolve(asked.result);
        asked.onerror = () => reject(asked.error ?? new Error('not opened'));
      });
      try {
        const stores = [...db.objectStoreNames];
        const tx = db.transaction(stores, 'readwrite');
        const done = new Promise<void>((resolve, reject) => {
          tx.oncomplete = () => resolve();
          tx.onabort = () => reject(tx.error ?? new Error('aborted'));
        });
        const ask = (r: IDBRequest): Promise<unknown> =>
          new Promise((resolve, reject) => {
            r.onsuccess = () => resolve(r.result);
            r.onerror = () => reject(r.error ?? new Error('refused'));
          });
        // the page's content policy forbids code from text: the few things that are done here have names
        let out: unknown = null;
        const o = given as { table: string; key?: string; value?: unknown; values?: unknown[] };
        if (code === 'get') out = await ask(tx.objectStore(o.table).get(o.key ?? ''));
        if (code === 'put') await ask(tx.objectStore(o.table).put(o.value));
        if (code === 'putAll') for (const v of o.values ?? []) tx.objectStore(o.table).put(v);
        if (code === 'delete') await ask(tx.objectStore(o.table).delete(o.key ?? ''));
        if (code === 'keys') out = await ask(tx.objectStore(o.table).getAllKeys());
        if (code === 'count') out = await ask(tx.objectStore(o.table).count());
        await done;
        return out as T;
      } finally {
        db.close();
      }
    },
    [what, arg] as const,
  );

/** Loads the application from a server of its own, then stops that and switches the network off. @returns its address */
export async function cutOff(page: Page, offset: number): Promise<string> {
  const port = Number(process.env['E2E_PORT'] ?? 4180) + offset;
  const server = await ownServer(port);
  const at = `http://127.0.0.1:${port}`;
  try {
    await page.goto(`${at}/settings`);
    await page.getByText(/works also with its server stopped/).waitFor();
  } finally {
    server.kill('SIGKILL');
  }
  await page.context().setOffline(true);
  return at;
}
