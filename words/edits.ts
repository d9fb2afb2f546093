import type { Edit, EditName } from '../core/job/edits/index.ts';
import { trainText } from '../core/gearing/trainText.ts';
import { FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import { STATION_NAMES } from './stations.ts';

type Named<K extends EditName> = Extract<Edit, { readonly do: K }>;
type Label<K extends EditName> = string | ((f: Named<K>, L: (mm: number) => string) => string);

const firstOf = (patch: object, words: Readonly<Record<string, string>>): string =>
  `change the ${
    Object.keys(patch)
      .map((k) => words[k])
      .find((w) => w !== undefined) ?? 'job'
  }`;

/** What undo calls each edit. */
const LABELS: { readonly [K in EditName]: Label<K> } = {
  setIntake: (f) =>
    firstOf(f, {
      title: 'title',
      customer: 'customer',
      note: 'note',
      cameIn: 'what came in',
      wanted: 'what is wanted',
      make: 'what is cut',
      material: 'material',
      origin: 'origin',
      use: 'use',
      hazards: 'duties',
    }),
  correctBlank: 'correct the blank',
  accept: (f) => `accepted by ${f.by}`,
  takeReading: (f) => `take ${f.reading.text}`,
  editReading: 'change a reading',
  removeReading: 'remove a reading',
  takePicture: (f) => `take ${f.readings.length} readings from the picture ${f.picture.name}`,
  removePicture: 'remove a picture and its readings',
  setUnworn: 'change the wear map',
  describePart: 'describe the part',
  acceptName: (f) => `name it ${f.thread.designation}`,
  sayWhy: 'say why',
  setSpecial: 'change the special',
  setFit: (f) =>
    firstOf(f, {
      class: 'class',
      to: 'what the fit is counted from',
      wornMate: 'way with a worn mate',
      travel: 'travel used',
      clean: 'cleaning up',
      duty: 'duty',
      aim: 'aim',
      gauge: 'gauge',
      pitchClearanceMm: 'clearance',
      crestReliefMm: 'crest relief',
      engagementMm: 'engagement',
      tip: 'tool\u2019s tip',
    }),
  chooseLathe: 'choose the lathe',
  takeTrain: (f) => (f.train ? `choose ${trainText(f.train)}` : 'choose no train'),
  remember: 'remember a proven train',
  setUp: (f) =>
    firstOf(f, {
      infeed: 'infeed',
      slideAngleDeg: 'slide angle',
      rpm: 'speed',
      reliefMm: 'relief',
      checks: 'checks',
      lengthMm: 'length',
      barMm: 'bar',
      taperBy: 'way of following the taper',
      overCentresMm: 'length over the centres',
      toolKind: 'kind of tool',
      clearanceDeg: 'clearance of the tool',
      held: 'how it is held',
      bar: 'boring bar',
      end: 'how the thread ends',
      taperOutMm: 'taper-out',
      reactS: 'time wanted to stop',
      trueWith: 'what runs true with it',
      foundBy: 'how it is found again',
    }),
  setPickup: 'change the way in',
  setSchedule: (f) =>
    firstOf(f, {
      rule: 'rule',
      stepMm: 'step',
      passes: 'passes to come',
      firstMaxMm: 'largest cut',
      lastMinMm: 'smallest cut',
      springs: 'spring passes',
      stages: 'stages',
      straightLastMm: 'last cut straight in',
      deeperStepMm: 'step between trials',
      returnBy: 'way back',
    }),
  setWire: 'change the wire',
  setProve: (f) =>
    firstOf(f, {
      count: 'number of wires',
      warmK: 'how warm the part is',
      by: 'what it is proved by',
      clearance: 'clearance that is right',
      mates: 'mates',
      mate: 'mate in the hand',
      worth: 'whether it is worth it',
    }),
  setQuantity: 'change the quantity',
  setRecord: (f) => (f.verdict === undefined ? 'change the record note' : 'record the outcome'),
  archive: (f) => (f.archived ? 'put the job away' : 'take the job out again'),
  settle: (f) => `settle ${STATION_NAMES[f.station]}`,
  beginPart: 'begin the next part',
  finishPart: (f) => (f.verdict === 'scrapped' ? 'scrap this part' : 'finish this part'),
  mount: 'put the work up',
  takeOut: 'take the work out',
  reseat: 're-seat the work',
  slipped: 'it slipped in the jaws',
  wrongMark: 'half-nuts shut on a wrong mark',
  stoppedShort: 'stopped short',
  runOut: 'read the run-out',
  measureBlank: (f, L) => `measure the surface: ${f.text ?? L(f.diameterMm)}`,
  touchOff: 'touch off',
  mountGears: 'put the train up',
  setLevers: 'move a lever',
  swingSlide: 'swing the top slide',
  scratch: 'read the scratch',
  provePitch: (f) => (f.by === 'waived' ? 'let the pitch be unproved' : 'the pitch is right'),
  offset: (f, L) => `the groove is ${f.text ?? L(f.mm)} off`,
  offsetByFlanks: 'touch both flanks',
  offsetFromTaught: (f) => `the reference stands ${f.text}`,
  teach: 'teach the batch',
  oldLead: (f) => `${f.pitches} pitches of the old thread`,
  nearer: 'bring the tool nearer',
  dropIn: (f, L) => `in the groove at Z ${f.text ?? L(f.zMm)}`,
  judge: 'judge a place in the air',
  judgedOff: 'take what is off as the new offset',
  inGroove: 'the tool is in the groove',
  airPass: 'run an air pass',
  passDone: 'pass done',
  springDone: 'spring pass done',
  deeper: (f, L) => `deeper by ${L(f.byMm)}`,
  sideDone: (f, L) => `side cut ${L(f.byMm)}`,
  confirmDepth: 'read the slide',
  check: 'looked at: it is right',
  tryMate: (f) => (f.result === 'note' ? 'note a trial' : 'try the mate'),
  sayOfTrial: 'say more of the trial',
  overWires: (f, L) => `measure ${f.text ?? L(f.mm)} over wires`,
  betweenBalls: (f, L) => `measure ${f.text ?? L(f.mm)} between balls`,
  readForm: (f) => `read ${f.text}`,
  dress: 'finish the thread',
  gauge: 'try a gauge',
  rezero: 'set the dials to zero again',
  changeTool: 'change the tool',
  topCrest: 'top the crests',
  faceBack: 'face back',
  standOff: 'read the stand-off',
  offsetAtControl: 'change the offset at the control',
  nextStart: 'index to the next start',
  void: 'take an event back',
};

/** What undo calls an edit, its lengths in the unit at hand. */
export function editLabel(e: Edit, u: UnitSystem): string {
  const label = LABELS[e.do] as Label<EditName>;
  return typeof label === 'string' ? label : label(e, (mm) => lengthText(mm, u, FINE));
}
