import { parseLength } from '../quantity/length.ts';
import { bad, good, type Outcome } from '../quantity/outcome.ts';
import { parsePitch } from '../quantity/pitch.ts';
import { readNumber } from '../quantity/number.ts';
import {
  exact,
  INCH_MM,
  isPositive,
  isWhole,
  mixedText,
  numberOf,
  rationalOf,
  shortText,
  textOf,
  type Rational,
} from '../quantity/rational.ts';
import { CATALOGUE, designate, FAMILIES, familyOf, type StandardThread } from './catalogue.ts';
import type { FamilyId } from './family.ts';
import { specialThread, threadOfRow, unlistedThread, type ThreadSpec } from './thread.ts';

/** A designation read: the thread, its class and what is worth saying. */
export interface Designated {
  readonly thread: ThreadSpec;
  /** Tolerance class as written after the size ("6g", "2A", "B"), or null. */
  readonly class: string | null;
  /** False for a size or pitch that no table lists. */
  readonly listed: boolean;
}

interface Tail {
  readonly starts: number;
  readonly leftHand: boolean;
  readonly class: string | null;
}

const FIELD = 'designation';
const SIZE = String.raw`(#\s*\d+|no\.?\s*\d+|\d+\s*-\s*\d+\s*/\s*\d+|\d+\s+\d+\s*/\s*\d+|\d+\s*/\s*\d+|\d*\.\d+|\d+)`;
const NUM = String.raw`(\d+(?:\.\d+)?|\.\d+)`;
/** Threads per inch, halves and quarters as a fraction: `4 1/2`. */
const TPI = String.raw`(\d+(?:\.\d+)?(?:\s+\d\s*/\s*\d)?|\.\d+)`;
const METRIC = new RegExp(
  `^(M|Tr|S)\\s*${NUM}\\s*(?:mm)?(?:\\s*x\\s*(Ph\\s*)?${NUM}\\s*(?:mm)?\\s*(?:\\(?\\s*P\\s*${NUM}\\s*\\)?)?)?(?:\\s*-?\\s*(LH))?(?:\\s*-\\s*(\\d[a-zA-Z](?:\\d[a-zA-Z])?(?:/\\d[a-zA-Z]+)?))?(?:\\s*-\\s*(LH))?$`,
  'i',
);
const ROUND = new RegExp(`^Rd\\s*${NUM}\\s*(?:mm)?(?:\\s*x\\s*1\\s*/\\s*${NUM}\\s*"?)?$`, 'i');
const PIPE = new RegExp(
  `^(G|Rp|Rc|R|BSPP|BSPT|BSP)\\s*${SIZE}\\s*"?(?:\\s*-?\\s*(A|B))?$|^${SIZE}\\s*"?\\s*(BSPP|BSPT|BSP)$`,
  'i',
);
const INCH = new RegExp(
  `^${SIZE}\\s*(?:"|in\\.?)?\\s*(?:(?:-|x|\\s)\\s*${TPI}(?:\\s*(?:tpi))?)?\\s*-?\\s*([a-z][a-z\\s.-]*?)?(?:\\s*-\\s*(\\d[ABGC]|close|medium|free|normal))?$`,
  'i',
);
const FRACTION_SIGNS: Readonly<Record<string, string>> = {
  '\u00bc': '1/4',
  '\u00bd': '1/2',
  '\u00be': '3/4',
  '\u215b': '1/8',
  '\u215c': '3/8',
  '\u215d': '5/8',
  '\u215e': '7/8',
};

/**
 * Reads a thread designation, tolerant of spaces, case, unit marks and the multiplication sign.
 * @returns the thread, or what is wrong with the nearest right designations.
 * @example value(parseDesignation('m10 x 1,5 - 6g')).class // '6g'
 */
export function parseDesignation(text: string): Outcome<Designated> {
  const clean = text
    .trim()
    .replace(/[\u00d7\u2715*]/g, 'x')
    .replace(/[\u2033\u201d\u201c]/g, '"')
    .replace(/[\u2013\u2014]/g, '-')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/[\u00bc-\u00be\u215b-\u215e]/g, (sign) => ` ${FRACTION_SIGNS[sign] ?? ''}`)
    .replace(/\s+/g, ' ');
  if (clean === '') return bad(FIELD, 'no-designation');
  const { body, tail } = takeTail(clean);
  for (const read of [metric, roundThread, nameAndSize, pipe, inch, special]) {
    const found = read(body, tail);
    if (found) return found;
  }
  return bad(FIELD, 'not-a-designation', { typed: text.trim(), near: nearest(clean) });
}

function takeTail(clean: string): { body: string; tail: Tail } {
  let body = clean;
  let starts = 1;
  let leftHand = false;
  let m: RegExpExecArray | null;
  for (;;) {
    if ((m = /[\s-]*\b(LH|L\.H\.|left[\s-]?hand(ed)?)$/i.exec(body))) leftHand = true;
    else if ((m = /[\s-]*\b(RH|R\.H\.|right[\s-]?hand(ed)?)$/i.exec(body))) leftHand = false;
    else if ((m = /[\s,]+(\d+|single|two|double|three|triple|four)[\s-]?start$/i.exec(body)))
      starts = startsOf(m[1] ?? '1');
    else break;
    body = body.slice(0, m.index).trim();
  }
  return { body, tail: { starts, leftHand, class: null } };
}

function startsOf(word: string): number {
  const named: Readonly<Record<string, number>> = { single: 1, two: 2, double: 2, three: 3, triple: 3, four: 4 };
  return named[word.toLowerCase()] ?? Number(word);
}

const made = (thread: ThreadSpec, cls: string | null, listed: boolean): Outcome<Designated> =>
  good({ thread, class: cls, listed });

const tooManyStarts = (starts: number): Outcome<Designated> | null =>
  starts >= 1 && starts <= 12 ? null : bad(FIELD, 'too-many-starts', { starts });

/** Rows by family, and those of inch sizes by their label: a designation is looked up, not searched for. */
function indexed<K>(rows: readonly StandardThread[], key: (r: StandardThread) => K): ReadonlyMap<K, StandardThread[]> {
  const out = new Map<K, StandardThread[]>();
  for (const r of rows) {
    const list = out.get(key(r));
    if (list) list.push(r);
    else out.set(key(r), [r]);
  }
  return out;
}
const BY_FAMILY = indexed(CATALOGUE, (r) => r.family);
const BY_LABEL = indexed(
  CATALOGUE.filter((r) => familyOf(r.family).system === 'in'),
  (r) => r.size,
);
const rowsFor = (family: FamilyId): readonly StandardThread[] => BY_FAMILY.get(family) ?? [];
const sameSize = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;

/** M, Tr and S: diameter x pitch, or diameter x lead (P pitch). */
function metric(body: string, tail: Tail): Outcome<Designated> | null {
  const m = METRIC.exec(body);
  if (!m) return null;
  const [, name = '', size = '', , first, second, lh1, cls, lh2] = m;
  const family = (/^m$/i.test(name) ? 'M' : /^tr$/i.test(name) ? 'Tr' : 'S') as FamilyId;
  const leftHand = tail.leftHand || lh1 !== undefined || lh2 !== undefined;
  const majorMm = Number(size);
  if (!(majorMm > 0 && majorMm <= 2000)) return bad(FIELD, 'diameter-out-of-reach', { typed: size });
  const rows = rowsFor(family).filter((r) => sameSize(r.majorMm, majorMm));
  if (first === undefined) {
    const coarse = rows.find((r) => r.coarse);
    if (coarse) return made(threadOfRow(coarse, tail.starts, leftHand), cls ?? null, true);
    return bad(FIELD, 'no-coarse-pitch', { typed: `${name}${size}`, near: offer(rows, nearestSizes(family, majorMm)) });
  }
  const lead = exact(padded(first));
  const pitch = second === undefined ? lead : exact(padded(second));
  if (!isPositive(lead) || !isPositive(pitch)) return bad(FIELD, 'not-above-zero', { right: 'M10x1.5' });
  const ratio = lead.div(pitch);
  if (!isWhole(ratio))
    return bad(FIELD, 'lead-not-whole', {
      lead: first,
      pitch: second ?? '',
      right: `${name} ${size}x${shortText(pitch.mul(2n))} (P${second})`,
    });
  const starts = second === undefined ? tail.starts : Number(ratio.n);
  const refused = tooManyStarts(starts);
  if (refused) return refused;
  if (numberOf(pitch) * 1.05 > majorMm)
    return bad(FIELD, 'pitch-too-coarse-for', {
      pitch: `${shortText(pitch)} mm`,
      size: `${size} mm`,
      near: offer(rows, nearestSizes(family, majorMm)),
    });
  const row = rows.find((r) => r.pitch === textOf(pitch));
  if (row) return made(threadOfRow(row, starts, leftHand), cls ?? null, true);
  return made(
    unlistedThread(family, shortText(exact(padded(size))), majorMm, pitch, starts, leftHand),
    cls ?? null,
    false,
  );
}

function roundThread(body: string, tail: Tail): Outcome<Designated> | null {
  const m = ROUND.exec(body);
  if (!m) return null;
  const [, size = '', tpi] = m;
  const rows = rowsFor('Rd').filter((r) => sameSize(r.majorMm, Number(size)));
  if (tpi === undefined) {
    const only = rows[0];
    return only
      ? made(threadOfRow(only, tail.starts, tail.leftHand), null, true)
      : bad(FIELD, 'not-in-table', { typed: `Rd ${size}`, near: nearestSizes('Rd', Number(size)) });
  }
  if (Number(tpi) <= 0) return bad(FIELD, 'not-above-zero', { right: 'Rd 40x1/6' });
  const pitch = INCH_MM.div(exact(padded(tpi)));
  const row = rows.find((r) => r.pitch === textOf(pitch));
  if (row) return made(threadOfRow(row, tail.starts, tail.leftHand), null, true);
  return made(unlistedThread('Rd', size, Number(size), pitch, tail.starts, tail.leftHand), null, false);
}

/** So many sizes are offered one by one; of more the first and the last. */
const FEW = 12;

/** `2 BA`, `Pg 16`: families that are written by their name and a size. */
function nameAndSize(body: string, tail: Tail): Outcome<Designated> | null {
  for (const { id, named } of FAMILIES) {
    const caught = named?.exec(body)?.slice(1).find(Boolean);
    if (caught === undefined) continue;
    const rows = rowsFor(id);
    const row = rows.find((r) => r.size === caught);
    if (row) return made(threadOfRow(row, tail.starts, tail.leftHand), null, true);
    const all = rows.map((r) => r.designation);
    return bad(FIELD, 'not-in-table', {
      // as its family writes it: no pitch is said, so any will do
      typed: designate(id, caught, INCH_MM),
      near: all.length <= FEW ? all.join(', ') : `${all[0]} to ${all.at(-1)}`,
    });
  }
  return null;
}

function pipe(body: string, tail: Tail): Outcome<Designated> | null {
  const m = PIPE.exec(body);
  if (!m) return null;
  const name = (m[1] ?? m[5] ?? '').toUpperCase();
  const sealing = ['R', 'RC', 'RP', 'BSPT'].includes(name);
  const family: FamilyId = sealing ? 'R' : 'G';
  const label = labelOf(m[2] ?? m[4] ?? '');
  const row = rowsFor(family).find((r) => r.size === label);
  if (!row)
    return bad(FIELD, 'not-a-pipe-size', {
      typed: `${family} ${label}`,
      near: rowsFor(family)
        .map((r) => r.size)
        .join(', '),
    });
  const thread = threadOfRow(row, tail.starts, tail.leftHand);
  // ISO 7-1: Rc is the taper socket, Rp the parallel one; both belong to the R sizes
  const sockets: Readonly<Record<string, ThreadSpec>> = {
    RC: { ...thread, designation: thread.designation.replace(/^R /, 'Rc ') },
    RP: { ...thread, designation: thread.designation.replace(/^R /, 'Rp '), form: 'pipe55' },
  };
  return made(sockets[name] ?? thread, m[3]?.toUpperCase() ?? null, true);
}

/** "1-1/4", "1 1/4" and "1.25" all become "1 1/4"; "no 8" becomes "#8". */
function labelOf(size: string): string {
  const number = /^(?:#|no\.?)\s*(\d+)$/i.exec(size);
  if (number) return `#${number[1]}`;
  const value = inchOf(size);
  return value === null
    ? size
    : [1n, 2n, 4n, 8n, 16n, 32n, 64n].includes(value.d)
      ? mixedText(value)
      : shortText(value);
}

function inchOf(size: string): Rational | null {
  const head = readNumber(size.replace(/"/g, ''), FIELD);
  return head.ok && head.value.rest === '' ? head.value.value : null;
}

function inch(body: string, tail: Tail): Outcome<Designated> | null {
  const m = INCH.exec(body);
  if (!m) return null;
  const [, sizeRaw = '', tpiRaw, nameRaw, cls] = m;
  const name = nameRaw?.trim().replace(/-$/, '');
  const family = name === undefined || name === '' ? null : FAMILIES.find((f) => f.spelled?.test(name))?.id;
  if (family === undefined) return null;
  if (family === null && tpiRaw === undefined) return null;
  const label = labelOf(sizeRaw);
  const candidates = BY_LABEL.get(label) ?? [];
  const tpi = tpiRaw === undefined ? null : tpiRaw.includes('/') ? inchOf(tpiRaw) : rationalOf(padded(tpiRaw));
  if (tpi !== null && !isPositive(tpi)) return bad(FIELD, 'not-above-zero', { right: '1/2-13 UNC' });
  const pitch = tpi === null ? null : INCH_MM.div(tpi);
  const matches = candidates.filter(
    (r) =>
      (family === null
        ? ['UNC', 'UNF', 'UNEF', 'UN', 'UNS'].includes(r.family)
        : r.family === family || (family === 'UN' && ['UNC', 'UNF', 'UNEF'].includes(r.family))) &&
      (pitch === null || r.pitch === textOf(pitch)),
  );
  const classText = cls?.toUpperCase() ?? null;
  const row = matches[0];
  if (row && (pitch !== null || matches.length === 1))
    return made(threadOfRow(row, tail.starts, tail.leftHand), classText, true);
  if (pitch === null) {
    return bad(FIELD, 'several-pitches', {
      typed: `${label} ${name}`,
      several: matches.length > 1,
      near: offer(matches.length > 1 ? matches : [], nearestSizes(family ?? 'UNC', majorOf(sizeRaw, candidates) ?? 10)),
    });
  }
  const major = majorOf(sizeRaw, candidates);
  if (major === null) return bad(FIELD, 'not-a-size', { typed: label });
  if (numberOf(pitch) * 1.05 > major)
    return bad(FIELD, 'pitch-too-coarse-for', {
      pitch: `${tpiRaw} tpi`,
      size: label,
      near: nearestSizes(family ?? 'UNC', major),
    });
  const kind =
    family === null || family === 'UNC' || family === 'UNF' || family === 'UNEF' || family === 'UN' ? 'UNS' : family;
  if (kind === 'NPT' || kind === 'NPTF')
    return bad(FIELD, 'taper-pipe-tpi', {
      size: label,
      tpi: tpiRaw ?? '',
      near: offer(
        candidates.filter((r) => r.family === kind),
        '1/2-14 NPT',
      ),
    });
  return made(unlistedThread(kind, label, major, pitch, tail.starts, tail.leftHand), classText, false);
}

function majorOf(size: string, candidates: readonly StandardThread[]): number | null {
  const plain = candidates.find((r) => r.family !== 'NPT' && r.family !== 'NPTF' && r.family !== 'Hose');
  if (plain) return plain.majorMm;
  const number = /^(?:#|no\.?)\s*(\d+)$/i.exec(size);
  // ASME B1.1: number sizes are 0.060 in + 0.013 in a number
  if (number) return Number(number[1]) <= 14 ? 25.4 * (0.06 + 0.013 * Number(number[1])) : null;
  const value = inchOf(size);
  return value === null || !isPositive(value) ? null : numberOf(value.mul(INCH_MM));
}

/** `30 mm x 7.5 TPI 55`, `3/4 in x 4.5 TPI 29`, `40 mm x 6 mm 45/7`. */
function special(body: string, tail: Tail): Outcome<Designated> | null {
  const m = /^(.+?)\s*x\s*(.+?)\s+(\d+(?:\.\d+)?)(?:\s*\/\s*(\d+(?:\.\d+)?))?\s*(?:\u00b0|deg)?$/i.exec(body);
  if (!m) return null;
  const [, sizeText = '', pitchRaw = '', a = '', b] = m;
  const size = parseLength(sizeText, { system: 'mm', field: FIELD, maxMm: 2000 });
  if (!size.ok) return size;
  const pitch = parsePitch(pitchRaw, FIELD);
  if (!pitch.ok) return pitch;
  const refused = tooManyStarts(tail.starts);
  if (refused) return refused;
  const [one, two] = [Number(a), b === undefined ? null : Number(b)];
  if (two === null ? one > 120 : Math.max(one, two) > 60) return bad(FIELD, 'no-form-angle', { typed: a });
  const flanks = two === null ? one : { leadingDeg: one, trailingDeg: two };
  return made(
    specialThread({
      majorMm: size.value.mm,
      sizeSystem: size.value.system,
      pitch: pitch.value.exactMm,
      flanks,
      starts: tail.starts,
      leftHand: tail.leftHand,
    }),
    null,
    false,
  );
}

const padded = (text: string): string => (text.startsWith('.') ? `0${text}` : text);
const offer = (rows: readonly StandardThread[], otherwise: string): string =>
  rows.length > 0 ? rows.map((r) => r.designation).join(', ') : otherwise;

const nearestSizes = (family: FamilyId, majorMm: number): string =>
  rowsFor(family)
    .toSorted((a, b) => Math.abs(a.majorMm - majorMm) - Math.abs(b.majorMm - majorMm))
    .slice(0, 3)
    .map((r) => r.designation)
    .join(', ');

/** The catalogue's designations that share most letter pairs with the text. */
function nearest(text: string): string {
  const pairs = (t: string): Set<string> => {
    const s = t.toLowerCase().replace(/\s+/g, '');
    return new Set(Array.from({ length: Math.max(0, s.length - 1) }, (_, i) => s.slice(i, i + 2)));
  };
  const want = pairs(text);
  const score = (d: string): number => {
    const have = pairs(d);
    return (2 * [...have].filter((p) => want.has(p)).length) / (have.size + want.size);
  };
  return CATALOGUE.map((r) => ({ d: r.designation, s: score(r.designation) }))
    .toSorted((a, b) => b.s - a.s)
    .slice(0, 3)
    .map((r) => r.d)
    .join(', ');
}
