import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { degrees } from '../quantity/units.ts';

/** What a threading pass travels, from the metal and its plan. Z: 0 at the face, minus towards the headstock; x: diameters. */
export interface MotionAsk {
  readonly member: 'external' | 'internal';
  readonly hand: 'right' | 'left';
  readonly leadMm: number;
  readonly starts: number;
  /** On diameter; a screw grows and a nut narrows towards the headstock, negative the other way. */
  readonly taper: number;
  /** Diameter from which depths count, at the face, mm. */
  readonly surfaceMm: number;
  /** From the face to where the tip stops; left hand: to where the thread begins, mm. */
  readonly threadMm: number;
  /** Left hand: width of the groove next to the headstock, in which the tip starts, mm. */
  readonly reliefMm: number;
  /** At least so many leads between start and thread. */
  readonly startLeads: number;
  /** Recut: Z at which the tip sat in the old groove with the spindle at its mark; null: a new thread. */
  readonly grooveMm: number | null;
  /** Off the surface on the way in and back, radial, mm. */
  readonly clearanceMm: number;
  /** How far a bar may be drawn in; null: not known. */
  readonly boreClearMm: number | null;
  /** Radial depth, and shift along the axis, + towards the headstock, mm. */
  readonly passes: readonly { readonly depthMm: number; readonly axialMm: number }[];
  readonly rpm: number;
}
/** One thread block: from and to, at the tip. */
interface Travel {
  readonly pass: number;
  readonly start: number;
  readonly fromZ: number;
  readonly toZ: number;
  readonly fromX: number;
  readonly toX: number;
}
/** The travels of every pass, from the face of the part. */
export interface Motion {
  readonly start: { readonly xMm: number; readonly zMm: number };
  readonly end: { readonly xMm: number; readonly zMm: number };
  readonly travels: readonly Travel[];
  readonly params: MotionParams;
}
/** What the travels were worked from. */
export interface MotionParams {
  readonly starts: number;
  readonly hand: 'right' | 'left';
  readonly firstXMm: number;
  readonly finalXMm: number;
  readonly taperDeg: number;
  readonly depthMm: number;
  readonly lastInfeedMm: number;
  readonly cuts: number;
  readonly springs: number;
  readonly infeedDeg: number;
  readonly turns: number;
  readonly feedMmPerMin: number;
}

/** Whole leads before the thread, so that the carriage has its speed. Common practice, no source: two or three. */
export const LEADS_BEFORE = 3;

const EPS = 1e-9;

/** Checks what can be wrong before anything moves. */
function refused(q: MotionAsk): Outcome<never> | null {
  for (const field of ['leadMm', 'starts', 'rpm', 'threadMm', 'clearanceMm', 'surfaceMm'] as const)
    if (!(q[field] > 0)) return bad(field, 'not-above-zero', { right: '2' });
  if (!(q.startLeads >= 1)) return bad('startLeads', 'start-leads-under-one');
  if (q.passes.length === 0) return bad('passes', 'motion-without-pass');
  let before = 0;
  for (const [i, p] of q.passes.entries()) {
    if (!(p.depthMm > 0)) return bad(`passes.${i}.depthMm`, 'not-above-zero', { right: '0.2' });
    if (p.depthMm < before - EPS) return bad(`passes.${i}.depthMm`, 'pass-shallower', { depthMm: before });
    before = p.depthMm;
  }
  if (q.member === 'internal' && q.boreClearMm !== null && q.clearanceMm > q.boreClearMm + EPS)
    return bad('clearanceMm', 'clearance-over-bore', { roomMm: q.boreClearMm });
  return null;
}

/**
 * The travel of every pass and start: the start lies a whole number of leads out, at least as many as are asked for; over an
 * old groove a whole number of leads from where the tip sat in it, so that every pass falls into it.
 * @example value(motionOf({ member: 'external', hand: 'right', leadMm: 2, starts: 1, taper: 0, surfaceMm: 30, threadMm: 40, reliefMm: 6, startLeads: 3, grooveMm: null, clearanceMm: 1, boreClearMm: null, passes: [{ depthMm: 0.4, axialMm: 0 }], rpm: 200 })).start // { xMm: 32, zMm: 6 }; three leads before the face
 */
export function motionOf(q: MotionAsk): Outcome<Motion> {
  const wrong = refused(q);
  if (wrong) return wrong;
  const right = q.hand === 'right';
  const side = q.member === 'external' ? 1 : -1;
  const axial = q.passes.map((p) => p.axialMm);
  const out = q.startLeads * q.leadMm + Math.max(0, ...axial.map((a) => (right ? a : -a)));
  const asked = right ? out : -q.threadMm - out;
  const g = q.grooveMm;
  const off = g === null ? 0 : (asked - g) / q.leadMm;
  // the nearest at or beyond, whole leads from where the tip sat
  const z0 = g === null ? asked : g + (right ? Math.ceil(off - EPS) : Math.floor(off + EPS)) * q.leadMm;
  const surface = (z: number): number => q.surfaceMm - side * q.taper * z;
  const tip = (z: number, depthMm: number): number => surface(z) - side * 2 * depthMm;
  const toZ = right ? -q.threadMm : q.leadMm;
  const step = q.leadMm / q.starts;
  const travels = q.passes.flatMap((p, pass) =>
    Array.from({ length: q.starts }, (_, start): Travel => {
      const fromZ = z0 - p.axialMm + (right ? 1 : -1) * start * step;
      return { pass, start, fromZ, toZ, fromX: tip(fromZ, p.depthMm), toX: tip(toZ, p.depthMm) };
    }),
  );
  if (!right) {
    const wide = Math.max(...travels.map((t) => -q.threadMm - t.fromZ));
    if (wide > q.reliefMm + EPS) return bad('reliefMm', 'start-not-in-relief', { widthMm: wide, reliefMm: q.reliefMm });
  }
  if (travels.some((t) => Math.min(t.fromX, t.toX) <= 0))
    return bad('passes', 'tool-past-axis', { surfaceMm: q.surfaceMm });
  const widest = travels.flatMap((t) => [surface(t.fromZ), surface(t.toZ)]);
  const clearX = (side === 1 ? Math.max(...widest) : Math.min(...widest)) + side * 2 * q.clearanceMm;
  if (clearX <= 0) return bad('clearanceMm', 'clearance-past-axis', { mostMm: Math.min(...widest) / 2 });
  const depths = q.passes.map((p) => p.depthMm);
  const steps = depths.map((d, i) => d - (depths[i - 1] ?? 0));
  const isSpring = (s: number): boolean => s < EPS;
  const last = q.passes.at(-1) ?? { depthMm: 0, axialMm: 0 };
  return good({
    start: { xMm: clearX, zMm: z0 },
    end: { xMm: tip(toZ, last.depthMm), zMm: toZ },
    travels,
    params: {
      starts: q.starts,
      hand: q.hand,
      firstXMm: tip(0, depths[0] ?? 0),
      finalXMm: tip(0, last.depthMm),
      taperDeg: degrees(Math.atan(q.taper / 2)),
      depthMm: last.depthMm,
      lastInfeedMm: steps.findLast((s) => !isSpring(s)) ?? 0,
      cuts: steps.filter((s) => !isSpring(s)).length,
      springs: steps.filter(isSpring).length,
      infeedDeg: degrees(Math.atan2(last.axialMm, last.depthMm)),
      turns: Math.abs(z0 - toZ) / q.leadMm,
      feedMmPerMin: q.leadMm * q.rpm,
    },
  });
}
