import type { UnitSystem } from '../core/quantity/units.ts';
import { factText } from './facts.ts';
import type { Because, Moved, StationState, Waiting } from '../core/job/chain.ts';
import type { StationId } from '../core/job/stations.ts';

export const STATION_NAMES: Readonly<Record<StationId, string>> = {
  intake: 'Intake',
  read: 'Read',
  name: 'Name',
  fit: 'Fit',
  gears: 'Gears',
  setup: 'Set up',
  pickup: 'Pick up',
  cut: 'Cut',
  prove: 'Prove',
  record: 'Record',
};

/** What is said by going on from a station: what it decides is right. */
const SAID: Readonly<Record<StationId, string>> = {
  intake: 'Right',
  read: 'Read',
  name: 'Named',
  fit: 'Right',
  gears: 'Right',
  setup: 'Set',
  pickup: 'In the groove',
  cut: 'Cut',
  prove: 'Proved',
  record: 'Kept',
};
/** The act that settles a station and goes on, by what it does. */
export const onText = (station: StationId, next: StationId | null, again: boolean): string =>
  `${again ? 'Still right' : SAID[station]}${next ? `: on to ${STATION_NAMES[next]}` : ''}`;
/** The way on where nothing is settled by it. */
export const justOnText = (next: StationId): string => `On to ${STATION_NAMES[next]}`;

export const STATE_WORDS: Readonly<Record<StationState['kind'], string>> = {
  open: 'open',
  settled: 'settled',
  stale: 'look again',
  blocked: 'waits',
};

/** What a station waits for. */
export const WAITING: Readonly<Record<Waiting, string>> = {
  'nothing-read': 'Nothing has been read off the part yet.',
  'no-name': 'The thread has no name yet.',
  'no-lathes': 'No lathe is described in the shop.',
  'no-train': 'No gear train is chosen.',
  'no-lead': 'Nothing is chosen yet that cuts the lead.',
  'groove-lost': 'The tool is not in the groove yet.',
  'nothing-cut': 'Nothing has been cut yet.',
  'still-to-cut': 'There is still something to cut.',
  'nothing-tried': 'Nothing has been tried or measured yet.',
  'no-verdict': 'Nobody has said yet whether it fits.',
};

function movedText({ fact, was, now }: Moved, u: UnitSystem): string {
  const label = fact.startsWith('Reading ') ? 'A reading' : fact === 'Lathe id' ? 'Lathe' : fact;
  const text = (value: string): string => factText(fact, value, u);
  if (was === null) return `${label} was added: ${now === null ? '' : text(now)}`;
  return now === null ? `${label} was taken away: ${text(was)}` : `${label} was ${text(was)}, is now ${text(now)}`;
}

/** Why a station is not as it was, or not open yet. */
export function becauseText(b: Because, u: UnitSystem): string {
  switch (b.code) {
    case 'waiting':
      return WAITING[b.for];
    case 'upstream':
      return `${STATION_NAMES[b.station]} has to be looked at again first.`;
    case 'moved': {
      const [first, ...more] = b.moved;
      return `${first ? movedText(first, u) : ''}${more.length > 0 ? `, and ${more.length} more` : ''}.`;
    }
  }
}
