import type { WorthAnswer, WorthVerdict } from '../core/fit/worth.ts';
import type { UnsureOf } from '../core/gauging/budget.ts';
import type { Diagnosis } from '../core/job/binds.ts';
import type { Binds, Dressed, FormReading } from '../core/job/events.ts';
import type { FormCheck } from '../core/job/formCheck.ts';
import type { MateTried } from '../core/job/matesTried.ts';
import type { MeasurePlan, Verdict } from '../core/job/measure.ts';
import type { Pin } from '../core/job/schema.ts';
import type { SideCutSet } from '../core/job/sideCut.ts';
import type { LimitsOf, RightBy } from '../core/job/rightBy.ts';
import type { Reason } from '../core/job/verdict.ts';
import type { WorthView } from '../core/job/worthView.ts';
import { FINE, lengthText, percentText, smallShareText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import type { Effect } from '../core/sizing/decide.ts';
import { LAY_NAMES, TRY_NAMES } from './try.ts';

/** Where a mate bound. */
export const BIND_NAMES: Readonly<Record<Binds, string>> = {
  turns: 'wherever it starts, after as many turns',
  place: 'always at one place',
  tighter: 'tighter all along',
  weight: 'only with its weight on',
};

/** What a finished thread is read for. */
export const FORM_NAMES: Readonly<Record<FormReading, string>> = {
  leadingFlank: 'Leading flank',
  trailingFlank: 'Trailing flank',
  majorDiameter: 'Major diameter',
  minorDiameter: 'Minor diameter',
  crestFlat: 'Flat at the crest',
  rootFlat: 'Flat at the root',
  lead: 'Lead',
  round: 'About the part',
};

/** What is done before the verdict: how, and that it was. */
export const DRESS_NAMES: Readonly<
  Record<Dressed, { readonly todo: string; readonly how: string; readonly done: string }>
> = {
  'wire-edge': {
    todo: 'Wire edge off',
    how: 'A file with a handle, then a three-square file rocked in the groove, at a standstill.',
    done: 'Wire edge filed off',
  },
  crests: { todo: 'Crests broken', how: 'A touch of the file along the crests.', done: 'Crests broken' },
  start: {
    todo: 'First half thread taken back',
    how: 'File or mill the feather edge until the crest is half its width.',
    done: 'First half thread taken back',
  },
  chamfer: { todo: 'Ends chamfered', how: '45 degrees, to just below the root.', done: 'Ends chamfered' },
  clean: { todo: 'Clean and oiled', how: 'Brush out the groove, wipe, a drop of oil.', done: 'Cleaned and oiled' },
};

const mmText = (mm: number, u: UnitSystem): string => lengthText(mm, u, FINE);

/** Why a mate binds, and what to do. */
export function diagnosisText(d: Diagnosis, u: UnitSystem): { readonly what: string; readonly todo: string } {
  switch (d.code) {
    case 'lead':
      return {
        what:
          d.perMm === null
            ? 'The lead: it binds after the same turns wherever it starts.'
            : `The lead is off by about ${mmText(d.perMm * 25.4, u)}${
                d.sdPerMm === null ? '' : ` \u00b1 ${mmText(d.sdPerMm * 25.4, u)}`
              } in an inch, ${smallShareText(d.perMm)}.`,
        todo: `Not deeper: look at train and levers, the leadscrew, heat, and whether tool or work slid along; read the lead.${
          d.wantsMm === null ? '' : ` The whole mate would want ${mmText(d.wantsMm, u)} more on the pitch diameter.`
        }`,
      };
    case 'unworn-place':
      return {
        what: 'The screw is as thick there as anywhere: it only wore less.',
        todo: 'This place decides: size the nut to it, or to the travel that is used.',
      };
    case 'bruise':
      return {
        what: 'It measures smaller there and yet binds: a bruise or a burr, not its size.',
        todo: 'Dress it with a three-square file, clean, oil, and try again.',
      };
    case 'place-unread':
      return {
        what: 'Always at one place: bigger or bruised there.',
        todo: 'Read the screw there before going deeper.',
      };
    case 'taper':
      return {
        what: 'Tighter all along: one of the two is tapered.',
        todo: 'Measure near both ends before going deeper.',
      };
    case 'weight':
      return { what: 'Only with its weight on it: the mate hangs.', todo: 'Support it, and try again.' };
    case 'unsaid':
      return { what: 'It runs and then binds.', todo: 'Say where: wherever it starts, or always at one place.' };
  }
}

/** What a try or a cut made of what is known: how much is left. */
export function effectText(e: Effect, u: UnitSystem): string {
  const { least, most } = e.leftMm;
  const bare = (mm: number): string => lengthText(Math.max(0, mm), u, { ...FINE, bare: true });
  if (e.surprised) return 'not as was expected: what was known of dial and mate is let go';
  if (e.past > 0.5) return 'past its far limit';
  if (e.inside >= 0.95) return `inside, ${percentText(e.inside)} sure`;
  if (most <= 0) return `inside with ${percentText(e.inside)}, past with ${percentText(e.past)}`;
  return `${bare(least)} to ${mmText(most, u)} left on diameter`;
}

const LIMITS_OF: Readonly<Record<LimitsOf, string>> = {
  class: 'by its class',
  typed: 'about the size aimed at, as typed',
  duty: 'about the size aimed at, as far as its duty allows',
  usual: 'about the size aimed at, as is usual for its pitch',
};
/** What is right, as the belief is held against it. */
export function rightText(r: RightBy, u: UnitSystem): string {
  const range = (a: number, b: number): string => `${lengthText(a, u, { ...FINE, bare: true })} to ${mmText(b, u)}`;
  if (r.by === 'limits') return `Right from ${range(r.minMm, r.maxMm)} pitch diameter, ${LIMITS_OF[r.of]}.`;
  const of = {
    typed: 'as typed',
    duty: 'by its duty',
    fit: 'the clearance of the fit',
    feel: 'free by hand, no shake felt',
  };
  return `Right with ${range(r.leastMm, r.mostMm)} clearance to its mate, ${of[r.of]}.`;
}

export const UNSURE_NAMES: Readonly<Record<UnsureOf, string>> = {
  wire: 'Wire diameter',
  round: 'Wire out of round',
  angle: 'Half-angle',
  lead: 'Lead',
  reading: 'Micrometer and hand',
  flanks: 'Torn or worn flanks',
  heat: 'Warm from cutting',
};
export const PIN_NAMES: Readonly<Record<Pin['kind'], string>> = {
  wire: 'wire',
  pin: 'pin',
  drill: 'drill shank',
  needle: 'needle roller',
  ball: 'ball',
};

/** Let be with what was known, and by whom. */
export const acceptedText = (a: { readonly by: string; readonly inside: number | null }): string =>
  `Accepted by ${a.by} with what was known${a.inside === null ? '' : `: right with ${percentText(a.inside)}`}`;

const MEASURED_TEXT: Readonly<Record<Verdict, string>> = {
  'at-size': 'at size',
  past: 'past its limit',
  'to-go': 'not there yet',
};

const dressedText = (left: readonly Dressed[]): string =>
  left.length === 0
    ? 'Finished: wire edge, crests, start, chamfers, clean'
    : `Still to finish: ${left.map((d) => DRESS_NAMES[d].todo.toLowerCase()).join(', ')}`;
/** A part that was finished after it was tried. */
export const AGAIN_TEXT = 'Finished since it was tried: try it once more, for a burr makes a right thread feel tight.';
export const AGAIN_ACT = 'Try it once more';
/** Each reason of a verdict in a sentence. */
export function reasonText(r: Reason, u: UnitSystem): string {
  switch (r.of) {
    case 'measured':
      return `${LAY_NAMES[r.by]} ${r.text}: ${MEASURED_TEXT[r.verdict]}`;
    case 'belief':
      return `By everything together right with ${percentText(r.inside)}, past with ${percentText(r.past)}`;
    case 'gauge':
      return `${r.which === 'go' ? 'Go' : 'Not-go'} gauge ${
        r.passes ? 'goes' : `does not go${r.turns ? `, ${r.turns} turns in` : ''}`
      }`;
    case 'mate':
      return `${r.mate || 'Its mate'}: ${TRY_NAMES[r.result]}`;
    case 'form':
      return `${FORM_NAMES[r.what]} ${r.text}: outside what it may be`;
    case 'taper':
      return taperText(r.taper, u).replace(/\.$/, '');
    case 'virtual':
      return `With its errors the mate meets ${mmText(r.mm, u)}; it may meet ${mmText(r.limitMm, u)}`;
    case 'readings-apart':
      return `Two readings ${LAY_NAMES[r.by].toLowerCase()} are ${mmText(r.mm, u)} apart, and may be ${mmText(r.mayMm, u)}: clean, and read once more`;
    case 'untried':
      return `${r.mate || 'Its mate'}: not tried since the last cut`;
    case 'gauge-lead':
      return `Its lead takes ${mmText(r.mm, u)} of the pitch diameter over its length; it may take ${mmText(r.mayMm, u)}`;
    case 'accepted':
      return acceptedText(r);
    case 'dressed':
      return dressedText(r.left);
    case 'tried-before-dressing':
      return AGAIN_TEXT.replace(/\.$/, '');
    case 'nothing-measured':
      return 'Nothing was measured, gauged or tried since the last cut';
  }
}
export const VERDICT_TEXT = {
  right: 'It is right.',
  wrong: 'It is not right.',
  'not-yet': 'Not proved yet.',
  'to-finish': 'It measures right; finish it, then try it once more.',
  accepted: 'Accepted with what is known.',
} as const;
export const REASON_MARKS = { good: 'for', bad: 'against', due: 'due' } as const;

/** Before going deeper because it feels tight. */
export const BURRS_FIRST =
  'A burr makes a right thread feel tight: wire edge off, crests broken, clean and oiled, then try again.';

/** Whether it is worth it, in a sentence. */
export const WORTH_TEXT: Readonly<Record<WorthVerdict, string>> = {
  leave: 'Leave it: under 0.1 mm (0.004 in) nobody feels it.',
  'by-habit': 'Live with it, or not: one that always comes up from the same side loses nothing.',
  act: 'Worth doing: more than 0.5 mm (0.02 in) or a tenth of a turn is lost at each reversal.',
  'other-is-the-job': 'Not by itself: the part that stays gives back at least half of it. That one is the job.',
};

/** What another part leaves, in parts of a turn and in years at the wear so far. */
export function worthLine(a: WorthAnswer, u: UnitSystem): string {
  const turn = (x: number): string => String(Number(x.toFixed(3)));
  return [
    a.turnsNow === null
      ? `${turn(a.turnsAfter)} of a turn with a new one on the worn one`
      : `${turn(a.turnsNow)} of a turn now, ${turn(a.turnsAfter)} after`,
    a.perYearMm === null ? null : `${mmText(a.perYearMm, u)} a year so far`,
    a.years === null ? null : `${Math.round(a.years)} years until it is too much again`,
  ]
    .filter((x) => x !== null)
    .join('; ');
}

/** How a gauge is judged. */
export const GAUGE_TRUTH: Readonly<Record<'go' | 'not-go', (may: number) => string>> = {
  go: () => 'It has to go on by hand over the whole length.',
  'not-go': (may) =>
    `It may enter ${may} turns and no further (ISO 1502: two; ASME B1.2: three). Further than that, it went.`,
};

/** "Over 2.05", "between balls of 2": what is laid in. */
export function layText(p: MeasurePlan, u: UnitSystem): string {
  const w = mmText(p.wireMm, u);
  if (p.by === 'balls') return `Between ${w} balls`;
  return `Over ${p.count === 3 ? '' : p.count === 2 ? 'two, ' : 'one, '}${w}`;
}

/** What the form of the finished thread does to its fit, in one sentence. */
export function formText(c: FormCheck, u: UnitSystem): string {
  if (!c.rows.some((r) => r.read) && c.aroundCount === 0 && !c.lead)
    return 'Read the form: wires see the size, not the flanks or the lead.';
  if (!c.virtual) return 'A square thread: its flanks give nothing on the diameter.';
  const { angleMm, leadMm, roundMm, totalMm } = c.virtual;
  const parts = [
    angleMm > 0.0005 ? `flanks ${mmText(angleMm, u)}` : null,
    leadMm > 0.0005 ? `lead ${mmText(leadMm, u)}` : null,
    roundMm > 0.0005 ? `drunkenness ${mmText(roundMm, u)}` : null,
  ].filter((x) => x !== null);
  if (totalMm <= 0.0005) return 'The form costs the fit nothing.';
  const what = `The form costs ${mmText(totalMm, u)} of pitch diameter (${parts.join(', ')}).`;
  return c.virtualMm === null
    ? what
    : `${what} Its mate meets ${mmText(c.virtualMm, u)}, ${c.ok ? 'and may' : `beyond what it may: ${mmText(c.limitMm, u)}`}.`;
}
/** Taper of a thread that should have none. */
export const taperText = (t: NonNullable<FormCheck['taper']>, u: UnitSystem): string =>
  `Taper along it: ${mmText(Math.abs(t.changeMm), u)} ${t.changeMm < 0 ? 'smaller' : 'larger'} over ${lengthText(t.overMm, u)}.`;

/** Axial play that is believed. */
export const playText = (p: { readonly value: number; readonly uncertainty: number }, u: UnitSystem): string =>
  `Play with its mate ${lengthText(Math.max(0, p.value), u, { ...FINE, bare: true })} \u00b1 ${mmText(p.uncertainty, u)} along the axis.`;

/** How much to cut off which flank, and what backlash results; null: nothing is to be cut, or not enough is known. */
export function sideText(v: WorthView, make: 'external' | 'internal', u: UnitSystem): string | null {
  const { side, playNowMm, wantedMm, wornPlayMm } = v;
  if (!side || playNowMm === null || wantedMm === null) return null;
  return [
    `Play is ${mmText(playNowMm, u)}, wanted ${mmText(wantedMm, u)}: take ${mmText(side.byMm, u)} off the flanks in all,`,
    `worth ${mmText(side.onPitchDiameterMm, u)} on the pitch diameter; the root is not touched.`,
    `All on one flank moves the groove by ${mmText(side.movesMm, u)}: take the flank that does not carry, so that the one`,
    `that does stays as it was cut${make === 'internal' ? ', and a worn screw bears on its own flank' : ''}.`,
    'Half on each keeps the middle.',
    ...(wornPlayMm === null || wornPlayMm - wantedMm < 0.001
      ? []
      : [`Where the ${make === 'internal' ? 'screw' : 'nut'} is worn the backlash will be ${mmText(wornPlayMm, u)}.`]),
  ].join(' ');
}

/** What a side cut does, as it is set. */
export const sideResultText = (c: SideCutSet, u: UnitSystem): string =>
  `The tool goes ${mmText(c.byMm, u)} towards the ${c.towards}, as deep as it was: play grows by ${mmText(c.byMm, u)}${
    c.onPitchDiameterMm === null ? '' : `, which is ${mmText(c.onPitchDiameterMm, u)} on the pitch diameter`
  }; the root is not touched.`;

/** Before a pass that may be one too many. */
export const lookFirstText = (risk: number): string =>
  `Look before this pass: by all that is known it goes past size with ${percentText(risk)}.`;
/** What one mate did, shortly. */
export function triedShort(t: MateTried, u: UnitSystem): string {
  if (t.stopped && t.turns !== null) return `${t.result === 'binds' ? 'binds' : 'stops'} after ${t.turns} turns`;
  if (t.shakeMm !== null) return `runs, play ${mmText(t.shakeMm, u)}`;
  return TRY_NAMES[t.result];
}
