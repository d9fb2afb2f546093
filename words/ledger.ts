import { formUnit, type EventOf, type LedgerEvent } from '../core/job/events.ts';
import type { Aim, PartBefore } from '../core/job/partBefore.ts';
import { TRY_NAMES } from './try.ts';
import { acceptedText, BIND_NAMES, DRESS_NAMES, FORM_NAMES } from './prove.ts';
import { degreesText, FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import { trainText } from '../core/gearing/trainText.ts';
import { PITCH_PROVED } from './pitch.ts';
import { JUDGED_NAMES, OFFSET_NAMES, TAUGHT_NAMES, WAY_NAMES } from './pickup.ts';

const HOLDING = {
  chuck: 'in the chuck',
  'chuck-centre': 'in the chuck, with a centre',
  centres: 'between centres',
  collet: 'in a collet',
  faceplate: 'on the faceplate',
} as const;
export const HOLDING_NAMES = HOLDING;

const gaugedText = (e: Pick<EventOf<'gauged'>, 'which' | 'passes'>): string =>
  `${e.which === 'go' ? 'Go' : 'Not-go'} gauge ${e.passes ? 'goes' : 'does not go'}`;
const scrappedText = (part: number, why: string): string => `Part ${part} scrapped${why ? `: ${why}` : ''}`;
const touchedText = (e: Pick<EventOf<'touchedOff'>, 'on' | 'diameterMm'>, len: (mm: number) => string): string =>
  e.on === 'groove'
    ? 'Touched off in the groove, zero there'
    : `Touched off${e.diameterMm === null ? '' : ` at ${len(e.diameterMm)}`}, zero there`;
/** One line of the ledger, in the unit at hand. */
export function eventText(e: LedgerEvent, u: UnitSystem): string {
  const len = (mm: number): string => lengthText(mm, u, FINE);
  // what nobody typed is told by what it means
  const typed = (text: string, means: string): string => (text.trim() === '' ? means : text);
  switch (e.kind) {
    case 'partBegun':
      return `Part ${e.part} begun`;
    case 'partFinished':
      return `Part ${e.part} finished`;
    case 'accepted':
      return `Part ${e.part}: ${acceptedText(e)}`;
    case 'partScrapped':
      return scrappedText(e.part, e.why);
    case 'mounted':
      return `Put up ${HOLDING[e.holding]}${e.steady === 'none' ? '' : e.steady === 'steady' ? ', with a steady' : ', with a follow rest'}`;
    case 'takenOut':
      return 'Taken out';
    case 'reseated':
      return 'Re-seated';
    case 'slipped':
      return 'Slipped in the jaws';
    case 'runOutRead':
      return `Runs out ${len(e.fullMm)}, full reading`;
    case 'blankMeasured':
      return `Surface measured: ${typed(e.text, len(e.diameterMm))}`;
    case 'blankCorrected':
      return `The blank is ${typed(e.text, len(e.diameterMm))}, not ${len(e.wasMm)}: depths stay, for they are from its surface; the depth to reach follows`;
    case 'touchedOff':
      return touchedText(e, len);
    case 'gearsMounted':
      return `Train put up: ${trainText(e.train)}${e.train.gearbox === '1' ? '' : `, gearbox ${e.train.gearbox}`}`;
    case 'leversSet':
      return `A lever moved${e.ratio === '' ? '' : `: ${e.ratio}`}`;
    case 'scratchRead':
      return `Scratch read: ${typed(e.text, `${e.crests} crests over ${len(e.spanMm)}`)}`;
    case 'pitchProved':
      return PITCH_PROVED[e.by];
    case 'slideSwung':
      return `Top slide swung to ${e.deg}\u00b0 from the cross slide`;
    case 'offsetRead':
      return `Groove ${len(Math.abs(e.mm))} from the tool, towards the ${e.mm >= 0 ? 'headstock' : 'tailstock'}, ${OFFSET_NAMES[e.by]}`;
    case 'movedNearer':
      return `Brought nearer by ${WAY_NAMES[e.way].toLowerCase()}; ${len(Math.abs(e.leftMm))} left, towards the ${e.leftMm >= 0 ? 'headstock' : 'tailstock'}`;
    case 'airJudged':
      return `In the air at ${len(e.atMm)}: ${e.offMm === 0 ? JUDGED_NAMES.in : `off ${len(Math.abs(e.offMm))} towards the ${e.offMm >= 0 ? 'headstock' : 'tailstock'}`}`;
    case 'oldLeadRead':
      return `Old thread: ${e.pitches} pitches over ${len(e.spanMm)}`;
    case 'dropped':
      return `In the old groove at Z ${len(e.zMm)}, spindle at its mark${e.threads === null ? '' : `, ${e.threads} counted`}`;
    case 'taught':
      return `Taught by ${TAUGHT_NAMES[e.by]}`;
    case 'inGroove':
      return `In the groove${e.way === 'by-eye' ? '' : `: ${WAY_NAMES[e.way].toLowerCase()}`}${e.startMm === null ? '' : `, Z start ${len(e.startMm)}`}`;
    case 'airPassed':
      return {
        in: 'Air pass: in the groove all along',
        off: 'Air pass: beside the groove',
        'cut-air': 'Air pass: touches nothing',
      }[e.result];
    case 'cut':
      return e.assumedPasses === null
        ? `Cut to ${len(e.depthMm)}`
        : `Older record: ${e.assumedPasses} passes, ${len(e.depthMm)} assumed`;
    case 'depthRead':
      return `Slide read: ${len(e.depthMm)} deep`;
    case 'sprung':
      return 'Spring pass';
    case 'sideCut':
      return `Side cut ${len(e.byMm)} on the ${e.flank} flank`;
    case 'stoppedShort':
      return `Stopped short${e.note ? `: ${e.note}` : ''}`;
    case 'wrongMark':
      return 'Half-nuts shut on a wrong mark';
    case 'tried':
      return e.result === 'note'
        ? e.note
        : [
            `${e.mate || 'Mate'} tried: ${TRY_NAMES[e.result]}`,
            e.turns === null ? null : `${e.turns} turns`,
            e.where === null ? null : BIND_NAMES[e.where],
            e.atMm === null ? null : `at ${len(e.atMm)}`,
            e.shakeMm === null ? null : `play ${len(e.shakeMm)}`,
          ]
            .filter((x) => x !== null)
            .join(', ') + (e.note ? `; ${e.note}` : '');
    case 'overWires':
      return [
        `Over ${e.count === 3 ? 'wires' : e.count === 2 ? 'two wires' : 'one wire'} ${typed(e.text, len(e.mm))}`,
        e.wire ? ` (wire ${typed(e.wire.text, len(e.wire.mm))})` : '',
        e.atMm === null ? '' : ` at ${len(e.atMm)}`,
      ].join('');
    case 'betweenBalls':
      return `Between balls ${typed(e.text, len(e.mm))}${e.ball ? ` (ball ${typed(e.ball.text, len(e.ball.mm))})` : ''}${e.atMm === null ? '' : ` at ${len(e.atMm)}`}`;
    case 'formRead':
      return `${FORM_NAMES[e.what]} ${typed(e.text, formUnit(e.what) === 'deg' ? degreesText(e.value, 0.01) : len(e.value))}${e.atMm === null ? '' : ` at ${len(e.atMm)}`}`;
    case 'dressed':
      return DRESS_NAMES[e.what].done;
    case 'gauged':
      return gaugedText(e);
    case 'rezeroed':
      return 'Dials set to zero again';
    case 'toolChanged':
      return e.how === 'reground' ? 'Tool re-ground' : 'Tool changed';
    case 'crestTopped':
      return `Crests topped to ${len(e.diameterMm)}`;
    case 'facedBack':
      return `Faced back ${len(e.byMm)}`;
    case 'standOffRead':
      return `Stand-off ${typed(e.text, len(e.mm))}`;
    case 'controlOffset':
      return `Offset at the control ${len(e.byMm)} on ${e.on}`;
    case 'deeper':
      return `Deeper by ${len(e.byMm)}`;
    case 'indexed':
      return `Indexed to start ${e.to}`;
    case 'checked':
      return 'Looked at: it is right';
    case 'voided':
      return `Event ${e.of} taken back`;
  }
}

/** One aim for the next part, as a button says it. */
export function aimText(aim: Aim, before: PartBefore, u: UnitSystem): string {
  const what = aim.shortMm > 0 ? `Begin ${lengthText(aim.shortMm, u, FINE)} short of that` : 'Aim at the same here';
  if (aim.passes === null) return what;
  const fewer = before.passes - aim.passes;
  return fewer > 0 ? `${what}: expect ${fewer} pass${fewer === 1 ? '' : 'es'} less` : what;
}

/** How the part before came out, in one sentence. */
export function partBeforeText(b: PartBefore, u: UnitSystem): string {
  const beyond =
    Math.abs(b.deeperMm) < 5e-4
      ? 'as planned'
      : `${lengthText(Math.abs(b.deeperMm), u, FINE)} ${b.deeperMm > 0 ? 'deeper' : 'shallower'} than planned`;
  const anew = b.zeroKept ? '' : ' Its zero was taken anew in mid-cut: that depth says nothing of this part.';
  return `${b.testPiece ? 'The test piece' : `Part ${b.part}`} was right at ${lengthText(b.depthMm, u, FINE)} deep, ${beyond}, in ${b.passes} ${b.passes === 1 ? 'pass' : 'passes'}.${anew}`;
}
