import { fitOfJob, latheOf } from '../../core/job/derive.ts';
import { planRequest } from '../../core/job/cutPlan.ts';
import { feedOf } from '../../core/job/feed.ts';
import { metalOf } from '../../core/job/metal.ts';
import { setTo } from '../../core/job/nextPass.ts';
import { planOf } from '../../core/cutting/plan.ts';
import { dialReading } from '../../core/lathe/dials.ts';
import { cosDeg } from '../../core/quantity/units.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import type { Answers } from '../../sim/door.ts';
import type { Fault } from '../../sim/run.ts';

/**
 * The mistakes that this program once made, each put back by itself on the way to the machinist. The simulated shop has to
 * scrap jobs with every one of them: else it would prove nothing.
 */
const withSettings = (a: Answers, settings: Answers['card']['settings']): Answers => ({
  ...a,
  card: { ...a.card, settings },
});
const cutting = (a: Answers): boolean => a.card.do === 'set' && a.card.pass?.spring !== true;

/** What the card would say for a depth if nothing were known of what is there. */
function blind(
  job: Job,
  shop: Shop,
  pass: { readonly depthMm: number; readonly axialMm: number },
): Answers['card']['settings'] {
  const metal = metalOf(job);
  const request = planRequest(job, shop, metal);
  if (!request) return [];
  return setTo(pass, {
    metal: { ...metal, crossMm: 0, topMm: 0 },
    feed: feedOf(job, metal),
    request,
    lathe: latheOf(job, shop),
  }).settings;
}

/** There was no air pass then: the move was believed. */
const noAirPass: NonNullable<Fault['edits']> = (edits) =>
  edits.map((e) => (e['do'] === 'airPass' ? { ...e, result: 'in' } : e));

/** A scratch is taken for right, whatever it spans. */
const believed = (edits: readonly Record<string, unknown>[]): readonly Record<string, unknown>[] =>
  edits.map((e) => (e['do'] === 'scratch' ? { do: 'provePitch', by: 'scratch' } : e));

export const FAULTS: readonly Fault[] = [
  {
    name: '1. turning the work the wrong way',
    edits: noAirPass,
    answers: (a) => {
      const { move } = a.pickup;
      if (move?.way !== 'turn') return a;
      const direction = move.direction === 'back' ? 'forward' : 'back';
      return { ...a, pickup: { ...a.pickup, move: { ...move, direction } } };
    },
  },
  {
    name: '2. slipping a gear without the gearbox behind it',
    concerns: (d) => d.latheKind === 'gearbox' && d.way === 'slip' && (d.wanted !== 'copy' || d.trouble),
    edits: noAirPass,
    answers: (a, job) => {
      const { move } = a.pickup;
      if (move?.way !== 'slip') return a;
      const [over, under] = (job.gears.train?.gearbox ?? '1').split('/');
      const box = Number(over) / Number(under ?? 1);
      return { ...a, pickup: { ...a.pickup, move: { ...move, teeth: Math.round(move.teeth * box) } } };
    },
  },
  {
    name: '3. one turn out, whatever the depth',
    answers: (a) => ({ ...a, card: { ...a.card, outTurns: a.card.outTurns === null ? null : 1 } }),
  },
  {
    name: '4. the top slide to the reading, though it lies along the bed',
    concerns: (d) => d.way === 'parallel' && d.trouble && d.infeed !== 'plunge' && d.wanted === 'copy',
    answers: (a, job, shop) => {
      const metal = metalOf(job);
      const lathe = latheOf(job, shop);
      if (!cutting(a) || feedOf(job, metal).conflict !== 'slide-along-bed' || !lathe) return a;
      const depth = (a.card.depthMm ?? NaN) - metal.zeroMm;
      const r = dialReading(depth / cosDeg(job.setup.slideAngleDeg), lathe.topSlide);
      const common = { unit: lathe.topSlide.unit, reads: lathe.topSlide.reads, wound: 'in' } as const;
      return withSettings(a, [
        { slide: 'top', turns: r.turns, value: r.reading, ...common },
        { slide: 'cross', turns: 0, value: 0, ...common },
      ]);
    },
  },
  {
    name: '5. the card remembers a pass number, not a depth',
    answers: (a, job, shop) => {
      const metal = metalOf(job);
      const request = planRequest(job, shop, metal);
      if (!cutting(a) || !request || metal.touched !== 'surface' || metal.zeroMm !== 0) return a;
      const plan = planOf({ ...request, doneMm: 0, axialDoneMm: null, passes: job.cut.passes?.count ?? null });
      if (!plan.ok) return a;
      const pass = plan.value.passes[Math.min(metal.cuts, plan.value.passes.length - 1)];
      return pass ? withSettings(a, blind(job, shop, pass)) : a;
    },
  },
  {
    name: '7. the depth of the book, whatever the blank measures',
    concerns: (d) => Math.abs(d.blankOffMm) > 0.1,
    edits: (edits, job) =>
      edits.map((e) =>
        e['do'] === 'measureBlank' ? { ...e, diameterMm: fitOfJob(job)?.startDiameterMm ?? e['diameterMm'] } : e,
      ),
  },
  {
    name: 'the half-nuts on any mark',
    concerns: (d) => d.returnBy === 'dial',
    answers: (a) => (a.card.closeOn === null ? a : { ...a, card: { ...a.card, closeOn: [0, 1, 2, 3, 4, 5, 6, 7] } }),
  },
  {
    name: 'a screwed-on chuck is not warned of',
    answers: (a) => ({ ...a, card: { ...a.card, cautions: a.card.cautions.filter((c) => c !== 'screwed-chuck') } }),
  },
  {
    name: 'a change of infeed in mid-cut throws the tool sideways',
    concerns: (d) => d.trouble && d.wanted === 'copy' && (d.infeed === 'flank' || d.infeed === 'modified'),
    answers: (a, job, shop) => {
      const metal = metalOf(job);
      if (!cutting(a) || metal.topMm === 0 || job.setup.infeed !== 'plunge') return a;
      const depthMm = a.card.depthMm ?? NaN;
      return withSettings(a, [
        ...blind(job, shop, { depthMm, axialMm: 0 }),
        // back to its zero, as if the cross slide had fed all along
        ...a.card.settings.filter((s) => s.slide === 'top').map((s) => ({ ...s, turns: 0, value: 0 })),
      ]);
    },
  },
  {
    name: '10. a nut made to the most worn place of its screw',
    concerns: (d) => d.wornMm !== null,
    edits: (edits) => edits.map((e) => (e['do'] === 'setFit' && e['to'] === 'mate' ? { ...e, wornMate: 'recut' } : e)),
  },
  {
    name: '11. a nut bored without hearing of its screw\u2019s root',
    concerns: (d) => d.wornMm !== null,
    edits: (edits) =>
      edits.map((e) => {
        const reading = e['reading'] as { readonly quantity?: string } | undefined;
        return reading?.quantity === 'minorDiameter' ? { do: 'sayWhy', reason: 'dealt' } : e;
      }),
  },
  {
    name: 'the card of putting up names no levers',
    concerns: (d) => d.latheKind === 'gearbox' && d.wanted === 'copy' && !d.slip,
    // and whoever counts the scratch says what was to be expected
    edits: believed,
    answers: (a) => ({ ...a, card: { ...a.card, gears: a.card.gears && { ...a.card.gears, levers: null } } }),
  },
  {
    name: 'a scratch that contradicts the train is only written down',
    concerns: (d) => d.slip,
    edits: believed,
  },
  {
    name: 'a blank put right in mid-cut changes nothing',
    concerns: (d) => Math.abs(d.misreadMm) > 0.15,
    edits: (edits) => edits.map((e) => (e['do'] === 'correctBlank' ? { do: 'sayWhy', reason: 'dealt' } : e)),
  },
];
