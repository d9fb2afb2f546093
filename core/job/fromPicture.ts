import { slopeBetween } from '../form/flanks.ts';
import { kindOf } from '../reading/kinds.ts';
import type { Evidence, Quantity } from '../evidence/evidence.ts';
import { formAt, FORM_IDS } from '../form/shape.ts';
import { tanDeg } from '../quantity/units.ts';
import type { FlankRead } from '../profile/section.ts';
import { widthOver, type End } from '../profile/ends.ts';
import type { HiddenFlank } from '../profile/hidden.ts';
import type { ProfileRead, Told } from '../profile/types.ts';
import { FINE_ENOUGH_MM } from '../reading/pitch.ts';
import type { FREE_ENDS, Reading } from './schema.ts';

const { PI, abs, atan, floor, hypot, max, min, sqrt } = Math;

/** Which end of the picture is the part's free end. */
export type FreeEnd = (typeof FREE_ENDS)[number];

/** A figure that a picture gives, as it goes into the readings. */
interface PictureReading {
  readonly quantity: Quantity;
  /** mm, degrees, ratio or count, by quantity. */
  readonly value: number;
  readonly uncertainty: number;
  readonly spanMm: number | null;
  readonly wear: Reading['wear'];
  readonly positionMm: number | null;
  readonly leaf: Reading['leaf'];
  readonly flank: 'leading' | 'trailing' | null;
}
type PictureRowKey =
  | 'pitch'
  | 'major'
  | 'minor'
  | 'depth'
  | 'included'
  | 'leading'
  | 'trailing'
  | 'crest'
  | 'root'
  | 'taper'
  | 'pitchDiameter'
  | 'wear';
/** A line of what was read: taken as it is, or why it is not. */
export interface PictureRow {
  readonly key: PictureRowKey;
  /** What is shown; a pitch for a count of crests. Null: it cannot be told. */
  readonly value: number | null;
  readonly uncertainty: number;
  readonly unit: 'mm' | 'deg' | 'ratio';
  /** What goes into the readings where it is taken. */
  readonly gives: readonly PictureReading[];
  /** Taken unless it is put aside. */
  readonly taken: boolean;
  readonly why:
    /** The crest hides it: what it may be. */
    | { readonly kind: 'hidden'; readonly range: HiddenFlank }
    /** It gave the scale: it is the person's own. */
    | { readonly kind: 'yours' }
    /** Flat and arc look alike. */
    | { readonly kind: 'alike' }
    | { readonly kind: 'shadow'; readonly apparent: number }
    | { readonly kind: 'teeth'; readonly teeth: number }
    | { readonly kind: 'end'; readonly of: 'flat' | 'radius' }
    | {
        readonly kind: 'worn';
        readonly where: 'leading' | 'trailing' | 'crest';
        readonly fromMm: number;
        readonly longMm: number;
      }
    | null;
}
/** What was said of the picture: which end is free, where it begins. */
export interface PictureAsked {
  readonly freeEnd: FreeEnd;
  /** How far from the end of the thread the picture begins, mm. */
  readonly beginsMm: number;
}

/** Flanks that differ by less than so many of their uncertainties are alike. */
const ALIKE = 2.5;
/** A taper under so many of its uncertainties is none. */
const NO_TAPER = 3;
const one = (
  quantity: Quantity,
  value: number,
  uncertainty: number,
  more: Partial<PictureReading> = {},
): PictureReading => ({
  quantity,
  value,
  uncertainty,
  spanMm: null,
  wear: 'unknown',
  positionMm: null,
  leaf: null,
  flank: null,
  ...more,
});

/**
 * A length of the picture in mm with the scale's share in its uncertainty; null without a scale.
 * @example lengthOf({ value: 60, uncertainty: 0.1 }, { value: 20, uncertainty: 0.02 }) // { value: 3, uncertainty: 0.0058 }
 */
export function lengthOf(t: Told, scale: Told | null): Told | null {
  if (!scale) return null;
  const value = t.value / scale.value;
  return { value, uncertainty: hypot(t.uncertainty / scale.value, value * (scale.uncertainty / scale.value)) };
}

/**
 * Where along the part a place of the picture lies, from the free end, mm.
 * @example alongPart(pictureRead(), { freeEnd: 'left', beginsMm: 5 })(pictureRead().seen.alongPx[0]) // 5
 */
export function alongPart(read: ProfileRead, asked: PictureAsked): (alongPx: number) => number {
  const scale = read.pxPerMm?.value ?? NaN;
  const [from, to] = read.seen?.alongPx ?? [0, 0];
  return (px) => asked.beginsMm + (asked.freeEnd === 'left' ? px - from : to - px) / scale;
}

/**
 * What a picture gives, line by line: lengths and diameters where there is a scale, flanks of the axial section by what they face,
 * crest and root as what they are, taper and wear. What the shadow cannot tell is a line that is not taken, and says why.
 * @example rowsOfPicture(pictureRead(), { freeEnd: 'left', beginsMm: 0 }).map((r) => r.key).slice(0, 5) // ['pitch', 'major', 'minor', 'depth', 'included']
 */
export function rowsOfPicture(read: ProfileRead, asked: PictureAsked): PictureRow[] {
  const { pitchPx, left, right, ends, pxPerMm: scale } = read;
  if (!read.confident || !pitchPx || !left || !right) return [];
  const mm = (value: number, uncertainty: number): Told | null => lengthOf({ value, uncertainty }, scale);
  const rows: PictureRow[] = [];
  const row = (
    key: PictureRowKey,
    t: Told | null,
    gives: readonly PictureReading[],
    why: PictureRow['why'],
    unit: PictureRow['unit'] = 'mm',
    taken = true,
  ): void => {
    if (t) rows.push({ key, value: t.value, uncertainty: t.uncertainty, unit, gives, why, taken });
  };
  const pitch = mm(pitchPx.value, pitchPx.uncertainty);
  if (pitch) row('pitch', pitch, [crestsOver(pitch, read.teeth)], { kind: 'teeth', teeth: read.teeth });
  const outer = ends?.ridge.outer ?? null;
  const d = read.diameterUncertaintyPx;
  if (read.majorPx !== null && outer !== null) {
    const major = mm(2 * outer, d);
    if (major)
      row(
        'major',
        major,
        [one('majorDiameter', major.value, major.uncertainty, { wear: 'unworn' })],
        read.scaleBy === 'major' ? { kind: 'yours' } : null,
        'mm',
        read.scaleBy !== 'major',
      );
  }
  if (read.rootPx !== null && ends && outer !== null) {
    const minor = mm(2 * (outer - ends.ridge.depth), 2 * d);
    if (minor)
      row('minor', minor, [one('minorDiameter', minor.value, minor.uncertainty, { wear: 'unworn' })], {
        kind: 'shadow',
        apparent: read.rootPx / (scale?.value ?? 1),
      });
  }
  const depth = mm(ends?.ridge.depth ?? read.depthPx ?? NaN, d);
  if (depth) row('depth', depth, [one('depth', depth.value, depth.uncertainty, { wear: 'unworn' })], null);
  rows.push(...flankRows(read, left, right, asked.freeEnd));
  if (ends)
    for (const [key, end, uncertainty] of [
      ['crest', ends.crest, ends.crestUncertainty],
      ['root', ends.root, ends.rootUncertainty],
    ] as const) {
      if (!scale) continue;
      if (!end)
        rows.push({ key, value: null, uncertainty: 0, unit: 'mm', gives: [], taken: false, why: { kind: 'alike' } });
      else {
        const size = mm(end.kind === 'flat' ? end.wide : end.radius, uncertainty);
        if (size)
          row(key, size, endReadings(key, end, size), { kind: 'end', of: end.kind === 'flat' ? 'flat' : 'radius' });
      }
    }
  if (read.taper !== null && read.majorPx !== null) {
    const [from, to] = read.seen?.alongPx ?? [0, 0];
    const long = to - from;
    const uncertainty = hypot(0.0002, (4 * d) / max(1, long * sqrt(max(1, read.teeth / 8))));
    // grows to the right in the picture; a screw's taper is told from its free end
    const own = asked.freeEnd === 'left' ? read.taper : -read.taper;
    const value = abs(own) < NO_TAPER * uncertainty ? 0 : own;
    row('taper', { value, uncertainty }, [one('taper', abs(value), uncertainty)], null, 'ratio');
  }
  const own = pitchDiameterPx(read);
  if (own !== null && !read.hidden.left && !read.hidden.right) {
    const t = mm(own.value, own.uncertainty);
    if (t) row('pitchDiameter', t, [one('pitchDiameter', t.value, t.uncertainty, { wear: 'unworn' })], null);
  }
  rows.push(...wearRows(read, asked));
  return rows;
}

/** As a count: so many crests over a length that is known as finely as a caliper knows it. */
function crestsOver(pitch: Told, teeth: number): PictureReading {
  const most = floor(FINE_ENOUGH_MM / pitch.uncertainty);
  const n = max(1, min(teeth, most));
  return one('crestCount', n, n * pitch.uncertainty, { spanMm: n * pitch.value });
}

function endReadings(key: 'crest' | 'root', end: End, size: Told): PictureReading[] {
  const quantity = `${key}${end.kind === 'flat' ? 'Flat' : 'Radius'}` as const;
  return [one(quantity, size.value, size.uncertainty)];
}

/** Like flanks as one angle; unlike ones by what they face; a hidden one as what it may be, and as the table's flanks that it is not. */
function flankRows(read: ProfileRead, left: FlankRead, right: FlankRead, freeEnd: FreeEnd): PictureRow[] {
  const [leading, trailing] = freeEnd === 'right' ? (['right', 'left'] as const) : (['left', 'right'] as const);
  const of = { left, right };
  const deg = (f: FlankRead): number => f.axialDeg ?? f.apparentDeg;
  const [a, b] = [left.axialDeg, right.axialDeg];
  const sigma = hypot(left.uncertaintyDeg, right.uncertaintyDeg);
  if (a !== null && b !== null && abs(a - b) < ALIKE * sigma)
    return [
      {
        key: 'included',
        value: a + b,
        uncertainty: sigma,
        unit: 'deg',
        gives: [one('flankAngle', a + b, sigma)],
        taken: true,
        why: { kind: 'shadow', apparent: left.apparentDeg + right.apparentDeg },
      },
    ];
  return (
    [
      ['leading', leading],
      ['trailing', trailing],
    ] as const
  ).map(([key, side]): PictureRow => {
    const f = of[side];
    const range = read.hidden[side];
    if (f.axialDeg === null && range)
      return {
        key,
        value: null,
        uncertainty: 0,
        unit: 'deg',
        gives: notThese(range, key),
        taken: true,
        why: { kind: 'hidden', range },
      };
    return {
      key,
      value: deg(f),
      uncertainty: f.uncertaintyDeg,
      unit: 'deg',
      gives: f.axialDeg === null ? [] : [one(`${key}Flank`, deg(f), f.uncertaintyDeg)],
      taken: f.axialDeg !== null,
      why: { kind: 'shadow', apparent: f.apparentDeg },
    };
  });
}
/** An angle outside by less is not ruled out by eye, degrees. */
const CLEAR_OF_DEG = 1.5;
/** The nearest flank of the tables that a hidden one cannot be: its form was laid on it, and does not lie. */
function notThese(range: HiddenFlank, flank: 'leading' | 'trailing'): PictureReading[] {
  const all = FORM_IDS.flatMap((id) => {
    const f = formAt(id, 1);
    return [f.leadingDeg, f.trailingDeg];
  });
  const out = [...new Set(all)].filter((x) => x > range.toDeg + CLEAR_OF_DEG).sort((x, y) => x - y)[0];
  return out === undefined ? [] : [one('template', out, 1, { leaf: 'no', flank })];
}

/** Diameter at which ridge and groove of the axial section are alike wide, px; of a hidden flank, by the middle of what it may be. */
function pitchDiameterPx(read: ProfileRead): Told | null {
  const { ends, hidden } = read;
  if (!ends || read.majorPx === null) return null;
  const { ridge } = ends;
  const wide = widthOver(ridge.crest, ridge.leftDeg, ridge.rightDeg);
  const at = (slope: number): number => 2 * (ridge.outer - (ridge.pitch / 2 - wide) / slope);
  const slope = slopeBetween(ridge.leftDeg, ridge.rightDeg);
  if (!(slope > 0.02)) return null;
  // what the hidden flanks leave open, as of an even chance over it
  const open = [hidden.left, hidden.right].reduce((s, h) => s + (h ? tanDeg(h.toDeg) - tanDeg(h.fromDeg) : 0), 0);
  const doubt = open > 0 ? abs(at(slope + open / 2) - at(max(0.02, slope - open / 2))) / sqrt(12) : 0;
  return { value: at(slope), uncertainty: hypot(read.diameterUncertaintyPx, 0.3, doubt) };
}

/** Places of a worn stretch that are given: its ends and its middle. */
const PLACES = [0.15, 0.5, 0.85];

/**
 * Worn stretches, as what they leave of the pitch diameter at places along the part: a flank that lost e along the axis thins the
 * ridge by e, and where it is half a pitch wide lies 2 e / (tan a1 + tan a2) lower. Sound places beside them say from what.
 */
function wearRows(read: ProfileRead, asked: PictureAsked): PictureRow[] {
  const { pxPerMm: scale, wear, ends } = read;
  const own = pitchDiameterPx(read);
  if (!scale || !ends || wear.length === 0) return [];
  const place = alongPart(read, asked);
  const slope = slopeBetween(ends.ridge.leftDeg, ends.ridge.rightDeg);
  const leadingSide = asked.freeEnd === 'right' ? 'right' : 'left';
  const uncertainty = (own?.uncertainty ?? hypot(read.diameterUncertaintyPx, 0.3)) / scale.value;
  const [seenFrom, seenTo] = read.seen?.alongPx ?? [0, 0];
  const sound = [
    seenFrom + ends.ridge.pitch / 2,
    seenTo - ends.ridge.pitch / 2,
    ...wear.flatMap((w) => [w.fromPx - ends.ridge.pitch, w.toPx + ends.ridge.pitch]),
  ]
    .filter((px) => px >= seenFrom && px <= seenTo)
    .filter((px) => !wear.some((w) => px > w.fromPx && px < w.toPx));
  const spot = (px: number, diameterPx: number, state: Reading['wear'], quantity: Quantity): PictureReading =>
    one(quantity, diameterPx / scale.value, uncertainty, { positionMm: Number(place(px).toFixed(1)), wear: state });
  return wear.map((w, i): PictureRow => {
    const ofCrest = w.where === 'crest';
    const base = ofCrest ? 2 * ends.ridge.outer : (own?.value ?? null);
    const quantity = ofCrest ? 'majorDiameter' : 'pitchDiameter';
    const lost = ofCrest ? 2 * w.lostPx : (2 * w.lostPx) / slope;
    const [a, b] = [place(w.fromPx), place(w.toPx)];
    const sameBefore = wear.slice(0, i).some((o) => (o.where === 'crest') === ofCrest);
    return {
      key: 'wear',
      value: w.lostPx / scale.value,
      uncertainty: 0.3 / scale.value,
      unit: 'mm',
      gives:
        base === null
          ? []
          : [
              ...PLACES.map((f) => spot(w.fromPx + f * (w.toPx - w.fromPx), base - lost, 'worn', quantity)),
              ...(sameBefore ? [] : sound.map((px) => spot(px, base, 'unworn', quantity))),
            ],
      taken: base !== null,
      why: {
        kind: 'worn',
        where: ofCrest ? 'crest' : w.where === leadingSide ? 'leading' : 'trailing',
        fromMm: min(a, b),
        longMm: abs(b - a),
      },
    };
  });
}

/**
 * What the lines taken say for naming.
 * @example evidenceOfRows([]) // []
 */
export const evidenceOfRows = (rows: readonly PictureRow[]): Evidence[] =>
  rows
    .filter((r) => r.taken)
    .flatMap((r) => r.gives)
    .flatMap((g) => {
      const e = kindOf(g.quantity).evidence({
        value: g.value,
        span: g.spanMm === null ? null : { mm: g.spanMm },
        leaf: g.leaf,
        flank: g.flank ?? undefined,
        uncertainty: g.uncertainty,
        wear: g.wear,
        picture: 'this',
      });
      return e ? [e] : [];
    });

/**
 * What a flank of the section reads in the shadow, where the crest does not hide it: T4 = tan2 a (T2 + k2) for its slope T and
 * k = lead / 2 pi y. @param radiusPx height at which it is looked at
 * @example seenAs(0, 2, 28) // 0
 */
export function seenAs(deg: number, leadPx: number, radiusPx: number): number {
  const t2 = tanDeg(deg) ** 2;
  const k = leadPx / (2 * PI * radiusPx);
  return (atan(sqrt((t2 + sqrt(t2 * t2 + 4 * t2 * k * k)) / 2)) * 180) / PI;
}
