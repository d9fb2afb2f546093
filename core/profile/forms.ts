import { formAt, FORM_IDS, type FormId } from '../form/shape.ts';
import { outline } from '../form/outline.ts';
import { laidOn, sectionBy, shadowOf, type Points } from './shadow.ts';

const { abs, max } = Math;

/** A published form laid over the folded teeth. */
export interface FormLaid {
  readonly form: Exclude<FormId, 'special'>;
  /** The flank that the table calls leading faces left in the picture. */
  readonly flipped: boolean;
  /** How far the teeth lie off its shadow, root mean square, in the unit of the points. */
  readonly residual: number;
}

/** A form whose flanks lie so far from the ones seen is not laid, degrees; but the nearest few always are: what it is not counts too. */
const FAR_DEG = 14;
const ALWAYS = 4;
/** A pitch to draw forms at where no scale is known: only clearances hang on it. */
const ANY_PITCH_MM = 5;

/**
 * Pitch that a form is drawn at: clearances step at round pitches, and one read a thousandth over is that pitch. Null: no scale.
 * @example [pitchDrawn(null), pitchDrawn(2)] // [5, 2]
 */
export const pitchDrawn = (pitchMm: number | null): number =>
  pitchMm === null ? ANY_PITCH_MM : Number(pitchMm.toPrecision(3));

/**
 * Radius of a form's section about its ridge, `outer` at the crest; the table's leading flank faces right unless flipped.
 * @example sectionOfForm('iso60', false, { pitch: 3, lead: 3, outer: 12, pitchMm: 3 }).radius[0] // 10.16; the form's depth under the crest
 */
export function sectionOfForm(
  id: Exclude<FormId, 'special'>,
  flipped: boolean,
  p: { readonly pitch: number; readonly lead: number; readonly outer: number; readonly pitchMm: number },
) {
  const mm = p.pitchMm;
  const line = outline({ ...formAt(id, mm), taper: 0 }, 'external', mm, 0, 1);
  const scale = p.pitch / mm;
  const top = line.reduce((y, q) => max(y, q.y), -Infinity);
  return sectionBy(p.pitch, p.lead, (z) => {
    const x = (flipped ? -z : z) / scale + mm / 2;
    const i = line.findIndex((q) => q.x >= x);
    const [b, a] = [line[i < 0 ? line.length - 1 : i], line[max(0, (i < 0 ? line.length : i) - 1)]];
    if (!a || !b) return p.outer;
    const y = b.x === a.x ? b.y : a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
    return p.outer + (y - top) * scale;
  });
}

/**
 * Every published form whose flanks are near, each by how far the teeth lie off its shadow; the closest first.
 * @example pictureRead().forms[0].form // 'iso60'
 */
export function formsLaid(
  points: Points,
  p: {
    readonly pitch: number;
    readonly lead: number;
    readonly outer: number;
    readonly sigma: number;
    readonly pitchMm: number | null;
    /** Apparent flanks left and right, degrees. */
    readonly leftDeg: number;
    readonly rightDeg: number;
  },
): FormLaid[] {
  const out: FormLaid[] = [];
  const pitchMm = pitchDrawn(p.pitchMm);
  const near = FORM_IDS.flatMap((id) => {
    const form = formAt(id, pitchMm);
    const [l, t] = [form.leadingDeg, form.trailingDeg];
    const far = (left: number, right: number): number => max(abs(left - p.leftDeg), abs(right - p.rightDeg));
    return l === t
      ? [{ id, flipped: false, far: far(l, t) }]
      : [
          { id, flipped: false, far: far(t, l) },
          { id, flipped: true, far: far(l, t) },
        ];
  }).sort((a, b) => a.far - b.far);
  for (const { id, flipped } of near.filter((n, i) => n.far <= FAR_DEG || i < ALWAYS)) {
    const lie = (outer: number) => {
      const s = shadowOf(sectionOfForm(id, flipped, { ...p, outer, pitchMm }), p.sigma);
      return { s, laid: laidOn(points, s) };
    };
    const first = lie(p.outer);
    // softness takes more of a round crest than of a flat one: level with the teeth first
    let [sum, n] = [0, 0];
    for (let i = 0; i < points.u.length; i += 1) {
      const u = (points.u[i] ?? 0) - first.laid.shift;
      if (abs(first.s.slopeAt(u)) > 0.3 || (points.h[i] ?? 0) < p.outer - 0.1 * p.pitch) continue;
      sum += first.laid.off[i] ?? 0;
      n += 1;
    }
    out.push({ form: id, flipped, residual: (n > 0 ? lie(p.outer + sum / n) : first).laid.rms });
  }
  return out.sort((a, b) => a.residual - b.residual);
}
