import type { Slip } from '../core/evidence/mistakes.ts';
import { FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import { plain } from '../core/quantity/working.ts';

/** As what a reading would have been meant. */
const TAKEN_AS: Readonly<Record<Slip['kind'], string>> = {
  'inch-for-mm': 'inches',
  'mm-for-inch': 'millimetres',
  decimal: 'a decimal place out',
  radius: 'a radius',
  crossed: '',
  'half-angle': 'a half angle',
  'both-ends': 'both ends counted',
  'both-sides': 'both sides together (on diameter)',
};

/** Why a reading looks wrong, and what it would be. */
export function slipText(s: Slip, part: 'external' | 'internal', u: UnitSystem): string {
  const len = (mm: number | null): string => (mm === null ? '' : lengthText(mm, u, FINE));
  const taken = ` Taken as ${TAKEN_AS[s.kind]} it would be ${len(s.instead)}`;
  switch (s.by) {
    case 'crest':
      return `The ${part === 'external' ? 'root' : 'bore'} cannot be larger than the crest of ${len(s.against)}: were the two exchanged?`;
    case 'pitch-sides':
      return `${len(s.typed)} is deeper than a pitch of ${len(s.against)} can be.${taken} deep.`;
    case 'pitch':
      return `${len(s.typed)} is no depth for a pitch of ${len(s.against)}.${taken}.`;
    case 'same':
      return `${len(s.typed)} does not go with the ${len(s.against)} already read.${taken}.`;
    case 'angle':
      return `${plain(s.typed)}\u00b0 is half of the ${plain(s.against ?? NaN)}\u00b0 already read. The included angle would be ${plain(s.instead ?? NaN)}\u00b0.`;
    case 'no-form':
      return `${plain(s.typed)}\u00b0 is no included angle of a usual form. Was the half given? The whole would be ${plain(s.instead ?? NaN)}\u00b0.`;
    case 'count':
      return `That would be a pitch of ${len(s.typed)}, where ${len(s.against)} was read. The two half crests at the ends count as one: then it is ${s.instead}.`;
  }
}
