import { type OpenPosition, settingText } from '../core/gearing/gearbox/index.ts';
import type { Fitting, FouledGear, Mount, NotMounted } from '../core/gearing/mounting/index.ts';
import type { Mistake, TurnsProof, DialRule } from '../core/gearing/proof/index.ts';
import type { GearPlace } from '../core/job/pickupMove.ts';
import { lengthText } from '../core/quantity/format.ts';
import { exact, numberOf } from '../core/quantity/rational.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

/** Beyond this many turns nobody counts reliably, and the carriage has run off the bed. */
const COUNTABLE_TURNS = 4;

/** How far a search for trains has looked. @param ppm null: at every train that there is */
export function lookedAtText(ppm: number | null): string {
  if (ppm === null) return 'every train of this set within these pairs was tried: none is nearer';
  // never more than was looked at
  return ppm < 1
    ? 'every exact train of this set within these pairs was found'
    : `every train of this set within these pairs, up to ${Math.floor(ppm)} ppm off, was tried: none is nearer`;
}

/** When the half-nuts may be closed, by the chasing dial. */
export function dialAdvice(rule: DialRule, marks: number, u: UnitSystem): string {
  const { safeMarks: safe, sameMarkAfterTurns: turns } = rule;
  const travel = lengthText(numberOf(exact(rule.travelMm)), u);
  if (safe.length === marks) return 'Close the half-nuts on any mark.';
  if (safe.length > 1)
    return `Close the half-nuts only on ${safe.length} of the ${marks} marks: every ${ordinal(marks / safe.length)}, counting from the one first used.`;
  if (safe.length === 1) return 'Close the half-nuts only on the mark first used.';
  const keep = 'No mark is right on every turn: keep the half-nuts shut and reverse the spindle';
  if (turns <= COUNTABLE_TURNS)
    return `${keep}, or use the same mark and only every ${ordinal(turns)} turn of the dial (${travel} of travel).`;
  return `${keep}. The same place comes back only after ${travel} of travel.`;
}

function ordinal(n: number): string {
  const tens = n % 100;
  const suffix = tens >= 11 && tens <= 13 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th');
  return `${n}${suffix}`;
}

/** A slip at the end of the lathe that a scratch shows. */
export function mistakeText(m: Mistake): string {
  switch (m.kind) {
    case 'gear':
      return `${m.on} on in place of the ${m.planned} (${m.role})`;
    case 'interchange':
      return `${m.a} and ${m.b} interchanged`;
    case 'reversed':
      return 'drivers and driven the wrong way round';
    case 'lever':
      return `${m.lever} at ${m.at} instead of ${m.planned}`;
    case 'fixed':
      return `fixed ratio ${m.at} in instead of ${m.planned}`;
  }
}

/** What is turned, and what is counted. */
export const turnsText = ({ spindle, leadscrew }: TurnsProof): string =>
  `turn the chuck ${turnCount(spindle)} by hand, and count the leadscrew: ${turnCount(leadscrew)}, its key back at the top`;
const turnCount = (n: number): string => `${n} turn${n === 1 ? '' : 's'}`;

/** Why the key alone is no proof; empty where none of the gears owned would bring it up as well. */
export function slipText({ leadscrew, slip }: TurnsProof): string {
  if (!slip) return '';
  return `The key alone is no proof: with a ${slip.on} on for the ${slip.planned} it is at the top as well, but after ${slip.leadscrew} and not ${leadscrew}.`;
}
/** Where nobody counts so far, the scratch proves it. */
export const tooManyText = (t: TurnsProof): string =>
  `The key is back at the top only after ${t.spindle} turns of the chuck: too many to count. ${slipText(t)}`.trim();

/** Where a gear that is slipped sits. */
export const placeText = (p: GearPlace): string =>
  p.on === 'box' ? 'on the gearbox input' : p.on === 'leadscrew' ? 'on the leadscrew' : `on stud ${p.stud}`;

const gearName = (g: FouledGear): string => (g.idler ? `idler of ${g.teeth}` : String(g.teeth));

/** Why a train does not go on the arm. */
function notMountedText(why: NotMounted, u: UnitSystem): string {
  const far = (mm: number): string => lengthText(mm, u, { stepMm: 0.1, stepIn: 0.005 });
  switch (why.code) {
    case 'too-few-studs':
      return `${why.pairs} pairs need ${why.pairs - 1} studs; the arm has ${why.studs}.`;
    case 'no-stud-for-idler':
      return 'It would turn the wrong way, and no stud is left for an idler.';
    case 'no-gear-for-idler':
      return 'No gear is left to serve as idler.';
    case 'no-idler-reaches':
      return 'No idler reaches.';
    case 'no-reach':
      return `The gears do not reach: they span ${far(why.spanMm)} of the ${far(why.centresMm)} between the shafts.`;
    case 'pair-too-large':
      return 'One pair is so large that the stud cannot reach the other.';
    case 'no-lean':
      return 'However the arm leans, the first gear is out of reach.';
    case 'no-span':
      return 'The pair does not span the shafts: an idler is needed, and none that is left reaches.';
    case 'no-slot':
      return why.fromLeadscrewMm === null
        ? 'The slots hold no studs at the distances that these meshes ask for.'
        : `No slot holds a stud ${far(why.fromLeadscrewMm)} from the leadscrew.`;
    case 'no-swing':
      return `The arm would have to lean ${why.deg.toFixed(0)}\u00b0, outside its swing.`;
    case 'fouls': {
      const by = `, by ${far(why.byMm)}`;
      if (why.at === 'cover' || !why.other) return `The ${gearName(why.gear)} does not go under the cover${by}.`;
      if (why.at === 'tips') return `The ${gearName(why.gear)} and the ${gearName(why.other)} touch${by}.`;
      return `The ${gearName(why.gear)} fouls the ${why.at} of the ${gearName(why.other)}${by}.`;
    }
  }
}

/** What drives what, once a train goes on. */
function drivesText({ drivers, driven, idlers }: Fitting): string {
  const steps = drivers.map((d, k) => {
    const over = idlers[k] ?? [];
    return `${k > 0 ? `the ${d} beside it` : `The ${d}`} drives the ${driven[k] ?? ''}${over.length > 0 ? ` over the ${over.join(' and the ')} as idler${over.length > 1 ? 's' : ''}` : ''}`;
  });
  return `${steps.join('; ')}.`;
}
export const mountText = (m: Mount, u: UnitSystem): string => (m.fits ? drivesText(m) : notMountedText(m.why, u));

/** A position of the gearbox that the rows of its chart do not settle, and what would. */
export const openPositionText = (o: OpenPosition): string =>
  o.why === 'untied'
    ? `${o.lever} ${o.position} is not tied to the rest yet: the row for ${settingText(o.settledBy)} would settle it.`
    : `${o.lever} ${o.position} stands only in rows whose pitch is printed rounded: it is near, not exact. The row for ${settingText(o.settledBy)} in the leadscrew\u2019s own system would settle it.`;

/** What a mounting rests on where teeth run behind a nut; null: nowhere. */
export const behindNutsText = (behind: readonly { readonly teeth: number; readonly of: number }[]): string | null =>
  behind.length === 0
    ? null
    : `${behind.map((b) => `The tips of the ${b.teeth} run behind the nut that holds the ${b.of}`).join('; ')}: see that it clears before there is power.`;

/** What stands between the train that is on and another: gears to change, or only a lever. */
export const toChangeText = (gears: number, levers: boolean): string =>
  gears > 0 ? `${gears} to change` : levers ? 'only the levers to set' : 'on already';
