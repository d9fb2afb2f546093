import { Type, type TSchema } from '@sinclair/typebox';
import { bad, good } from '../../quantity/outcome.ts';
import { cosDeg } from '../../quantity/units.ts';
import { TrainSchema } from '../../lathe/schema.ts';
import { cardOf } from '../card.ts';
import { cutFacts } from '../cutPlan.ts';
import { latheOf, threadOfJob } from '../derive.ts';
import { EVENT_FIELDS } from '../events.ts';
import { feedOf, feedsAtAngle, plannedSlideDeg } from '../feed.ts';
import { lastN, metalOf, voidedOf } from '../metal.ts';
import { object, oneOf, positive, text, TipSchema } from '../parts.ts';
import { pickupMove, slidesMoved } from '../pickupMove.ts';
import { oldGrooveBelowMm } from '../recut.ts';
import type { Job, Shop } from '../schema.ts';
import { sideStand } from '../slides.ts';
import { edit, event } from './edit.ts';

const some = <T extends TSchema>(schema: T) => Type.Optional(schema);
const orNull = <T extends TSchema>(schema: T) => Type.Optional(Type.Union([Type.Null(), schema]));
const shown = (mm: number): string => `${Number(mm.toFixed(3))} mm`;

/** What is done at the lathe: every one of these writes to the ledger. */
export const MACHINE = {
  beginPart: event({}, 'begin the next part', (_, { job }) =>
    job.events.length > 0 && metalOf(job).finished === null && metalOf(job).cuts > 0
      ? bad('part', 'The part in the lathe is not finished.', 'finish it, or scrap it, first')
      : { kind: 'partBegun' },
  ),
  finishPart: event(
    { verdict: some(oneOf('finished', 'scrapped')), why: some(text(400)) },
    (f) => (f.verdict === 'scrapped' ? 'scrap this part' : 'finish this part'),
    (f) => (f.verdict === 'scrapped' ? { kind: 'partScrapped', why: f.why ?? '' } : { kind: 'partFinished' }),
  ),

  mount: event(
    { holding: some(EVENT_FIELDS.mounted.holding), steady: some(EVENT_FIELDS.mounted.steady) },
    'put the work up',
    (f, { job }) => ({
      kind: 'mounted',
      lathe: job.gears.lathe,
      holding: f.holding ?? 'chuck',
      steady: f.steady ?? 'none',
    }),
  ),
  takeOut: event({}, 'take the work out', () => ({ kind: 'takenOut' })),
  reseat: event({}, 're-seat the work', () => ({ kind: 'reseated' })),
  slipped: event({}, 'it slipped in the jaws', () => ({ kind: 'slipped' })),
  wrongMark: event({}, 'half-nuts shut on a wrong mark', () => ({ kind: 'wrongMark' })),
  stoppedShort: event({ note: some(text(400)) }, 'stopped short', (f) => ({
    kind: 'stoppedShort',
    note: f.note ?? '',
  })),
  runOut: event({ fullMm: EVENT_FIELDS.runOutRead.fullMm, text: some(text(80)) }, 'read the run-out', (f) => ({
    kind: 'runOutRead',
    fullMm: f.fullMm,
    text: f.text ?? shown(f.fullMm),
  })),
  measureBlank: event(
    { diameterMm: positive, text: some(text(80)) },
    (f) => `measure the surface: ${f.text ?? shown(f.diameterMm)}`,
    (f, { job }) => {
      const metal = metalOf(job);
      if (metal.cuts > 0 && metal.surfaceMm !== null)
        return bad(
          'diameterMm',
          'Once grooves are cut their burrs make the crests read large: depths count from the surface as it was touched.',
          'file or top the crests and record that instead',
        );
      return { kind: 'blankMeasured', diameterMm: f.diameterMm, text: f.text ?? shown(f.diameterMm) };
    },
  ),
  touchOff: event(
    {
      on: some(EVENT_FIELDS.touchedOff.on),
      diameterMm: orNull(positive),
      grooveMm: orNull(Type.Number({ minimum: 0, maximum: 1000 })),
      slideDeg: orNull(Type.Number({ minimum: 0, maximum: 90 })),
    },
    'touch off',
    (f, { job, shop }) => {
      const metal = metalOf(job);
      const on = f.on ?? 'surface';
      const diameterMm = on === 'groove' ? null : (f.diameterMm ?? metal.surfaceMm ?? metal.measuredMm);
      if (on === 'surface' && diameterMm === null)
        return bad(
          'diameterMm',
          'The surface has not been measured, and every depth counts from it.',
          'measure it where the tool touches',
        );
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
  mountGears: edit({ train: orNull(TrainSchema) }, 'put the train up', ({ job, shop }, f) => {
    const train = f.train ?? job.gears.train;
    const lathe = latheOf(job, shop);
    if (!lathe) return bad('lathe', 'No lathe is chosen.', 'choose one under Gears');
    if (!train) return bad('train', 'No train is chosen.', 'take one under Gears');
    return good({
      shop: withMounted(shop, lathe.id, train),
      events: [{ kind: 'gearsMounted', lathe: lathe.id, train }],
    });
  }),
  setLevers: event({ ratio: text(80) }, 'move a lever', (f, { job }) => ({
    kind: 'leversSet',
    lathe: job.gears.lathe ?? '',
    ratio: f.ratio,
  })),
  swingSlide: event({ deg: EVENT_FIELDS.slideSwung.deg }, 'swing the top slide', (f) => ({
    kind: 'slideSwung',
    deg: f.deg,
  })),
  scratch: event(
    { crests: EVENT_FIELDS.scratchRead.crests, spanMm: positive, text: some(text(120)) },
    'read the scratch',
    (f) => ({
      kind: 'scratchRead',
      crests: f.crests,
      spanMm: f.spanMm,
      text: f.text ?? `${f.crests} in ${shown(f.spanMm)}`,
    }),
  ),

  offset: event(
    { mm: EVENT_FIELDS.offsetRead.mm, text: some(text(80)) },
    (f) => `the groove is ${f.text ?? shown(f.mm)} off`,
    (f) => ({ kind: 'offsetRead', mm: f.mm, text: f.text ?? shown(f.mm) }),
  ),
  inGroove: event(
    {
      way: some(EVENT_FIELDS.inGroove.way),
      topMm: some(EVENT_FIELDS.inGroove.topMm),
      crossMm: some(EVENT_FIELDS.inGroove.crossMm),
    },
    'the tool is in the groove',
    (f, { job, shop }) => {
      const metal = metalOf(job);
      const way = f.way ?? (metal.offset ? job.pickup.way : 'by-eye');
      const { move } = pickupMove(
        { ...job, pickup: { ...job.pickup, way: way === 'by-eye' ? 'turn' : way } },
        shop,
        metal,
      );
      const moved = move && way !== 'by-eye' ? slidesMoved(move) : { topMm: 0, crossMm: 0 };
      return { kind: 'inGroove', way, topMm: f.topMm ?? moved.topMm, crossMm: f.crossMm ?? moved.crossMm };
    },
  ),
  airPass: event({ result: some(EVENT_FIELDS.airPassed.result) }, 'run an air pass', (f) => ({
    kind: 'airPassed',
    result: f.result ?? 'in',
  })),

  passDone: event(
    {
      /** Depth that was really cut, below the surface; missing: what the card asked for. */
      depthMm: some(Type.Number({ minimum: -1000, maximum: 1000 })),
    },
    'pass done',
    (f, { job, shop }) => {
      const { card } = cardOf(job, shop, null);
      if (card.do !== 'set' || !card.writes || card.pass?.spring)
        return bad(
          'pass',
          'There is no pass to cut now.',
          card.do === 'set' ? 'a spring pass is next' : 'what the card asks for',
        );
      const { writes } = card;
      if (writes.kind !== 'cut') return bad('pass', 'There is no pass to cut now.');
      if (f.depthMm === undefined || Math.abs(f.depthMm - writes.depthMm) < SAME_DEPTH_MM) return writes;
      const metal = metalOf(job);
      if (f.depthMm < metal.depthMm - SAME_DEPTH_MM)
        return bad('depthMm', 'The groove is deeper than that already.', `more than ${shown(metal.depthMm)}`);
      // another depth than the card's: the slide that feeds stands where it gives that depth
      const by = f.depthMm - writes.depthMm;
      const angled = feedsAtAngle(writes.infeed);
      return {
        ...writes,
        depthMm: f.depthMm,
        ...(angled && writes.slideDeg !== null
          ? { topMm: writes.topMm + by / cosDeg(writes.slideDeg) }
          : { crossMm: writes.crossMm + by }),
      };
    },
  ),
  springDone: event({}, 'spring pass done', (_, { job, shop }) => {
    const { card, metal } = cardOf(job, shop, null);
    if (card.do === 'check' || card.do === 'pickup')
      return bad('spring', 'Nothing may be cut now.', 'what the card asks for');
    return metal.cuts === 0
      ? bad('spring', 'Nothing has been cut yet, so nothing can spring.', 'a pass first')
      : { kind: 'sprung', depthMm: metal.depthMm };
  }),
  deeper: event(
    { byMm: Type.Number({ minimum: -50, maximum: 50 }) },
    (f) => `deeper by ${shown(f.byMm)}`,
    (f) => ({ kind: 'deeper', byMm: f.byMm }),
  ),
  sideDone: event(
    { flank: EVENT_FIELDS.sideCut.flank, byMm: EVENT_FIELDS.sideCut.byMm },
    (f) => `side cut ${shown(f.byMm)}`,
    (f, { job }) => {
      const metal = metalOf(job);
      const leftHand = threadOfJob(job)?.leftHand ?? false;
      if (metal.cuts === 0) return bad('flank', 'Nothing has been cut yet.', 'passes first');
      // the leading flank lies in the direction of the cut
      const towardsHeadstock = f.byMm * ((f.flank === 'leading') === !leftHand ? 1 : -1);
      const stand = sideStand(metal, towardsHeadstock, leftHand);
      if (!stand)
        return bad(
          'flank',
          'The top slide lies square across: it cannot move the tool along.',
          'swing it along the bed first',
        );
      return { kind: 'sideCut', flank: f.flank, byMm: f.byMm, axialMm: metal.axialMm + towardsHeadstock, ...stand };
    },
  ),
  confirmDepth: edit(
    { depthMm: some(Type.Number({ minimum: 0, maximum: 1000 })), text: some(text(80)) },
    'read the slide',
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
  check: edit({}, 'looked at: it is right', ({ job, shop }) => {
    const metal = metalOf(job);
    const facts = { ...cutFacts(job, shop) };
    const slideDeg = plannedSlideDeg(job);
    const swung =
      metal.facts &&
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
    },
    (f) => (f.result === 'note' ? 'note a trial' : 'try the mate'),
    (f) => ({
      kind: 'tried',
      mate: f.mate ?? '',
      result: f.result,
      turns: f.turns ?? null,
      shakeMm: f.shakeMm ?? null,
      note: f.note ?? '',
      place: f.place ?? '',
    }),
  ),
  overWires: event(
    {
      mm: positive,
      text: some(text(80)),
      wire: orNull(object({ text: text(80), mm: positive })),
      place: some(text(120)),
    },
    (f) => `measure ${f.text ?? shown(f.mm)} over wires`,
    (f, { job }) => ({
      kind: 'overWires',
      mm: f.mm,
      text: f.text ?? shown(f.mm),
      wire: f.wire === undefined ? job.prove.wire : f.wire,
      place: f.place ?? '',
    }),
  ),
  gauge: event(
    {
      which: EVENT_FIELDS.gauged.which,
      passes: Type.Boolean(),
      turns: orNull(Type.Number({ minimum: 0, maximum: 10_000 })),
      pitchDiameterMm: orNull(positive),
    },
    'try a gauge',
    (f) => ({
      kind: 'gauged',
      which: f.which,
      passes: f.passes,
      turns: f.turns ?? null,
      pitchDiameterMm: f.pitchDiameterMm ?? null,
    }),
  ),
  rezero: event({}, 'set the dials to zero again', () => ({ kind: 'rezeroed' })),
  changeTool: edit(
    { how: some(EVENT_FIELDS.toolChanged.how), tip: orNull(TipSchema) },
    'change the tool',
    ({ job, shop }, f) => {
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
    },
  ),
  topCrest: event({ diameterMm: positive }, 'top the crests', (f) => ({
    kind: 'crestTopped',
    diameterMm: f.diameterMm,
  })),
  faceBack: event({ byMm: EVENT_FIELDS.facedBack.byMm }, 'face back', (f) => ({ kind: 'facedBack', byMm: f.byMm })),
  standOff: event({ mm: EVENT_FIELDS.standOffRead.mm, text: some(text(80)) }, 'read the stand-off', (f) => ({
    kind: 'standOffRead',
    mm: f.mm,
    text: f.text ?? shown(f.mm),
  })),
  offsetAtControl: event(
    { byMm: EVENT_FIELDS.controlOffset.byMm, on: EVENT_FIELDS.controlOffset.on },
    'change the offset at the control',
    (f) => ({ kind: 'controlOffset', byMm: f.byMm, on: f.on }),
  ),
  nextStart: event({ topMm: some(EVENT_FIELDS.indexed.topMm) }, 'index to the next start', (f, { job }) => {
    const metal = metalOf(job);
    const starts = threadOfJob(job)?.starts ?? 1;
    return metal.start >= starts
      ? bad('start', `The thread has ${starts === 1 ? 'one start' : `${starts} starts`}.`, 'the last one is being cut')
      : { kind: 'indexed', to: metal.start + 1, topMm: f.topMm ?? 0 };
  }),
  /** Strikes an event through: it stays in the ledger, and counts for nothing. */
  void: event({ of: Type.Integer({ minimum: 1, maximum: 100_000 }) }, 'take an event back', (f, { job }) =>
    !job.events.some((e) => e.n === f.of)
      ? bad('of', `There is no event ${f.of}.`, `1 to ${lastN(job)}`)
      : voidedOf(job.events).has(f.of)
        ? bad('of', `Event ${f.of} is struck through already.`, 'void the event that did it, to bring it back')
        : { kind: 'voided', of: f.of },
  ),
} as const;

/** The shop with these gears on a lathe. */
const withMounted = (shop: Shop, lathe: string | null, train: NonNullable<Job['gears']['train']>): Shop => ({
  ...shop,
  lathes: shop.lathes.map((l) => (l.id === lathe ? { ...l, mounted: train } : l)),
});

/** Depths nearer than this are the same setting, mm. */
const SAME_DEPTH_MM = 1e-6;
