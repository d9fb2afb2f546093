import { UNMEASURED } from '../job/create.ts';
import { isLoose, type Loose } from './loose.ts';

/**
 * Nobody had measured head, groove or plain end of a part, nor aimed by hand.
 * @example jobToV5({ fit: {} }).fit.aim // { pitchMm: null, startMm: null }
 */
export const jobToV5 = (doc: Loose): Loose => ({
  part: { ...UNMEASURED },
  ...doc,
  fit: isLoose(doc['fit']) ? { aim: { pitchMm: null, startMm: null }, ...doc['fit'] } : doc['fit'],
});
