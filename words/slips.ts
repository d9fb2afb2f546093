import type { Slip } from '../core/reading/slips.ts';
import { taperText } from './reasons.ts';
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
  'whole-angle': 'the whole angle',
  'taper-a-side': 'a side',
  'both-ends': 'both ends counted',
  'both-sides': 'both sides together (on diameter)',
};

/** Why a reading looks wrong, and what it would be. */
export function slipText(s: Slip, part: 'external' | 'internal', u: UnitSystem): string {
  const len = (mm: number | null): string => (mm === null ? '' : lengthText(mm, u, FINE));
  const taken = ` Taken as ${TAKEN_AS[s.kind]} it would be ${len(s.instead)}`;
  switch (s.by) {
    case 'crest':
      return part === 'external'
        ? `The root cannot be larger than the crest of ${len(s.against)}: were the two exchanged?`
        : `The bore cannot be larger than the root of the nut, ${len(s.against)}: were the two exchanged?`;
    case 'pitch-sides':
      return `${len(s.typed)} is deeper than a pitch of ${len(s.against)} can be.${taken} deep.`;
    case 'pitch':
      return `${len(s.typed)} is no depth for a pitch of ${len(s.against)}.${taken}.`;
    case 'same':
      return `${len(s.typed)} does not go with the ${len(s.against)} already read.${taken}.`;
    case 'origin':
      return `Inches? The part is of an inch country, and ${len(s.typed)} is small. ${plain(s.typed)} in would be ${len(s.instead)}.`;
    case 'alone':
      if (s.kind === 'taper-a-side')
        return `Taken on the diameter. ${taperText(s.typed)} a side would be ${taperText(s.instead ?? NaN)} on the diameter.`;
      return `A whole thread ${len(s.typed)} across?${taken}.`;
    case 'angle':
      if (s.kind === 'whole-angle')
        return `${plain(s.typed)}\u00b0 is the whole angle already read. One flank would be ${plain(s.instead ?? NaN)}\u00b0.`;
      return `${plain(s.typed)}\u00b0 is half of the ${plain(s.against ?? NaN)}\u00b0 already read. The included angle would be ${plain(s.instead ?? NaN)}\u00b0.`;
    case 'no-form':
      if (s.kind === 'whole-angle')
        return `No flank leans ${plain(s.typed)}\u00b0 from square. Was the whole given? The half would be ${plain(s.instead ?? NaN)}\u00b0.`;
      return `${plain(s.typed)}\u00b0 is no included angle of a usual form. Was the half given? The whole would be ${plain(s.instead ?? NaN)}\u00b0.`;
    case 'count':
      return `That would be a pitch of ${len(s.typed)}, where ${len(s.against)} was read. The two half crests at the ends count as one: then it is ${s.instead}.`;
  }
}
