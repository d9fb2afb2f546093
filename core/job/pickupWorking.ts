import { exact, numberOf } from '../quantity/rational.ts';
import { plain, type Step } from '../quantity/working.ts';
import type { Move, PickupAnswer } from './pickupMove.ts';

/** A number as it stands behind a minus sign. */
const signed = (x: number): string => (x < 0 ? `(${plain(x)})` : plain(x));

/** Z of every start: whole leads out of the groove. */
const startWorking = (m: Extract<Move, { way: 'z' }>, leftHand: boolean): Step => ({
  name: 'Z start',
  symbol: 'Z',
  formula: `Z in the groove ${leftHand ? '\u2212' : '+'} whole leads`,
  values: `${plain(m.grooveMm)} ${leftHand ? '\u2212' : '+'} ${m.leads} \u00d7 ${plain(m.leadMm)}`,
  result: numberOf(exact(m.startMm)),
  unit: 'mm',
  source: 'geometry; three leads clear at least so that the carriage has its speed, common practice, no source',
});

/**
 * How a pick-up move came about: the smaller way round, and what it is for the way chosen. @param leftHand of the thread
 * @example pickupWorking({ way: 'parallel' }, { axialMm: 0.5, offsetMm: 8.5, leadText: '2' }, false)[0].values // '8.5 \u2212 4 \u00d7 2'
 */
export function pickupWorking(move: Move, answer: PickupAnswer, leftHand: boolean): Step[] {
  if (move.way === 'z') return [startWorking(move, leftHand)];
  const { axialMm, offsetMm, leadText } = answer;
  if (axialMm === null || offsetMm === null || leadText === null) return [];
  const lead = numberOf(exact(leadText));
  const wholeLeads = Math.round((offsetMm - axialMm) / lead);
  const round: Step = {
    name: 'Smaller way round',
    symbol: 'x',
    formula: 'offset \u2212 whole leads',
    values: `${plain(offsetMm)} \u2212 ${signed(wholeLeads)} \u00d7 ${plain(lead)}`,
    result: axialMm,
    unit: 'mm',
    source: 'geometry',
  };
  const along = (result: number, of: Pick<Step, 'name' | 'symbol' | 'formula' | 'values'>): Step => ({
    ...of,
    result,
    unit: 'mm',
    source: 'geometry',
  });
  switch (move.way) {
    case 'turn':
      return [
        round,
        {
          name: 'Turn of the work',
          symbol: '\u03b8',
          formula: '360 |x| / L',
          values: `360 \u00d7 ${plain(Math.abs(axialMm))} / ${plain(lead)}`,
          result: move.deg,
          unit: 'deg',
          source: 'geometry; forward carries a right-hand groove towards the headstock',
        },
      ];
    case 'angled': {
      const b = `${plain(move.slideDeg)}\u00b0`;
      const inCut = leftHand ? -axialMm : axialMm;
      return [
        round,
        along(move.slideMm, {
          symbol: 's',
          name: 'Along the slide',
          formula: 'x / sin b',
          values: `${plain(inCut)} / sin ${b}`,
        }),
        along(move.crossOutMm, {
          symbol: 'c',
          name: 'Taken back on the cross slide',
          formula: 's cos b',
          values: `${plain(move.slideMm)} \u00d7 cos ${b}`,
        }),
      ];
    }
    case 'slip': {
      const teeth = (move.direction === 'forward' ? 1 : -1) * (leftHand ? -1 : 1) * move.teeth;
      const leads = Math.round((axialMm - teeth * move.perToothMm - move.leftMm) / lead);
      return [
        round,
        along(move.leftMm, {
          symbol: 'r',
          name: 'Left over after the slip',
          formula: 'x \u2212 teeth \u00d7 travel for one tooth (gearbox too) \u2212 whole leads',
          values: `${plain(axialMm)} \u2212 ${signed(teeth)} \u00d7 ${plain(move.perToothMm)} \u2212 ${signed(leads)} \u00d7 ${plain(lead)}`,
        }),
      ];
    }
    case 'parallel':
    case 'start':
      return [round];
  }
}
