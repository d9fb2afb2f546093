import { sectionOfRidge } from './ends.ts';
import { pitchDrawn, sectionOfForm, type FormLaid } from './forms.ts';
import { laidOn, shadowOf, softness, type Section } from './shadow.ts';
import type { ProfileRead } from './types.ts';

/** Line over the folded teeth: place from the ridge's middle and height over the axis, px. */
export type Line = readonly (readonly [number, number])[];
/** Places of a pitch at which a line is drawn. */
const DRAWN = 240;

/**
 * The shadow that a form throws, laid where the teeth lie, and the section that throws it. @param form a published one; null:
 * the ridge found
 * @example laidOver(pictureRead(), null).shadow.length // 241
 */
export function laidOver(
  read: ProfileRead,
  form: FormLaid | null,
): { readonly shadow: Line; readonly section: Line } | null {
  const { seen, ends, pitchPx, pxPerMm } = read;
  if (!seen || !ends || !pitchPx) return null;
  const pitch = pitchPx.value;
  const section: Section = form
    ? sectionOfForm(form.form, form.flipped, {
        pitch,
        lead: seen.leadPx,
        outer: ends.ridge.outer,
        pitchMm: pitchDrawn(pxPerMm && pitch / pxPerMm.value),
      })
    : sectionOfRidge(ends.ridge);
  const shadow = shadowOf(section, softness(read.blurPx));
  const { shift } = laidOn(seen.folded, shadow);
  const n = section.radius.length;
  const at = (i: number): number => (i / DRAWN - 0.5) * 1.3 * pitch;
  const places = Array.from({ length: DRAWN + 1 }, (_, i) => at(i));
  return {
    shadow: places.map((u) => [u, shadow.at(u - shift)] as const),
    section: places.map((u) => {
      const turns = (u - shift) / pitch + 0.5;
      return [u, section.radius[Math.floor((turns - Math.floor(turns)) * n)] ?? 0] as const;
    }),
  };
}
