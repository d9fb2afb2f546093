import { expect, test } from '@jest/globals';
import { namesGiven } from './named.ts';

test('names are taken exactly as they are given, in small letters', () => {
  expect(namesGiven([])).toEqual({ ok: true, names: new Set() });
  expect(namesGiven(['--host', 'Shop-PC'])).toEqual({ ok: true, names: new Set(['shop-pc']) });
  expect(namesGiven(['--host=shop.lan', '--host', '192.168.7.20,[fe80::1]'])).toEqual({
    ok: true,
    names: new Set(['shop.lan', '192.168.7.20', '[fe80::1]']),
  });
});
test.each([
  ['--host'],
  ['--host', ''],
  ['--host', '0.0.0.0'],
  ['--host', '*'],
  ['--host', 'a b'],
  ['--host', '-x'],
  ['shop-pc'],
])('what is no name is refused with what would be right: %s %s', (...args) => {
  const named = namesGiven(args.filter((a) => a !== undefined));
  expect(named).toMatchObject({ ok: false, message: expect.stringContaining('--host shop-pc') as unknown as string });
});
