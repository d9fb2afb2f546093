/** Names under which this machine speaks to itself; under any other the application is opened on purpose, or a page was lured here. */
export const LOOPBACK: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '[::1]']);

export type Named =
  { readonly ok: true; readonly names: ReadonlySet<string> } | { readonly ok: false; readonly message: string };

const RIGHT = 'Right would be a name or an address by which the others find this machine: npm start -- --host shop-pc';
/** A name of a machine, or its address in figures. @see RFC 1123, 2.1 */
const NAME =
  /^(?=.{1,253}$)[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?(\.[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?)*$|^\[[0-9a-f:]+\]$/;
/** Every address at once is no name: then any page could speak to the shop. */
const EVERY = new Set(['0.0.0.0', '[::]', '*']);

/** The names that were given on the command line, none where none was: `--host NAME`, again for another, or several with commas. */
export function namesGiven(args: readonly string[]): Named {
  const names = new Set<string>();
  for (let i = 0; i < args.length; i += 1) {
    const [flag, inline] = (args[i] ?? '').split('=', 2);
    if (flag !== '--host') return { ok: false, message: `${args[i] ?? ''} is not known here. ${RIGHT}` };
    const given = inline ?? args[(i += 1)];
    for (const name of (given ?? '').toLowerCase().split(',')) {
      if (EVERY.has(name) || !NAME.test(name))
        return { ok: false, message: `\u201c${name}\u201d is no name of a machine. ${RIGHT}` };
      names.add(name);
    }
  }
  return { ok: true, names };
}

/** What an unencrypted address can't do, for who starts it. */
export const UNENCRYPTED = [
  'An address of the network is not encrypted. Browsers then give it no offline copy, no camera, no screen that stays awake',
  'and no promise to keep the record; whoever is on the network can read along. Each browser keeps its own shop.',
].join('\n');
