import type { Infeed } from '../cutting/plan.ts';
import { cosDeg } from '../quantity/units.ts';
import type { EventKind, EventOf, LedgerEvent, PitchBy } from './events.ts';
import { kept } from '../keep/keep.ts';
import { LEAST_CUT_MM } from './leastCut.ts';
import { type Facts, LATHE_ID, movedFacts } from './sameFacts.ts';
import type { Has } from './schema.ts';

export type { Facts };

/** What made the tool lose its place against the groove. */
export type LostBy =
  'existing' | 'gears' | 'levers' | 'lead' | 'slide' | 'tool' | 'reseated' | 'slipped' | 'mark' | 'off';

interface Offset {
  readonly mm: number;
  readonly text: string;
  readonly n: number;
}

/**
 * The metal and the lathe as they are, derived from the ledger alone. Depths are radial below the surface touched, mm. The
 * tip lies at depth = cross + top cos(slide) + zero, with the travels of the two slides from where their dials were zeroed.
 */
export interface Metal {
  readonly part: number;
  readonly start: number;
  /** The starts that were left, as each was left; the one that is being cut stands in the fields below. */
  readonly starts: ReadonlyMap<number, { readonly depthMm: number; readonly sideMm: number; readonly cuts: number }>;
  readonly events: number;
  readonly mounted: boolean;
  /** The blank or bore as measured, mm on diameter; null: nobody has measured it. */
  readonly measuredMm: number | null;
  readonly surfaceMm: number | null;
  /** What a control was told that the surface measures, mm: X is counted from there, whatever the blank is found to be since. */
  readonly toldMm: number | null;
  readonly touched: 'surface' | 'groove' | null;
  readonly depthMm: number;
  readonly axialMm: number;
  /** How far the last pass of alternate infeed lay from the one before, along the axis, mm; null: it was fed otherwise. */
  readonly lastShiftMm: number | null;
  readonly sideMm: number;
  /** Depth of an old groove below the surface; null: not known. */
  readonly grooveMm: number | null;
  readonly crossMm: number;
  readonly topMm: number;
  readonly zeroMm: number;
  readonly slideDeg: number | null;
  /** How the last pass was fed. */
  readonly infeed: Infeed | null;
  readonly phase: 'kept' | 'lost';
  readonly lostBy: LostBy | null;
  /** How the groove that was being cut was found again, the last time; null: it was never lost. */
  readonly foundBy: 'eye' | 'measured' | null;
  /** The dials no longer say where the tool is. */
  readonly zeroLost: boolean;
  /** An older record that counted passes: not to be cut from until the slide is read. */
  readonly assumed: { readonly passes: number } | null;
  readonly hasGroove: boolean;
  readonly airDue: boolean;
  /** Passes cut on this start of this part, springs not counted, and springs since the last one. */
  readonly cuts: number;
  readonly springs: number;
  readonly lastCutN: number;
  readonly deeperMm: number;
  readonly runOutMm: number;
  readonly offset: Offset | null;
  /** Places judged along the old thread since the tool was last brought in. */
  readonly judged: readonly EventOf<'airJudged'>[];
  /** At a control: the tool let into the old groove, and the Z start that was keyed in for it, mm. */
  readonly dropped: EventOf<'dropped'> | null;
  readonly startMm: number | null;
  /** Crests of the old thread as they were counted; of this part. */
  readonly oldLead: EventOf<'oldLeadRead'> | null;
  /** What the parts of the batch are found again by, and from which part that was taken. */
  readonly taught: EventOf<'taught'> | null;
  /** Gears seen going on for this job. */
  readonly gears: EventOf<'gearsMounted'> | null;
  readonly facts: Facts | null;
  readonly finished: 'finished' | 'scrapped' | null;
  readonly scratch: EventOf<'scratchRead'> | null;
  /** By what the pitch of the gears, levers or typed lead in use is proved: besides PITCH_BY, a run along a groove, or metal cut with it; null: by nothing yet. */
  readonly pitchProved: PitchBy | 'air' | 'cut' | null;
}

/**
 * The ledger without what was voided. Voids that were voided themselves count for nothing.
 * @example standing([]) // []
 * @example standing(demo('sluice').events).length // 11
 */
export const standing = kept((events: readonly LedgerEvent[]): readonly LedgerEvent[] => {
  const gone = voidedOf(events);
  return events.filter((e) => e.kind !== 'voided' && !gone.has(e.n));
});

/**
 * Numbers of the events that are struck through.
 * @example voidedOf([]).size // 0
 */
export const voidedOf = kept((events: readonly LedgerEvent[]): ReadonlySet<number> => {
  const gone = new Set<number>();
  const voids = events.filter((e) => e.kind === 'voided').sort((a, b) => b.n - a.n);
  for (const e of voids) if (!gone.has(e.n)) gone.add(e.of);
  return gone;
});

/**
 * What stands in the ledger of one part: what was tried on another proves nothing of it. @param part the one on the lathe, when left out
 * @example standingOfPart(demo('latch')) // []
 * @example standingOfPart(demo('sluice'))[0].train.drivers[0] // 60
 */
export const standingOfPart = (job: Has<'events' | 'intake'>, part = metalOf(job).part): readonly LedgerEvent[] =>
  ofPart(job.events, part);
const ofPart = kept((events: readonly LedgerEvent[], part: number): readonly LedgerEvent[] =>
  standing(events).filter((e) => e.part === part),
);

/**
 * How the work was last said to be put up, of the events of a part; null: nobody has said.
 * @example mountedOf([]) // null
 * @example mountedOf(demo('sluice').events).n // 2
 */
export const mountedOf = (events: readonly LedgerEvent[]): EventOf<'mounted'> | null =>
  events.findLast((e) => e.kind === 'mounted') ?? null;

/**
 * Number of the last event of the ledger; 0: nothing is written yet.
 * @example lastN(demo('latch')) // 0
 */
export const lastN = (job: Has<'events'>): number => job.events.at(-1)?.n ?? 0;

/**
 * A thread is there before anything is cut: it must be found before the first pass.
 * @example [threadExists(demo('auger')), threadExists(demo('plug'))] // [true, false]
 */
export const threadExists = (job: Has<'intake'>): boolean =>
  job.intake.wanted === 'recut' || job.intake.wanted === 'extend' || job.intake.cameIn === 'broken-shaft';

/**
 * The start that has to be cut next, counting round from the one being cut: one that was never cut, or that lies shallower than
 * this one now does. Starts are parts of one thread, and what goes deeper goes deeper all round. Null: all are as deep.
 * @param slope width of the groove by its depth: a start widened by a side cut is at size earlier, as if it lay deeper
 * @example nextStartOf({ start: 1, starts: new Map(), depthMm: 1, sideMm: 0, cuts: 4 }, 2, 1.15) // 2
 * @example nextStartOf({ start: 2, starts: new Map([[1, { depthMm: 1, sideMm: 0, cuts: 4 }]]), depthMm: 1.05, sideMm: 0, cuts: 5 }, 2, 1.15) // 1
 */
export function nextStartOf(
  metal: Pick<Metal, 'start' | 'starts' | 'depthMm' | 'sideMm' | 'cuts'>,
  starts: number,
  slope: number,
): number | null {
  if (metal.cuts === 0) return null;
  const now = reachedMm(metal, slope);
  for (let i = 1; i < starts; i += 1) {
    const n = ((metal.start - 1 + i) % starts) + 1;
    const left = metal.starts.get(n);
    if (!left || left.cuts === 0 || reachedMm(left, slope) < now - LEAST_CUT_MM) return n;
  }
  return null;
}

/**
 * How deep a groove is by its width at the pitch line: a side cut widens it as so much depth would.
 * @example reachedMm({ depthMm: 1, sideMm: 0.115 }, 1.15) // 1.1
 */
export const reachedMm = (at: Pick<Metal, 'depthMm' | 'sideMm'>, slope: number): number =>
  at.depthMm + (slope > 0 ? at.sideMm / slope : 0);

/**
 * How well a groove was found: brought in by eye, or by what was measured.
 * @example foundByOf({ way: 'by-eye' }) // 'eye'
 */
export const foundByOf = ({ way }: Pick<EventOf<'inGroove'>, 'way'>): NonNullable<Metal['foundBy']> =>
  way === 'by-eye' ? 'eye' : 'measured';

type State = { -readonly [K in keyof Omit<Metal, 'starts'>]: Metal[K] } & { starts: Map<number, StartState> };
interface StartState {
  depthMm: number;
  axialMm: number;
  lastShiftMm: number | null;
  sideMm: number;
  cuts: number;
  springs: number;
  lastCutN: number;
}

const newPart = (
  threadThere: boolean,
  part: number,
): Omit<State, 'events' | 'slideDeg' | 'gears' | 'taught' | 'pitchProved'> => ({
  part,
  start: 1,
  starts: new Map(),
  mounted: false,
  measuredMm: null,
  surfaceMm: null,
  toldMm: null,
  touched: null,
  depthMm: 0,
  axialMm: 0,
  lastShiftMm: null,
  sideMm: 0,
  grooveMm: null,
  crossMm: 0,
  topMm: 0,
  zeroMm: 0,
  infeed: null,
  phase: threadThere ? 'lost' : 'kept',
  lostBy: threadThere ? 'existing' : null,
  foundBy: null,
  zeroLost: false,
  assumed: null,
  hasGroove: threadThere,
  airDue: false,
  cuts: 0,
  springs: 0,
  lastCutN: 0,
  deeperMm: 0,
  runOutMm: 0,
  offset: null,
  judged: [],
  dropped: null,
  startMm: null,
  oldLead: null,
  facts: null,
  finished: null,
  scratch: null,
});

/** What each kind of event makes of a state that is its own to write to. @param threadThere a thread is there before anything is cut */
const REDUCE: { [K in EventKind]?: (s: State, e: EventOf<K>, threadThere: boolean) => void } = {
  partBegun: (s, e, threadThere) => void Object.assign(s, newPart(threadThere, e.part)),
  partFinished: (s) => void (s.finished = 'finished'),
  accepted: (s) => void (s.finished = 'finished'),
  partScrapped: (s) => void (s.finished = 'scrapped'),
  mounted: (s) => {
    s.mounted = true;
    if (s.cuts > 0) lose(s, 'reseated');
  },
  takenOut: (s) => {
    s.mounted = false;
    loseZero(s, 'reseated');
  },
  reseated: (s) => loseZero(s, 'reseated'),
  slipped: (s) => lose(s, 'slipped'),
  wrongMark: (s) => lose(s, 'mark'),
  runOutRead: (s, e) => void (s.runOutMm = e.fullMm / 2),
  blankMeasured: sayBlank,
  blankCorrected: sayBlank,
  touchedOff: (s, e) => {
    s.mounted = true;
    s.zeroLost = false;
    s.assumed = null;
    s.facts = e.facts;
    s.crossMm = 0;
    s.topMm = 0;
    if (e.slideDeg !== null) s.slideDeg = e.slideDeg;
    if (e.on === 'surface') {
      // depths already cut are kept where they are, whatever the new surface measures
      if (s.surfaceMm !== null && e.diameterMm !== null) shiftDepths(s, s.surfaceMm, e.diameterMm);
      s.touched = 'surface';
      s.surfaceMm = e.diameterMm ?? s.measuredMm;
      s.toldMm = s.surfaceMm;
      s.grooveMm = e.grooveMm;
      s.zeroMm = 0;
      // in mid-cut the cross slide goes in to what is cut before the top slide feeds on: else the tool is thrown sideways
      if (s.cuts > 0) s.crossMm = Math.max(0, s.depthMm);
    } else if (s.cuts > 0) s.zeroMm = s.depthMm;
    else {
      s.touched = 'groove';
      s.surfaceMm = null;
      s.toldMm = null;
      s.grooveMm = 0;
      s.depthMm = 0;
      s.zeroMm = 0;
    }
  },
  gearsMounted: (s, e) => {
    s.gears = e;
    unprove(s);
    lose(s, 'gears');
  },
  leversSet: (s) => {
    unprove(s);
    lose(s, 'levers');
  },
  slideSwung: (s, e) => {
    if (s.slideDeg === e.deg) return;
    s.slideDeg = e.deg;
    // swinging it moves the tool: where the groove lay from it is no longer known
    s.offset = null;
    if (s.touched !== null) loseZero(s, 'slide');
  },
  scratchRead: (s, e) => void (s.scratch = e),
  pitchProved: (s, e) => void (s.pitchProved = e.by),
  offsetRead: (s, e) => void (s.offset = { mm: e.mm, text: e.text, n: e.n }),
  movedNearer: (s, e) => {
    s.offset = { mm: e.leftMm, text: '', n: e.n };
    s.judged = [];
  },
  airJudged: (s, e) => void (s.judged = [...s.judged.filter((p) => Math.abs(p.atMm - e.atMm) > SAME_PLACE_MM), e]),
  oldLeadRead: (s, e) => void (s.oldLead = e),
  dropped: (s, e) => void (s.dropped = e),
  taught: (s, e) => void (s.taught = e),
  inGroove: (s, e) => {
    // who brought the tool into its groove has the work in the lathe: to put it up afterwards would lose the groove again
    s.mounted = true;
    s.phase = 'kept';
    s.lostBy = null;
    if (s.cuts > 0) s.foundBy = foundByOf(e);
    s.offset = null;
    s.judged = [];
    s.startMm = e.startMm;
    s.airDue = true;
    if (e.way === 'parallel') {
      // swung along the bed for it: the old zeros say nothing any more
      if (s.slideDeg !== 90 && s.touched !== null) s.zeroLost = true;
      s.slideDeg = 90;
    }
    s.topMm += e.topMm;
    s.crossMm += e.crossMm;
  },
  airPassed: (s, e) => {
    s.airDue = e.result === 'off';
    if (e.result === 'in') s.pitchProved ??= 'air';
    if (e.result === 'off') lose(s, 'off');
  },
  cut: (s, e) => {
    s.depthMm = e.depthMm;
    s.lastShiftMm = e.infeed === 'alternate' ? e.axialMm - s.axialMm : null;
    s.axialMm = e.axialMm;
    s.crossMm = e.crossMm;
    s.topMm = e.topMm;
    s.infeed = e.infeed;
    if (e.slideDeg !== null) s.slideDeg = e.slideDeg;
    // a depth that was cut with the slides so says where their zeros are, whatever before it was struck through
    const zeroMm = e.depthMm - e.crossMm - (e.slideDeg === null ? 0 : e.topMm * cosDeg(e.slideDeg));
    if (e.assumedPasses === null && Math.abs(zeroMm - s.zeroMm) > SAME_ZERO_MM) s.zeroMm = zeroMm;
    s.hasGroove = true;
    s.pitchProved ??= 'cut';
    s.airDue = false;
    s.cuts += e.assumedPasses ?? 1;
    s.springs = 0;
    s.lastCutN = e.n;
    if (e.assumedPasses !== null) {
      s.assumed = { passes: e.assumedPasses };
      // passes were cut then, so the groove had been found
      s.phase = 'kept';
      s.lostBy = null;
    }
  },
  depthRead: (s, e) => {
    s.depthMm = e.depthMm;
    s.crossMm = e.crossMm;
    s.topMm = e.topMm;
    s.zeroMm = e.depthMm - e.crossMm - e.topMm * cosDeg(s.slideDeg ?? 0);
    s.assumed = null;
    s.zeroLost = false;
    s.mounted = true;
    s.touched ??= 'surface';
    s.surfaceMm ??= s.measuredMm;
  },
  sprung: (s) => void (s.springs += 1),
  sideCut: (s, e) => {
    s.sideMm += e.byMm;
    s.axialMm = e.axialMm;
    s.crossMm = e.crossMm;
    s.topMm = e.topMm;
  },
  rezeroed: (s) => {
    s.zeroMm = s.depthMm;
    s.crossMm = 0;
    s.topMm = 0;
    s.zeroLost = false;
  },
  toolChanged: (s) => loseZero(s, 'tool'),
  crestTopped: (s, e) => {
    if (s.surfaceMm !== null) shiftDepths(s, s.surfaceMm, e.diameterMm);
    // the tip stands where it stood
    if (s.toldMm !== null && s.surfaceMm !== null) s.toldMm += e.diameterMm - s.surfaceMm;
    s.surfaceMm = e.diameterMm;
    s.measuredMm = e.diameterMm;
  },
  controlOffset: (s, e) => void (s.zeroMm += e.on === 'diameter' ? e.byMm / 2 : e.byMm),
  deeper: (s, e) => void (s.deeperMm += e.byMm),
  indexed: (s, e) => {
    s.starts.set(s.start, pick(s));
    s.start = e.to;
    // indexed along the bed, the slide lies along the bed
    if (e.topMm !== 0) s.slideDeg ??= 90;
    Object.assign(s, s.starts.get(e.to) ?? START_UNCUT);
    s.topMm += e.topMm;
  },
  checked: (s, e) => {
    // cutting goes on at another lead or on another lathe: the old groove has to be found again
    const moved = s.facts ? movedFacts(s.facts, e.facts) : [];
    if (s.cuts > 0 && moved.some((fact) => LOSES_GROOVE.has(fact))) lose(s, 'lead');
    if (moved.some((fact) => CUTS_LEAD.has(fact))) unprove(s);
    s.facts = e.facts;
  },
};

const START_UNCUT: StartState = {
  depthMm: 0,
  axialMm: 0,
  lastShiftMm: null,
  sideMm: 0,
  cuts: 0,
  springs: 0,
  lastCutN: 0,
};
const pick = (s: State): StartState => ({
  depthMm: s.depthMm,
  axialMm: s.axialMm,
  lastShiftMm: s.lastShiftMm,
  sideMm: s.sideMm,
  cuts: s.cuts,
  springs: s.springs,
  lastCutN: s.lastCutN,
});

/** Facts of which a change that was agreed to means that the old groove has to be found again. */
const LOSES_GROOVE: ReadonlySet<string> = new Set(['Lead', 'Lathe', LATHE_ID, 'Gears', 'Thread', 'Made']);

/** Facts that decide which lead is cut: changed, the pitch has to be proved anew. */
const CUTS_LEAD: ReadonlySet<string> = new Set(['Lead', LATHE_ID, 'Gears']);

/** Zeros nearer than this are one, mm: what is left of rounding. */
const SAME_ZERO_MM = 1e-6;
/** Places nearer than this are one, judged again, mm. */
const SAME_PLACE_MM = 0.5;

/** The blank or bore as it was read: the surface that is touched lies there, and depths are counted from it. */
function sayBlank(s: State, e: { readonly diameterMm: number }): void {
  s.measuredMm = e.diameterMm;
  if (s.touched === 'surface') s.surfaceMm = e.diameterMm;
}

/** A scratch speaks of the gears that it was cut with. */
function unprove(s: State): void {
  s.scratch = null;
  s.pitchProved = null;
}

/** Nothing can be lost where nothing is cut yet. */
function lose(s: State, by: LostBy): void {
  if (!s.hasGroove) return;
  // where the tool stood against the groove is no longer so, whatever was seen
  s.judged = [];
  s.dropped = null;
  s.startMm = null;
  s.offset = null;
  // a thread that was never found stays so, whatever else happens to the lathe
  if (s.phase === 'lost' && s.lostBy === 'existing' && s.cuts === 0) return;
  s.phase = 'lost';
  s.lostBy = by;
}
function loseZero(s: State, by: LostBy): void {
  lose(s, by);
  if (s.touched !== null) s.zeroLost = true;
}

/** The surface is now another: every depth counted from it moves by half the difference on diameter. */
function shiftDepths(s: State, fromMm: number, toMm: number): void {
  const by = Math.abs(fromMm - toMm) / 2;
  if (s.cuts === 0 && s.starts.size === 0) return;
  s.depthMm -= by;
  s.zeroMm -= by;
  if (s.grooveMm !== null) s.grooveMm = Math.max(0, s.grooveMm - by);
  for (const start of s.starts.values()) start.depthMm -= by;
}

/** The state after an event, in the order in which events stand: a state is never written to once its event is counted. */
interface Fold {
  readonly event: LedgerEvent | null;
  readonly before: Fold | null;
  readonly length: number;
  readonly state: State;
}
const fresh = (threadThere: boolean): Fold => ({
  event: null,
  before: null,
  length: 0,
  state: { ...newPart(threadThere, 1), events: 0, slideDeg: null, gears: null, taught: null, pitchProved: null },
});
/** A ledger as far as it was counted, found again by its last event: one for a thread that is there already, one for none. */
const tails = {
  there: { begun: fresh(true), byLast: new WeakMap<LedgerEvent, Fold>() },
  none: { begun: fresh(false), byLast: new WeakMap<LedgerEvent, Fold>() },
};

/** Whether a fold counted just these events, in this order, from the first. */
function counts(fold: Fold, list: readonly LedgerEvent[]): boolean {
  let at: Fold | null = fold;
  for (let i = fold.length - 1; i >= 0; i -= 1) {
    if (at?.event !== list[i]) return false;
    at = at?.before ?? null;
  }
  return true;
}

function step(before: Fold, event: LedgerEvent, threadThere: boolean): Fold {
  const state: State = { ...before.state, starts: new Map([...before.state.starts].map(([n, s]) => [n, { ...s }])) };
  (REDUCE[event.kind] as ((s: State, e: LedgerEvent, there: boolean) => void) | undefined)?.(state, event, threadThere);
  return { event, before, length: before.length + 1, state };
}

/** Goes on from the longest beginning of these events that was counted before: mostly all but the last. */
function folded(list: readonly LedgerEvent[], threadThere: boolean): State {
  const { begun, byLast } = tails[threadThere ? 'there' : 'none'];
  let at = begun;
  for (let i = list.length - 1; i >= 0; i -= 1) {
    const known = byLast.get(list[i] as LedgerEvent);
    if (known?.length === i + 1 && counts(known, list)) {
      at = known;
      break;
    }
  }
  for (const event of list.slice(at.length)) {
    at = step(at, event, threadThere);
    byLast.set(event, at);
  }
  return at.state;
}

/**
 * The metal and the lathe as the ledger leaves them. @param upTo leave out events after this number
 * @example metalOf(demo('sluice')).cuts // 6
 */
export const metalOf = (job: Has<'events' | 'intake'>, upTo = Infinity): Metal =>
  metalAfter(job.events, threadExists(job), upTo);
const metalAfter = kept((events: readonly LedgerEvent[], threadThere: boolean, upTo: number): Metal => {
  const stands = standing(events);
  const after = stands.findIndex((e) => e.n > upTo);
  const state = folded(after < 0 ? stands : stands.slice(0, after), threadThere);
  return { ...state, events: events.at(-1)?.n ?? 0 };
});
