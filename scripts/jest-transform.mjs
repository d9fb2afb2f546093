import { createHash } from 'node:crypto';
import swc from '@swc/jest';

/**
 * Jest runs each file in a context of its own, where every look-up of a global is a call out of the engine: `Math.abs` in a loop
 * costs some forty times what it does in the browser. Each module is therefore given the
 * globals that it uses as constants of its own, looked up once.
 */
const HELD = ['Math', 'Number', 'Array', 'Object', 'Map', 'Set', 'Float64Array', 'Float32Array', 'Infinity', 'NaN'];
const FORM = 1;

const holding = (code) => {
  const used = HELD.filter(
    (name) =>
      new RegExp(`(?<![.\\w$])${name}\\b`).test(code) &&
      !new RegExp(`(?:\\b(?:const|let|var|function|class)\\s+${name}\\b|\\bimport\\b[^;]*\\b${name}\\b)`).test(code),
  );
  // on the first line, so that no line moves
  return used.length === 0 ? code : `const { ${used.join(', ')} } = globalThis; ${code}`;
};
const held = (result) => ({ ...result, code: holding(result.code) });

export default {
  createTransformer(options) {
    const inner = swc.createTransformer(options);
    return {
      canInstrument: inner.canInstrument,
      process: (...args) => held(inner.process(...args)),
      processAsync: async (...args) => held(await inner.processAsync(...args)),
      getCacheKey: (...args) =>
        createHash('sha256')
          .update(inner.getCacheKey(...args))
          .update(`${FORM} ${HELD.join()}`)
          .digest('hex'),
    };
  },
};
