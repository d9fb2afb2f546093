import { exact, textOf } from '../../quantity/rational.ts';
import { allSettings, ratioOf, settingText, type Levers } from './levers.ts';

/** A ratio of the gearbox and the levers that give it. */
export interface GearboxSetting {
  readonly ratio: string;
  /** "cone 2, range B"; empty when there is no gearbox. */
  readonly name: string;
}

/**
 * Every distinct ratio of a gearbox with a setting that gives it; the ratio 1 when there is no gearbox.
 * @example gearboxRatios({ A: { 1: '1', 2: '1/2' } }).length // 2
 */
export function gearboxRatios(levers: Levers): readonly GearboxSetting[] {
  const byRatio = new Map<string, GearboxSetting>();
  for (const setting of allSettings(levers)) {
    const ratio = textOf(ratioOf(levers, setting) ?? exact(1));
    if (!byRatio.has(ratio)) byRatio.set(ratio, { ratio, name: settingText(setting) });
  }
  return [...byRatio.values()];
}
