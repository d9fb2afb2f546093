import type { Fitting } from '../../core/gearing/mounting/index.ts';
import type { TurnsProof } from '../../core/gearing/proof/index.ts';
import { trainText } from '../../core/gearing/trainText.ts';
import type { Gearing } from '../../core/gearing/train.ts';
import type { Lathe } from '../../core/lathe/schema.ts';
import { lengthText } from '../../core/quantity/format.ts';
import { pitchText } from '../../core/quantity/pitch.ts';
import { textOf, type Rational } from '../../core/quantity/rational.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import type { GearCardWords } from '../../core/sheet/gearCard.ts';
import { fittingSteps } from '../fitting.ts';
import { slipText, tooManyText } from '../gears.ts';

interface Of {
  readonly lathe: Lathe;
  readonly train: Gearing;
  /** Lead that it cuts, and how far that is off, parts in a million. */
  readonly lead: Rational;
  readonly errorPpm: number;
  readonly mount: Fitting | null;
  /** Why there is no drawing. */
  readonly unmounted: string;
  readonly lever: string | null;
  readonly leftHand: boolean;
  readonly change: number | null;
  readonly turns: TurnsProof;
  /** Marks of the chasing dial that are right; null: the half-nuts stay shut. */
  readonly marks: readonly number[] | null;
  readonly u: UnitSystem;
}

/** Where nobody has measured the arm. */
export const NOT_MEASURED = 'Whether it can be mounted is not checked: the arm of this lathe is not measured (Lathes).';

/** Everything that is said on the card for the lathe's cover. */
export function gearCardWords(o: Of): GearCardWords {
  const { mount, train, u } = o;
  const pairs = (mount ?? train).drivers.map((d, i) => `${d} drives ${(mount ?? train).driven[i] ?? ''}`);
  const idlers = mount?.idlers.flat() ?? [];
  return {
    train: trainText(mount ?? train),
    sentence: [
      `${pairs.join('; keyed beside it ')}${idlers.length > 0 ? `, by an idler of ${idlers.join(' and ')}` : ''}.`,
      `Cuts ${pitchText(o.lead, u)}, ${textOf(o.lead)} mm exactly${o.errorPpm === 0 ? ': as wanted' : ''}.`,
    ].join(' '),
    stud: 'spindle stud',
    leadscrew: 'leadscrew',
    drawing: mount
      ? `Seen from the end of the lathe, to scale. Hatched: back plane; a dashed one is behind the larger on its stud. Least clearance ${lengthText(mount.clearanceMm, u)}.`
      : o.unmounted,
    boxes: [
      ...(o.lathe.tumbler ? ([['tumbler', o.leftHand ? 'left' : 'right']] as const) : []),
      ...(o.lever === null ? [] : ([['levers', o.lever]] as const)),
      ...(o.change === null
        ? []
        : ([
            ['to change', o.change === 0 ? 'none: it is on' : `${o.change} gear${o.change === 1 ? '' : 's'}`],
          ] as const)),
      ['paper in each mesh', u === 'mm' ? '0.1\u20130.2 mm' : '0.004\u20130.008 in'],
      [
        'half-nuts',
        o.marks === null ? 'stay shut' : o.marks.length > 3 ? `${o.marks.length} marks` : `mark ${o.marks.join(', ')}`,
      ],
    ],
    stepsTitle: 'Put it up',
    steps: mount
      ? fittingSteps(mount, o.lathe.gearWidthMm === null ? '' : ` of ${lengthText(o.lathe.gearWidthMm, u)}`)
      : [
          'Isolate at the plug. Wipe and oil the studs.',
          'The rest follows from where the gears go on, and that is not known.',
        ],
    proofTitle: 'Proof by hand, power off',
    turns: o.turns.countable
      ? {
          spindle: String(o.turns.spindle),
          spindleSaid: `turn${o.turns.spindle === 1 ? '' : 's'} of the chuck`,
          leadscrew: String(o.turns.leadscrew),
          leadscrewSaid: 'of the leadscrew, its key at the top again',
        }
      : null,
    proof: o.turns.countable ? slipText(o.turns) : tooManyText(o.turns),
  };
}
