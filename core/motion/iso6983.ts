import { MM_PER_INCH } from '../quantity/units.ts';
import type { Motion } from './motion.ts';

/** How a program is written for this control. */
export interface ProgramChoice {
  readonly unit: 'mm' | 'in';
  /** The word of a thread block at this control. */
  readonly word: 'G33' | 'G32';
  /** X is written as a diameter; else as a radius. */
  readonly diameterProgramming: boolean;
  readonly rpm: number;
  readonly leadMm: number;
  /** What is said at its head, line by line; brackets and all that is not plain is taken out. */
  readonly comments: readonly string[];
}

/** No place, and no lead over its travel, is off by more than this, mm. */
const WITHIN_MM = 0.0005;
const MOST_LINE = 80;
const MOST_DECIMALS = 9;
/** Block numbers go up by so much, so that one can be put between. */
const STEP = 10;

/** A comment as a control takes it: capitals, plain, without brackets of its own, cut into lines. */
function commentLines(said: string): string[] {
  const plain = said
    .toUpperCase()
    .replace(/\u00d7/g, 'X')
    .replace(/[\u2013\u2014\u2212]/g, '-')
    .replace(/[()%;]/g, ' ')
    .replace(/[^ -~]/g, '')
    .replace(/\s+/g, ' ')
    .trim();
  const lines: string[] = [];
  for (const word of plain.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length + 3 <= MOST_LINE) lines[lines.length - 1] = `${last} ${word}`;
    else if (word !== '') lines.push(word.slice(0, MOST_LINE - 2));
  }
  return lines.map((l) => `(${l})`);
}

/**
 * The passes as plain ISO 6983 text, one block a motion: rapids move one axis, never through metal; each pass goes along Z off
 * the surface, straight in, through the thread, straight out, and back. @see ISO 6983-1; G32 is what some controls call G33
 * @example programOf(value(motionOf({ member: 'external', hand: 'right', leadMm: 2, starts: 1, taper: 0, surfaceMm: 30, threadMm: 40, reliefMm: 6, startLeads: 3, grooveMm: null, clearanceMm: 1, boreClearMm: null, passes: [{ depthMm: 0.4, axialMm: 0 }], rpm: 200 })), { unit: 'mm', word: 'G33', diameterProgramming: true, rpm: 200, leadMm: 2, comments: [] }).split(/\r?\n/).find((l) => l.includes('G33')) // 'N60 G33 X29.2 Z-40. F2.'
 */
export function programOf(m: Motion, c: ProgramChoice): string {
  const scale = c.unit === 'mm' ? 1 : 1 / MM_PER_INCH;
  const fixed = (v: number, decimals: number): string => {
    const text = v.toFixed(decimals);
    const out = Number(text) === 0 ? (0).toFixed(decimals) : text;
    // a point always, for some controls read X30 as 0.030
    return out.replace(/(\.\d*?)0+$/, '$1');
  };
  const places = c.unit === 'mm' ? 4 : 5;
  const x = (mm: number): string => `X${fixed(mm * scale * (c.diameterProgramming ? 1 : 0.5), places)}`;
  const z = (mm: number): string => `Z${fixed(mm * scale, places)}`;
  const longest = Math.max(...m.travels.map((t) => Math.abs(t.fromZ - t.toZ))) / c.leadMm;
  let decimals = places;
  const lead = c.leadMm * scale;
  while (
    decimals < MOST_DECIMALS &&
    (Math.abs(Number(lead.toFixed(decimals)) - lead) / scale) * longest > WITHIN_MM / 2
  )
    decimals += 1;
  const f = `F${fixed(lead, decimals)}`;
  const clear = x(m.start.xMm);
  const blocks: string[] = [
    `G${c.unit === 'mm' ? 21 : 20} G90`,
    `G95 G97 S${Math.round(c.rpm)} M3`,
    `G0 ${clear}`,
    ...m.travels.flatMap((t) => [
      `G0 ${z(t.fromZ)}`,
      `G0 ${x(t.fromX)}`,
      `${c.word} ${x(t.toX)} ${z(t.toZ)} ${f}`,
      `G0 ${clear}`,
    ]),
    // off the face, wherever the last pass ended
    `G0 ${z(Math.max(m.start.zMm, m.end.zMm, c.leadMm))}`,
    'M5',
    'M30',
  ];
  return ['%', ...c.comments.flatMap(commentLines), ...blocks.map((b, i) => `N${(i + 1) * STEP} ${b}`), '%', ''].join(
    '\n',
  );
}
