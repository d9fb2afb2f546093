type Loose = Record<string, unknown>;
const part = (doc: Loose, key: string): Loose => {
  const x = doc[key];
  return typeof x === 'object' && x !== null && !Array.isArray(x) ? (x as Loose) : {};
};

/**
 * "Made to its mate" was yes or no; nobody had said anything of worn places, of cleaning up or of steps of one's own.
 * @example jobToV4({ fit: { toMate: true } }).fit.to // 'mate'
 */
export function jobToV4(doc: Loose): Loose {
  const { toMate, ...fit } = part(doc, 'fit');
  return {
    ...doc,
    fit: { to: toMate === true ? 'mate' : 'clearance', wornMate: 'thickest', travel: null, clean: null, ...fit },
    cut: { deeperStepMm: null, ...part(doc, 'cut') },
  };
}
