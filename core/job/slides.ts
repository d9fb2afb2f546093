import type { PlannedPass } from '../cutting/plan.ts';
import { dialReading, type SlideDial } from '../lathe/dials.ts';
import type { Lathe } from '../lathe/schema.ts';
import { cosDeg, sinDeg, toInches } from '../quantity/units.ts';
import { ALONG_BED_DEG, type Feed } from './feed.ts';
import type { Metal } from './metal.ts';

/** Where one slide is to stand, on its own dial. */
export interface Setting {
  readonly slide: 'cross' | 'top' | 'control';
  /** Travel from the slide's zero, mm; of a control the diameter it is given. */
  readonly toMm: number;
  /** Whole turns from zero, then what the collar shows. */
  readonly turns: number;
  readonly value: number;
  readonly shown: string;
  readonly unit: 'mm' | 'in';
  readonly reads: 'radius' | 'diameter';
  /** In a nut the slides are wound back to feed, and the collar runs down. */
  readonly wound: 'in' | 'back';
  /** The one that is turned for this pass; the other is brought back to where it stood. */
  readonly feeds: boolean;
}

/**
 * The dial on which a setting is read; null at a control, which has none.
 * @example dialOf({ slide: 'cross' }, shop.lathes[0]).division // 0.001
 */
export const dialOf = (s: Pick<Setting, 'slide'>, lathe: Lathe): SlideDial | null =>
  s.slide === 'control' ? null : s.slide === 'top' ? lathe.topSlide : lathe.crossSlide;

/** Where the slides stand, mm. */
export interface Stand {
  readonly crossMm: number;
  readonly topMm: number;
}

/**
 * Depth at which the tip stands with the slides so.
 * @example depthAt({ crossMm: 1, topMm: 0 }, null, 0) // 1
 */
export const depthAt = (stand: Stand, slideDeg: number | null, zeroMm: number): number =>
  stand.crossMm + stand.topMm * (slideDeg === null ? 0 : cosDeg(slideDeg)) + zeroMm;

/**
 * The slides' travels for a pass, before they are rounded to what a dial can be set to.
 * @example standFor({ depthMm: 1, axialMm: 0 }, metal(demo('latch')), { infeed: 'flank', slideDeg: 29.5, liesDeg: 29.5, conflict: null }) // { crossMm: 0, topMm: 1.149 }; 1 / cos 29.5
 */
export function standFor(pass: Pick<PlannedPass, 'depthMm' | 'axialMm'>, metal: Metal, feed: Feed): Stand {
  const cos = feed.liesDeg === null ? 0 : cosDeg(feed.liesDeg);
  if (feed.slideDeg !== null) {
    const topMm = (pass.depthMm - metal.zeroMm - metal.crossMm) / cosDeg(feed.slideDeg);
    return { crossMm: metal.crossMm, topMm };
  }
  const topMm = feed.infeed === 'alternate' ? metal.topMm + (pass.axialMm - metal.axialMm) : metal.topMm;
  return { crossMm: pass.depthMm - metal.zeroMm - topMm * cos, topMm };
}

/**
 * Side cut by s along the axis: along the slide as it lies, the cross slide taking back its depth. Null: it lies square across.
 * @example sideStand({ ...metal(demo('latch')), slideDeg: 90, topMm: 0, crossMm: 1 }, 0.2, false) // { topMm: 0.2, crossMm: 1 }
 */
export function sideStand(metal: Metal, towardsHeadstockMm: number, leftHand: boolean): Stand | null {
  const lies = metal.slideDeg;
  if (lies === null || lies < LEAST_SIDE_DEG) return null;
  const move = alongSlide(towardsHeadstockMm, lies, leftHand);
  return { topMm: metal.topMm + move.topMm, crossMm: metal.crossMm + move.crossMm };
}

/**
 * Towards which end the tool goes to cut a flank: the leading one lies in the direction of the cut. + towards the headstock.
 * @example [sideSign('leading', false), sideSign('leading', true)] // [1, -1]
 */
export const sideSign = (flank: 'leading' | 'trailing', leftHand: boolean): 1 | -1 =>
  (flank === 'leading') === !leftHand ? 1 : -1;

/**
 * How both slides move so that the tool goes along the axis and stays as deep: the one answer for side cuts, picking up and
 * starts. Of the top slide + is forward: at an angle into the work, and in the direction of the cut, for which it is swung; along
 * the bed towards the headstock, whatever hand is cut. Of the cross slide + is into the work; a nut alike, into its metal.
 * @param liesDeg from the cross-slide line, over 0 to 90
 * @example [alongSlide(0.5, 30, false).topMm, alongSlide(0.5, 30, true).topMm, alongSlide(0.5, 90, true).topMm] // [1.0, -1.0, 0.5]
 */
export function alongSlide(towardsHeadstockMm: number, liesDeg: number, leftHand: boolean): Stand {
  const alongBed = liesDeg === ALONG_BED_DEG;
  const topMm = (towardsHeadstockMm * (leftHand && !alongBed ? -1 : 1)) / sinDeg(liesDeg);
  return { topMm, crossMm: alongBed ? 0 : -topMm * cosDeg(liesDeg) };
}
/** A slide nearer to square across than this is no use for moving along, degrees. */
const LEAST_SIDE_DEG = 5;

/**
 * The dials' own settings for a stand, and where the slides then really are.
 * @example settingsFor({ crossMm: 1, topMm: 0 }, shop.lathes[0], { infeed: 'plunge', slideDeg: null, liesDeg: null, conflict: null }, false).settings[0].shown // '0.0395'; in, as near to 1 mm as the dial goes
 */
export function settingsFor(
  stand: Stand,
  lathe: Lathe | null,
  feed: Feed,
  internal: boolean,
  round: 'nearest' | 'down' = 'nearest',
): { readonly settings: Setting[]; readonly set: Stand } {
  if (!lathe) return { settings: [], set: stand };
  const wound = internal ? 'back' : 'in';
  const of = (slide: 'cross' | 'top', travelMm: number): { setting: Setting; setMm: number } => {
    const dial = slide === 'cross' ? lathe.crossSlide : lathe.topSlide;
    // a top slide along the bed feeds nothing into the work: it counts up towards the headstock whatever is cut
    const way = slide === 'top' && feed.liesDeg === 90 ? 'in' : wound;
    const feeds = slide === 'top' ? feed.slideDeg !== null || feed.infeed === 'alternate' : feed.slideDeg === null;
    // the one that does not feed stays where it was left
    const r = dialReading(travelMm, dial, way, feeds ? round : 'nearest');
    return {
      setMm: r.setMm,
      setting: {
        slide,
        toMm: r.setMm,
        turns: r.turns,
        value: r.reading,
        shown: r.shown,
        unit: dial.unit,
        reads: dial.reads,
        wound: way,
        feeds,
      },
    };
  };
  // the slide that rests is set as near as its dial goes; the one that feeds makes up for it, so that the depth is the one asked for
  const atAngle = feed.slideDeg !== null;
  const rest = atAngle ? of('cross', stand.crossMm) : of('top', stand.topMm);
  const topMatters = atAngle || feed.infeed === 'alternate' || Math.abs(rest.setMm) > 1e-9;
  const cosLies = feed.liesDeg === null ? 0 : cosDeg(feed.liesDeg);
  const [cross, top] = atAngle
    ? [rest, of('top', stand.topMm + (stand.crossMm - rest.setMm) / cosDeg(feed.slideDeg))]
    : [of('cross', stand.crossMm + (topMatters ? (stand.topMm - rest.setMm) * cosLies : 0)), rest];
  const settings = [cross.setting, ...(topMatters ? [top.setting] : [])];
  return {
    settings: settings.toSorted((a, b) => Number(b.feeds) - Number(a.feeds)),
    set: { crossMm: cross.setMm, topMm: topMatters ? top.setMm : stand.topMm },
  };
}

/**
 * A control is given the diameter at the tip.
 * @example controlSetting(1.2345, shop.lathes[0]).toMm // 1.2345
 */
export function controlSetting(diameterMm: number, lathe: Lathe): Setting {
  const unit = lathe.control?.unit ?? 'mm';
  const onDiameter = lathe.control?.diameterProgramming ?? true;
  const mm = onDiameter ? diameterMm : diameterMm / 2;
  const value = Number((unit === 'mm' ? mm : toInches(mm)).toFixed(unit === 'mm' ? 3 : 4));
  return {
    slide: 'control',
    toMm: diameterMm,
    turns: 0,
    value,
    shown: value.toFixed(unit === 'mm' ? 3 : 4),
    unit,
    reads: onDiameter ? 'diameter' : 'radius',
    wound: 'in',
    feeds: true,
  };
}
