import { expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';

const root = new URL('../', import.meta.url);
const ROOMS = ['app', 'cli', 'core', 'demo', 'ops', 'server', 'sim', 'words'];
const sources = ROOMS.flatMap((room) =>
  (readdirSync(new URL(room, root), { recursive: true }) as string[])
    .filter((f) => /\.tsx?$/.test(f) && !/\.test\.tsx?$|generated|\.d\.ts$/.test(f) && !f.startsWith('testing'))
    .map((f) => `${room}/${f}`),
);
const text = (file: string): string => readFileSync(new URL(file, root), 'utf8');

test('no type is forced through unknown: what a value is, is said or checked', () => {
  expect(sources.length).toBeGreaterThan(600);
  expect(sources.filter((f) => /\bas unknown as\b/.test(text(f)))).toEqual([]);
});

test('package.json names a range for every package, none of them any', () => {
  const pkg = JSON.parse(text('package.json')) as Record<'dependencies' | 'devDependencies', Record<string, string>>;
  const all = Object.entries({ ...pkg.dependencies, ...pkg.devDependencies });
  expect(all.filter(([, range]) => range === '*' || range === '' || range === 'latest')).toEqual([]);
});

test('the lock file holds no address of a registry', () => {
  expect(text('package-lock.json')).not.toContain('"resolved"');
});
