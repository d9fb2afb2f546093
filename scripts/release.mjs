// `npm run release -- patch|minor|major`: notes, version and tag. What stands under "Unreleased" becomes the new version's.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';

const [step = 'patch'] = process.argv.slice(2);
const fail = (why) => {
  console.error(why);
  process.exit(1);
};
const git = (...args) => {
  const r = spawnSync('git', args, { encoding: 'utf8' });
  if (r.status !== 0) fail(r.stderr);
  return r.stdout.trim();
};
if (!['patch', 'minor', 'major'].includes(step)) fail('Say patch, minor or major.');
if (git('status', '--porcelain') !== '') fail('Commit or put aside what is changed first.');

const log = readFileSync('CHANGELOG.md', 'utf8');
const notes = /## Unreleased\n+([\s\S]*?)(?=\n## |$)/.exec(log)?.[1]?.trim() ?? '';
if (notes === '') fail('CHANGELOG.md has nothing under "Unreleased": say what has changed.');

const bump = (file) => {
  const doc = JSON.parse(readFileSync(file, 'utf8'));
  const [major, minor, patch] = doc.version.split('.').map(Number);
  const next = { major: [major + 1, 0, 0], minor: [major, minor + 1, 0], patch: [major, minor, patch + 1] }[step].join(
    '.',
  );
  doc.version = next;
  if (doc.packages?.['']) doc.packages[''].version = next;
  writeFileSync(file, `${JSON.stringify(doc, null, 2)}\n`);
  return next;
};
const version = bump('package.json');
bump('package-lock.json');
const day = new Date().toISOString().slice(0, 10);
writeFileSync('CHANGELOG.md', log.replace('## Unreleased\n', `## Unreleased\n\n## ${version} (${day})\n`));
git('commit', '-qam', `Version ${version}`);
git('tag', '-a', `v${version}`, '-m', notes);
console.log(`${version} is committed and tagged. Push it with: git push --follow-tags`);
