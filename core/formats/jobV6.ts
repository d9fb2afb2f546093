import { IN_ONE_GO, notHeldYet } from '../job/create.ts';
import { isLoose, type Loose } from './loose.ts';

/**
 * Nobody had said how work is held, how a thread ends, or with what it is cut; depth was cut by one rule throughout.
 * @example jobToV6({ cut: {}, setup: {} }).cut // { stages: null, straightLastMm: 0 }
 */
export const jobToV6 = (doc: Loose): Loose => ({
  ...doc,
  setup: isLoose(doc['setup']) ? { ...notHeldYet(), ...doc['setup'] } : doc['setup'],
  cut: isLoose(doc['cut']) ? { ...IN_ONE_GO, ...doc['cut'] } : doc['cut'],
});
