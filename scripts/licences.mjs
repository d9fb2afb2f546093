// Writes public/licences.txt: every package that ships, or that what ships is made of, with its licence. Run after a change
// of the dependencies; a test says when that was forgotten.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));

/** Packages reached from the dependencies of a package, as Node would find them. */
export function shipped() {
  const found = new Map();
  const visit = (name, from) => {
    for (let folder = from; ; folder = dirname(folder)) {
      const at = join(folder, 'node_modules', name);
      const file = join(at, 'package.json');
      if (existsSync(file)) {
        const pkg = JSON.parse(readFileSync(file, 'utf8'));
        const key = `${pkg.name}@${pkg.version}`;
        if (found.has(key)) return;
        found.set(key, { pkg, at });
        for (const dep of Object.keys(pkg.dependencies ?? {})) visit(dep, at);
        return;
      }
      if (folder === dirname(folder)) return; // an optional one that is not here
    }
  };
  const { dependencies } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'));
  for (const name of Object.keys(dependencies)) visit(name, root);
  return [...found.entries()].sort(([a], [b]) => (a < b ? -1 : 1)).map(([key, x]) => ({ key, ...x }));
}

function textOf(at) {
  const file = readdirSync(at).find((f) => /^(licen[cs]e|copying)/i.test(f));
  return file ? readFileSync(join(at, file), 'utf8').trim() : null;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const byText = new Map();
  for (const { key, pkg, at } of shipped()) {
    const licence = typeof pkg.license === 'string' ? pkg.license : (pkg.license?.type ?? 'see its own files');
    const text = textOf(at) ?? `(${licence}; the package carries no text of its own)`;
    byText.set(text, [...(byText.get(text) ?? []), `${key} (${licence})`]);
  }
  const parts = [...byText].map(([text, names]) => `${names.join('\n')}\n\n${text}\n`);
  writeFileSync(
    join(root, 'public/licences.txt'),
    `What Gelvin is made of, each under its own licence. Made by scripts/licences.mjs.\n\n${parts.join(`\n${'-'.repeat(78)}\n\n`)}`,
  );
}
