import { Type, type TSchema } from '@sinclair/typebox';
import { bad, good } from '../../quantity/outcome.ts';
import { cosDeg } from '../../quantity/units.ts';
import { TrainSchema } from '../../lathe/schema.ts';
import { cutFacts, startToCut } from '../cutPlan.ts';
import { latheOf, threadOfJob } from '../derive.ts';
import { BINDS, EVENT_FIELDS } from '../events.ts';
import { feedOf, feedsAtAngle, plannedSlideDeg, swungToPickUp } from '../feed.ts';
import { lastN, metalOf, standingOfPart, voidedOf } from '../metal.ts';
import { mateInHand, pinUsed } from '../measure.ts';
import { object, oneOf, positive, text, TipSchema } from '../parts.ts';
import { oldGrooveBelowMm } from '../recut.ts';
import type { Job, Shop } from '../schema.ts';
import { beliefOf } from '../sizing.ts';
import { edit, event, some, shown } from './edit.ts';

const orNull = <T extends TSchema>(schema: T) => Type.Optional(Type.Union([Type.Null(), schema]));

/** What is done at the lathe: every one of these writes to the ledger. */
export const MACHINE = {
  beginPart: event({}, (_, { job }) =>
    job.events.length > 0 && metalOf(job).finished === null && metalOf(job).cuts > 0
      ? bad('part', 'part-not-finished')
      : { kind: 'partBegun' },
  ),
  /** Let be with what is known, and signed: the part is done. */
  accept: event({ by: text(120) }, (f, { job, shop }) =>
    metalOf(job).cuts === 0
      ? bad('part', 'nothing-cut')
      : f.by.trim() === ''
        ? bad('by', 'not-signed')
        : { kind: 'accepted', by: f.by.trim(), inside: beliefOf(job, shop)?.answer.inside ?? null },
  ),
  finishPart: event({ verdict: some(oneOf('finished', 'scrapped')), why: some(text(400)) }, (f) =>
    f.verdict === 'scrapped' ? { kind: 'partScrapped', why: f.why ?? '' } : { kind: 'partFinished' },
  ),

  mount: event(
    { holding: some(EVENT_FIELDS.mounted.holding), steady: some(EVENT_FIELDS.mounted.steady) },
    (f, { job }) => ({
      kind: 'mounted',
      lathe: job.gears.lathe,
      holding: f.holding ?? 'chuck',
      steady: f.steady ?? 'none',
    }),
  ),
  takeOut: event({}, () => ({ kind: 'takenOut' })),
  reseat: event({}, () => ({ kind: 'reseated' })),
  slipped: event({}, () => ({ kind: 'slipped' })),
  wrongMark: event({}, () => ({ kind: 'wrongMark' })),
  stoppedShort: event({ note: some(text(400)) }, (f) => ({
    kind: 'stoppedShort',
    note: f.note ?? '',
  })),
  runOut: event({ fullMm: EVENT_FIELDS.runOutRead.fullMm, text: some(text(80)) }, (f) => ({
    kind: 'runOutRead',
    fullMm: f.fullMm,
    text: f.text ?? shown(f.fullMm),
  })),
  measureBlank: event({ diameterMm: positive, text: some(text(80)) }, (f, { job }) => {
    const metal = metalOf(job);
    if (metal.cuts > 0 && metal.surfaceMm !== null) return bad('diameterMm', 'crests-burred');
    return { kind: 'blankMeasured', diameterMm: f.diameterMm, text: f.text ?? shown(f.diameterMm) };
  }),
  /** The blank was read wrongly, and metal is cut since: what is cut stays where it is, and what has to be reached follows. */
  correctBlank: event({ diameterMm: positive, text: some(text(80)) }, (f, { job }) => {
    const metal = metalOf(job);
    const wasMm = metal.surfaceMm ?? metal.measuredMm;
    return wasMm === null
      ? bad('diameterMm', 'surface-not-measured')
      : { kind: 'blankCorrected', diameterMm: f.diameterMm, wasMm, text: f.text ?? shown(f.diameterMm) };
  }),
  touchOff: event(
    {
      on: some(EVENT_FIELDS.touchedOff.on),
      diameterMm: orNull(positive),
      grooveMm: orNull(Type.Number({ minimum: 0, maximum: 1000 })),
      slideDeg: orNull(Type.Number({ minimum: 0, maximum: 90 })),
    },
    (f, { job, shop }) => {
      const metal = metalOf(job);
      const on = f.on ?? 'surface';
      const diameterMm = on === 'groove' ? null : (f.diameterMm ?? metal.surfaceMm ?? metal.measuredMm);
      if (on === 'surface' && diameterMm === null) return bad('diameterMm', 'surface-not-measured');
      return {
        kind: 'touchedOff',
        on,
        diameterMm,
        grooveMm:
          on === 'groove' ? 0 : (f.grooveMm ?? (diameterMm === null ? null : oldGrooveBelowMm(job, diameterMm))),
        slideDeg: f.slideDeg ?? metal.slideDeg ?? plannedSlideDeg(job),
        facts: { ...cutFacts(job, shop) },
      };
    },
  ),
  mountGears: edit({ train: orNull(TrainSchema) }, ({ job, shop }, f) => {
    const train = f.train ?? job.gears.train;
    const lathe = latheOf(job, shop);
    if (!lathe) return bad('lathe', 'no-lathe-chosen');
    if (!train) return bad('train', 'no-train-chosen');
    return good({
      shop: withMounted(shop, lathe.id, train),
      events: [{ kind: 'gearsMounted', lathe: lathe.id, train }],
    });
  }),
  setLevers: event({ ratio: text(80) }, (f, { job }) => ({
    kind: 'leversSet',
    lathe: job.gears.lathe ?? '',
    ratio: f.ratio,
  })),
  swingSlide: event({ deg: EVENT_FIELDS.slideSwung.deg }, (f) => ({
    kind: 'slideSwung',
    deg: f.deg,
  })),
  scratch: event({ crests: EVENT_FIELDS.scratchRead.crests, spanMm: positive, text: some(text(120)) }, (f) => ({
    kind: 'scratchRead',
    crests: f.crests,
    spanMm: f.spanMm,
    text: f.text ?? `${f.crests} in ${shown(f.spanMm)}`,
  })),
  provePitch: event({ by: EVENT_FIELDS.pitchProved.by }, (f) => ({ kind: 'pitchProved', by: f.by })),

  confirmDepth: edit(
    { depthMm: some(Type.Number({ minimum: 0, maximum: 1000 })), text: some(text(80)) },
    ({ job, shop }, f) => {
      const metal = metalOf(job);
      const depthMm = f.depthMm ?? metal.depthMm;
      const slideDeg = plannedSlideDeg(job);
      const angled = feedsAtAngle(job.setup.infeed);
      const topMm = angled && slideDeg !== null ? depthMm / cosDeg(slideDeg) : 0;
      const { train } = job.gears;
      return good({
        // the card asks to see that this train is on the lathe: an older record did not keep what was put up
        ...(train && latheOf(job, shop) ? { shop: withMounted(shop, job.gears.lathe, train) } : {}),
        events: [
          ...(slideDeg === null || metal.slideDeg !== null ? [] : [{ kind: 'slideSwung' as const, deg: slideDeg }]),
          { kind: 'depthRead', depthMm, crossMm: angled ? 0 : depthMm, topMm, text: f.text ?? shown(depthMm) },
          { kind: 'checked', facts: { ...cutFacts(job, shop) } },
        ],
      });
    },
  ),
  /** What changed has been looked at, and it is right. */
  check: edit({}, ({ job, shop }) => {
    const metal = metalOf(job);
    const facts = { ...cutFacts(job, shop) };
    const slideDeg = plannedSlideDeg(job);
    const swung =
      metal.facts &&
      !swungToPickUp(job, metal) &&
      slideDeg !== null &&
      metal.slideDeg !== slideDeg &&
      (metal.facts['Feed'] !== facts['Feed'] || metal.slideDeg !== null) &&
      feedOf(job, metal).conflict === null
        ? [{ kind: 'slideSwung' as const, deg: slideDeg }]
        : [];
    const reground =
      metal.facts && metal.facts['Tool'] !== facts['Tool']
        ? [{ kind: 'toolChanged' as const, how: 'reground' as const, tip: job.fit.tip }]
        : [];
    return good({ events: [...swung, ...reground, { kind: 'checked', facts }] });
  }),

  tryMate: event(
    {
      mate: some(text(120)),
      result: EVENT_FIELDS.tried.result,
      turns: orNull(Type.Number({ minimum: 0, maximum: 10_000 })),
      shakeMm: orNull(Type.Number({ minimum: 0, maximum: 100 })),
      note: some(text()),
      place: some(text(120)),
      lengthMm: orNull(positive),
      where: orNull(oneOf(...BINDS)),
      atMm: some(EVENT_FIELDS.tried.atMm),
    },
    (f, { job }) => {
      const mate = f.mate ?? mateInHand(job)?.name ?? '';
      return {
        kind: 'tried',
        mate,
        result: f.result,
        turns: f.turns ?? null,
        shakeMm: f.shakeMm ?? null,
        note: f.note ?? '',
        place: f.place ?? '',
        lengthMm: f.lengthMm ?? job.prove.mates.find((m) => m.name === mate)?.lengthMm ?? null,
        where: f.where ?? null,
        atMm: f.atMm ?? null,
      };
    },
  ),
  /** More of a trial that was written down already: it is struck through and written anew. */
  sayOfTrial: edit(
    {
      of: Type.Integer({ minimum: 1, maximum: 100_000 }),
      turns: orNull(Type.Number({ minimum: 0, maximum: 10_000 })),
      shakeMm: orNull(Type.Number({ minimum: 0, maximum: 100 })),
      where: orNull(oneOf(...BINDS)),
      atMm: some(EVENT_FIELDS.tried.atMm),
      note: some(text()),
    },
    ({ job }, { of, ...more }) => {
      const old = standingOfPart(job).find((e) => e.n === of);
      if (old?.kind !== 'tried') return bad('of', 'no-such-event', { of, last: lastN(job) });
      const { mate, result, turns, shakeMm, note, place, lengthMm, where, atMm } = old;
      const told = Object.fromEntries(Object.entries(more).filter(([, v]) => v !== undefined));
      const again = {
        kind: 'tried' as const,
        mate,
        result,
        turns,
        shakeMm,
        note,
        place,
        lengthMm,
        where,
        atMm,
        ...told,
      };
      return good({ events: [{ kind: 'voided', of }, again] });
    },
  ),
  overWires: event(
    {
      mm: positive,
      text: some(text(80)),
      wire: orNull(object({ text: text(80), mm: positive })),
      place: some(text(120)),
      count: some(EVENT_FIELDS.overWires.count),
      majorMm: orNull(positive),
      warmK: some(EVENT_FIELDS.overWires.warmK),
      atMm: some(EVENT_FIELDS.overWires.atMm),
    },
    (f, { job, shop }) => {
      if (job.intake.make === 'internal') return bad('mm', 'wires-on-nut');
      const count = f.count ?? job.prove.count;
      const majorMm = f.majorMm ?? metalOf(job).surfaceMm;
      if (count === 1 && majorMm === null) return bad('majorMm', 'one-wire-needs-major');
      return {
        kind: 'overWires',
        mm: f.mm,
        text: f.text ?? shown(f.mm),
        wire: f.wire === undefined ? pinUsed(job, shop) : f.wire,
        place: f.place ?? '',
        count,
        majorMm: count === 1 ? majorMm : null,
        warmK: f.warmK === undefined ? job.prove.warmK : f.warmK,
        atMm: f.atMm ?? null,
      };
    },
  ),
  betweenBalls: event(
    {
      mm: positive,
      text: some(text(80)),
      ball: orNull(object({ text: text(80), mm: positive })),
      place: some(text(120)),
      warmK: some(EVENT_FIELDS.betweenBalls.warmK),
      atMm: some(EVENT_FIELDS.betweenBalls.atMm),
    },
    (f, { job, shop }) =>
      job.intake.make === 'external'
        ? bad('mm', 'balls-on-screw')
        : {
            kind: 'betweenBalls',
            mm: f.mm,
            text: f.text ?? shown(f.mm),
            ball: f.ball === undefined ? pinUsed(job, shop) : f.ball,
            place: f.place ?? '',
            warmK: f.warmK === undefined ? job.prove.warmK : f.warmK,
            atMm: f.atMm ?? null,
          },
  ),
  readForm: event(
    {
      what: EVENT_FIELDS.formRead.what,
      value: EVENT_FIELDS.formRead.value,
      text: text(80),
      spanMm: orNull(positive),
      atMm: some(EVENT_FIELDS.formRead.atMm),
      roundDeg: some(EVENT_FIELDS.formRead.roundDeg),
    },
    (f) =>
      f.what === 'lead' && f.spanMm == null
        ? bad('spanMm', 'lead-without-span')
        : f.what === 'round' && f.roundDeg == null
          ? bad('roundDeg', 'round-without-place')
          : {
              kind: 'formRead',
              what: f.what,
              value: f.value,
              text: f.text,
              spanMm: f.spanMm ?? null,
              atMm: f.atMm ?? null,
              roundDeg: f.roundDeg ?? null,
            },
  ),
  dress: event({ what: EVENT_FIELDS.dressed.what }, (f) => ({ kind: 'dressed', what: f.what })),
  gauge: event(
    {
      which: EVENT_FIELDS.gauged.which,
      passes: Type.Boolean(),
      turns: orNull(Type.Number({ minimum: 0, maximum: 10_000 })),
      pitchDiameterMm: orNull(positive),
    },
    (f) => ({
      kind: 'gauged',
      which: f.which,
      passes: f.passes,
      turns: f.turns ?? null,
      pitchDiameterMm: f.pitchDiameterMm ?? null,
    }),
  ),
  rezero: event({}, () => ({ kind: 'rezeroed' })),
  changeTool: edit({ how: some(EVENT_FIELDS.toolChanged.how), tip: orNull(TipSchema) }, ({ job, shop }, f) => {
    const tip = f.tip === undefined ? job.fit.tip : f.tip;
    const next = { ...job, fit: { ...job.fit, tip } };
    const cutting = metalOf(job).facts !== null;
    return good({
      job: next,
      events: [
        { kind: 'toolChanged', how: f.how ?? 'changed', tip },
        ...(cutting ? [{ kind: 'checked' as const, facts: { ...cutFacts(next, shop) } }] : []),
      ],
    });
  }),
  topCrest: event({ diameterMm: positive }, (f) => ({
    kind: 'crestTopped',
    diameterMm: f.diameterMm,
  })),
  faceBack: event({ byMm: EVENT_FIELDS.facedBack.byMm }, (f) => ({ kind: 'facedBack', byMm: f.byMm })),
  standOff: event({ mm: EVENT_FIELDS.standOffRead.mm, text: some(text(80)) }, (f) => ({
    kind: 'standOffRead',
    mm: f.mm,
    text: f.text ?? shown(f.mm),
  })),
  offsetAtControl: event({ byMm: EVENT_FIELDS.controlOffset.byMm, on: EVENT_FIELDS.controlOffset.on }, (f) => ({
    kind: 'controlOffset',
    byMm: f.byMm,
    on: f.on,
  })),
  nextStart: event({ topMm: some(EVENT_FIELDS.indexed.topMm) }, (f, { job }) => {
    const metal = metalOf(job);
    const starts = threadOfJob(job)?.starts ?? 1;
    // who indexes before anything is cut goes on to the next; after the last only where one lies shallower
    const to = startToCut(job, metal) ?? (metal.start < starts && metal.cuts === 0 ? metal.start + 1 : null);
    return to === null ? bad('start', 'last-start', { starts }) : { kind: 'indexed', to, topMm: f.topMm ?? 0 };
  }),
  /** Strikes an event through: it stays in the ledger, and counts for nothing. */
  void: event({ of: Type.Integer({ minimum: 1, maximum: 100_000 }) }, (f, { job }) =>
    !job.events.some((e) => e.n === f.of)
      ? bad('of', 'no-such-event', { of: f.of, last: lastN(job) })
      : voidedOf(job.events).has(f.of)
        ? bad('of', 'voided-already', { of: f.of })
        : { kind: 'voided', of: f.of },
  ),
} as const;

/** The shop with these gears on a lathe. */
const withMounted = (shop: Shop, lathe: string | null, train: NonNullable<Job['gears']['train']>): Shop => ({
  ...shop,
  lathes: shop.lathes.map((l) => (l.id === lathe ? { ...l, mounted: train } : l)),
});
