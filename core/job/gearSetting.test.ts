import { describe, expect, test } from '@jest/globals';
import { Bench, named } from '../../app/testing/bench.ts';
import { cardText } from '../../words/machine.ts';
import { conclusion } from '../../words/conclusions.ts';
import { answersOf } from '../../ops/answers.ts';
import type { Edit } from './edits/index.ts';
import { leversGiving } from './gearSetting.ts';

/** A job on the gearbox lathe of the demo: levers "cone" 1 to 4 (1, 5/4, 3/2, 7/4) and "range" A to C (1, 1/2, 1/4). */
const onDreyl = (designation: string, gearbox: string): Bench =>
  named(designation).do(
    { do: 'chooseLathe', lathe: 'lathe-dreyl' },
    { do: 'takeTrain', train: { drivers: [40], driven: [40], gearbox } },
    { do: 'mount' },
  );
const said = (b: Bench): string => cardText(b.view, 'external', 'mm');
const putUp: Edit = { do: 'mountGears' };

describe('levers are on the card', () => {
  test('a train to be put up is said with its levers and its tumbler', () => {
    const b = onDreyl('M20x1.5', '3/8');
    expect(b.card).toMatchObject({ do: 'mount', what: 'gears' });
    expect(said(b)).toBe('Put the train up: 40/40. Levers: cone 3, range C. Tumbler for a right-hand thread.');
    expect(said(onDreyl('M20x1.5 LH', '3/8'))).toContain('Tumbler for a left-hand thread.');
  });
  test('two jobs with one train and other levers do not look alike: the change of levers is an act of its own', () => {
    const first = onDreyl('M20x1.5', '1/4').do(putUp);
    const second = new Bench(onDreyl('M24x3', '1/2').job, first.shop);
    expect(second.card).toMatchObject({ do: 'mount', what: 'gears' });
    expect(said(second)).toBe(
      'Set the levers: cone 1, range B. They stood at cone 1, range C. The train 40/40 stays on.',
    );
    second.do(putUp);
    expect(second.card.do).toBe('measure');
  });
  test('the band, the card and the door have them', () => {
    const b = onDreyl('M20x1.5', '3/8').do(putUp);
    expect(conclusion('gears', b.job, b.shop, 'mm')).toMatch(/^40\/40, cone 3, range C, /);
    expect(answersOf(b.job, b.shop, null).gears).toMatchObject({ levers: 'cone 3, range C', tumbler: 'right' });
    expect(b.card.gears).toMatchObject({ levers: 'cone 3, range C', leversFrom: null });
  });
  test('a lathe without levers says none; a ratio that no setting gives is said as it is', () => {
    const b = named('M30x2').do({ do: 'chooseLathe', lathe: 'lathe-bess' });
    const lathe = b.shop.lathes.find((l) => l.id === 'lathe-bess')!;
    expect(leversGiving(lathe, '1')).toBeNull();
    expect(
      leversGiving(
        b.shop.lathes.find((l) => l.id === 'lathe-dreyl')!,
        '7/3',
      ),
    ).toBe('ratio 7/3');
  });
});

test('a train is kept in the order in which its gears go on the arm: what is written is what is drawn', () => {
  const b = named('M30x2').do(
    { do: 'chooseLathe', lathe: 'lathe-bess' },
    { do: 'takeTrain', train: { drivers: [20, 63], driven: [50, 40], gearbox: '1' } },
  );
  const other = named('M30x2').do(
    { do: 'chooseLathe', lathe: 'lathe-bess' },
    { do: 'takeTrain', train: { drivers: [63, 20], driven: [40, 50], gearbox: '1' } },
  );
  expect(b.job.gears.train).toEqual(other.job.gears.train);
});
