import { findTrains, type Train, type TrainRequest } from './findTrains.ts';

/** A gear that one could get or make, and what it would give. */
export interface OneGearShort {
  readonly teeth: number;
  readonly train: Train;
}

/** Gears that are to be had or made for a small lathe: 20 to 127 teeth. */
const MADE: readonly number[] = Array.from({ length: 108 }, (_, i) => 20 + i);

/**
 * The single gears most worth buying or making for a lead: each size not owned is put in the drawer in turn. Only those
 * that better the present best are named, the best first; among equals the ones usual in sets (127, 63, ...) first.
 * @example oneGearShort({ leadscrew: exact('127/20'), target: exact('2'), gears: [20, 30, 40, 50, 60, 80], fixedRatio: exact('1'), gearbox: [exact('1')], maxPairs: 2, most: 1 }, 1)[0].teeth // 127; 4 tpi cuts 2 mm by it exactly
 */
export function oneGearShort(
  request: TrainRequest,
  most: number,
  onProgress?: (done: number) => void,
): readonly OneGearShort[] {
  const now = Math.abs(findTrains({ ...request, most: 1 }).trains[0]?.errorPpm ?? Infinity);
  if (now === 0) return [];
  const out: OneGearShort[] = [];
  MADE.forEach((teeth, i) => {
    if (i % 12 === 0) onProgress?.(i / MADE.length);
    if (request.gears.includes(teeth)) return;
    const train = findTrains({ ...request, gears: [...request.gears, teeth], most: 1, perLead: 1 }).trains[0];
    if (train && Math.abs(train.errorPpm) < now * 0.5) out.push({ teeth, train });
  });
  const usual = [127, 63, 120, 100, 80, 47, 37];
  const rank = (t: number): number => (usual.includes(t) ? usual.indexOf(t) : 50 + t / 1000);
  return out
    .sort((a, b) => Math.abs(a.train.errorPpm) - Math.abs(b.train.errorPpm) || rank(a.teeth) - rank(b.teeth))
    .slice(0, most);
}
