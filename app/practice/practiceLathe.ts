import { parseDesignation } from '../../core/standards/designation.ts';
import { leadOf } from '../../core/standards/thread.ts';
import { textOf } from '../../core/quantity/rational.ts';
import type { Lathe } from '../../core/lathe/schema.ts';
import type { Shop } from '../../core/job/schema.ts';

/** The lathe that is practised on: the one chosen, else the first with a chasing dial. Null: none has one. */
export function practiceLathe(shop: Shop): Lathe | null {
  const able = shop.lathes.filter((l) => l.dial !== null && !l.unconfirmed.includes('leadscrew'));
  return able.find((l) => l.id === shop.practice.lathe) ?? able[0] ?? null;
}

/** Lead of a thread by its designation, exact mm; null: none is chosen, or it names none. */
export function leadOfName(designation: string): string | null {
  const read = designation === '' ? null : parseDesignation(designation);
  return read?.ok ? textOf(leadOf(read.value.thread)) : null;
}
