import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';

test('every package that ships is named with its licence', async () => {
  const { shipped } = (await import('../scripts/licences.mjs')) as {
    shipped: () => readonly { readonly key: string; readonly pkg: { readonly license?: unknown } }[];
  };
  const text = readFileSync('public/licences.txt', 'utf8');
  const all = shipped();
  expect(all.length).toBeGreaterThan(60);
  expect(all.filter(({ key }) => !text.includes(`${key} (`)).map(({ key }) => key)).toEqual([]);
  // none that would ask more of a shop than to keep the notice
  const asked = all.map(({ pkg }) => String(pkg.license)).filter((l) => /GPL|AGPL|SSPL|undefined/.test(l));
  expect(asked).toEqual([]);
});
