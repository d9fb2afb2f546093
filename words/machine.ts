import { latheUnknownText } from './lathe.ts';
import { motionWords, routine, withdrawal } from './routine.ts';
import { FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import type { Problem } from '../core/quantity/outcome.ts';
import { cutsPlanned } from '../core/cutting/plan.ts';
import type { Card, CardGears, CardView, Stopped } from '../core/job/card.ts';
import type { GearSetting } from '../core/job/gearSetting.ts';
import { trainText } from '../core/gearing/trainText.ts';
import { threadOfJob } from '../core/job/derive.ts';
import type { Job } from '../core/job/schema.ts';
import { taperPerTurnMm } from '../core/job/taper.ts';
import type { Feed } from '../core/job/feed.ts';
import type { LostBy } from '../core/job/metal.ts';
import type { SlideTravel } from '../core/job/pickupMove.ts';
import type { Setting } from '../core/job/slides.ts';
import { factText } from './facts.ts';
import { mistakeText } from './gears.ts';
import { pitchLines } from './pitch.ts';
import { problemText } from './problems.ts';
import { becauseText, STATION_NAMES } from './stations.ts';
import { shownOn } from '../core/lathe/dials.ts';
import { type Lathe, type LatheKind, isGeared } from '../core/lathe/schema.ts';
import type { ThreadEnd } from '../core/cutting/clearRun.ts';

/** Everything that is said at the machine, in one place, in the unit at hand. */
const fine = (mm: number, u: UnitSystem): string => lengthText(Math.abs(mm), u, FINE);
const hand = (mm: number, u: UnitSystem): string => lengthText(Math.abs(mm), u);

/** What a dial is turned to: whole turns and what the collar shows then; drawn back past zero as it is counted from there. */
export function dialText(d: { readonly turns: number; readonly shown: string }, join: string): string {
  const { n, short } = turnsCounted(d);
  if (!short) return `${n !== 0 ? `${turnsText(n)}${join}` : ''}${d.shown}`;
  return n === 0 ? `${d.shown}, short of zero` : `${turnsText(n)} short of zero, and on to ${d.shown}`;
}
/** The same with its unit. */
export function settingText(d: { readonly turns: number; readonly shown: string; readonly unit: UnitSystem }): string {
  const { n, short } = turnsCounted(d);
  return short && n === 0 ? `${d.shown} ${d.unit}, short of zero` : `${dialText(d, ', then ')} ${d.unit}`;
}
/** Whole turns as a hand counts them from zero: short of it, away from the feed, the collar is met once less than the turns are floored. */
export function turnsCounted(d: { readonly turns: number; readonly shown: string }): {
  readonly n: number;
  readonly short: boolean;
} {
  if (d.turns >= 0) return { n: d.turns, short: false };
  return { n: Number(d.shown) === 0 ? -d.turns : -d.turns - 1, short: true };
}
const turnsText = (turns: number): string => `${turns} full turn${turns === 1 ? '' : 's'}`;

/** A unit as it stands beside the big number. */
export const unitName = (u: UnitSystem): string => (u === 'in' ? 'inch' : 'mm');
/** The unit of a dial, and whether what it shows is on diameter. */
export const dialUnitText = (s: Pick<Setting, 'unit' | 'reads'>): string =>
  `${unitName(s.unit)}${s.reads === 'diameter' ? ' on diameter' : ''}`;

/** "Top slide, in to": what the big number belongs to. */
export function slideText(s: Setting): string {
  if (s.slide === 'control') return `At the control, X${s.reads === 'radius' ? ' on radius' : ''}`;
  const name = s.slide === 'top' ? 'Top slide' : 'Cross slide';
  return `${name}, ${s.wound === 'back' ? 'back to' : 'in to'}`;
}

/** "Top slide, in by": what a step on its dial belongs to. */
export function byText(s: Setting): string {
  if (s.slide === 'control') return `At the control, X${s.reads === 'radius' ? ' on radius' : ''}, changed by`;
  return `${s.slide === 'top' ? 'Top slide' : 'Cross slide'}, ${s.wound === 'back' ? 'back by' : 'in by'}`;
}

/** "Cross slide, again": the setting of the last pass once more. */
export const againText = (s: Setting): string =>
  s.slide === 'control' ? 'At the control, again' : `${s.slide === 'top' ? 'Top slide' : 'Cross slide'}, again`;

/** The slide that is only brought back to where it stood. */
export const restText = (s: Setting): string =>
  `${s.slide === 'top' ? 'Top slide' : 'Cross slide'} stays at ${settingText(s)}`;

const FACTS: Readonly<Record<string, string>> = {
  Thread: 'The thread',
  Made: 'What is made',
  'Pitch diameter': 'The pitch diameter to reach',
  Lathe: 'The lathe',
  'Lathe id': 'The lathe',
  Gears: 'The train',
  Lead: 'The lead',
  Feed: 'The way of feeding',
  Tool: 'The tool\u2019s tip',
  Cleaning: 'What has to be cleaned away',
  Dials: 'The dials',
};
const CHECK: Readonly<Record<string, string>> = {
  Thread: 'Check the tool and the train before going on.',
  Made: 'Check that it is the right member.',
  'Pitch diameter': 'The rest of the depth follows it; check that this is meant.',
  Lathe: 'The work has to be put up there and the groove picked up.',
  'Lathe id': 'The work has to be put up there and the groove picked up.',
  Gears: 'Put the train up, then pick the groove up.',
  Lead: 'Put the train up, then pick the groove up.',
  Feed: 'See how the top slide lies before going on.',
  Cleaning: 'The rest of the depth follows it; check that this is meant.',
  Tool: 'Touch it off again and pick the groove up if the tool is another.',
  Dials: 'See that the readings are those of this lathe.',
};

/** One sentence on what stopped the card, and what to check. */
export function stoppedText(s: Stopped, u: UnitSystem): { readonly what: string; readonly check: string } {
  switch (s.code) {
    case 'no-thread':
      return { what: 'The thread has no name yet.', check: 'Name it first.' };
    case 'no-lathe':
      return { what: 'No lathe is chosen.', check: 'Choose it under Gears.' };
    case 'no-train':
      return { what: 'No gear train is chosen.', check: 'Take one under Gears.' };
    case 'lathe-unknown':
      return latheUnknownText(s.lathe, s.facts);
    case 'plan':
      return planStopped(s.problem, u);
    case 'stale':
      return {
        what: `${STATION_NAMES[s.station]} has to be looked at again.`,
        check: becauseText(s.because, u),
      };
    case 'assumed':
      return {
        what: `An older record: ${fine(s.depthMm, u)} from ${s.passes} pass${s.passes === 1 ? '' : 'es'}.`,
        check: `${s.train ? `See that ${s.train} is on the lathe. ` : ''}Read the slide, and give the depth that it says.`,
      };
    case 'scratch': {
      const { crests, spanMm, readMm, leadMm, slips } = s.scratch;
      const [slip] = slips;
      return {
        what: `The scratch is not this thread: ${crests} crests in ${fine(spanMm, u)} are ${fine(readMm, u)} each; the train cuts ${fine(leadMm, u)}.`,
        check: slip
          ? `One slip explains it: ${mistakeText(slip.mistake)}. Check gears and levers, put them right, and scratch again.`
          : 'No single slip explains it. Check gears and levers, count again, and scratch again.',
      };
    }
    case 'changed': {
      const [first] = s.changes;
      const more = s.changes.length > 1 ? `, and ${s.changes.length - 1} more` : '';
      return {
        what: first
          ? `${FACTS[first.fact] ?? first.fact} changed: ${factText(first.fact, first.was, u)} is now ${factText(first.fact, first.now, u)}${more}.`
          : '',
        check: first ? (CHECK[first.fact] ?? '') : '',
      };
    }
  }
}

function planStopped(problem: Problem, u: UnitSystem): { readonly what: string; readonly check: string } {
  const { message, right } = problemText(problem, u);
  return { what: message, check: right === null ? '' : `Right would be: ${right}.` };
}

export const LOST: Readonly<Record<LostBy, string>> = {
  existing: 'A thread is there already: the tool has to be brought into it.',
  gears: 'Gears were changed: the tool no longer stands over its groove.',
  levers: 'A lever was moved: the tool no longer stands over its groove.',
  lead: 'Lead or lathe changed: the tool no longer stands over its groove.',
  slide: 'The top slide was swung: the tool no longer stands over its groove.',
  tool: 'The tool was changed: it no longer stands over its groove.',
  reseated: 'The work was taken out: the groove is somewhere else.',
  slipped: 'The work slipped in the jaws: the groove is somewhere else.',
  mark: 'The half-nuts were shut on a wrong mark.',
  off: 'The air pass showed that the tool is beside the groove.',
};

export const CONFLICT: Readonly<Record<NonNullable<Feed['conflict']>, string>> = {
  'slide-along-bed':
    'The top slide lies along the bed, where it was swung to pick the groove up: feed straight in with the cross slide. To feed at an angle again, swing it back and pick the groove up anew.',
  'old-groove':
    'The old groove was found with the tool straight over it. Feed straight in with the cross slide: fed at an angle, the tool would land beside the groove.',
  'slide-elsewhere':
    'Alternate feeding needs the top slide along the bed. As it lies, feed straight in, or swing it and pick the groove up anew.',
};

/** The tool drawn out, in words; null where no depth is known. */
export const outText = (
  card: Card,
  make: 'external' | 'internal',
  u: UnitSystem,
  lathe: Pick<Lathe, 'has' | 'crossSlide' | 'kind'> | null,
): string | null =>
  card.outMm === null
    ? null
    : withdrawal({
        make,
        outTurns: card.outTurns,
        outText: acrossText(roundUp(card.outMm, u), u, lathe),
        has: lathe?.has ?? [],
      });
/** A length that the cross slide moves, as its dial shows it: who winds 1.40 on a dial that reads diameter has moved 0.70. */
function acrossText(radialMm: number, u: UnitSystem, lathe: Pick<Lathe, 'crossSlide' | 'kind'> | null): string {
  const dial = lathe === null || lathe.kind === 'control' ? null : lathe.crossSlide;
  return `${hand(shownOn(dial, radialMm), u)}${dial?.reads === 'diameter' ? ' on the diameter dial' : ''}`;
}
/** A withdrawal is rounded away from the work, to what a dial shows. */
const roundUp = (mm: number, u: UnitSystem): number => {
  const step = u === 'mm' ? 0.05 : 0.0254;
  return Math.ceil(mm / step - 1e-9) * step;
};

/** The motions of this pass on this lathe, each in one word and in one sentence. */
export function motionsOf(
  view: CardView,
  job: {
    readonly make: 'external' | 'internal';
    readonly leftHand: boolean;
    readonly returnBy: 'reverse' | 'dial';
    readonly end: ThreadEnd;
    /** A taper followed by hand: how far the cross slide goes at each turn, mm; null: it is not. */
    readonly perTurnMm: number | null;
  },
  lathe: Lathe | null,
): { readonly word: string; readonly text: string }[] {
  const { card } = view;
  const u = lathe?.crossSlide.unit ?? 'mm';
  const request = {
    make: job.make,
    leftHand: job.leftHand,
    feeds: card.settings[0]?.slide ?? (view.feed.slideDeg === null ? ('cross' as const) : ('top' as const)),
    outTurns: card.outTurns,
    outText: card.outMm === null ? '' : acrossText(roundUp(card.outMm, u), u, lathe),
    returnBy: job.returnBy,
    safeMarks: card.closeOn?.length ?? 0,
    marks: lathe?.dial?.marks ?? 0,
    electronic: lathe !== null && !isGeared(lathe),
    has: lathe?.has ?? [],
    end: job.end,
    perTurn: job.perTurnMm === null ? null : acrossText(job.perTurnMm, u, lathe),
  };
  const words = motionWords(request);
  return routine(request).map((text, i) => ({ word: words[i] ?? '', text }));
}

/** The same of a job as it stands. */
export const motionsOfJob = (job: Job, view: CardView, lathe: Lathe | null): ReturnType<typeof motionsOf> =>
  motionsOf(
    view,
    {
      make: job.intake.make,
      leftHand: threadOfJob(job)?.leftHand ?? false,
      returnBy: job.cut.returnBy,
      end: job.setup.end,
      perTurnMm: taperPerTurnMm(job),
    },
    lathe,
  );

/** What a pass that is expected to run in the old groove means; null where it is to cut. */
export function airText(card: Card): string | null {
  if (card.do !== 'set' || card.expectsMetal || !card.pass || card.pass.spring) return null;
  const more = card.airPasses - 1;
  const all = more > 0 ? `This pass and the next ${more === 1 ? 'one' : String(more)} are` : 'This pass is';
  return `${all} expected to cut air: if it cuts, stop. It is not in the groove.`;
}

/** A train with its levers: one cuts another lead at other levers. */
export const gearingText = (g: GearSetting): string =>
  `${trainText(g.train)}${g.levers === null ? '' : `, ${g.levers}`}`;

/** The same with the tumbler: all that stands between spindle and leadscrew. */
export const gearsText = (g: GearSetting): string =>
  `${gearingText(g)}${g.tumbler === null ? '' : `, tumbler ${g.tumbler}`}`;

/** The act of putting up, the one figure of it, and what goes with that. */
export interface PutUpLines {
  readonly what: string;
  readonly figure: string;
  readonly more: readonly string[];
}
/** What is put on the arm, where the levers are set, and for which hand the tumbler. */
export function putUpLines(g: CardGears): PutUpLines {
  const train = trainText(g.train);
  if (g.leversFrom !== null && g.levers !== null)
    return {
      what: 'Set the levers',
      figure: g.levers,
      more: [`They stood at ${g.leversFrom}.`, `The train ${train} stays on.`],
    };
  return {
    what: 'Put the train up',
    figure: train,
    more: [
      ...(g.levers === null ? [] : [`Levers: ${g.levers}.`]),
      ...(g.tumbler === null ? [] : [`Tumbler for a ${g.tumbler}-hand thread.`]),
    ],
  };
}
function putUpText(g: CardGears | null): string {
  if (!g) return 'Put the train up, then say so.';
  const { what, figure, more } = putUpLines(g);
  return [`${what}: ${figure}.`, ...more].join(' ');
}

const LAY = { external: 'Measure over wires', internal: 'Measure between balls' } as const;
/** A blank that its class does not want, told before anything is cut. */
const blankText = (b: CardView['card']['blank'], make: 'external' | 'internal', u: UnitSystem): string =>
  b === null
    ? ''
    : ` ${make === 'external' ? 'The blank' : 'The bore'} is ${fine(b.mm, u)}, and its class wants ${fine(b.minMm, u)} to ${fine(b.maxMm, u)}.`;
/** What was left on purpose, for the dial is not sure enough for what is right. */
const shareText = (radialMm: number, u: UnitSystem): string =>
  radialMm > 0 ? ` About ${fine(radialMm, u)} on the radius was left on purpose: finish it by what it measures.` : '';

/** A slide and what it is set to. */
const setText = (s: Setting): string => `${slideText(s)} ${settingText(s)}`;

/** A run in the air along a groove, every slide set as deep as it is; or a scratch. */
function runText(card: Card, u: UnitSystem): string {
  if (card.pitch) return pitchText(card, u);
  const [s] = card.settings;
  const set = s ? `${setText(s)}, as deep as the groove is. ` : '';
  const others = card.settings
    .slice(1)
    .map((r) => `${restText(r)}. `)
    .join('');
  return `${set}${others}Run the tool along the groove without cutting, and look: in the groove all along, beside it, or only air. No metal is expected: if it cuts, stop.`;
}
/** The scratch is set like a pass, by the dial, and read as rules of this shop are. */
function pitchText(card: Card, u: UnitSystem): string {
  if (!card.pitch) return '';
  const [s] = card.settings;
  const set = s ? `${setText(s)}. ` : '';
  return `${set}${pitchLines(card.pitch, u).what}`;
}

/** An old groove is tried before anything is cut in it. */
const cutSoFar = ({ metal }: CardView, cut = 'Every pass is cut. '): string =>
  metal.cuts > 0 ? cut : 'Nothing is cut yet: see what it wants. ';

/** What the machinist does now, in one sentence. */
export function cardText(
  view: CardView,
  make: 'external' | 'internal',
  u: UnitSystem,
  kind: LatheKind | null = null,
): string {
  const { card } = view;
  const blank = make === 'external' ? 'blank' : 'bore';
  switch (card.do) {
    case 'check': {
      if (!card.stopped) return '';
      const s = stoppedText(card.stopped, u);
      return `${s.what} ${s.check}`.trim();
    }
    case 'mount':
      return card.what === 'gears'
        ? putUpText(card.gears)
        : `Put the ${card.thereAlready ? 'part' : blank === 'bore' ? 'work' : 'blank'} up and indicate it, then say so.`;
    case 'measure':
      return card.what === 'blank'
        ? `Measure the ${blank} where the tool will be touched off: every depth counts from there.`
        : `${cutSoFar(view)}${LAY[make]}, or try the mate, before it leaves the chuck.${shareText(card.shareMm, u)}`;
    case 'touch':
      if (kind === 'control')
        return card.what === 'groove'
          ? 'Jog the tool into the groove until it touches both flanks, and tell the control X there.'
          : `Touch the tool off on the ${blank}, and tell the control that X is the diameter measured there.`;
      return card.what === 'groove'
        ? 'Feed the tool into the groove until it touches both flanks; set the dials to zero.'
        : `Touch the tool off on the ${blank}; set both dials to zero.${blankText(card.blank, make, u)}`;
    case 'pickup':
      return `${card.lostBy ? LOST[card.lostBy] : ''} Pick it up before anything else is cut.`.trim();
    case 'air':
      return runText(card, u);
    case 'set': {
      const [s] = card.settings;
      if (card.pass?.spring)
        return `Spring pass ${card.pass.n} of ${card.pass.of}: the same setting again${s ? `, ${s.shown} ${s.unit}` : ''}.`;
      return s
        ? [`${setText(s)}. Pass ${card.pass?.n} of ${card.pass?.of}.`, airText(card)]
            .filter((x) => x !== null)
            .join(' ')
        : '';
    }
    case 'try':
      return `${cutSoFar(view, '')}Try the mate, or measure, before it leaves the chuck.${shareText(card.shareMm, u)}`;
    case 'next-start':
      return 'This start is cut. Index to the next one.';
    case 'next-part':
      return 'This part is done. Put up the next one.';
    case 'finished':
      return 'Every part is done.';
  }
}

/** A travel as its dial shows it, else as a length. */
export const travelText = (t: SlideTravel | null, mm: number, u: UnitSystem, join = ' and '): string =>
  t ? `${dialText(t, join)} ${t.unit}` : fine(mm, u);

/** What a change of the plan does to what is next: "next 0.0345 -> 0.0360, 5 passes left instead of 7". Null: nothing. */
export function planDelta(before: CardView, after: CardView): string | null {
  const [a, b] = [before.card, after.card];
  if (before.metal.cuts !== after.metal.cuts || before.metal.part !== after.metal.part) return null;
  // where nothing was planned, nothing changed
  if (!before.plan || !after.plan) return null;
  const [was, is] = [cutsPlanned(before.plan), cutsPlanned(after.plan)];
  const reading = (c: Card): string | null => {
    const [s] = c.settings;
    return c.do === 'set' && !c.pass?.spring && s ? dialText(s, ' + ') : null;
  };
  const parts: string[] = [];
  const [ra, rb] = [reading(a), reading(b)];
  if (ra !== null && rb !== null && ra !== rb) parts.push(`next ${ra} \u2192 ${rb}`);
  if (was !== is) parts.push(`${is} pass${is === 1 ? '' : 'es'} left instead of ${was}`);
  return parts.length > 0 ? parts.join(', ') : null;
}
