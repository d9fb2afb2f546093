import { leadAngleDeg, rootFlatMm } from '../form/sizes.ts';
import { plain, type Step } from '../quantity/working.ts';
import { pitchMmOf, threadFormOf, threadSizes, type ThreadSpec } from './thread.ts';

export const SIZE_NAMES = [
  'pitchDiameter',
  'minorExternal',
  'minorInternal',
  'depth',
  'rootFlat',
  'leadAngle',
] as const;
export type SizeName = (typeof SIZE_NAMES)[number];

const MINUS = '\u2212';
const TIMES = '\u00d7';

/**
 * How the basic sizes of a thread come about, one line of working each; the values put in give the result, which is the
 * one that threadSizes has. Heights are those of the form above and below the pitch line; where a standard rounds the
 * depth of thread first (BS 84, BS 93, ISO 228-1), so does the line.
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
  const line = (name: string, symbol: string, formula: string, values: string, result: number): Step => ({
    name,
    symbol,
    formula,
    values,
    result,
    unit: 'mm',
    source,
  });
  const below = (height: number): number => rounded ?? 2 * height;
  const roundedWords = step === null ? '' : `, h = depth rounded to ${step} mm`;
  const slope = `(tan ${form.leadingFlankDeg}\u00b0 + tan ${form.trailingFlankDeg}\u00b0)`;
  return {
    pitchDiameter: e0
      ? line(
          'Pitch diameter at the small end of the pipe',
          'E0',
          `D ${MINUS} (0.05 D + 1.1 in) / n, n threads per inch`,
          `${plain(d)} ${MINUS} (0.05 ${TIMES} ${plain(d)} + 27.94) ${TIMES} ${plain(p / 25.4)}`,
          sizes.pitchDiameterMm,
        )
      : line(
          'Pitch diameter',
          'd2',
          rounded === null ? `d ${MINUS} 2 ${TIMES} height above the pitch line` : `d ${MINUS} h${roundedWords}`,
          rounded === null
            ? `${plain(d)} ${MINUS} 2 ${TIMES} ${plain(ext.outerMm)}`
            : `${plain(d)} ${MINUS} ${plain(rounded)}`,
          sizes.pitchDiameterMm,
        ),
    minorExternal: line(
      'Root of the screw',
      'd3',
      rounded === null ? `d2 ${MINUS} 2 ${TIMES} root below the pitch line` : `d2 ${MINUS} h${roundedWords}`,
      `${plain(sizes.pitchDiameterMm)} ${MINUS} ${plain(below(ext.innerMm))}`,
      sizes.minorExternalMm,
    ),
    minorInternal: line(
      'Minor diameter of the nut',
      'D1',
      rounded === null
        ? `D2 ${MINUS} 2 ${TIMES} nut\u2019s crest below the pitch line`
        : `D2 ${MINUS} h${roundedWords}`,
      `${plain(sizes.pitchDiameterMm)} ${MINUS} ${plain(below(int.innerMm))}`,
      sizes.minorInternalMm,
    ),
    depth: line(
      'Depth of the screw\u2019s thread',
      'h3',
      rounded === null ? 'height above + root below the pitch line' : 'height above + root below, before rounding',
      `${plain(ext.outerMm)} + ${plain(ext.innerMm)}`,
      ext.outerMm + ext.innerMm,
    ),
    rootFlat: line(
      'Widest tip flat',
      'f',
      `P / 2 ${MINUS} root below the pitch line ${TIMES} (tan a1 + tan a2), not below nought`,
      `${plain(p)} / 2 ${MINUS} ${plain(ext.innerMm)} ${TIMES} ${slope}`,
      rootFlatMm(form, p),
    ),
    leadAngle: {
      ...line(
        'Lead angle at the root',
        '\u03c8',
        `arctan(L / (\u03c0 d3))`,
        `arctan(${plain(p * thread.starts)} / (\u03c0 ${TIMES} ${plain(sizes.minorExternalMm)}))`,
        leadAngleDeg(p * thread.starts, sizes.minorExternalMm),
      ),
      unit: 'deg',
      source: 'geometry of the helix; steepest at the root',
    },
  };
}
