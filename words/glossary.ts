import type { StationId } from '../core/job/stations.ts';

/** Terms of the trade, each in a sentence or two, as one would say it at the bench. */
export const GLOSSARY = {
  'major diameter':
    'Across the crests of a screw, or the roots of a nut. On a worn screw it is smaller than it was made.',
  'minor diameter':
    'Across the roots of a screw. The bore of a nut is its own minor diameter, a little larger than the screw\u2019s.',
  'pitch diameter':
    'Where groove and ridge are equally wide. The flanks meet there, so it decides how screw and nut fit.',
  pitch: 'From one ridge to the next, along the axis. In inches it is given as threads to the inch.',
  lead: 'How far the nut moves in one turn: the pitch times the starts. The gears are set for the lead.',
  starts: 'How many ridges begin side by side at the end of the thread. Count them there.',
  flank:
    'The sloping side of the thread. Its angle is counted from a line square to the axis; both together are the included angle.',
  crest: 'The outer end of a screw\u2019s ridge, or the inner end of a nut\u2019s.',
  root: 'The bottom of the groove.',
  'pitch leaf': 'A blade with teeth of one pitch, held against the thread: it fits, nearly, or not.',
  'over wires': 'Across wires laid in the groove: from it the pitch diameter is reckoned, whatever the crest has lost.',
  class: 'A standard\u2019s limits: how much smaller the screw, or larger the nut, may be than the basic size.',
  allowance: 'What a class leaves free between the largest screw and the smallest nut.',
  clearance: 'What is left between the flanks of screw and nut, here on the pitch diameter.',
  engagement: 'The length over which screw and nut are in each other. A pitch error adds up over it.',
  'change gears': 'Gears between spindle and leadscrew: their teeth decide what pitch is cut.',
  idler: 'A gear that only carries the motion on and turns it round; the ratio stays.',
  tumbler: 'A pair of gears between spindle and stud that turns the leadscrew the other way.',
  ppm: 'Parts in a million. 100 ppm over 50 mm is 5 thousandths of a millimetre.',
  'chasing dial':
    'A dial driven by the leadscrew: at its marks the half-nuts may be closed and the tool falls into the same groove.',
  'half-nuts': 'The split nut that couples the carriage to the leadscrew.',
  'top slide': 'The small slide on the cross slide. Set near the half angle, it feeds the tool down one flank.',
  'relief groove': 'A groove at the end of the thread into which the tool runs out.',
  'spring pass': 'A pass with nothing more fed in: it takes off what the work and the tool had bent away.',
  slack: 'How far a handle turns before the slide follows. It is taken up in the direction of the cut.',
  'go and not-go':
    'Two gauges: the one has to go on over the whole length, the other must not go on by more than its turns.',
  burr: 'Metal pushed up at the crest by the tool. It makes a right thread feel tight.',
} as const;
export type Term = keyof typeof GLOSSARY;

/** What is spoken of at each station. */
export const TERMS: Readonly<Record<StationId, readonly Term[]>> = {
  intake: [],
  read: [
    'major diameter',
    'minor diameter',
    'pitch diameter',
    'pitch',
    'lead',
    'starts',
    'flank',
    'pitch leaf',
    'over wires',
  ],
  name: ['pitch', 'starts', 'flank', 'crest', 'root'],
  fit: ['pitch diameter', 'class', 'allowance', 'clearance', 'engagement', 'minor diameter'],
  gears: ['lead', 'change gears', 'idler', 'tumbler', 'ppm', 'chasing dial', 'half-nuts'],
  setup: ['top slide', 'flank', 'relief groove', 'slack'],
  pickup: ['half-nuts', 'slack', 'lead'],
  cut: ['spring pass', 'slack', 'half-nuts'],
  prove: ['over wires', 'go and not-go', 'burr', 'pitch diameter'],
  record: [],
};
