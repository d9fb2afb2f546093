import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inputsOf, readInputs, sameInputs, writeInputs } from './inputs.mjs';
import { notInstalled } from './installed.mjs';
import { isLeftOver, withLock } from './lock.mjs';

let dir: string;
beforeEach(() => void (dir = mkdtempSync(join(tmpdir(), 'bootstrap-'))));
afterEach(() => rmSync(dir, { recursive: true, force: true }));
const put = (name: string, text: string): void => {
  mkdirSync(join(dir, name, '..'), { recursive: true });
  writeFileSync(join(dir, name), text);
};

describe('one command at a time', () => {
  test('five at once take turns: each finds what the one before left, none is inside with another', async () => {
    put('count', '0');
    const module = new URL('lock.mjs', import.meta.url).href;
    const text = `
      import { withLock } from ${JSON.stringify(module)};
      import { existsSync, readFileSync, writeFileSync, rmSync } from 'node:fs';
      const dir = process.argv[1];
      await withLock(dir + '/lock', async () => {
        if (existsSync(dir + '/inside')) throw new Error('two inside');
        writeFileSync(dir + '/inside', '');
        const n = Number(readFileSync(dir + '/count', 'utf8'));
        await new Promise((done) => setTimeout(done, 20));
        writeFileSync(dir + '/count', String(n + 1));
        rmSync(dir + '/inside');
      });`;
    const statuses = await Promise.all(
      Array.from(
        { length: 5 },
        () =>
          new Promise((done) => {
            const child = spawn(process.execPath, ['--input-type=module', '-e', text, dir], { stdio: 'inherit' });
            child.on('close', done);
          }),
      ),
    );
    expect(statuses).toEqual([0, 0, 0, 0, 0]);
    expect(readFileSync(join(dir, 'count'), 'utf8')).toBe('5');
    expect(existsSync(join(dir, 'lock'))).toBe(false);
  });

  test('a lock is given back when what was done under it fails', async () => {
    await expect(withLock(join(dir, 'lock'), () => Promise.reject(new Error('no network')))).rejects.toThrow(
      'no network',
    );
    expect(existsSync(join(dir, 'lock'))).toBe(false);
  });

  test('one whose owner is gone is left over, one whose owner runs is not, however it came to be', async () => {
    const lock = join(dir, 'lock');
    mkdirSync(lock);
    expect(isLeftOver(lock)).toBe(false); // its owner is about to write its name
    expect(isLeftOver(lock, Date.now() + 6_000)).toBe(true);
    const ended = spawn(process.execPath, ['-e', '']);
    await new Promise((done) => ended.on('close', done));
    const { hostname } = await import('node:os');
    put('lock/owner.json', JSON.stringify({ pid: ended.pid, host: hostname() }));
    expect(isLeftOver(lock)).toBe(true);
    put('lock/owner.json', JSON.stringify({ pid: process.pid, host: hostname() }));
    expect(isLeftOver(lock)).toBe(false);
    expect(isLeftOver(lock, Date.now() + 21 * 60_000)).toBe(true);
    // and it is taken from whoever left it
    put('lock/owner.json', JSON.stringify({ pid: ended.pid, host: hostname() }));
    await expect(withLock(lock, () => 'done')).resolves.toBe('done');
  });
});

describe('what is installed', () => {
  const lock = (packages: Record<string, unknown>) => JSON.stringify({ packages });
  const wanted = {
    '': { name: 'gelvin' },
    'node_modules/a': { version: '1.0.0', integrity: 'sha512-a' },
    'node_modules/b': { version: '2.0.0', integrity: 'sha512-b' },
    'node_modules/other-machine': { version: '1.0.0', integrity: 'sha512-c', optional: true },
  };
  const { '': _root, 'node_modules/other-machine': _other, ...there } = wanted;
  beforeEach(() => {
    put('package-lock.json', lock(wanted));
    put('node_modules/a/package.json', '{}');
    put('node_modules/b/package.json', '{}');
  });

  test('an installation by hand counts, whoever made it and whatever is there besides', () => {
    put('node_modules/.package-lock.json', lock({ ...there, 'node_modules/tool': { version: '9.0.0' } }));
    expect(notInstalled(dir)).toEqual([]);
  });
  test('one that was broken off, a package of another version and one that was removed do not', () => {
    expect(notInstalled(dir)).toEqual(['node_modules']);
    put('node_modules/.package-lock.json', lock({ ...there, 'node_modules/a': { version: '1.0.1' } }));
    expect(notInstalled(dir)).toEqual(['node_modules/a']);
    put('node_modules/.package-lock.json', lock(there));
    rmSync(join(dir, 'node_modules/b'), { recursive: true });
    expect(notInstalled(dir)).toEqual(['node_modules/b']);
  });
});

describe('what is built from', () => {
  const inputs = (known = {}) => inputsOf([join(dir, 'src')], (p) => !p.endsWith('.test.ts'), known);
  beforeEach(() => {
    put('src/a.ts', 'a');
    put('src/deep/b.ts', 'b');
  });

  test('a source that is gone, new, renamed or changed is seen; a test and a time are not', () => {
    const was = inputs();
    expect(Object.keys(was)).toHaveLength(2);
    utimesSync(join(dir, 'src/a.ts'), 1, 1);
    put('src/a.test.ts', 'test');
    expect(sameInputs(was, inputs(was))).toBe(true);
    put('src/a.ts', 'A'); // as long as before
    expect(sameInputs(was, inputs(was))).toBe(false);
    put('src/a.ts', 'a');
    expect(sameInputs(was, inputs(was))).toBe(true);
    rmSync(join(dir, 'src/deep/b.ts'));
    expect(sameInputs(was, inputs(was))).toBe(false);
    put('src/deep/c.ts', 'b');
    expect(sameInputs(was, inputs(was))).toBe(false);
  });
  test('a list is read back as it was written, and one that is not there is none', () => {
    const file = join(dir, 'list.json');
    expect(readInputs(file)).toBeNull();
    writeInputs(file, inputs());
    expect(sameInputs(readInputs(file) ?? {}, inputs())).toBe(true);
  });
});
