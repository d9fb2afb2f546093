import { specialForm } from '../../core/form/shape.ts';
import { readProfile } from '../../core/profile/readProfile.ts';
import { pictureOf } from '../../core/profile/render.ts';
import { solidOf } from '../../core/profile/solid.ts';
import { Dice } from '../../sim/random.ts';

interface Tally {
  read: number;
  within2: number;
  readonly offPx: number[];
}
const empty = (): Tally => ({ read: 0, within2: 0, offPx: [] });

/**
 * So many made-up threads with flats at crest and root, photographed square to the axis or along the groove, which is said of half
 * of them: how far the flats read lie from the truth, and how many within two of the uncertainty that is given with them.
 */
export function flatsLines(pictures: number): string[] {
  const said = { crest: empty(), root: empty() };
  const unsaid = { crest: empty(), root: empty() };
  for (let seed = 1; seed <= pictures; seed += 1) {
    const d = new Dice(seed * 7919);
    const pitchMm = d.between(1.5, 6);
    const deg = d.between(12, 30);
    const slope = 2 * Math.tan((deg * Math.PI) / 180);
    const crestMm = pitchMm * d.between(0.15, 0.35);
    const rootMm = pitchMm * d.between(0.15, 0.35);
    const depthMm = (pitchMm - crestMm - rootMm) / slope;
    const majorMm = Math.max(3.5 * depthMm, d.between(5, 10) * pitchMm);
    // as large as a picture of a million points shows five turns
    const pxPerMm = d.between(0.8, 1) * Math.min(900 / (6 * pitchMm), 640 / majorMm);
    const alongGroove = d.chance(0.5);
    const told = d.chance(0.5);
    const form = specialForm(pitchMm, { leadingDeg: deg, trailingDeg: deg, depthMm, crestFlatMm: crestMm });
    const picture = pictureOf(solidOf(form, { majorMm, pitchMm }), {
      w: 960,
      h: 760,
      pxPerMm,
      rotationDeg: d.between(-3, 3),
      blurPx: d.between(0.5, 1.6),
      noise: d.between(0.002, 0.02),
      scan: d.chance(0.2),
      uneven: d.between(0, 0.08),
      seed,
      alongGroove,
    });
    const r = readProfile(picture, {
      pxPerMm,
      pinMm: null,
      knownMajorMm: null,
      starts: 1,
      leadAngleDeg: null,
      ...(told ? { view: alongGroove ? ('groove' as const) : ('side' as const) } : {}),
    });
    for (const end of ['crest', 'root'] as const) {
      const found = r.ends?.[end];
      if (found?.kind !== 'flat') continue;
      const tally = (told ? said : unsaid)[end];
      const offPx = Math.abs(found.wide - (end === 'crest' ? crestMm : rootMm) * pxPerMm);
      tally.read += 1;
      tally.within2 += Number(offPx < 2 * (r.ends?.[`${end}Uncertainty`] ?? 0));
      tally.offPx.push(offPx);
    }
  }
  const line = (what: string, t: Tally): string => {
    const sorted = t.offPx.toSorted((a, b) => a - b);
    const at = (share: number): string => (sorted[Math.floor(share * (sorted.length - 1))] ?? NaN).toFixed(2);
    return `${what}: ${t.read} flats read, half within ${at(0.5)} px, 19 of 20 within ${at(0.95)} px; within two of their uncertainty ${((100 * t.within2) / t.read).toFixed(1)} %`;
  };
  return [
    `${pictures} pictures`,
    line('crest, the view said', said.crest),
    line('root, the view said', said.root),
    line('crest, the view not said', unsaid.crest),
    line('root, the view not said', unsaid.root),
  ];
}
