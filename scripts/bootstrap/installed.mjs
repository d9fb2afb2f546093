// Are the packages that the lock file asks for there? By npm's own list of what it put in place, however they were installed.
import { existsSync, readFileSync } from 'node:fs';

const packagesOf = (file) => JSON.parse(readFileSync(file, 'utf8')).packages ?? {};

/**
 * What is missing or of another version; empty when nothing is. Packages besides those of the lock file do no harm.
 * @param {string} root  folder that holds package-lock.json
 * @returns {string[]} places in node_modules, for people to read
 */
export function notInstalled(root = '.') {
  const wanted = packagesOf(`${root}/package-lock.json`);
  let there;
  try {
    // npm writes this last: an installation that was broken off has none
    there = packagesOf(`${root}/node_modules/.package-lock.json`);
  } catch {
    return ['node_modules'];
  }
  const wrong = [];
  for (const [place, want] of Object.entries(wanted)) {
    if (place === '') continue;
    const have = there[place];
    // what is made for another kind of machine is left out
    if (!have && want.optional) continue;
    const same = have && have.version === want.version && have.integrity === want.integrity;
    if (!same || !existsSync(`${root}/${place}/package.json`)) wrong.push(place);
  }
  return wrong;
}
