import { leadAngleDeg } from '../form/helix.ts';
import { rootFlatMm } from '../form/sizes.ts';
import { plain, type Step } from '../quantity/working.ts';
import { pitchMmOf, threadFormOf, threadSizes, type ThreadSpec } from './thread.ts';

/** Sizes whose working is shown. */
export const SIZE_NAMES = [
  'pitchDiameter',
  'minorExternal',
  'minorInternal',
  'depth',
  'rootFlat',
  'leadAngle',
] as const;
/** One of SIZE_NAMES. */
export type SizeName = (typeof SIZE_NAMES)[number];

const MINUS = '\u2212';
const TIMES = '\u00d7';

/**
 * How the basic sizes of a thread come about, one line of working each; the values put in give the result, which is the
 * one that threadSizes has. Heights are those of the form above and below the pitch line; where a standard rounds the
 * depth of thread first (BS 84, BS 93, ISO 228-1), so does the line.
 * @example sizeSteps(thread('M10x1.5')).pitchDiameter.result // 9.026; ISO 724
 */
export function sizeSteps(thread: ThreadSpec): Readonly<Record<SizeName, Step>> {
  const form = threadFormOf(thread);
  const sizes = threadSizes(thread);
  const p = pitchMmOf(thread);
  const d = thread.majorMm;
  const e0 = thread.form === 'npt60' || thread.form === 'nptf60';
  const { external: ext, internal: int, depthStepMm: step } = form;
  const rounded = step === null ? null : sizes.majorMm - sizes.pitchDiameterMm;
  const source = form.source;
  const line = (of: Pick<Step, 'name' | 'symbol' | 'formula' | 'values' | 'result'>): Step => ({
    ...of,
    unit: 'mm',
    source,
  });
  const below = (height: number): number => rounded ?? 2 * height;
  const roundedWords = step === null ? '' : `, h = depth rounded to ${step} mm`;
  const slope = `(tan ${form.leadingDeg}\u00b0 + tan ${form.trailingDeg}\u00b0)`;
  return {
    pitchDiameter: e0
      ? line({
          name: 'Pitch diameter at the small end of the pipe',
          symbol: 'E0',
          formula: `D ${MINUS} (0.05 D + 1.1 in) / n, n threads per inch`,
          values: `${plain(d)} ${MINUS} (0.05 ${TIMES} ${plain(d)} + 27.94) ${TIMES} ${plain(p / 25.4)}`,
          result: sizes.pitchDiameterMm,
        })
      : line({
          name: 'Pitch diameter',
          symbol: 'd2',
          formula:
            rounded === null ? `d ${MINUS} 2 ${TIMES} height above the pitch line` : `d ${MINUS} h${roundedWords}`,
          values:
            rounded === null
              ? `${plain(d)} ${MINUS} 2 ${TIMES} ${plain(ext.outerMm)}`
              : `${plain(d)} ${MINUS} ${plain(rounded)}`,
          result: sizes.pitchDiameterMm,
        }),
    minorExternal: line({
      name: 'Root of the screw',
      symbol: 'd3',
      formula: rounded === null ? `d2 ${MINUS} 2 ${TIMES} root below the pitch line` : `d2 ${MINUS} h${roundedWords}`,
      values: `${plain(sizes.pitchDiameterMm)} ${MINUS} ${plain(below(ext.innerMm))}`,
      result: sizes.minorExternalMm,
    }),
    minorInternal: line({
      name: 'Minor diameter of the nut',
      symbol: 'D1',
      formula:
        rounded === null
          ? `D2 ${MINUS} 2 ${TIMES} nut\u2019s crest below the pitch line`
          : `D2 ${MINUS} h${roundedWords}`,
      values: `${plain(sizes.pitchDiameterMm)} ${MINUS} ${plain(below(int.innerMm))}`,
      result: sizes.minorInternalMm,
    }),
    depth: line({
      name: 'Depth of the screw\u2019s thread',
      symbol: 'h3',
      formula:
        rounded === null ? 'height above + root below the pitch line' : 'height above + root below, before rounding',
      values: `${plain(ext.outerMm)} + ${plain(ext.innerMm)}`,
      result: ext.outerMm + ext.innerMm,
    }),
    rootFlat: line({
      name: 'Widest tip flat',
      symbol: 'f',
      formula: `P / 2 ${MINUS} root below the pitch line ${TIMES} (tan a1 + tan a2), not below nought`,
      values: `${plain(p)} / 2 ${MINUS} ${plain(ext.innerMm)} ${TIMES} ${slope}`,
      result: rootFlatMm(form, p),
    }),
    leadAngle: {
      ...line({
        name: 'Lead angle at the root',
        symbol: '\u03c8',
        formula: `arctan(L / (\u03c0 d3))`,
        values: `arctan(${plain(p * thread.starts)} / (\u03c0 ${TIMES} ${plain(sizes.minorExternalMm)}))`,
        result: leadAngleDeg(p * thread.starts, sizes.minorExternalMm),
      }),
      unit: 'deg',
      source: 'geometry of the helix; steepest at the root',
    },
  };
}
