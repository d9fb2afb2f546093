import { leadAngleDeg } from '../form/helix.ts';
import { plain, type Step } from '../quantity/working.ts';
import { betweenBallsMm } from './balls.ts';
import { overWiresMm, type Groove } from './wires.ts';

const deg = (x: number): string => `${plain(x)}\u00b0`;

/**
 * How the measurement over three wires comes about: flat geometry first, then with the textbook term for the lead angle.
 * @see ASME B1.2; NBS Handbook H28; ASME B1.9 for unlike flanks
 * @example wireSteps(grooveOf(formAt('iso60', 1.5), 1.5, 1), 9.026, 0.866).map((s) => s.result) // [10.325, 10.327]
 */
export function wireSteps(g: Groove, pitchDiameterMm: number, wireMm: number): readonly [Step, Step] {
  const { leadingDeg: a1, trailingDeg: a2, pitchMm: p } = g;
  const half = (a1 + a2) / 2;
  const equal = a1 === a2;
  const flat = overWiresMm(g, pitchDiameterMm, wireMm, 'flat');
  const lead = leadAngleDeg(p * g.starts, pitchDiameterMm);
  return [
    {
      name: 'Over three wires, lead angle left out',
      symbol: 'M',
      formula: equal
        ? 'd2 + w (1 + 1 / sin a) \u2212 (P / 2) / tan a'
        : 'd2 + w (1 + cos((a1 \u2212 a2) / 2) / sin((a1 + a2) / 2)) \u2212 P / (tan a1 + tan a2)',
      values: equal
        ? `${plain(pitchDiameterMm)} + ${plain(wireMm)} \u00d7 (1 + 1 / sin ${deg(a1)}) \u2212 ${plain(p / 2)} / tan ${deg(a1)}`
        : `${plain(pitchDiameterMm)} + ${plain(wireMm)} \u00d7 (1 + cos ${deg(Math.abs(a1 - a2) / 2)} / sin ${deg(half)}) \u2212 ${plain(p)} / (tan ${deg(a1)} + tan ${deg(a2)})`,
      result: flat,
      unit: 'mm',
      source: equal ? 'ASME B1.2; NBS Handbook H28' : 'ASME B1.9',
    },
    {
      name: 'With the lead angle',
      symbol: 'M',
      formula: 'M + (w / 2) tan\u00b2 \u03bb cos a / tan a, tan \u03bb = L / (\u03c0 d2)',
      values: `${plain(flat)} + ${plain(wireMm / 2)} \u00d7 tan ${deg(lead)} \u00d7 tan ${deg(lead)} \u00d7 cos ${deg(half)} / tan ${deg(half)}`,
      result: overWiresMm(g, pitchDiameterMm, wireMm, 'textbook'),
      unit: 'mm',
      source: 'NBS Handbook H28',
    },
  ];
}

/**
 * How the measurement between two balls comes about: flat geometry, then the helix as it is. @param beyondMm what the helix adds
 * @example ballSteps(grooveOf(formAt('iso60', 1.5), 1.5, 1), 9.026, 0.9, 0)[0].result // 7.625
 */
export function ballSteps(g: Groove, pitchDiameterMm: number, ballMm: number, beyondMm: number): readonly Step[] {
  const { leadingDeg: a1, trailingDeg: a2, pitchMm: p } = g;
  const equal = a1 === a2;
  const flat = betweenBallsMm(g, pitchDiameterMm, ballMm);
  return [
    {
      name: 'Between two balls, lead angle left out',
      symbol: 'M',
      formula: equal
        ? 'D2 + (P / 2) / tan a \u2212 w (1 + 1 / sin a)'
        : 'D2 + P / (tan a1 + tan a2) \u2212 w (1 + cos((a1 \u2212 a2) / 2) / sin((a1 + a2) / 2))',
      values: equal
        ? `${plain(pitchDiameterMm)} + ${plain(p / 2)} / tan ${deg(a1)} \u2212 ${plain(ballMm)} \u00d7 (1 + 1 / sin ${deg(a1)})`
        : `${plain(pitchDiameterMm)} + ${plain(p)} / (tan ${deg(a1)} + tan ${deg(a2)}) \u2212 ${plain(ballMm)} \u00d7 (1 + cos ${deg(Math.abs(a1 - a2) / 2)} / sin ${deg((a1 + a2) / 2)})`,
      result: flat,
      unit: 'mm',
      source: 'the formula over wires turned inside out',
    },
    {
      name: 'With the lead angle',
      symbol: 'M',
      formula: 'ball pressed into the helix, solved numerically',
      values: `${plain(flat)} \u2212 ${plain(-beyondMm)}`,
      result: flat + beyondMm,
      unit: 'mm',
      source: 'geometry of sphere and helicoid',
    },
  ];
}
