import type { Evidence, Part } from '../../core/evidence/evidence.ts';
import type { Expectation } from '../../core/reading/expectation.ts';
import { rank } from '../../core/identify/rank.ts';

/** A part that was dealt: what it really is, and what was read off it. Rows and specials carry the sizes of their tables. */
export interface Dealt {
  readonly truth: {
    readonly majorMm: number;
    readonly pitchMm: number;
    readonly leadingDeg: number;
    readonly trailingDeg: number;
    readonly taper: number;
    readonly starts: number;
    readonly special: boolean;
    readonly group: string;
  };
  readonly part: Part;
  readonly evidence: readonly Evidence[];
}

interface Band {
  /** Band of stated probability, 0 to 1. */
  readonly from: number;
  readonly to: number;
  readonly parts: number;
  /** Mean of what was stated, and share that was right. */
  readonly stated: number;
  readonly right: number;
}
interface Group {
  readonly group: string;
  readonly parts: number;
  readonly right: number;
  /** Of specials: how many had their pitch within 0.2 %. */
  readonly pitchRight: number;
}
export interface Score {
  readonly parts: number;
  /** Share named rightly at the first place. */
  readonly top: number;
  /** Mean of -ln of what was given to the truth; what was given nothing counts as a millionth. */
  readonly logLoss: number;
  readonly bands: readonly Band[];
  readonly groups: readonly Group[];
}

const BANDS = [0, 0.3, 0.5, 0.6, 0.7, 0.8, 0.9, 0.95, 0.99, 1.0001];
const LEAST = 1e-6;
/** Candidates looked through for the truth. */
const MOST = 400;
/** Pitch of a special counts as right within this. */
const PITCH_SHARE = 0.002;

/** True when the two would be the same piece of metal: size, pitch, form and starts agree, whatever the table calls it. */
const sameMetal = (row: { readonly majorMm: number }, a: Expectation, b: Dealt['truth']): boolean =>
  Math.abs(row.majorMm - b.majorMm) < 0.02 &&
  Math.abs(a.pitchMm / b.pitchMm - 1) < 1e-4 &&
  a.leadingDeg === b.leadingDeg &&
  a.trailingDeg === b.trailingDeg &&
  a.taper === b.taper;

/** Names many dealt parts and compares what was stated with what was right. @param deal one part a call */
export function score(parts: number, deal: () => Dealt): Score {
  const bins = BANDS.slice(1).map(() => ({ parts: 0, stated: 0, right: 0 }));
  const groups = new Map<string, { parts: number; right: number; pitchRight: number }>();
  let top = 0;
  let loss = 0;
  for (let i = 0; i < parts; i += 1) {
    const { truth, part, evidence } = deal();
    const { candidates, special } = rank({ part, evidence, context: { origin: null, use: null }, most: MOST });
    const best = candidates[0];
    const specialWins = !best || special.probability > best.probability;
    const isIt = (c: (typeof candidates)[number]): boolean =>
      !truth.special && c.starts === truth.starts && sameMetal(c.thread, c.expectation, truth);
    // rows that are one piece of metal under two names are added up before the verdict
    const alike = candidates.filter(
      (c) =>
        best !== undefined &&
        c.starts === best.starts &&
        sameMetal(c.thread, c.expectation, { ...best.expectation, ...best.thread, special: false, group: '' }),
    );
    const stated = specialWins ? special.probability : alike.reduce((s, c) => s + c.probability, 0);
    const right = specialWins ? truth.special : best !== undefined && isIt(best);
    const given = truth.special ? special.probability : candidates.filter(isIt).reduce((s, c) => s + c.probability, 0);
    if (right) top += 1;
    loss -= Math.log(Math.max(LEAST, given));
    const bin = bins[BANDS.findIndex((b, j) => stated >= b && stated < (BANDS[j + 1] ?? 2))];
    if (bin) {
      bin.parts += 1;
      bin.stated += stated;
      if (right) bin.right += 1;
    }
    const group = groups.get(truth.group) ?? { parts: 0, right: 0, pitchRight: 0 };
    group.parts += 1;
    if (right) group.right += 1;
    if (truth.special && Math.abs(special.pitchMm / truth.pitchMm - 1) <= PITCH_SHARE) group.pitchRight += 1;
    groups.set(truth.group, group);
  }
  return {
    parts,
    top: top / parts,
    logLoss: loss / parts,
    bands: bins.map((b, i) => ({
      from: BANDS[i] ?? 0,
      to: Math.min(1, BANDS[i + 1] ?? 1),
      parts: b.parts,
      stated: b.parts ? b.stated / b.parts : 0,
      right: b.parts ? b.right / b.parts : 0,
    })),
    groups: [...groups].map(([group, g]) => ({ group, ...g })).toSorted((a, b) => b.parts - a.parts),
  };
}
