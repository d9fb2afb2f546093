import { putAway } from '../putAway.ts';
import { Type } from '@sinclair/typebox';
import { flanksUnderTool } from '../../cutting/underTool.ts';
import { clearanceForDutyMm, dutyOf } from '../../fit/duty.ts';
import { aimProblem } from '../../fit/fit.ts';
import { bad, good, type Refused } from '../../quantity/outcome.ts';
import { possibleSizes, threadFormOf, type ThreadSpec } from '../../standards/thread.ts';
import { ProvenSchema, TrainSchema } from '../../lathe/schema.ts';
import { aimsThatHold } from '../aim.ts';
import { basisOf, notYet } from '../chain.ts';
import { asUsuallyFed, slideAngleFor, suitClass, suitFit } from '../defaults.ts';
import { fitOfJob, latheOf, threadOfJob } from '../derive.ts';
import { mountOn } from '../../gearing/mounting/latheArm.ts';
import { feedsAtAngle } from '../feed.ts';
import { makeOf } from '../made.ts';
import { lastN } from '../metal.ts';
import { refusedByLimit } from '../planProblem.ts';
import { oriented, withDimensions } from '../special.ts';
import { angle, id, positive, text } from '../parts.ts';
import {
  JobSchema,
  PictureSchema,
  ReadingSchema,
  ThreadSchema,
  type Job,
  type Picture,
  type Reading,
  type Shop,
} from '../schema.ts';
import { STATIONS, type StationId } from '../stations.ts';
import { edit, type Before, some } from './edit.ts';

const { intake, fit, setup, cut, wearMap, part, prove, quantity, record } = JobSchema.properties;
const station = Type.Unsafe<StationId>({ type: 'string', enum: [...STATIONS] });

/** Those of the given values that are there. */
const given = <T extends object>(patch: T): Partial<T> =>
  Object.fromEntries(Object.entries(patch).filter(([, v]) => v !== undefined)) as Partial<T>;

const settledNow = (job: Job, shop: Before['shop'], s: StationId, at: string, believed: ThreadSpec | null): Job => ({
  ...job,
  settled: { ...job.settled, [s]: { basis: { ...basisOf(s, job, shop, believed) }, at } },
});

/** The shop remembers how each material was last fed. */
const fedSo = (job: Job, shop: Shop): Shop => ({
  ...shop,
  settings: {
    ...shop.settings,
    byMaterial: {
      ...shop.settings.byMaterial,
      [job.intake.material]: { infeed: job.setup.infeed, rule: job.cut.rule },
    },
  },
});

const TakenReading = Type.Omit(ReadingSchema, ['id', 'at']);

/** A reading that lacks what it was taken with; null: it has it. */
const lacks = (r: Pick<Reading, 'quantity' | 'span' | 'leaf'>): Refused | null =>
  ((r.quantity === 'overWires' || r.quantity === 'crestCount') && r.span === null) ||
  (r.quantity === 'pitchLeaf' && r.leaf === null)
    ? bad('reading.span', 'reading-without-span', { quantity: r.quantity })
    : null;

/** A train in the order in which its gears go on the arm, where that is known: what is written is what is drawn. */
function asItGoesOn(
  train: NonNullable<Job['gears']['train']>,
  job: Job,
  shop: Shop,
): NonNullable<Job['gears']['train']> {
  const lathe = latheOf(job, shop);
  const mount = lathe && mountOn(lathe, train, threadOfJob(job)?.leftHand ?? false);
  return mount?.fits ? { drivers: [...mount.drivers], driven: [...mount.driven], gearbox: train.gearbox } : train;
}

/** What is decided at the desk. */
export const DESK = {
  setIntake: edit(
    {
      title: some(Type.String({ minLength: 1, maxLength: 200 })),
      customer: some(text(200)),
      note: some(intake.properties.note),
      cameIn: some(intake.properties.cameIn),
      wanted: some(intake.properties.wanted),
      make: some(intake.properties.make),
      material: some(intake.properties.material),
      origin: some(intake.properties.origin),
      use: some(intake.properties.use),
      hazards: some(intake.properties.hazards),
    },
    ({ job }, { title, customer, ...rest }) => {
      const intake = { ...job.intake, ...given(rest) };
      // what came in and what is wanted say what is made, until somebody says otherwise
      const make = rest.make === undefined && (rest.cameIn ?? rest.wanted) !== undefined ? makeOf(intake) : null;
      const next = { ...job, ...given({ title, customer }), intake: { ...intake, ...(make === null ? {} : { make }) } };
      const other = next.intake.make !== job.intake.make || next.intake.wanted !== job.intake.wanted;
      return { job: other ? aimsThatHold(job, suitClass(next)) : next };
    },
  ),

  takeReading: edit(
    { reading: TakenReading },
    ({ job, id, at }, { reading }) =>
      lacks(reading) ??
      good({ job: { ...job, readings: [...job.readings, { ...(reading as Omit<Reading, 'id' | 'at'>), id, at }] } }),
  ),
  editReading: edit({ reading: id, changes: Type.Partial(TakenReading) }, ({ job }, { reading, changes }) => {
    const old = job.readings.find((r) => r.id === reading);
    if (!old) return bad('reading', 'no-such-reading');
    const next = { ...old, ...given(changes) };
    return lacks(next) ?? good({ job: { ...job, readings: job.readings.map((r) => (r.id === reading ? next : r)) } });
  }),
  removeReading: edit({ reading: id }, ({ job }, { reading }) =>
    job.readings.some((r) => r.id === reading)
      ? good({ job: { ...job, readings: job.readings.filter((r) => r.id !== reading) } })
      : bad('reading', 'no-such-reading'),
  ),
  /** A picture with what was read from it; one taken again replaces what it gave before. */
  takePicture: edit(
    {
      picture: Type.Omit(PictureSchema, ['at']),
      readings: Type.Array(Type.Omit(TakenReading, ['picture']), { maxItems: 60 }),
    },
    ({ job, id, at }, { picture, readings }) => {
      for (const r of readings) {
        const wrong = lacks(r);
        if (wrong) return wrong;
      }
      const kept = job.readings.filter((r) => r.picture !== picture.id);
      const own = readings.map((r, i) => ({
        ...(r as Omit<Reading, 'id' | 'at'>),
        picture: picture.id,
        id: `${id}-${i + 1}`,
        at,
      }));
      const others = job.pictures.filter((p) => p.id !== picture.id);
      return good({
        job: {
          ...job,
          readings: [...kept, ...own],
          pictures: [...others, { ...(picture as Omit<Picture, 'at'>), at }],
        },
      });
    },
  ),
  /** A picture away, with the readings that came from it. */
  removePicture: edit({ picture: id }, ({ job }, { picture }) =>
    job.pictures.some((p) => p.id === picture)
      ? good({
          job: {
            ...job,
            pictures: job.pictures.filter((p) => p.id !== picture),
            readings: job.readings.filter((r) => r.picture !== picture),
          },
        })
      : bad('picture', 'no-such-picture'),
  ),
  setUnworn: edit(
    { lengthMm: some(wearMap.properties.lengthMm), unworn: some(wearMap.properties.unworn) },
    ({ job }, f) => ({ job: { ...job, wearMap: { ...job.wearMap, ...given(f) } } }),
  ),
  /** Head, groove and plain end, as measured; null takes one away again. */
  describePart: edit(
    {
      headDiameterMm: some(part.properties.headDiameterMm),
      headLengthMm: some(part.properties.headLengthMm),
      grooveMm: some(part.properties.grooveMm),
      stubDiameterMm: some(part.properties.stubDiameterMm),
      stubLengthMm: some(part.properties.stubLengthMm),
    },
    ({ job }, f) => ({ job: { ...job, part: { ...job.part, ...given(f) } } }),
  ),

  acceptName: edit(
    {
      thread: ThreadSchema,
      probability: Type.Number({ minimum: 0, maximum: 1 }),
      overruled: Type.Boolean(),
      reason: text(),
    },
    ({ job, shop, at }, { thread, probability, overruled, reason }) => {
      const spec = oriented(thread, job);
      if (!possibleSizes(spec))
        return bad('thread', 'thread-impossible', { majorMm: spec.majorMm, designation: spec.designation });
      const first = job.name === null || job.name.thread.form !== spec.form || job.name.thread.pitch !== spec.pitch;
      let next: Job = { ...job, name: { thread: spec, probability, overruled, reason } };
      if (first) next = asUsuallyFed(suitFit(next), shop);
      next = aimsThatHold(job, next);
      next = settledNow(next, shop, 'name', at, spec);
      if (!next.settled.read && next.readings.length > 0) next = settledNow(next, shop, 'read', at, spec);
      if (!next.settled.intake) next = settledNow(next, shop, 'intake', at, spec);
      return { job: next };
    },
  ),
  sayWhy: edit({ reason: text() }, ({ job }, { reason }) =>
    job.name ? { job: { ...job, name: { ...job.name, reason } } } : bad('name', 'no-name'),
  ),

  /** A dimension of a special, in place of what was read; null takes it away again. */
  setSpecial: edit(
    {
      majorMm: some(positive),
      depthMm: some(Type.Union([Type.Null(), positive])),
      crestFlatMm: some(Type.Union([Type.Null(), positive])),
      rootFlatMm: some(Type.Union([Type.Null(), positive])),
      rootRadiusMm: some(Type.Union([Type.Null(), positive])),
      leadingDeg: some(angle),
      trailingDeg: some(angle),
      taper: some(Type.Union([Type.Null(), Type.Number({ minimum: -1, maximum: 1 })])),
    },
    ({ job }, f) => {
      if (!job.name || job.name.thread.family !== 'Special') return bad('thread', 'not-a-special');
      const changed = withDimensions(job.name.thread, f);
      return changed.ok
        ? good({ job: aimsThatHold(job, { ...job, name: { ...job.name, thread: changed.value } }) })
        : changed;
    },
  ),

  setFit: edit(
    {
      class: some(fit.properties.class),
      to: some(fit.properties.to),
      wornMate: some(fit.properties.wornMate),
      travel: some(fit.properties.travel),
      clean: some(fit.properties.clean),
      duty: some(fit.properties.duty),
      aim: some(Type.Partial(fit.properties.aim)),
      gauge: some(fit.properties.gauge),
      pitchClearanceMm: some(fit.properties.pitchClearanceMm),
      crestReliefMm: some(fit.properties.crestReliefMm),
      engagementMm: some(fit.properties.engagementMm),
      tip: some(fit.properties.tip),
    },
    ({ job }, { aim, ...f }) => {
      const thread = threadOfJob(job);
      // a duty brings the clearance that suits it along; the person changes it from there
      const suits =
        thread && f.duty != null && f.pitchClearanceMm === undefined
          ? {
              class: null,
              pitchClearanceMm: Number(clearanceForDutyMm(threadFormOf(thread), dutyOf(f.duty)).toFixed(3)),
            }
          : {};
      // a clearance typed by itself is no longer that duty's
      const own = f.pitchClearanceMm !== undefined && f.duty === undefined ? { duty: null } : {};
      const held = aimsThatHold(job, { ...job, fit: { ...job.fit, ...given(f), ...suits, ...own } });
      const next = { ...held, fit: { ...held.fit, aim: { ...held.fit.aim, ...given(aim ?? {}) } } };
      const plan = aim === undefined ? null : fitOfJob(next);
      const wrong = thread && plan ? aimProblem(plan, thread, next.fit.aim) : null;
      return wrong ? { ok: false as const, problem: wrong } : good({ job: next });
    },
  ),

  chooseLathe: edit({ lathe: Type.Union([Type.Null(), id]) }, ({ job, shop }, { lathe }) =>
    lathe === null || shop.lathes.some((l) => l.id === lathe)
      ? good({ job: { ...job, gears: { lathe, train: job.gears.lathe === lathe ? job.gears.train : null } } })
      : bad('lathe', 'no-such-lathe', { there: shop.lathes.map((l) => l.id).join(', ') }),
  ),
  takeTrain: edit({ train: Type.Union([Type.Null(), TrainSchema]) }, ({ job, shop }, { train }) => ({
    job: { ...job, gears: { ...job.gears, train: train && asItGoesOn(train, job, shop) } },
  })),
  remember: edit({ proven: Type.Omit(ProvenSchema, ['at']) }, ({ job, shop, at }, { proven }) => {
    const lathe = job.gears.lathe;
    return {
      shop: {
        ...shop,
        lathes: shop.lathes.map((l) =>
          l.id === lathe
            ? {
                ...l,
                proven: [
                  { ...proven, at },
                  ...l.proven.filter((p) => JSON.stringify(p.train) !== JSON.stringify(proven.train)),
                ].slice(0, 200),
              }
            : l,
        ),
      },
    };
  }),

  setUp: edit(
    {
      infeed: some(setup.properties.infeed),
      slideAngleDeg: some(setup.properties.slideAngleDeg),
      rpm: some(setup.properties.rpm),
      reliefMm: some(setup.properties.reliefMm),
      checks: some(setup.properties.checks),
      lengthMm: some(setup.properties.lengthMm),
      barMm: some(setup.properties.barMm),
      taperBy: some(setup.properties.taperBy),
      overCentresMm: some(setup.properties.overCentresMm),
      toolKind: some(setup.properties.toolKind),
      clearanceDeg: some(setup.properties.clearanceDeg),
      held: some(Type.Partial(setup.properties.held)),
      bar: some(Type.Partial(setup.properties.bar)),
      end: some(setup.properties.end),
      taperOutMm: some(setup.properties.taperOutMm),
      reactS: some(setup.properties.reactS),
      trueWith: some(setup.properties.trueWith),
      foundBy: some(setup.properties.foundBy),
    },
    ({ job, shop }, { held, bar, ...f }) => {
      const thread = threadOfJob(job);
      // a way of feeding brings its usual angle along; the person changes it from there
      const usual =
        thread && f.infeed !== undefined && feedsAtAngle(f.infeed) && f.slideAngleDeg === undefined
          ? {
              slideAngleDeg: slideAngleFor(
                f.infeed,
                flanksUnderTool(threadFormOf(thread), { leftHand: thread.leftHand }).trailingDeg,
              ),
            }
          : {};
      const next: Job = {
        ...job,
        setup: {
          ...job.setup,
          ...given(f),
          ...usual,
          held: { ...job.setup.held, ...given(held ?? {}) },
          bar: { ...job.setup.bar, ...given(bar ?? {}) },
        },
      };
      return f.infeed === undefined ? { job: next } : { job: next, shop: fedSo(next, shop) };
    },
  ),
  setPickup: edit(
    {
      way: some(JobSchema.properties.pickup.properties.way),
      slipGear: some(JobSchema.properties.pickup.properties.slipGear),
      leadsOut: some(JobSchema.properties.pickup.properties.leadsOut),
      overMm: some(JobSchema.properties.pickup.properties.overMm),
    },
    ({ job }, f) => ({ job: { ...job, pickup: { ...job.pickup, ...given(f) } } }),
  ),
  setSchedule: edit(
    {
      rule: some(cut.properties.rule),
      stepMm: some(cut.properties.stepMm),
      /** Passes still to come; null: as many as are calm. */
      passes: some(Type.Union([Type.Null(), Type.Integer({ minimum: 1, maximum: 500 })])),
      firstMaxMm: some(cut.properties.firstMaxMm),
      lastMinMm: some(cut.properties.lastMinMm),
      springs: some(cut.properties.springs),
      /** With a number that other jobs taught: which. */
      springsFrom: some(text(200)),
      firstMaxFrom: some(text(200)),
      stages: some(cut.properties.stages),
      straightLastMm: some(cut.properties.straightLastMm),
      deeperStepMm: some(cut.properties.deeperStepMm),
      returnBy: some(cut.properties.returnBy),
    },
    ({ job, shop }, { passes, ...rest }) => {
      // a number that a person gives is theirs
      const { springsFrom, firstMaxFrom, ...before } = job.cut;
      const taught = {
        ...(rest.springs === undefined && springsFrom !== undefined ? { springsFrom } : {}),
        ...(rest.firstMaxMm === undefined && firstMaxFrom !== undefined ? { firstMaxFrom } : {}),
      };
      const next: Job = {
        ...job,
        cut: {
          ...before,
          ...taught,
          ...given(rest),
          ...(passes === undefined ? {} : { passes: passes === null ? null : { count: passes, after: lastN(job) } }),
        },
      };
      // who is among such limits already may change one after the other
      const refused = refusedByLimit(next, shop);
      if (refused && !refusedByLimit(job, shop)) return refused;
      return good(rest.rule === undefined ? { job: next } : { job: next, shop: fedSo(next, shop) });
    },
  ),
  setWire: edit({ wire: prove.properties.wire }, ({ job }, { wire }) => ({
    job: { ...job, prove: { ...job.prove, wire } },
  })),
  /** With what it is proved, and what is right. */
  setProve: edit(
    {
      count: some(prove.properties.count),
      warmK: some(prove.properties.warmK),
      by: some(prove.properties.by),
      clearance: some(prove.properties.clearance),
      eitherSideMm: some(Type.Union([Type.Null(), positive])),
      mates: some(prove.properties.mates),
      mate: some(prove.properties.mate),
      worth: some(Type.Partial(prove.properties.worth)),
    },
    ({ job }, { worth, eitherSideMm, ...f }) => {
      if (f.clearance && f.clearance.leastMm >= f.clearance.mostMm) return bad('clearance', 'target-turned-round');
      const names = (f.mates ?? []).map((m) => m.name);
      if (new Set(names).size < names.length) return bad('mates', 'mates-alike');
      for (const m of f.mates ?? [])
        if (m.minMm !== null && m.maxMm !== null && m.minMm >= m.maxMm) return bad('mates', 'target-turned-round');
      const { eitherSideMm: before, ...prove } = job.prove;
      const eitherSide = eitherSideMm === undefined ? before : (eitherSideMm ?? undefined);
      const next = { ...prove, ...given(f), worth: { ...prove.worth, ...given(worth ?? {}) } };
      return good({ job: { ...job, prove: eitherSide === undefined ? next : { ...next, eitherSideMm: eitherSide } } });
    },
  ),
  setQuantity: edit(
    { parts: some(quantity.properties.parts), testPiece: some(quantity.properties.testPiece) },
    ({ job }, f) => ({ job: { ...job, quantity: { ...job.quantity, ...given(f) } } }),
  ),
  setRecord: edit({ note: some(record.properties.note), verdict: some(record.properties.verdict) }, ({ job }, f) => ({
    job: { ...job, record: { ...job.record, ...given(f) } },
  })),

  archive: edit({ archived: Type.Boolean() }, ({ job }, { archived }) => ({ job: putAway(job, archived) })),

  settle: edit(
    {
      station,
      /** The thread as the evidence now has it; missing: the one accepted. */
      thread: some(Type.Union([Type.Null(), ThreadSchema])),
    },
    ({ job, shop, at }, f) => {
      const why = notYet(f.station, job, shop);
      if (why !== null) return bad('station', 'nothing-to-settle', { why, station: f.station });
      const believed = f.thread === undefined ? threadOfJob(job) : f.thread;
      return good({ job: settledNow(job, shop, f.station, at, believed) });
    },
  ),
} as const;
