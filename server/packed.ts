import type { RequestHandler } from 'express';
import { existsSync } from 'node:fs';
import { extname, join, normalize, sep } from 'node:path';

const ENCODINGS = [
  ['br', '.br'],
  ['gzip', '.gz'],
] as const;

/** Gives a file's packed copy, made at the build, to whoever takes it; what has none goes on as it is. @param dir where the files lie */
export function packed(dir: string): RequestHandler {
  return (req, res, next) => {
    if ((req.method !== 'GET' && req.method !== 'HEAD') || req.headers.range !== undefined) return next();
    let path: string;
    try {
      path = decodeURIComponent(req.path);
    } catch {
      return next();
    }
    const file = normalize(join(dir, path));
    if (!file.startsWith(dir + sep)) return next();
    for (const [encoding, end] of ENCODINGS) {
      if (!existsSync(file + end)) continue;
      res.vary('Accept-Encoding');
      if (req.acceptsEncodings(encoding) !== encoding) continue;
      // the file server keeps a type that is set, and what is packed is not packed again
      res.type(extname(file)).set('Content-Encoding', encoding);
      req.url = req.url.replace(req.path, req.path + end);
      break;
    }
    next();
  };
}
