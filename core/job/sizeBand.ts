import type { EventOf } from './events.ts';
import { fitOfJob } from './derive.ts';
import { metalOf, standingOfPart } from './metal.ts';
import type { Job, Shop } from './schema.ts';
import { gaugeMm, rightBy } from './rightBy.ts';
import { beliefOf } from './sizing.ts';

/** The pitch diameter on one scale: what is right, what is believed, and what each gauge said of its own size; mm. */
export interface SizeBand {
  /** Null where it is proved by a mate whose size nobody knows. */
  readonly right: { readonly min: number; readonly max: number } | null;
  readonly aimMm: number;
  readonly believed: { readonly value: number; readonly uncertainty: number } | null;
  readonly gauges: readonly {
    readonly which: 'go' | 'not-go';
    readonly mm: number;
    readonly said: 'goes' | 'stops' | null;
  }[];
}

/**
 * What a gauge is held against, and what has been said. Null: no fit yet.
 * @example sizeBand(demo('press'), shop) // null
 * @example sizeBand(demo('sluice'), shop).right.min // 34.211
 */
export function sizeBand(job: Job, shop: Shop): SizeBand | null {
  const fit = fitOfJob(job);
  if (!fit) return null;
  const right = rightBy(job);
  const metal = metalOf(job);
  const said = standingOfPart(job, metal.part).filter(
    (e): e is EventOf<'gauged'> => e.kind === 'gauged' && e.n > metal.lastCutN,
  );
  const gauge = (which: 'go' | 'not-go'): SizeBand['gauges'][number] | null => {
    const last = said.findLast((e) => e.which === which);
    const mm = last?.pitchDiameterMm ?? gaugeMm(fit, which);
    return mm === null ? null : { which, mm, said: last ? (last.passes ? 'goes' : 'stops') : null };
  };
  return {
    right: right?.by === 'limits' ? { min: right.minMm, max: right.maxMm } : null,
    aimMm: fit.pitchDiameterMm,
    believed: beliefOf(job, shop)?.answer.pitchDiameterMm ?? null,
    gauges: [gauge('go'), gauge('not-go')].filter((g) => g !== null),
  };
}
