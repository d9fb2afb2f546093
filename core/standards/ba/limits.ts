import { formAt } from '../../form/shape.ts';
import { basicSizes } from '../../form/sizes.ts';
import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import { mmLimits, type ThreadLimits, type Tolerances } from '../tolerances.ts';
import { BA_SIZES } from './rows.ts';

/** Limits of BA screws and nuts, mm. The tolerance formulae are from memory of BS 93 (see docs/standards.md). */
function bs93Limits(number: number, majorMm: number, pitchMm: number, cls: string): Outcome<ThreadLimits> {
  const c = cls.trim().toLowerCase();
  if (c !== 'close' && c !== 'normal')
    return bad('class', 'not-a-class', { class: cls, standard: 'BS 93', near: 'close or normal' });
  const s = basicSizes(formAt('ba47', pitchMm), majorMm);
  const p = pitchMm;
  const normal = c === 'normal';
  const allowance = normal ? 0.025 : 0;
  const under = (x: number, tol: number) => mmLimits(x - allowance - tol, x - allowance);
  const majorT = normal ? (number <= 10 ? 0.2 : 0.25) * p : 0.15 * p;
  return good({
    external: {
      major: under(majorMm, majorT),
      pitch: under(s.pitchDiameterMm, normal ? 0.1 * p + 0.025 : 0.08 * p + 0.02),
      minor: under(s.minorExternalMm, normal ? 0.2 * p + 0.025 : 0.16 * p + 0.02),
    },
    internal: {
      major: mmLimits(majorMm, null),
      pitch: mmLimits(s.pitchDiameterMm, s.pitchDiameterMm + 0.12 * p + 0.03),
      minor: mmLimits(s.minorExternalMm, s.minorExternalMm + 0.375 * p),
    },
    source: 'BS 93 (formulae from memory)',
    notes: [{ code: 'from-memory', of: 'tolerances', class: c }],
  });
}

/** Classes of this standard and their limits. */
export const BA_TOLERANCES: Tolerances = {
  external: ['normal', 'close'],
  internal: ['normal', 'close'],
  limits: ({ majorMm, pitchMm, designation }, cls) => {
    // the limits go by the number of the size
    const size = BA_SIZES.find(([, d, p]) => d === majorMm && p === pitchMm);
    return size
      ? bs93Limits(size[0], majorMm, pitchMm, cls)
      : bad('designation', 'size-not-in-standard', { size: designation, standard: 'BS 93', right: '0 BA to 16 BA' });
  },
};
