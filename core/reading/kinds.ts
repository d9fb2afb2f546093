import type { Evidence, Part, Quantity } from '../evidence/evidence.ts';
import type { Expectation } from '../reading/expectation.ts';
import type { Outcome } from '../quantity/outcome.ts';
import type { UnitSystem } from '../quantity/units.ts';
import { depth } from './depth.ts';
import { majorDiameter, minorDiameter, pitchDiameter } from './diameter.ts';
import { crestFlat, crestRadius, rootFlat, rootRadius } from './edge.ts';
import { flankAngle, leadingFlank, template, trailingFlank } from './flank.ts';
import type { Entry, EntryText, ReadingKind } from './kind.ts';
import { overWires } from './overWires.ts';
import { crestCount, pitchLeaf } from './pitch.ts';
import type { Reason } from './reason.ts';
import { taper } from './taper.ts';
import { hand, lead, starts } from './turns.ts';

/** Every kind of reading, in the order in which they are usually taken. */
export const KINDS: { readonly [Q in Quantity]: ReadingKind<Q> } = {
  majorDiameter,
  crestCount,
  flankAngle,
  pitchLeaf,
  minorDiameter,
  depth,
  pitchDiameter,
  overWires,
  template,
  leadingFlank: leadingFlank as ReadingKind<'leadingFlank'>,
  trailingFlank: trailingFlank as ReadingKind<'trailingFlank'>,
  crestFlat: crestFlat as ReadingKind<'crestFlat'>,
  rootFlat: rootFlat as ReadingKind<'rootFlat'>,
  crestRadius: crestRadius as ReadingKind<'crestRadius'>,
  rootRadius: rootRadius as ReadingKind<'rootRadius'>,
  lead,
  starts,
  hand,
  taper,
};

/**
 * The kind of a reading, for what takes any.
 * @example kindOf('flankAngle').measures // 'angle'
 */
export const kindOf = (q: Quantity): ReadingKind<Quantity> => KINDS[q] as ReadingKind<Quantity>;

/**
 * Likelihood of one piece of evidence under one expectation. @param measured the member that came in
 * @example likelihood({ quantity: 'starts', count: 2 }, expectationOf(formAt('iso60', 1.5), 10, 1.5), 'external', 1) < likelihood({ quantity: 'starts', count: 2 }, expectationOf(formAt('iso60', 1.5), 10, 1.5), 'external', 2) // true
 */
export const likelihood = (e: Evidence, h: Expectation, measured: Part, starts: number): number =>
  kindOf(e.quantity).density(e, h, e.member ?? measured, starts);

/**
 * Likelihood of the same reading had it come out as this candidate would like it best.
 * @example bestLikelihood({ quantity: 'pitchLeaf', pitchMm: 2, fit: 'fits' }, expectationOf(formAt('iso60', 1.5), 10, 1.5), 'external', 1) // 0.94; had the right leaf been laid on
 */
export const bestLikelihood = (e: Evidence, h: Expectation, measured: Part, n: number): number => {
  const kind = kindOf(e.quantity);
  const part = e.member ?? measured;
  const ideals = kind.ideals(e, h, part, n);
  return ideals.length === 0 ? 1 : Math.max(...ideals.map((x) => kind.density(x, h, part, n)));
};

/**
 * What one reading says of a candidate; null: nothing of its own.
 * @example reasonOf({ quantity: 'crestCount', crests: 10, spanMm: 15 }, expectationOf(formAt('iso60', 1.5), 10, 1.5), 'external', 1) // { kind: 'count', crests: 10, spanMm: 15, expected: 10 }
 */
export const reasonOf = (e: Evidence, h: Expectation, measured: Part, n: number): Reason | null =>
  kindOf(e.quantity).reason(e, h, e.member ?? measured, n);

/**
 * Reads what was typed for a quantity, in the fields `value` and `span`.
 * @example value(readEntry({ quantity: 'crestCount', text: '10', spanText: '15 mm', leaf: null }, 'mm')).span.mm // 15
 */
export const readEntry = (typed: EntryText, system: UnitSystem): Outcome<Entry> =>
  kindOf(typed.quantity).parse(typed, system);
