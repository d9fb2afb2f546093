import { bad, good, type Outcome } from '../quantity/outcome.ts';
import type { Shop } from '../job/schema.ts';
import { SHOP_VERSION } from '../job/stations.ts';
import { checkWith, problemsOf, type Checked, type Validator } from './checkWith.ts';
import { validateShop } from './generated/shop.js';
import { upgradeShop } from './upgradeShop.ts';

/**
 * A shop as it is kept or brought in, of any version. Apart from jobs: it is all that the first screen has to read.
 * @example checkShop(shop).state // 'good'
 */
export const checkShop = (raw: unknown): Checked<Shop> =>
  checkWith(raw, SHOP_VERSION, upgradeShop, validateShop, () => null);

/**
 * What the border would refuse is not made.
 * @example storableShop(shop).ok // true
 */
export function storableShop(doc: Shop): Outcome<Shop> {
  if ((validateShop as Validator<Shop>)(doc)) return good(doc);
  const [first] = problemsOf(validateShop.errors);
  return first ? { ok: false, problem: first } : bad('document', 'not-in-document', { because: 'is wrong' });
}
