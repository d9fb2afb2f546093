import { test } from '@jest/globals';
import { gelvin } from '../cli/shop/door.ts';
import { manyJobs } from './run.ts';
import { deal } from './deal.ts';
import { Dice } from './random.ts';
test('x', () => {
  for (const s of [1288, 1591]) {
    console.log(s, JSON.stringify(deal(new Dice(s))), JSON.stringify(manyJobs(gelvin, 1, s).scrapped));
  }
});
