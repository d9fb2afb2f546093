import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJobs, demoShop } from '../demo/index.ts';
import { blankSheet } from '../core/job/blankSheet.ts';
import { cautionsAt } from '../core/job/cautions.ts';
import { stationStates } from '../core/job/chain.ts';
import { chartOfJob } from '../core/job/chartOfJob.ts';
import { cleanedFit } from '../core/job/cleanedFit.ts';
import { suggestDeeper } from '../core/job/deeper.ts';
import { fitOfJob, latheOf, threadOfJob } from '../core/job/derive.ts';
import { electronicView } from '../core/job/electronic.ts';
import { endOf } from '../core/job/endView.ts';
import { fitViewOf } from '../core/job/fitView.ts';
import { holdingOf } from '../core/job/holdingView.ts';
import { jointView } from '../core/job/jointView.ts';
import { loadsOf } from '../core/job/loads.ts';
import { machineOf } from '../core/job/machine.ts';
import { mateChoices } from '../core/job/mate.ts';
import { matesTried } from '../core/job/matesTried.ts';
import { metalOf } from '../core/job/metal.ts';
import { partShape } from '../core/job/partShape.ts';
import { passRowsOf } from '../core/job/passRows.ts';
import { pickupMove } from '../core/job/pickupMove.ts';
import { programOfJob } from '../core/job/program.ts';
import { runOutOf } from '../core/job/runOut.ts';
import { JobSchema, type Job } from '../core/job/schema.ts';
import { schoolsOf } from '../core/job/schoolsView.ts';
import { setupOf } from '../core/job/setupView.ts';
import { sizeBand } from '../core/job/sizeBand.ts';
import { effectsOfJob } from '../core/job/sizing.ts';
import { standOffs } from '../core/job/standOffs.ts';
import { startMovesOf } from '../core/job/startMoves.ts';
import { STATIONS } from '../core/job/stations.ts';
import { toolViewOf } from '../core/job/toolView.ts';
import { proofVerdict } from '../core/job/verdict.ts';
import { worthView } from '../core/job/worthView.ts';
import { zonesOf } from '../core/job/zones.ts';
import { checkJob } from '../core/formats/check.ts';
import { SHEETS } from '../words/paper/frame.ts';
import { conclusion } from '../words/conclusions.ts';
import { reasonText } from '../words/prove.ts';
import { shortConclusion } from '../words/short.ts';
import { anyOf, placesOf } from './testing/arbitrary.ts';
import { onPaper } from './testing/paper.ts';
import { pagesOn } from './sheets/papers.ts';

/** `npm run faults` asks for more. */
const RUNS = Number(process.env['FAULTS_JOBS'] ?? 120);

const SHOP = demoShop();
const JOBS = demoJobs();
// identity and version are not anybody's to choose; the ledger has its own laws
const FIXED = ['id', 'format', 'version', 'events'];
const PLACES = placesOf(JobSchema).filter(({ way: [k = ''] }) => !FIXED.includes(k));

interface Changed {
  readonly doc: unknown;
  readonly told: string;
}
const isBox = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null;
const change = fc.oneof(...PLACES.map(({ way, of }) => anyOf(of).map((value) => ({ way, value }))));
/** A demo job in which some settings are anything that its description allows. */
const anyJob: fc.Arbitrary<Changed> = fc
  .tuple(fc.constantFrom(...JOBS), fc.array(change, { minLength: 1, maxLength: 4 }))
  .map(([job, changes]) => {
    const doc: unknown = structuredClone(job);
    for (const { way, value } of changes) {
      const holder = way.slice(0, -1).reduce<unknown>((o, k) => (isBox(o) ? o[k] : null), doc);
      const key = way.at(-1);
      if (isBox(holder) && key !== undefined) holder[key] = value;
    }
    return {
      doc,
      told: `${job.id}: ${changes.map((c) => `${c.way.join('.')} = ${JSON.stringify(c.value)}`).join('; ')}`,
    };
  });

/** Everything that the stations make of a job, by the name of what makes it. */
const VIEWS: Readonly<Record<string, (job: Job) => unknown>> = {
  blank: (j) => blankSheet(j, SHOP),
  cautions: (j) => STATIONS.map((s) => cautionsAt(s, j, SHOP)),
  chart: chartOfJob,
  cleaned: cleanedFit,
  deeper: (j) => suggestDeeper(j, SHOP, metalOf(j)),
  effects: (j) => effectsOfJob(j, SHOP),
  electronic: (j) => electronicView(j, SHOP),
  end: (j) => endOf(j, latheOf(j, SHOP), 2),
  fit: (j) => {
    const [thread, fit] = [threadOfJob(j), fitOfJob(j)];
    return thread && fit && [fitViewOf(j, thread, fit), zonesOf(j, thread, fit), mateChoices(j, thread)];
  },
  held: (j) => holdingOf(j, SHOP),
  joint: (j) => jointView(j, SHOP, metalOf(j)),
  loads: (j) => loadsOf(j, SHOP),
  machine: (j) => machineOf(j, SHOP, stationStates(j, SHOP, threadOfJob(j))),
  mates: matesTried,
  passes: (j) => passRowsOf(j, SHOP),
  pickup: (j) => pickupMove(j, SHOP, metalOf(j)),
  program: (j) => programOfJob(j, SHOP),
  runOut: runOutOf,
  schools: (j) => schoolsOf(j, SHOP),
  setup: (j) => setupOf(j, SHOP),
  shape: (j) => partShape(j, threadOfJob(j)),
  sizeBand: (j) => sizeBand(j, SHOP),
  standOffs,
  starts: (j) => startMovesOf(j, SHOP),
  tool: toolViewOf,
  verdict: (j) => {
    const v = proofVerdict(j, SHOP);
    return [v, v.reasons.map((r) => [reasonText(r, 'mm'), reasonText(r, 'in')])];
  },
  worth: (j) => worthView(j, SHOP),
  conclusions: (j) =>
    STATIONS.flatMap((s) =>
      (['mm', 'in'] as const).map((u) => [conclusion(s, j, SHOP, u), shortConclusion(s, j, SHOP, u)]),
    ),
  sheets: (j) => {
    const paper = onPaper({ job: j, shop: SHOP });
    return (['mm', 'in'] as const).map((system) => pagesOn(SHEETS, { ...paper, system, dialUnit: system }, 'a4', null));
  },
};
/** Where something stands that is no number, or a text with such a thing in it; null: nowhere. */
function notTold(x: unknown, way: string): string | null {
  if (typeof x === 'number') return Number.isNaN(x) ? way : null;
  if (typeof x === 'string') return /NaN|undefined|\[object|Infinity/.test(x) ? `${way}: ${x}` : null;
  if (!isBox(x)) return null;
  for (const [k, v] of Object.entries(x)) {
    const wrong = notTold(v, `${way}.${k}`);
    if (wrong !== null) return wrong;
  }
  return null;
}

describe('any job that is taken at the border', () => {
  test('is told whole by every station and on every sheet, in either system, with numbers that are numbers', () => {
    let [taken, refused] = [0, 0];
    fc.assert(
      fc.property(anyJob, ({ doc, told }) => {
        const read = checkJob(doc);
        if (read.state !== 'good') {
          refused += 1;
          return;
        }
        taken += 1;
        for (const [name, view] of Object.entries(VIEWS)) {
          let made: unknown;
          try {
            made = view(read.doc);
          } catch (e) {
            throw new Error(
              `${told}: ${name} is not made: ${e instanceof Error ? (e.stack ?? '').slice(0, 600) : ''}`,
              { cause: e },
            );
          }
          const wrong = notTold(made, name);
          if (wrong !== null) throw new Error(`${told}: ${wrong}`);
        }
      }),
      { numRuns: RUNS },
    );
    expect(taken).toBeGreaterThan(refused);
  });
});
