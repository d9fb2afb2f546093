import { writeFileSync } from 'node:fs';
import { firstScrapped, manyJobs } from '../../sim/run.ts';
import { FAULTS } from './faults.ts';
import { gelvin } from './door.ts';

/**
 * npm run shop -- [jobs] [first seed]: carries so many random jobs through the simulated shop and says what became of them;
 * then puts each mistake of old back and looks for the first job that it scraps. `--write` keeps the figures in docs/.
 */
const numbers = process.argv.slice(2).filter((a) => /^\d+$/.test(a));
const jobs = Number(numbers[0] ?? 1000);
const first = Number(numbers[1] ?? 1);
const started = Date.now();
const all = manyJobs(gelvin, jobs, first);
const lines = [
  `jobs ${jobs}, seeds ${first} to ${first + jobs - 1}`,
  `scrapped by an instruction: ${all.scrapped.length}`,
  `ended inside the limits of its class, or 0.02 + 0.02 sqrt(P) mm about the pitch diameter wanted: ${(100 * all.inside).toFixed(1)} %`,
  `steps a job: ${all.steps.toFixed(1)}`,
  ...all.scrapped.slice(0, 20).map((s) => `  seed ${s.seed}: ${s.why}`),
];
console.log(lines.join('\n'));
console.log(`in ${((Date.now() - started) / 1000).toFixed(0)} s`);

/** Jobs looked at for one that a fault scraps. */
const LOOKED_AT = 400;
const faults = FAULTS.map((fault) => {
  const found = firstScrapped(gelvin, fault, first, LOOKED_AT);
  return `${fault.name}: ${found ? `seed ${found.seed}, ${found.why}` : `NOTHING scrapped in ${LOOKED_AT} jobs`}`;
});
console.log(`\nmistakes put back, one at a time\n${faults.join('\n')}`);
if (process.argv.includes('--write'))
  writeFileSync(
    'docs/simulated-shop.md',
    [
      '# The simulated shop',
      '',
      '`npm run shop` carries random jobs (families and specials, screws and nuts, nuts to worn screws, limit gauges, nuts by plugs or by a screw of its own size, both',
      'hands, two starts, copy, extend with every infeed, recut also in steps of one\u2019s own, three parts after a test piece, four kinds of lathe and of dial, a gearbox of two levers, slack known and not,',
      'blanks that are not what was asked or are read wrongly and put right in mid-cut, a gear or lever put up wrongly and found by the scratch, plans changed in mid-cut, work that slips, grooves found',
      'again within 0.012 mm along the axis) through a lathe that cuts by taking the tool\u2019s outline away from the metal and measures the',
      'groove, worked by a machinist who does only what `job` says. It shares no computation with core (`sim/`). Forty of the',
      'jobs run in `npm test`. The machinist\u2019s hand, the spring of tool and work and the feel for a mate are invented.',
      '',
      '```',
      ...lines,
      '```',
      '',
      'Mistakes of old put back one at a time, and the first job that each scraps:',
      '',
      '```',
      ...faults,
      '```',
      '',
    ].join('\n'),
  );
process.exitCode = all.scrapped.length === 0 && faults.every((f) => !f.includes('NOTHING')) ? 0 : 1;
