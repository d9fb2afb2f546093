import type { Job } from '../core/job/schema.ts';
import type { ToolView } from '../core/job/toolView.ts';
import type { Lathe } from '../core/lathe/schema.ts';
import { degreesText, FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import type { ToolSheetWords } from '../core/sheet/toolSheet.ts';
import type { ThreadSpec } from '../core/standards/thread.ts';

interface Of {
  readonly job: Job;
  readonly thread: ThreadSpec;
  readonly view: ToolView;
  readonly lathe: Lathe | null;
  readonly system: UnitSystem;
}

/** Everything that is said on the tool sheet. */
export function toolSheetWords({ job, thread, view, lathe, system }: Of): ToolSheetWords {
  const bare = (mm: number): string => lengthText(mm, system, { ...FINE, bare: true });
  const { sheet } = view;
  const starts = thread.starts === 1 ? '1 start' : `${thread.starts} starts`;
  const tip = view.tipFlatMm ? `, tip ${bare(view.tipFlatMm.value)}` : '';
  return {
    title: `Tool for ${degreesText(sheet.includedDeg)}${tip}`,
    facts: [
      ['job', job.title],
      ['thread', thread.designation],
      ['lathe', lathe?.name ?? 'not chosen'],
      ['date', job.changed.slice(0, 10)],
      [
        'for',
        `${thread.leftHand ? 'left hand' : 'right hand'}, ${starts}, ${job.intake.make === 'external' ? 'screw' : 'nut'}`,
      ],
      ['by', '__________'],
    ],
    enlarged: (scale) => `\u00d7 ${scale}`,
    thread: '1 : 1 the thread, as cut',
    threadEnlarged: (scale) => `\u00d7 ${scale} the thread`,
    notch: '1 : 1 notch to check the tool',
    wedge: `1 : 1 wedge of ${degreesText(sheet.includedDeg)}`,
    proveScale: 'lay a rule on both',
    caution: [
      'True only if 150 mm along and 100 mm down measure so.',
      'Goggles at the wheel, its rest close up; cool the tool before it turns blue.',
    ],
    angle: degreesText(sheet.includedDeg),
    width: bare,
    depth: (mm) => `${bare(mm)} deep`,
    rows: [
      ['under a sine bar', '100 mm', '5 in'],
      ...view.blocks.map((b): readonly [string, string, string] => [
        `${BLOCK_NAMES[b.of]} ${degreesText(b.deg, 0.01)}`,
        b.bar100.toFixed(3),
        (b.bar127 / 25.4).toFixed(4),
      ]),
      ['above the tip', system === 'mm' ? 'mm' : 'in', 'wide'],
      ...sheet.widthAtDepth.map((r): readonly [string, string, string] => ['', bare(r.depthMm), bare(r.widthMm)]),
    ],
    foot: 'A newer sheet of this job? Throw this one away.',
  };
}
export const BLOCK_NAMES = {
  'leading-flank': 'leading flank',
  'trailing-flank': 'trailing flank',
  'leading-relief': 'leading relief',
  'trailing-relief': 'trailing relief',
} as const;
