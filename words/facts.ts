import { LENGTH_FACTS } from '../core/job/sameFacts.ts';
import { FINE, lengthText } from '../core/quantity/format.ts';
import { inches, type UnitSystem } from '../core/quantity/units.ts';

interface DialFields {
  readonly unit: UnitSystem;
  readonly division: number;
  readonly perTurn: number;
  readonly reads: 'radius' | 'diameter';
}
const dialFactText = (d: DialFields): string => {
  const step = lengthText(d.unit === 'mm' ? d.division : inches(d.division), d.unit, {
    stepMm: d.division,
    stepIn: d.division,
  });
  return `${d.perTurn} divisions of ${step}${d.reads === 'diameter' ? ' on diameter' : ''}`;
};

/** A fact as a person reads it, in the unit at hand: a length with its unit, dials by their divisions. */
export function factText(fact: string, text: string, u: UnitSystem): string {
  if (LENGTH_FACTS.has(fact) && Number.isFinite(Number(text))) return lengthText(Number(text), u, FINE);
  if (fact === 'Tool') {
    const [kind = '', mm] = text.split(' ');
    return Number.isFinite(Number(mm)) ? `${kind} ${lengthText(Number(mm), u, FINE)}` : text;
  }
  if (fact === 'Dials' && text.startsWith('[')) {
    const [cross, top] = JSON.parse(text) as [DialFields, DialFields];
    return `cross slide ${dialFactText(cross)}, top slide ${dialFactText(top)}`;
  }
  return text;
}
