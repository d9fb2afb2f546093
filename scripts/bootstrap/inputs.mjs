// Is what was built still built from what is there? Kept: a list of the sources with what was in each.
import { createHash } from 'node:crypto';
import { readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';

/** @typedef {Record<string, { size: number, mtimeMs: number, hash: string }>} Inputs */

const hashOf = (file) => createHash('sha256').update(readFileSync(file)).digest('hex');

/** Every file of some files and folders, in order; one that is not there is left out. @param {readonly string[]} roots */
function filesOf(roots) {
  const out = [];
  const walk = (path) => {
    const stat = statSync(path, { throwIfNoEntry: false });
    if (!stat) return;
    if (!stat.isDirectory()) out.push({ path, size: stat.size, mtimeMs: stat.mtimeMs });
    else for (const name of readdirSync(path).sort()) walk(`${path}/${name}`);
  };
  for (const root of roots) walk(root);
  return out;
}

/**
 * The inputs as they are. A file whose size and time are as they were is not read again.
 * @param {readonly string[]} roots  @param {(path: string) => boolean} counts  made files, tests and notes do not
 * @param {Inputs} known  an earlier list
 * @returns {Inputs}
 */
export function inputsOf(roots, counts, known = {}) {
  const out = {};
  for (const { path, size, mtimeMs } of filesOf(roots)) {
    if (!counts(path)) continue;
    const was = known[path];
    const hash = was && was.size === size && was.mtimeMs === mtimeMs ? was.hash : hashOf(path);
    out[path] = { size, mtimeMs, hash };
  }
  return out;
}

/** The same files with the same contents; their times mean nothing. @param {Inputs} a @param {Inputs} b */
export const sameInputs = (a, b) => {
  const names = Object.keys(a);
  return names.length === Object.keys(b).length && names.every((name) => a[name].hash === b[name]?.hash);
};

/** @returns {Inputs | null} null: nothing was written, or it cannot be read */
export function readInputs(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return null;
  }
}
export const writeInputs = (file, inputs) => writeFileSync(file, JSON.stringify(inputs));
