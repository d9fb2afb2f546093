import type { ThreadEnd } from '../core/cutting/clearRun.ts';
import type { EndView } from '../core/job/endView.ts';
import { FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

export const END_NAMES: Readonly<Record<ThreadEnd, string>> = {
  groove: 'in a groove',
  'taper-out': 'drawn out by hand',
  stop: 'at a stop, no groove',
  through: 'past the end',
  blind: 'blind, in a relief',
};
/** What the room is called that the tool stops in. */
export const ROOM_NAMES: Readonly<Record<ThreadEnd, string>> = {
  groove: 'Width of the groove',
  through: 'Clear run past the work',
  blind: 'Width of the relief in the bore',
  'taper-out': 'The thread may fade over',
  stop: 'The thread may fade over',
};

/** How the end is gone through, one or two sentences. */
export function endText(v: EndView, electronic: boolean, u: UnitSystem, rpm: number | null): string {
  switch (v.end) {
    case 'groove':
    case 'blind':
    case 'through':
      return v.coastUnknown
        ? 'The spindle is reversed with the nuts shut; how far it coasts is not measured on this lathe and comes on top.'
        : '';
    case 'taper-out':
      return 'Draw the tool out over half a turn to one turn, at the same mark in each pass; or each pass a little earlier, which is safe and less neat. The last turn at a crawl or by hand.';
    case 'stop': {
      if (!electronic)
        return 'Draw the tool out at the stop within half a turn. A hole drilled there, as wide as the groove, takes the hurry away.';
      const short = rpm !== null && v.short ? v.short(rpm) : null;
      const said = short
        ? ` It stands ${lengthText(short.mm, u, FINE)} and ${short.turns.toFixed(2)} turns short, cut at a falling lead: set the stop so much short, and let the mate clear it.`
        : ' How hard the carriage slows is not measured: how far short it stands is not known.';
      return `Draw the tool out at the stop, or it cuts a ring.${said} The stop is software, not a safety stop.`;
    }
  }
}
/** The seconds or turns of a speed, as it is said beside it. */
export const atSpeedText = (v: EndView, rpm: number): string => {
  const at = v.at(rpm);
  if (!at) return '';
  return v.end === 'taper-out' || v.end === 'stop' ? `${at.turns.toFixed(1)} turn` : `${at.seconds.toFixed(1)} s`;
};
