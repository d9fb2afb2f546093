import { each, isLoose, type Loose } from './loose.ts';

/**
 * An offset was always read by a dial; nothing was keyed in, counted or run over.
 * @example jobToV8({ events: [{ kind: 'offsetRead' }] }).events // [{ by: 'dial', kind: 'offsetRead' }]
 */
export const jobToV8 = (doc: Loose): Loose => ({
  ...doc,
  pickup: isLoose(doc['pickup']) ? { leadsOut: null, overMm: null, ...doc['pickup'] } : doc['pickup'],
  events: each(doc['events'], (e) =>
    e['kind'] === 'offsetRead' ? { by: 'dial', ...e } : e['kind'] === 'inGroove' ? { startMm: null, ...e } : e,
  ),
});
