import type { ToolView } from '../core/job/toolView.ts';
import { degreesText, FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import type { ToolSheetWords } from '../core/sheet/toolSheet.ts';

/** What stands above the tool sheet. */
export const toolTitle = (view: ToolView, system: UnitSystem): string =>
  `Tool for ${degreesText(view.sheet.includedDeg)}${view.tipFlatMm ? `, tip ${lengthText(view.tipFlatMm.value, system, { ...FINE, bare: true })}` : ''}`;

/** Everything that is said on the tool sheet. */
export function toolSheetWords(view: ToolView, system: UnitSystem): ToolSheetWords {
  const bare = (mm: number): string => lengthText(mm, system, { ...FINE, bare: true });
  const { sheet } = view;
  return {
    enlarged: (scale) => `\u00d7 ${scale}`,
    thread: '1 : 1 the thread, as cut',
    threadEnlarged: (scale) => `\u00d7 ${scale} the thread`,
    notch: '1 : 1 notch to check the tool',
    wedge: `1 : 1 wedge of ${degreesText(sheet.includedDeg)}`,
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
  };
}
export const BLOCK_NAMES = {
  'leading-flank': 'leading flank',
  'trailing-flank': 'trailing flank',
  'leading-relief': 'leading relief',
  'trailing-relief': 'trailing relief',
} as const;
