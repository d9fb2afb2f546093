import { includedDeg } from '../form/flanks.ts';
import type { SetupView } from './setupView.ts';
import { feedsAtAngle } from './feed.ts';
import { latheOf } from './derive.ts';
import { gearSettingOf, gearsStandUp, type GearSetting } from './gearSetting.ts';
import type { Job, Shop } from './schema.ts';
import type { LatheKind } from '../lathe/schema.ts';
import { threadFormOf, type ThreadSpec } from '../standards/thread.ts';

/** What is set at the machine before the first chip, in the order in which it is done. */
export type SettingCode =
  'true' | 'gears' | 'ground' | 'height' | 'slide' | 'square' | 'relief' | 'speed' | 'clear' | 'zero' | 'told';

/** One thing to set at the machine, and whether it is. */
export interface MachineSetting {
  readonly code: SettingCode;
  /** The number that is set; null: nothing but to see that it is so, or the number is not known. */
  readonly value:
    | { readonly deg: number }
    | { readonly mm: number }
    | { readonly rpm: number }
    | { readonly gears: GearSetting }
    | null;
  readonly done: boolean;
}

/**
 * The settings of this job: train and levers where the lead is geared, an angled slide only where the cut is fed along it, and
 * neither slide nor dials at a control. @param gears what stands between spindle and leadscrew; null: nothing is geared
 * @param up they are known to be on
 * @example settingsOf(demo('pump'), setup(demo('pump')), named(demo('pump')), 'screw-cutting').map((s) => s.code) // ['true', 'ground', 'height', 'square', 'relief', 'speed', 'clear', 'zero']
 */
export function settingsOf(
  job: Job,
  view: SetupView,
  thread: ThreadSpec,
  kind: LatheKind | null,
  gears: GearSetting | null = null,
  up = false,
): MachineSetting[] {
  const { setup } = job;
  const of = (code: SettingCode, value: MachineSetting['value'] = null, known = false): MachineSetting => ({
    code,
    value,
    done: known || setup.checks.includes(code),
  });
  return [
    of('true'),
    ...(gears ? [of('gears', { gears }, up)] : []),
    of('ground', { deg: includedDeg(threadFormOf(thread)) }),
    of('height'),
    ...(kind !== 'control' && feedsAtAngle(setup.infeed) && view.scale ? [of('slide', { deg: view.scale.deg })] : []),
    of('square'),
    of('relief', setup.reliefMm === null ? null : { mm: setup.reliefMm }),
    of('speed', view.rpm === null ? null : { rpm: view.rpm }),
    of('clear'),
    of(kind === 'control' ? 'told' : 'zero'),
  ];
}

/**
 * The same of a job in its shop: with the train that it wants, and whether that is known to be on.
 * @example settingsOfJob(demo('pump'), shop, setup(demo('pump')), named(demo('pump')))[1].code // 'gears'
 */
export function settingsOfJob(job: Job, shop: Shop, view: SetupView, thread: ThreadSpec): MachineSetting[] {
  const lathe = latheOf(job, shop);
  return settingsOf(job, view, thread, lathe?.kind ?? null, gearSettingOf(job, shop), gearsStandUp(job, lathe));
}
