import { bad, good, type Outcome } from '../../quantity/outcome.ts';
import { rowOf } from '../catalogue.ts';
import { pitchMmOf, threadFormOf, type ThreadSpec } from '../thread.ts';
import { unifiedLimits } from './b11.ts';
import { bs84Limits, bs93Limits, iso228Limits } from './british.ts';
import { iso965Limits } from './iso965.ts';
import { mmLimits, type ThreadLimits } from './limits.ts';
import { nptGauging } from './npt.ts';
import { acmeLimits, trapezoidalLimits } from './power.ts';

export type { Limits, MemberLimits, ThreadLimits } from './limits.ts';

/**
 * The family whose limits hold: a size that no table lists, in the form of a standard whose limits are a formula of diameter
 * and pitch, is made to that standard's classes all the same.
 */
const limitsFamily = (thread: ThreadSpec): ThreadSpec['family'] =>
  thread.family !== 'Special' ? thread.family : (BY_FORM[thread.form] ?? 'Special');
const BY_FORM: Readonly<Partial<Record<ThreadSpec['form'], ThreadSpec['family']>>> = {
  acme29: 'Acme',
  stubAcme29: 'StubAcme',
  trapezoidal30: 'Tr',
};

/** Classes that a family's standard has, the usual one first; empty where no limits are carried here. */
export function classesOf(thread: ThreadSpec): {
  readonly external: readonly string[];
  readonly internal: readonly string[];
} {
  const none = { external: [], internal: [] };
  switch (limitsFamily(thread)) {
    case 'M':
      return {
        external: ['6g', '4h', '6h', '6e', '6f', '8g', '5g6g', '7g6g'],
        internal: ['6H', '5H', '7H', '4H', '6G'],
      };
    case 'UNC':
    case 'UNF':
    case 'UNEF':
    case 'UN':
    case 'UNS':
      return { external: ['2A', '3A', '1A'], internal: ['2B', '3B', '1B'] };
    case 'BSW':
    case 'BSF':
      return { external: ['medium', 'close', 'free'], internal: ['medium', 'close', 'normal'] };
    case 'BA':
      return { external: ['normal', 'close'], internal: ['normal', 'close'] };
    case 'G':
      return { external: ['A', 'B'], internal: ['A'] };
    case 'Acme':
      return { external: ['2G', '3G', '4G'], internal: ['2G', '3G', '4G'] };
    case 'StubAcme':
      return { external: ['2G'], internal: ['2G'] };
    case 'Tr':
      return { external: ['7e', '8e', '8c', '9c'], internal: ['7H', '8H', '9H'] };
    case 'NPT':
      return { external: ['standard'], internal: ['standard'] };
    default:
      return none;
  }
}

/**
 * Limits of size of a thread in a tolerance class, by the thread's own standard with its own rounding.
 * @param engagementMm length of engagement; null for the standard's usual one
 */
export function limitsOf(thread: ThreadSpec, cls: string, engagementMm: number | null): Outcome<ThreadLimits> {
  if (engagementMm !== null && !(engagementMm > 0 && engagementMm < 10_000))
    return bad('engagementMm', 'not-above-zero', { right: 'the usual one, left empty' });
  const p = pitchMmOf(thread);
  const d = thread.majorMm;
  switch (limitsFamily(thread)) {
    case 'M':
      return iso965Limits(d, p, cls, engagementMm);
    case 'UNC':
    case 'UNF':
    case 'UNEF':
    case 'UN':
    case 'UNS':
      return unifiedLimits(d, p, cls, thread.family, engagementMm);
    case 'BSW':
    case 'BSF':
      return bs84Limits(d, p, cls, engagementMm);
    case 'BA':
      return baLimits(thread, cls);
    case 'G':
      return iso228Limits(d, p, cls);
    case 'Acme':
    case 'StubAcme':
      return acmeLimits(d, p, cls, thread.family === 'StubAcme');
    case 'Tr':
      return trapezoidalLimits(d, p, cls);
    case 'NPT':
      return nptLimits(thread);
    default:
      return bad('designation', 'no-limits-here', { designation: thread.designation });
  }
}

/** BA limits go by the number, which is the row's size. */
function baLimits(thread: ThreadSpec, cls: string): Outcome<ThreadLimits> {
  const row = rowOf(thread);
  return row
    ? bs93Limits(Number(row.size), thread.majorMm, pitchMmOf(thread), cls)
    : bad('designation', 'size-not-in-standard', {
        size: thread.designation,
        standard: 'BS 93',
        right: '0 BA to 16 BA',
      });
}

/** NPT is gauged by position, not by diameters: one turn either way of the notch, which is P/16 on the pitch diameter. */
function nptLimits(thread: ThreadSpec): Outcome<ThreadLimits> {
  const row = rowOf(thread);
  const gauging = row ? nptGauging(row.size, row.majorMm, row.pitchMm) : null;
  if (!row || !gauging)
    return bad('designation', 'size-not-in-standard', {
      size: thread.designation,
      standard: 'ASME B1.20.1',
      right: '1/2-14 NPT',
    });
  const turn = gauging.turnMm / 16;
  const height = 2 * threadFormOf(thread).external.outerMm;
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
