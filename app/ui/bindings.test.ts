import { describe, expect, test } from '@jest/globals';
import { actOf, KEY_LIST } from './bindings.ts';
import { nameOfKey } from './keys.ts';

const press = (
  key: string,
  held: Partial<Record<'ctrlKey' | 'altKey' | 'shiftKey' | 'metaKey', boolean>> = {},
): string => nameOfKey({ key, ctrlKey: false, metaKey: false, altKey: false, shiftKey: false, ...held });

describe('keys', () => {
  test('in one place no key does two things, and what works everywhere is taken nowhere else', () => {
    const seen = new Map<string, string>();
    for (const { keys, where, does } of KEY_LIST)
      for (const key of keys.split(' / ')) {
        for (const place of [where, 'Everywhere']) expect([key, seen.get(`${place} ${key}`)]).toEqual([key, undefined]);
        seen.set(`${where} ${key}`, does);
      }
  });
  test('the list is made of the bindings: each act is told with the keys that do it', () => {
    const keysOf = (id: string) => KEY_LIST.find((k) => k.id === id)?.keys;
    expect(keysOf('redo')).toBe('Ctrl Y / Shift Ctrl Z');
    expect(keysOf('stationBefore')).toBe('[ / Alt \u2191');
    expect(keysOf('arm')).toBe('Alt 1 \u2026 Alt 9');
    expect(keysOf('nearer')).toBe('+ / =');
    expect(keysOf('throwLever')).toBe('Space');
  });
  test('any of the keys of an act does it; a numbered act hears which', () => {
    const heard: unknown[] = [];
    const acts = { redo: () => heard.push('redo'), arm: (place: number) => heard.push(place) };
    for (const name of [
      press('y', { ctrlKey: true }),
      press('Z', { ctrlKey: true, shiftKey: true }),
      press('3', { altKey: true }),
    ])
      actOf(acts, name)?.();
    expect(heard).toEqual(['redo', 'redo', 2]);
    expect(actOf(acts, press('3'))).toBeNull();
    expect(actOf({ ...acts, redo: undefined }, press('y', { metaKey: true }))).toBeNull();
  });
});
