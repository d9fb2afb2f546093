import type { Lathe } from '../../core/lathe/schema.ts';
import type { Shop } from '../../core/job/schema.ts';

/** The lathe that is practised on: the one chosen, else the first with a chasing dial. Null: none has one. */
export function practiceLathe(shop: Shop): Lathe | null {
  const able = shop.lathes.filter((l) => l.dial !== null && !l.unconfirmed.includes('leadscrew'));
  return able.find((l) => l.id === shop.practice.lathe) ?? able[0] ?? null;
}
