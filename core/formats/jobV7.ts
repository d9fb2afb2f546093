import { notProvedYet } from '../job/create.ts';
import { each, isLoose, type Loose } from './loose.ts';

/**
 * Wires were always three, mates had no length, and nobody said where one bound or how warm the part was.
 * @example jobToV7({ events: [{ kind: 'tried' }] }).events // [{ lengthMm: null, where: null, atMm: null, kind: 'tried' }]
 */
export const jobToV7 = (doc: Loose): Loose => ({
  ...doc,
  prove: isLoose(doc['prove']) ? { ...notProvedYet(), ...doc['prove'] } : doc['prove'],
  events: each(doc['events'], (e) =>
    e['kind'] === 'tried'
      ? { lengthMm: null, where: null, atMm: null, ...e }
      : e['kind'] === 'overWires'
        ? { count: 3, majorMm: null, warmK: null, atMm: null, ...e }
        : e,
  ),
});
