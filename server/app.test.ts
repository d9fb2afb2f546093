import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createApp } from './app.ts';

let folder: string;
let server: Server;
let base: string;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'gelvin-client-'));
  mkdirSync(join(folder, 'assets'));
  writeFileSync(join(folder, 'index.html'), '<!doctype html><title>Gelvin</title>');
  writeFileSync(join(folder, 'assets', 'main-1a2b.js'), 'export {};');
  server = createApp(folder).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(async () => {
  await new Promise((resolve) => server.close(resolve));
  rmSync(folder, { recursive: true, force: true });
});
/** Asks at a port under a name, as a page lured here would. */
const askedAt =
  (port: number) =>
  (host: string): Promise<number | undefined> =>
    new Promise((resolve, reject) => {
      request({ host: '127.0.0.1', port, path: '/', headers: { host } }, (r) => {
        r.resume();
        resolve(r.statusCode);
      })
        .on('error', reject)
        .end();
    });
const get = (path: string): Promise<Response> => fetch(base + path);

describe('the server', () => {
  test('every address of the application gets its page, never kept without asking', async () => {
    for (const path of ['/', '/jobs/demo-pump/gears', '/tables']) {
      const r = await get(path);
      expect(r.status).toBe(200);
      expect(r.headers.get('cache-control')).toBe('no-cache');
      expect(await r.text()).toContain('Gelvin');
    }
  });
  test('scripts come from here alone, and no page may frame this one', async () => {
    const policy = (await get('/')).headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("script-src 'self'");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toContain('unsafe-eval');
    expect((await get('/')).headers.get('x-powered-by')).toBeNull();
  });
  test('hashed files may be kept for ever; a file that is not there is not the page', async () => {
    const kept = await get('/assets/main-1a2b.js');
    expect(kept.headers.get('cache-control')).toContain('immutable');
    expect((await get('/assets/main-none.js')).status).toBe(404);
  });
  test('the simulated caliper sends a line as the instrument would, near the true size', async () => {
    for (const [system, pattern, unit] of [
      ['mm', /^(\d+\.\d{2}) mm$/, 1],
      ['in', /^(\d+\.\d{4}) in$/, 25.4],
    ] as const) {
      const { text } = (await (await get(`/api/simulated-caliper?trueMm=31.6&system=${system}`)).json()) as {
        text: string;
      };
      // five standard deviations of the hand
      expect(Math.abs(Number(pattern.exec(text)?.[1]) * unit - 31.6)).toBeLessThan(0.08);
    }
  });
  test.each(['', '?trueMm=0', '?trueMm=-5', '?trueMm=big', '?trueMm=4000'])(
    'it refuses "%s" and says what is right',
    async (q) => {
      const r = await get(`/api/simulated-caliper${q}`);
      expect(r.status).toBe(400);
      expect(await r.json()).toMatchObject({ problem: { field: 'trueMm', right: '31.6' } });
    },
  );
  test('a name that is not this machine\u2019s own is refused', async () => {
    const { port } = server.address() as AddressInfo;
    const asked = askedAt(port);
    expect(await asked(`127.0.0.1:${port}`)).toBe(200);
    expect(await asked(`localhost:${port}`)).toBe(200);
    expect(await asked(`shop.example:${port}`)).toBe(421);
    expect(await asked('127.0.0.1.example')).toBe(421);
  });
  test('under the names that were given on purpose it answers, and under no other', async () => {
    const opened = createApp(folder, new Set(['shop-pc', '192.168.7.20'])).listen(0, '127.0.0.1');
    await new Promise((resolve) => opened.once('listening', resolve));
    const { port } = opened.address() as AddressInfo;
    const asked = askedAt(port);
    expect(await asked(`Shop-PC:${port}`)).toBe(200);
    expect(await asked(`192.168.7.20:${port}`)).toBe(200);
    expect(await asked('127.0.0.1')).toBe(200);
    expect(await asked('shop-pc.example')).toBe(421);
    expect(await asked('192.168.7.21')).toBe(421);
    await new Promise((resolve) => opened.close(resolve));
  });
  test('an error page tells nothing of this machine, and an unknown file is not the page', async () => {
    for (const path of ['/assets/none.js', '/robots.txt', '/jobs/none.json', '/%ff', '/assets/%ff', '/assets/..%2fx']) {
      const r = await get(path);
      const body = await r.text();
      expect([path, r.status >= 400 && r.status < 500]).toEqual([path, true]);
      expect(body).not.toMatch(/Error|node_modules|\/tmp|at \w+ \(/);
      expect(body).not.toContain('<!doctype html><title>Gelvin');
    }
    expect((await fetch(`${base}/jobs`, { method: 'POST' })).status).toBe(404);
  });
  test('there is nothing else under /api', async () => {
    const r = await get('/api/jobs');
    expect(r.status).toBe(404);
    expect(r.headers.get('content-type')).toContain('json');
    expect(await (await get('/api/health')).json()).toEqual({ ok: true, app: 'gelvin' });
  });
});
