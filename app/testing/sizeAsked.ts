import type { SizeAsked } from '../../core/sizing/asked.ts';

/** M10x1.5 from its blank, proved over wires. */
export const SIZE_ASKED: SizeAsked = {
  model: {
    member: 'external',
    pitchMm: 1.5,
    leadingDeg: 30,
    trailingDeg: 30,
    surfaceMm: 9.97,
    tip: { flatMm: 0.19 },
    dialUncertaintyMm: 0.02,
    settingMm: 0.003,
    wiresSharedMm: 0.002,
    basicMm: null,
    special: false,
  },
  target: { minMm: 8.862, maxMm: 8.994 },
  means: [{ kind: 'measured', uncertaintyMm: 0.006 }],
  history: [],
  stepMm: 0.01,
  mostMm: 0.15,
};
