import { demoJobs, demoShop } from '../../demo/index.ts';
import { armOf, mountOn } from '../../core/gearing/mounting/latheArm.ts';
import { equalFlanks } from '../../core/form/flanks.ts';
import { formAt } from '../../core/form/shape.ts';
import { grooveOf } from '../../core/gauging/wires.ts';
import { rank } from '../../core/identify/rank.ts';
import { cardOf } from '../../core/job/card.ts';
import { stationStates } from '../../core/job/chain.ts';
import { partShape } from '../../core/job/partShape.ts';
import { pickupMove } from '../../core/job/pickupMove.ts';
import { setupOf } from '../../core/job/setupView.ts';
import { toolViewOf } from '../../core/job/toolView.ts';
import { toolPicture } from '../../core/profile/toolScene.ts';
import { CATALOGUE } from '../../core/standards/catalogue.ts';
import { aheadOf } from '../../core/job/ahead.ts';
import { fitOfJob, threadOfJob } from '../../core/job/derive.ts';
import { evidenceOfJob, partOf } from '../../core/job/evidence.ts';
import { metalOf } from '../../core/job/metal.ts';
import { Sizing } from '../../core/sizing/model.ts';
import type { Job } from '../../core/job/schema.ts';
import { motionOf } from '../../core/motion/motion.ts';
import { readProfile } from '../../core/profile/readProfile.ts';
import { pictureOf } from '../../core/profile/render.ts';
import { solidOf } from '../../core/profile/solid.ts';
import { foldOf, laid, type Edge } from '../../core/profile/teeth.ts';
import type { Outcome } from '../../core/quantity/outcome.ts';
import { exact, textOf } from '../../core/quantity/rational.ts';
import { expectationOf } from '../../core/reading/expectation.ts';
import { known } from './known.ts';
import { threadNamed } from './printed.ts';
import { SHOT } from './shot.ts';
import { SIZE_ASKED } from './sizeAsked.ts';

function value<T>(o: Outcome<T>): T {
  if (!o.ok) throw new Error(o.problem.code);
  return o.value;
}

const jobs = demoJobs();
const shop = demoShop();
const demo = (id: string): Job => structuredClone(known(jobs.find((j) => j.id === `demo-${id}`)));

/** Made where an example asks for it, and once. */
function once<T>(make: () => T): () => T {
  let made: { readonly it: T } | null = null;
  return () => (made ??= { it: make() }).it;
}

/** A picture of M24 x 3 at 20 px a mm, clean, and what is read off it. */
const picture = once(() => pictureOf(solidOf(formAt('iso60', 3), { majorMm: 24, pitchMm: 3 }), SHOT));
const pictureRead = once(() =>
  readProfile(picture(), {
    pxPerMm: 20,
    pinMm: null,
    knownMajorMm: null,
    starts: null,
    leadAngleDeg: null,
    view: 'side',
  }),
);

/** An edge of ten teeth as a drawing has them: flanks of 45 degrees, 20 px apart, crest and root flats of 4 px, out from 100 px. */
function drawnEdge(side: 1 | -1): Edge {
  const x = Float64Array.from({ length: 800 }, (_, i) => i / 4);
  const y = x.map((z) => {
    const from = Math.abs((z % 20) - 10);
    return side * (106 - Math.min(6, Math.max(0, from - 2)));
  });
  const e = laid(x, y, 0, side);
  return { side, laid: e, fold: known(foldOf(e, 20)) };
}

/** What an example may use besides what its own module exports. */
export const EXAMPLE_SCOPE = {
  exact,
  textOf,
  formAt,
  equalFlanks,
  grooveOf,
  expectationOf,
  value,
  thread: threadNamed,
  /** A job of the demo shop by its short name, its shop, and what its stations make of it. */
  demo,
  shop,
  metal: metalOf,
  fit: (job: Job) => known(fitOfJob(job)),
  named: (job: Job) => known(threadOfJob(job)),
  card: (job: Job) => cardOf(job, shop, null),
  plan: (job: Job) => value(known(aheadOf(job, shop))),
  ranking: (job: Job) =>
    rank({
      part: partOf(job),
      evidence: evidenceOfJob(job),
      context: { origin: job.intake.origin, use: job.intake.use },
      most: 5,
    }),
  evidence: evidenceOfJob,
  states: (job: Job) => stationStates(job, shop, threadOfJob(job)),
  setup: (job: Job) => known(setupOf(job, shop)),
  pickup: (job: Job) => pickupMove(job, shop, metalOf(job)),
  shape: (job: Job) => partShape(job, threadOfJob(job)),
  tool: (job: Job) => value(known(toolViewOf(job))),
  /** A row of the tables by its designation; the arm of the first lathe, and a train on it. */
  row: (designation: string) => known(CATALOGUE.find((r) => r.designation === designation)),
  arm: known(armOf(known(shop.lathes[0]))),
  mounted: (drivers: number[], driven: number[]) => mountOn(known(shop.lathes[0]), { drivers, driven }, false),
  motionOf,
  /** A screw before its first cut, as the sizing loop is asked about it. */
  sizing: { asked: SIZE_ASKED, belief: new Sizing(SIZE_ASKED.model, []) },
  picture,
  toolPicture,
  pictureRead,
  drawnEdge,
};
