import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { formAt, specialForm } from '../../core/form/shape.ts';
import { pitchMmOf, threadFormOf, type ThreadSpec } from '../../core/standards/thread.ts';
import { FormOverlay } from './FormOverlay.tsx';

/** Exaggerations offered: the one that makes the gap about a twentieth of the pitch. */
const TIMES = [1, 2, 5, 10, 20, 50];
const VISIBLE = 1 / 20;

/** Screw and nut in engagement, from the real outlines; the gap between the flanks is exaggerated by a stated factor. */
export function Engagement({
  thread,
  clearanceMm,
  system,
}: {
  readonly thread: ThreadSpec;
  readonly clearanceMm: number;
  readonly system: UnitSystem;
}) {
  const pitch = pitchMmOf(thread);
  const gap = clearanceMm / 2 / pitch;
  const times = TIMES.find((t) => gap * t >= VISIBLE) ?? (gap > 0 ? 50 : 1);
  const actual = threadFormOf(thread);
  // the overlay works at a pitch of 1; absolute clearances of the form shrink with it
  const scaled = {
    ...(thread.form === 'special' && thread.special
      ? specialForm(1, {
          leadingDeg: thread.special.leadingDeg,
          trailingDeg: thread.special.trailingDeg,
        })
      : formAt(thread.form === 'special' ? 'iso60' : thread.form, 1)),
    external: shrink(actual.external, pitch),
    internal: shrink(actual.internal, pitch),
  };
  return (
    <figure>
      <FormOverlay
        fill
        label={`Screw and nut of ${thread.designation} in engagement`}
        forms={[
          { name: 'screw', form: scaled, side: 'external' },
          { name: 'nut', form: scaled, side: 'internal', liftP: gap * times },
        ]}
      />
      <figcaption className="text-sm text-ink2">
        Screw below (full line), nut above (dashed). Clearance of {lengthText(clearanceMm, system, FINE)} on the pitch
        diameter, {times === 1 ? 'true to scale' : `drawn ${times} times as large`}; the forms are true.
      </figcaption>
    </figure>
  );
}

type Profile = ReturnType<typeof threadFormOf>['external'];
const shrink = (p: Profile, pitch: number): Profile => ({
  outerMm: p.outerMm / pitch,
  innerMm: p.innerMm / pitch,
  outerEdge: edge(p.outerEdge, pitch),
  innerEdge: edge(p.innerEdge, pitch),
});
const edge = (e: Profile['outerEdge'], pitch: number): Profile['outerEdge'] =>
  e.kind === 'flat' ? { kind: 'flat', cornerMm: e.cornerMm / pitch } : { kind: 'round', radiusMm: e.radiusMm / pitch };
