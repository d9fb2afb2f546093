import { latheOf } from './derive.ts';
import type { Metal } from './metal.ts';
import { wayOf, type PickupAnswer } from './pickupMove.ts';
import type { Job, Shop } from './schema.ts';

/** One thing to do while an old groove is found again. */
export type PickupAct = 'swing' | 'slack' | 'look' | 'face' | 'drop' | 'move' | 'key' | 'judge' | 'found';

/** Acts of picking up and which is due. */
export interface PickupActs {
  /** All of them for this way on this lathe, in order. */
  readonly acts: readonly PickupAct[];
  readonly at: PickupAct;
}

/**
 * What is to be done now to find the groove, by what has been written down. The slack, and the face of a control, are said by
 * the one who stands there and not written down: they are done again after every interruption.
 * @param ready the slack is taken up (at a control: the face is touched) @param since look anew: what was read up to this event no
 * longer counts
 * @example pickupActs(demo('pump'), shop, metal(demo('pump')), pickup(demo('pump')), true) // { acts: ['swing', 'slack', 'look', 'move', 'judge'], at: 'swing' }
 */
export function pickupActs(
  job: Job,
  shop: Shop,
  metal: Metal,
  pickup: PickupAnswer,
  ready: boolean,
  since = 0,
): PickupActs {
  const control = latheOf(job, shop)?.kind === 'control' && wayOf(job, shop) === 'start';
  const acts: PickupAct[] = control
    ? ['face', 'drop', 'key', 'judge']
    : [...(pickup.way === 'parallel' ? (['swing'] as const) : []), 'slack', 'look', 'move', 'judge'];
  const at = (): PickupAct => {
    if (metal.phase === 'kept') return metal.airDue ? 'judge' : 'found';
    if (control) return (metal.dropped?.n ?? 0) > since ? 'key' : ready ? 'drop' : 'face';
    if (pickup.problem === 'slide-not-along-bed') return 'swing';
    if ((metal.offset?.n ?? 0) > since) return 'move';
    return ready ? 'look' : 'slack';
  };
  return { acts, at: at() };
}
