import { formAt } from '../../form/shape.ts';
import { basicSizes } from '../../form/sizes.ts';
import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import { toInches } from '../../quantity/units.ts';
import { mmLimits, type Sized, type ThreadLimits, type Tolerances } from '../tolerances.ts';
import { nptGauging } from './gauging.ts';

/** ISO 228-1, mm: by threads per inch and size, [pitch diameter, external major, internal minor]. */
function pipeTolerances(majorMm: number, pitchMm: number): readonly [number, number, number] {
  const tpi = Math.round(1 / toInches(pitchMm));
  if (tpi === 28) return [0.107, 0.214, 0.282];
  if (tpi === 19) return [0.125, 0.25, 0.445];
  if (tpi === 14) return [0.142, 0.284, 0.541];
  return majorMm < 60 ? [0.18, 0.36, 0.64] : [0.217, 0.434, 0.64];
}

/** Limits of a parallel pipe thread, ISO 228-1: class A or B for the external thread; the internal thread has one class. */
function iso228Limits(majorMm: number, pitchMm: number, cls: string): Outcome<ThreadLimits> {
  const c = cls.trim().toUpperCase();
  if (c !== 'A' && c !== 'B') return bad('class', 'not-a-class', { class: cls, standard: 'ISO 228-1', near: 'A or B' });
  const s = basicSizes(formAt('pipe55', pitchMm), majorMm);
  const [t2, td, t1] = pipeTolerances(majorMm, pitchMm);
  return good({
    external: {
      major: mmLimits(majorMm - td, majorMm),
      pitch: mmLimits(s.pitchDiameterMm - (c === 'A' ? t2 : 2 * t2), s.pitchDiameterMm),
      minor: mmLimits(null, s.minorExternalMm),
    },
    internal: {
      major: mmLimits(majorMm, null),
      pitch: mmLimits(s.pitchDiameterMm, s.pitchDiameterMm + t2),
      minor: mmLimits(s.minorExternalMm, s.minorExternalMm + t1),
    },
    source: 'ISO 228-1',
    notes: [],
  });
}

/** Classes of this standard and their limits. */
export const PIPE_PARALLEL_TOLERANCES: Tolerances = {
  external: ['A', 'B'],
  internal: ['A'],
  limits: ({ majorMm, pitchMm }, cls) => iso228Limits(majorMm, pitchMm, cls),
};

/** NPT is gauged by position, not by diameters: one turn either way of the notch, which is P/16 on the pitch diameter. */
function nptLimits({ majorMm, pitchMm, designation }: Sized): Outcome<ThreadLimits> {
  const gauging = nptGauging(majorMm, pitchMm);
  if (!gauging)
    return bad('designation', 'size-not-in-standard', {
      size: designation,
      standard: 'ASME B1.20.1',
      right: '1/2-14 NPT',
    });
  const turn = gauging.turnMm / 16;
  const height = 2 * formAt('npt60', pitchMm).external.outerMm;
  const at = (x: number) => ({
    major: mmLimits(x - turn + height, x + turn + height),
    pitch: mmLimits(x - turn, x + turn),
    minor: mmLimits(x - turn - height, x + turn - height),
  });
  return good({
    external: at(gauging.e0Mm),
    internal: at(gauging.e1Mm),
    source: 'ASME B1.20.1',
    notes: [
      { code: 'gauged-at', e0Mm: gauging.e0Mm, e1Mm: gauging.e1Mm },
      { code: 'hand-tight', l1Mm: gauging.l1Mm, l2Mm: gauging.l2Mm, turnMm: gauging.turnMm },
    ],
  });
}

/** Classes of this standard and their limits. */
export const NPT_TOLERANCES: Tolerances = { external: ['standard'], internal: ['standard'], limits: nptLimits };
