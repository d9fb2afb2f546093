import { expect, test } from '@jest/globals';
import { problemText } from '../../words/problems.ts';
import fc from 'fast-check';
import { parseTrain, trainText } from './trainText.ts';

test('a train comes back as it was written', () => {
  const teeth = fc.integer({ min: 8, max: 400 });
  fc.assert(
    fc.property(fc.array(fc.tuple(teeth, teeth), { minLength: 1, maxLength: 3 }), (pairs) => {
      const train = { drivers: pairs.map((p) => p[0]), driven: pairs.map((p) => p[1]) };
      expect(parseTrain(trainText(train))).toEqual({ ok: true, value: train });
    }),
  );
});

test.each(['30/50x63/60', '30/50 63/60', ' 30 / 50 * 63/60 '])('%s is two pairs', (text) => {
  expect(parseTrain(text)).toEqual({ ok: true, value: { drivers: [30, 63], driven: [50, 60] } });
});

test.each(['', '40', '40/35/30', '40/35 x 80', '4/35', '40/401', '1/2 x 3/4 x 5/6 x 7/8', 'forty/35'])(
  '"%s" is refused with what would be right',
  (text) => {
    const read = parseTrain(text);
    expect(!read.ok && problemText(read.problem, 'mm').right).toMatch(/40\/35|8 to 400 teeth/);
  },
);
