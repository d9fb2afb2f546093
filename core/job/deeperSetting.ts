import { dialReading } from '../lathe/dials.ts';
import { latheOf } from './derive.ts';
import type { CardView } from './card.ts';
import { setTo } from './nextPass.ts';
import type { Job, Shop } from './schema.ts';
import { dialOf, type Setting } from './slides.ts';

/** The same dial before and after a step deeper, and the step on it as it can be set. */
export interface DeeperSetting {
  readonly from: Setting;
  readonly to: Setting;
  /** What the dial is moved on by, in its unit: to half a division; of a control the change of its figure. */
  readonly shown: string;
  /** Divisions of it; null at a control. */
  readonly divisions: number | null;
}

/**
 * How a step deeper is set on the slide that feeds: along an angled slide it is byMm / cos(angle). Null: no lathe, or
 * nothing is touched off to count from. @param byMm on the radius, mm
 * @example deeperSetting(demo('press'), shop, card(demo('press')), 0.1) // null; no thread is named yet
 * @example deeperSetting(demo('sluice'), shop, card(demo('sluice')), 0.1).from.toMm // 1.24
 */
export function deeperSetting(job: Job, shop: Shop, view: CardView, byMm: number): DeeperSetting | null {
  const lathe = latheOf(job, shop);
  const { metal, feed, request } = view;
  if (!lathe || !request || metal.touched === null) return null;
  const at = { metal, feed, request, lathe };
  const here = Math.max(metal.depthMm, 0);
  const [from] = setTo({ depthMm: here, axialMm: metal.axialMm }, at).settings;
  const [to] = setTo({ depthMm: here + byMm, axialMm: metal.axialMm }, at).settings;
  if (!from || !to) return null;
  const dial = dialOf(to, lathe);
  if (!dial) {
    const places = to.unit === 'mm' ? 3 : 4;
    return { from, to, shown: Math.abs(to.value - from.value).toFixed(places), divisions: null };
  }
  const by = dialReading(Math.abs(to.toMm - from.toMm), dial);
  return {
    from,
    to,
    shown: by.shown,
    divisions: (by.turns * dial.perTurn * dial.division + by.reading) / dial.division,
  };
}
