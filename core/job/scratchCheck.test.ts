import { describe, expect, test } from '@jest/globals';
import { type Bench, m30, named, TRAIN_2MM } from '../../app/testing/bench.ts';
import { stoppedText } from '../../words/machine.ts';

/** M30x2 on 8 tpi by 63/40 x 20/50: 63/100 of 3.175 mm, 2.00025 mm. */
const scratched = (crests: number, spanMm: number): Bench => m30().passes(1).do({ do: 'scratch', crests, spanMm });

describe('a scratch is read, and not only written down', () => {
  test('one that agrees lets the cut go on', () => {
    expect(scratched(10, 20).card).toMatchObject({ do: 'set', stopped: null });
    // laid on a rule by eye it may be half a millimetre out
    expect(scratched(10, 20.5).card.do).toBe('set');
    // further off than that, and the 65 for the 63 explains it: no half crest is pleaded
    expect(scratched(10, 20.8).card.do).toBe('check');
  });
  test('one that contradicts the train stops the card, with what was read, what was wanted and the slip that explains it', () => {
    // the 50 for the 40 in its place: 63/50 x 20/40 is the same ratio; 63 and 20 over 50 and 50 would be 1.6
    const b = scratched(8, 12.8);
    expect(b.card.stopped).toMatchObject({ code: 'scratch', scratch: { crests: 8, spanMm: 12.8, readMm: 1.6 } });
    const { what, check } = stoppedText(b.card.stopped!, 'mm');
    expect(what).toContain('8 crests in 12.80');
    expect(what).toContain('the train cuts 2.000');
    expect(check).toMatch(/^One slip explains it: |^No single slip explains it/);
  });
  test('a lever one place off is named', () => {
    const b = named('M20x1.5').do(
      { do: 'chooseLathe', lathe: 'lathe-dreyl' },
      { do: 'takeTrain', train: { drivers: [40], driven: [40], gearbox: '1/4' } },
      { do: 'mountGears' },
      { do: 'mount' },
      { do: 'measureBlank', diameterMm: 19.9 },
      { do: 'touchOff' },
      { do: 'passDone' },
      { do: 'scratch', crests: 10, spanMm: 30 },
    );
    const stopped = b.card.stopped;
    expect(stopped && stoppedText(stopped, 'mm').check).toContain('range at B instead of C');
  });
  test('counted again and right it goes on; put right, the scratch of before speaks no more', () => {
    expect(scratched(8, 12.8).do({ do: 'scratch', crests: 8, spanMm: 16 }).card.do).toBe('set');
    const again = scratched(8, 12.8).do({ do: 'mountGears', train: TRAIN_2MM });
    expect(again.card.stopped).toBeNull();
    expect(again.metal.scratch).toBeNull();
  });
});
