import type { Problem } from '../core/quantity/outcome.ts';
import type { ProblemCode, ProblemFigures } from '../core/quantity/problems.ts';
import { FINE, lengthText, type LengthStyle } from '../core/quantity/format.ts';
import { toInches, type UnitSystem } from '../core/quantity/units.ts';
import { plain } from '../core/quantity/working.ts';
import type { Waiting } from '../core/job/chain.ts';
import type { StationId } from '../core/job/stations.ts';
import { STATION_NAMES, WAITING } from './stations.ts';

/** What is wrong, one plain sentence, and what would be right; null where nothing can be offered. */
export interface Said {
  readonly message: string;
  readonly right: string | null;
}
type Length = (mm: number) => string;
type Sentence<C extends ProblemCode> = (
  f: ProblemFigures[C],
  L: Length,
  cause: string,
) => readonly [message: string, right?: string];

const SLIPPED = {
  inches: 'were inches meant?',
  millimetres: 'were millimetres meant?',
  point: 'does the point stand right?',
} as const;
const MEMBER = { external: 'screw', internal: 'nut' } as const;
const RIGHT = {
  chartRow: 'cone 1, range A, 24/48, 8 tpi',
  train: '40/35, or 30/50 x 63/60 (driver/driven)',
  iso965: '6g, 4h, 6e, 8g, 5g6g for screws; 6H, 5H, 7H, 6G for nuts',
} as const;

const SENTENCES: { readonly [C in ProblemCode]: Sentence<C> } = {
  'not-above-zero': (f) => ['It must be greater than zero.', `for example ${f.right}`],
  'whole-number': (f) => [`A whole number from ${f.from} to ${f.to} is needed.`, String(f.right)],
  'slide-0-to-60': () => ['The top slide is set between 0 and 60 degrees here.', '29.5, or straight in'],
  'under-zero': () => ['It cannot be less than nothing.', '0 or more'],
  'smallest-over-largest': (f, L) => [
    `The smallest cut, ${L(f.smallestMm)}, is larger than the largest, ${L(f.largestMm)}.`,
    `a smallest of at most ${L(f.largestMm)}, or a largest of at least ${L(f.smallestMm)}`,
  ],
  'bar-hits-wall': (f, L) => [
    `Drawing the tool ${L(f.beyondMm)} clear of the wall brings the back of the bar against the other side: there is room for ${L(f.roomMm)}.`,
    `a clearance of ${L(f.clearanceMm)} or less, or a thinner bar`,
  ],
  'flank-0-to-80': () => ['A flank stands between 0 and 80 degrees from the perpendicular.', '30'],
  'too-many-passes': (f, L) => [`So little a pass would take ${f.passes} of them.`, `at least ${L(f.leastMm)} a pass`],
  'no-step': (f, L) => ['Passes by steps need the step.', L(f.forExampleMm)],
  'no-length-on-taper': () => [
    'On a taper the withdrawal depends on the length cut, which is not given.',
    'the length of thread to cut',
  ],
  'tip-as-wide-as-groove': (f, L) => [
    `A tip of ${L(f.tipMm)} is as wide as the groove at the pitch line: the flanks would never be cut.`,
    `under ${L(f.halfPitchMm)}`,
  ],
  'round-tip-square-flanks': () => ['A round tip between square flanks is not planned.', 'a flat'],
  'nose-round-at-pitch-line': () => [
    'The nose of the tool is still round at the pitch line: the flanks would never be cut there.',
    'a smaller radius',
  ],
  'slide-0-to-90': () => ['The slide stands between 0 and 90 degrees from the cross-slide line.', '29.5'],
  'slide-beyond-flank': (f) => [
    `The slide at ${f.slideDeg} degrees is beyond the trailing flank of ${f.flankDeg}: it would cut that flank in steps.`,
    `${f.usualDeg} degrees, at most ${f.flankDeg}`,
  ],
  'square-needs-depth': () => [
    'Between square flanks no depth follows from a pitch diameter.',
    'the depth to reach instead',
  ],
  'surface-unknown': () => [
    'The diameter at which the tool was touched off is not known.',
    'measure the blank or bore',
  ],
  'pitch-diameter-outside-metal': (f, L) => [
    `${f.make === 'external' ? `A pitch diameter of ${L(f.pitchDiameterMm)} does not lie inside a blank of ${L(f.surfaceMm)}.` : `A pitch diameter of ${L(f.pitchDiameterMm)} does not lie outside a bore of ${L(f.surfaceMm)}.`}`,
    `${f.make === 'external' ? 'less' : 'more'} than ${L(f.surfaceMm)}`,
  ],
  'grooves-meet': (f, L) => [
    `Neighbouring grooves would meet below the surface: they are ${L(f.widthMm)} wide there, and the pitch is ${L(f.pitchMm)}.`,
    `${f.make === 'external' ? 'turn the blank down' : 'open the bore'} first, by ${L(f.byMm)} on diameter or more`,
  ],
  'past-axis': (f, L) => [
    `${L(f.depthMm)} deep, the tip would be past the axis of a ${L(f.surfaceMm)} blank.`,
    `less than ${L(f.radiusMm)}`,
  ],
  'class-without-pitch-tolerance': (f) => [
    `This class gives no tolerance on the pitch diameter of the ${f.make === 'external' ? 'nut' : 'screw'}: there is nothing to gauge against.`,
    'a class with both limits',
  ],
  'file-not-json': (f) => [`The file is not JSON: ${f.because}.`, 'a file exported from here'],
  'file-neither': () => ['The file holds neither a job nor a shop.', '"format": "gelvin-job" or "gelvin-backup"'],
  'file-newer': (f) => [
    `The file was written by a newer version (${f.version}).`,
    `version ${f.current} or older; update Gelvin first`,
  ],
  'jobs-alike': (f) => [`Two jobs have the same identity, ${f.id}.`, 'one of them renamed'],
  'wire-sinks': (f, L) => [
    'The wire sinks below the crests or to the root: the anvil would rest on the thread.',
    `between ${L(f.leastMm)} and ${L(f.mostMm)}; best ${L(f.bestMm)}`,
  ],
  'wire-rides': (f, L) => [
    'The wire rides on the crest edges, not on the flanks.',
    `between ${L(f.leastMm)} and ${L(f.mostMm)}; best ${L(f.bestMm)}`,
  ],
  'chart-empty': () => ['No rows yet.', RIGHT.chartRow],
  'chart-row': (f, L, cause) => [`Row ${f.row}: ${cause}`, RIGHT.chartRow],
  'chart-no-pair': (f) => [`Row ${f.row}: "${f.typed}" is not driver/driven.`, RIGHT.chartRow],
  'chart-no-lever': (f) => [`Row ${f.row}: "${f.typed}" is not a lever and its position.`, RIGHT.chartRow],
  'chart-no-train': (f) => [`Row ${f.row} needs its train of one to three pairs.`, RIGHT.chartRow],
  'chart-small-gear': (f) => [`Row ${f.row} has a gear of fewer than 8 teeth.`, RIGHT.chartRow],
  'chart-names-no-lever': (f) => [`Row ${f.row} names no lever.`, RIGHT.chartRow],
  'not-a-pair': (f) => [`"${f.typed}" is not driver/driven.`, RIGHT.train],
  'pairs-1-to-3': () => ['One to three pairs.', RIGHT.train],
  'teeth-out-of-reach': (f) => [`A gear of ${f.teeth} teeth is out of reach.`, '8 to 400 teeth'],
  'dots-out-of-range': () => ['No scanner has so many or so few dots.', 'the dots to the inch, such as 600 or 1200'],
  'no-such-picture': () => ['There is no such picture.', 'the id of one that is there'],
  'no-such-reading': () => ['There is no such reading.', 'the id of one that is there'],
  'no-name': () => ['The thread has no name yet.', 'name it first'],
  'not-a-special': () => ['Only a special carries dimensions of its own.', 'a thread accepted as special'],
  'no-such-lathe': (f) => ['There is no such lathe in the shop.', f.there === '' ? 'describe one first' : f.there],
  'nothing-to-settle': (f) => [WAITING[f.why as Waiting], `something in ${STATION_NAMES[f.station as StationId]}`],
  'stale-after': (f) => [
    `This rests on event ${f.after}, and the last one is ${f.last}: it has been done already, or something came between.`,
    `after: ${f.last}`,
  ],
  'no-such-edit': (f) => [`There is no edit "${f.typed}".`, String(f.there)],
  'part-not-finished': () => ['The part in the lathe is not finished.', 'finish it, or scrap it, first'],
  'crests-burred': () => [
    'Once grooves are cut their burrs make the crests read large: depths count from the surface as it was touched.',
    'file or top the crests and record that instead',
  ],
  'surface-not-measured': () => [
    'The surface has not been measured, and every depth counts from it.',
    'measure it where the tool touches',
  ],
  'no-lathe-chosen': () => ['No lathe is chosen.', 'choose one under Gears'],
  'no-train-chosen': () => ['No train is chosen.', 'take one under Gears'],
  'flanks-within-slack': (f, L) => [
    `The two touches are ${L(f.apartMm)} apart, less than the top slide\u2019s slack of ${L(f.slackMm)}: it had not begun to move the tool.`,
    'wind on until it touches, or measure the slack anew',
  ],
  'flanks-crossed': (f, L) => [
    `The flank towards the headstock was touched at ${L(f.headMm)}, the other at ${L(f.tailMm)}: the tool cannot have passed through the metal.`,
    'the reading towards the headstock is the greater one, + towards the headstock',
  ],
  'nothing-taught': () => ['No part of this batch was taught yet.', 'teach the first part once its groove is found'],
  'nothing-left-over': () => ['This way leaves nothing over for another.', 'say that the tool is in the groove'],
  'not-in-groove-yet': () => ['The tool is not in the groove yet.', 'bring it in first, then run it along'],
  'picture-unreadable': (f) => [
    `The picture ${f.typed} cannot be read: ${f.why}.`,
    'a PNG, JPEG or WebP file that is there',
  ],
  'picture-too-large': (f) => [
    `The picture has more than ${f.most} million pixels.`,
    'one made smaller, or cut to the thread',
  ],
  'picture-awaited': () => ['A picture is read before it is answered.', 'the door, which waits for it'],
  'judge-three-places': () => ['Fewer than three places are judged.', 'judge both ends and the middle'],
  'no-pass-now': (f) => ['There is no pass to cut now.', f.spring ? 'a spring pass is next' : 'what the card asks for'],
  'deeper-already': (f, L) => ['The groove is deeper than that already.', `more than ${L(f.depthMm)}`],
  'nothing-may-be-cut': () => ['Nothing may be cut now.', 'what the card asks for'],
  'nothing-to-spring': () => ['Nothing has been cut yet, so nothing can spring.', 'a pass first'],
  'nothing-cut': () => ['Nothing has been cut yet.', 'passes first'],
  'not-signed': () => ['Who accepts it is not said.', 'a name'],
  'slide-square': () => [
    'The top slide lies square across: it cannot move the tool along.',
    'swing it along the bed first',
  ],
  'last-start': (f) => [
    `The thread has ${f.starts === 1 ? 'one start' : `${f.starts} starts`}.`,
    'the last one is being cut',
  ],
  'no-such-event': (f) => [`There is no event ${f.of}.`, `1 to ${f.last}`],
  'voided-already': (f) => [`Event ${f.of} is struck through already.`, 'void the event that did it, to bring it back'],
  'not-crests': (f) => [`"${f.rest}" does not belong here: this is the number of crests.`, '7, or 40.5'],
  'crests-too-few': () => ['Count at least one whole crest.', '7'],
  'diameters-out-of-order': (f, L) => [
    'A pitch diameter lies between the minor and the major one.',
    `over ${L(f.leastMm)} and under ${L(f.mostMm)}`,
  ],
  'flanks-meet-before-tip': (f, L) => [
    `The flanks meet before they come so deep: the tip would be ${L(f.byMm)} less than nothing.`,
    'a shallower thread, or narrower flanks',
  ],
  'bore-in-bar': (f, L) => [`A bore is narrower than its bar of ${L(f.diameterMm)}.`, '0 when it is solid'],
  'place-off-work': (f, L) => [`That is off the free length of ${L(f.lengthMm)}.`, `0 to ${L(f.lengthMm)}`],
  'no-steady-on-bar': () => ['No steady stands beside a boring bar.', 'a stouter or shorter bar'],
  'wire-finds-no-rest': (f) => [
    `At a lead angle of ${plain(f.leadDeg)}\u00b0 this wire finds no place to rest on both flanks.`,
    'a thinner wire, or a gauge',
  ],
  'taper-whole-or-half': (f) => [
    `Is ${plain(f.typedDeg)}\u00b0 the whole angle, or a side?`,
    `${plain(f.typedDeg)}\u00b0 a side, or ${plain(f.typedDeg)}\u00b0 included`,
  ],
  'taper-in-zero': () => ['A taper of 1 in 0 does not exist.', '1 in 16'],
  'taper-unreadable': () => [
    'The taper is not readable.',
    '1 in 16, 3/4 in/ft, 1.79\u00b0 a side, 33.2 to 31.8 over 22, or 0 for parallel',
  ],
  'taper-is-ratio': () => ['The taper is diameter over length.', '1 in 16, 3/4 in/ft, 0.0625, or 0 for parallel'],
  'hand-right-or-left': () => ['A thread is right or left hand.', 'right, or left'],
  'flat-leaves-no-thread': (f, L) => [
    'A flat as wide as half the pitch leaves no thread.',
    `under ${L(f.halfPitchMm)}`,
  ],
  'depth-to-axis': (f, L) => ['So deep the thread would reach the axis.', `under ${L(f.radiusMm)}`],
  'not-teeth': (f) => [`"${f.typed}" is not a number of teeth.`, '20 25 30, 2x20, or 20-65 by 5'],
  'csv-line': (f) => [`Line ${f.line}, "${f.typed}", is not teeth and a count.`, '63,1'],
  'number-within': (f) => [`A number from ${f.from} to ${f.to} is needed.`, String(f.from)],
  'division-small': () => ['A division is a small length.', '0.02, or .001'],
  'not-a-ratio': (f) => [`"${f.typed}" is not a ratio.`, '1, 1/2 or 24/48'],
  'speeds-above-zero': () => ['Speeds are numbers greater than zero.', '40 65 110 180'],
  'lever-name-missing': (f) => [
    `"${f.typed}" does not begin with the lever\u2019s name.`,
    'cone 1=1 2=8/9; range A=2 B=1',
  ],
  'lever-twice': (f) => [`The lever ${f.lever} is there twice.`, 'cone 1=1 2=8/9; range A=2 B=1'],
  'position-no-ratio': (f) => [`Position "${f.typed}" of ${f.lever} has no ratio.`, '1=1, 2=8/9'],
  'swing-two-angles': () => ['Two angles from -180 to 180, the smaller first.', '-60 to 60'],
  'minutes-over-60': (f) => [`${f.minutes} minutes is a degree or more.`, `${f.degrees}\u00b030'`],
  'not-degrees': (f) => [`"${f.rest}" is not degrees.`, "55, 27.5 or 27\u00b030'"],
  'angle-outside': (f) => [`${f.deg} degrees is outside 0 to ${f.mostDeg}.`, "55, 27.5 or 27\u00b030'"],
  'not-a-length-unit': (f) => [
    `"${f.rest}" is not a unit of length.`,
    f.pitch ? 'this is a length; the pitch has its own place' : 'mm, um, in, " or thou',
  ],
  'length-negative': (f) => ['A length here cannot be negative.', String(f.right)],
  'unit-slip': (f, L) => [
    `${L(f.typedMm)} is typed, and about ${L(f.expectedMm)} is expected: ${SLIPPED[f.slip]}`,
    `about ${L(f.expectedMm)}; or Enter once more, and it is taken as it is`,
  ],
  'length-zero': () => ['A length here cannot be zero.', 'leave it empty if it is not known'],
  'length-too-long': (f, L) => [
    `${f.typed} is longer than anything measured here.`,
    `at most ${L(f.mostMm)}; check the unit`,
  ],
  'nothing-typed': () => ['Nothing typed yet.', 'for example 1 3/16, .750, 19.05 or 19,05 mm'],
  'not-a-number': (f) => [`"${f.typed}" does not begin with a number.`, 'for example 1 3/16, .750, 19.05 or 19,05 mm'],
  'two-decimal-marks': (f) => [`"${f.typed}" has two decimal marks.`, 'one decimal point or comma only'],
  'comma-ambiguous': (f) => [
    `"${f.typed}" could be ${f.point} or ${f.thousands}.`,
    `write ${f.point} or ${f.thousands}`,
  ],
  'zero-below-line': (f) => ['A fraction cannot have 0 below the line.', `for example ${f.over}/16`],
  'fraction-over-one': (f) => [`"${f.typed}" is a whole number and more than one whole.`, 'for example 1 3/16'],
  'pitch-too-fine': (f, L) => [
    `${f.typed} would be a pitch of ${L(f.pitchMm)}, finer than any thread.`,
    '80 tpi or 0.25 mm is about the finest',
  ],
  'pitch-too-coarse': (f, L) => [
    `${f.typed} would be a pitch of ${L(f.pitchMm)}, coarser than a lathe cuts.`,
    'check the unit',
  ],
  'pitch-of-what': (f) => [`${f.typed} of what?`, `${f.typed} tpi, or ${f.typed} mm`],
  'not-a-pitch': (f) => [`"${f.rest}" is not a way to give a pitch.`, '8 tpi, 1.75 mm, 1/8 in, 16 dp or 1.5 mod'],
  'no-designation': () => ['No designation typed.', 'for example M10x1.5, 1/2-13 UNC or 1/2 BSW'],
  'not-a-designation': (f) => [`"${f.typed}" is not a designation known here.`, String(f.near)],
  'too-many-starts': (f) => [`${f.starts} starts is not a thread anyone cuts.`, '1 to 12 starts'],
  'diameter-out-of-reach': (f) => [`A diameter of ${f.typed} mm is out of reach.`, 'M10x1.5'],
  'no-coarse-pitch': (f) => [`${f.typed} has no standard coarse pitch, so the pitch must be written.`, String(f.near)],
  'lead-not-whole': (f) => [
    `A lead of ${f.lead} is not a whole number of pitches of ${f.pitch}.`,
    `for example ${f.right}`,
  ],
  'pitch-too-coarse-for': (f) => [`${f.pitch} is too coarse a pitch for ${f.size}.`, String(f.near)],
  'not-in-table': (f) => [`${f.typed} is not in the table.`, String(f.near)],
  'not-a-pipe-size': (f) => [`${f.typed} is not a pipe size.`, String(f.near)],
  'several-pitches': (f) => [
    `${f.typed} ${f.several ? 'comes in several pitches' : 'is not in the table'}.`,
    String(f.near),
  ],
  'not-a-size': (f) => [`${f.typed} is not a size.`, '#0 to #12, or a diameter in inches'],
  'taper-pipe-tpi': (f) => [`${f.size} taper pipe does not come with ${f.tpi} tpi.`, String(f.near)],
  'no-form-angle': (f) => [
    `A flank angle of ${f.typed} degrees is not a thread form.`,
    '29, 30, 47.5, 55, 60 or two flanks such as 45/7',
  ],
  'not-a-class': (f) => [`"${f.class}" is not a class of ${f.standard}.`, String(f.near)],
  'no-limits-here': (f) => [
    `No limits are carried here for ${f.designation}.`,
    'metric, Unified, Whitworth, BA, G, Acme, Tr and NPT threads have them; else make it to its mate',
  ],
  'size-not-in-standard': (f) => [`${f.size} is not a size of ${f.standard}.`, String(f.right)],
  'fit-no-class': () => [
    'A gauge is made to the limits of a class, and none is chosen.',
    'a class; where the standard has none, a plug or ring made to the mate',
  ],
  'class-for-other': (f) => [`Class ${f.class} is not for ${f.make === 'external' ? 'a screw' : 'a nut'}.`],
  'aim-outside-class': (f, L) => [
    `Class ${f.class} does not allow it.`,
    f.minMm !== null && f.maxMm !== null
      ? `${L(f.minMm)} to ${L(f.maxMm)}`
      : f.minMm !== null
        ? `${L(f.minMm)} or more`
        : `${L(f.maxMm ?? 0)} or less`,
  ],
  'aim-no-thread': (f, L) => [
    'That is more than half a pitch from the basic size: it would be another thread.',
    `near ${L(f.basicMm)}`,
  ],
  'mate-not-read': (f) => [
    `It is made to its ${MEMBER[f.mate]}, and nothing says how big that is on the pitch diameter.`,
    `read in Read, on its ${MEMBER[f.mate]}: the pitch diameter${f.mate === 'external' ? ', or over wires' : ''}`,
  ],
  'part-not-read': (f) => [
    `It is copied as read, and nothing says how big the ${MEMBER[f.make]} is on the pitch diameter.`,
    `read in Read, where it is not worn: the pitch diameter${f.make === 'external' ? ', or over wires' : ''}`,
  ],
  'class-both': () => ['A class is for a screw (small letter) or a nut (capital), not both.', RIGHT.iso965],
  'position-not-given': (f, L) => [`Position ${f.position} is not given for a pitch of ${L(f.pitchMm)}.`, RIGHT.iso965],
  'grade-not-given': (f) => [`Grade ${f.grade} is not one of those of ISO 965-1.`, RIGHT.iso965],
  'thread-impossible': (f, len) => [
    `${f.designation} has no root: its pitch is too coarse for ${len(f.majorMm)}.`,
    'a finer pitch, or a larger diameter',
  ],
  'fit-impossible': (f) => [`Nothing of ${f.designation} is left with this fit.`, 'a smaller clearance'],
  'text-too-long': (f) => ['That is longer than what is kept.', `at most ${f.most} characters`],
  'not-in-document': (f) => [f.because],
  'refused-edit': (f, _, cause) => [`${f.edit}: ${cause}`],
  'no-job-yet': () => ['There is no job yet.', '{"do":"newJob"} first'],
  'is-no-document': (f) => [f.because, 'a file as the application exports it'],
  'too-many-digits': (f) => [`More than ${f.most} digits are a slip of the finger.`, 'a number of a few digits'],
  'more-than-a-number': (f) => [`"${f.rest}" does not belong here: a number alone is needed.`, '14 1/2, .5 or 12,5'],
  'run-backwards': (f) => [`"${f.typed}" runs downwards and holds nothing.`, `${f.to}-${f.from} by ${f.by}`],
  'csv-no-gears': () => [
    'There is no gear in that file; the set is left as it was.',
    'teeth,count and then lines such as 20,2',
  ],
  'run-without-step': (f) => [`"${f.typed}" goes on for ever.`, '50-600 by 5'],
  'not-in-a-list': (f) => [`"${f.typed}" is not a number.`, '40 65 110, 2x20, or 50-600 by 5'],
  'list-too-long': (f) => [`More than ${f.most} of them.`, `at most ${f.most}`],
  'reading-without-span': (f) =>
    f.quantity === 'overWires'
      ? ['A measurement over wires says nothing without its wire.', 'the wire\u2019s diameter beside it']
      : f.quantity === 'crestCount'
        ? ['A count of crests says nothing without the length they were counted over.', '7 crests in 1 in']
        : ['A leaf says nothing without how it fits.', 'fits, nearly, or no'],
  'taper-length-unknown': () => [
    'Nobody has said how long the taper is: how far the tool has to come out follows from it.',
    'give the length of thread under Set up',
  ],
  'groove-depth-unknown': () => [
    'How deep the old groove lies below this surface is not known, so what cleans it is not either.',
    'touch off in the groove; or read its depth in Read, and touch off again',
  ],
  'needed-here': (f) => ['It is needed for this way and is not given.', `for example ${f.right}`],
  'no-exact-number': (f) => [`"${f.typed}" is no exact number.`, '"5/2" or "1.25"'],
  'slip-gear-not-said': () => ['Which gear is slipped is not said.', '{"teeth":40,"leadscrewTurnsPerTurn":"1"}'],
  'straight-has-no-standoff': () => ['A stand-off says a diameter only on a taper.', '"1/16"'],
  'one-of-two': (f) => [`Give one of ${f.one} and ${f.other}.`, 'one of the two'],
  'no-rule': () => ['What every pass takes is not said.', 'constant-area, constant-depth, constant-force or step'],
  'target-turned-round': () => [
    'The two limits of the target are turned round or alike.',
    'the smaller first, the larger second',
  ],
  'clearance-without-mate': () => [
    'A clearance is counted against a mate, and there is none.',
    'a mate among the means, or a target as a pitch diameter',
  ],
  'spring-before-cut': () => ['A spring pass repeats a setting, and nothing is cut yet.', 'a cut before it'],
  'gauge-without-size': () => ['A gauge says something only by its own size.', 'the pitch diameter of the gauge'],
  'wires-on-nut': () => ['Wires go over a screw; between the flanks of a nut go balls.', 'ballMm and betweenBallsMm'],
  'balls-on-screw': () => ['Balls go into a nut; over a screw go wires.', 'wireMm and overWiresMm'],
  'start-leads-under-one': () => [
    'A thread begins at least one lead out: the carriage has to get up to speed.',
    '1 or more',
  ],
  'motion-without-pass': () => ['There is no pass to travel.', 'at least one pass'],
  'pass-shallower': (f, L) => [
    'A pass is less deep than the one before.',
    `${L(f.depthMm)} or more; a spring pass is as deep as the one before`,
  ],
  'clearance-over-bore': (f, L) => ['The bar would meet the far wall.', `${L(f.roomMm)} or less`],
  'start-not-in-relief': (f, L) => [
    `A left-hand thread starts in the groove next to the headstock, and ${L(f.reliefMm)} is too narrow for it.`,
    `a groove of ${L(f.widthMm)} or wider, or fewer leads out`,
  ],
  'tool-past-axis': (f, L) => ['The tip would go past the axis.', `less deep than ${L(f.surfaceMm / 2)}`],
  'clearance-past-axis': (f, L) => ['Drawn in so far, the tool stands past the axis.', `less than ${L(f.mostMm)}`],
  'mates-alike': () => ['Another mate has this name.', 'a name of its own, for each is a size of its own'],
  'lead-without-span': () => ['A lead is read over a length.', 'the length that it should have been'],
  'round-without-place': () => ['Where about the part was it read?', 'the angle about the part, 0 to 360 degrees'],
  'one-wire-needs-major': () => [
    'One wire is measured against the crest on the other side: its diameter has to be known.',
    'the major diameter as measured',
  ],
  'wires-need-flanks': () => [
    'Wires cannot measure a square thread: it has no flanks to rest on.',
    'a flank angle above 0',
  ],
  'pitch-diameter-too-small': (f, L) => [
    `These give a pitch diameter of ${L(f.pitchDiameterMm)}, too small for the pitch.`,
    'a larger measurement, or a smaller wire',
  ],
  'leadscrew-out-of-reach': (_, L) => [`A leadscrew pitch above ${L(100)} is out of reach.`, '127/40 for 8 tpi'],
  'not-pairs': (f) => [`${f.drivers} drivers and ${f.driven} driven gears are not pairs.`, 'as many driven as drivers'],
  'no-lever-position': (f) => [`The gearbox has no ${f.lever} position ${f.position}.`, f.there],
  'no-class-given': (f) => ['No class is given.', f.there || 'no classes are carried for this family'],
};

/** As fine as sizes are measured; what is less than that to its first figure, so that it is not written as nothing. */
function fineEnough(mm: number, u: UnitSystem): LengthStyle {
  const x = Math.abs(u === 'mm' ? mm : toInches(mm));
  if (x === 0 || x >= (u === 'mm' ? 0.001 : 0.0001)) return FINE;
  const step = 10 ** Math.floor(Math.log10(x));
  return { stepMm: step, stepIn: step };
}

/** A problem in words, its lengths in the unit at hand. */
export function problemText(p: Problem, u: UnitSystem): Said {
  const cause = p.cause ? problemText(p.cause, u).message : '';
  const [message, right] = (SENTENCES[p.code] as Sentence<ProblemCode>)(
    p.figures,
    (mm) => lengthText(mm, u, fineEnough(mm, u)),
    cause,
  );
  return { message, right: right ?? null };
}

/** Message and what would be right, as one line. */
export function problemLine(p: Problem, u: UnitSystem): string {
  const { message, right } = problemText(p, u);
  return right === null ? message : `${message} Right would be: ${right}.`;
}
