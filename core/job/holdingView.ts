import { depthsLeft, repeatsUntil, type RadialForce } from '../cutting/closing.ts';
import type { Way } from '../cutting/edges.ts';
import { gripOf, type GripView } from '../cutting/grip.ts';
import {
  barComplianceMmPerN,
  complianceMmPerN,
  placesAlong,
  QUIET_OVERHANG,
  steadyPlaceMm,
  thickestNeckMm,
  type Held,
} from '../cutting/holding.ts';
import { passLoad } from '../cutting/load.ts';
import { materialOf, type Material } from '../cutting/materials.ts';
import { toolOf } from '../cutting/plan.ts';
import { kept } from '../keep/keep.ts';
import { aheadOf, type Ahead } from './ahead.ts';
import { fitOfJob, latheOf } from './derive.ts';
import { loadedPasses, type LoadedPass } from './loads.ts';
import type { Job, Shop } from './schema.ts';

/** A fact without which nothing can be said of bending. */
export type Unsaid = 'holding' | 'free-length' | 'force' | 'neck' | 'overhang' | 'plan' | 'steady-place';

/** How big the screw comes out (how small the nut) along the thread, on diameter, mm. */
interface Along {
  readonly bigMm: readonly number[];
  readonly worstMm: number;
}
/** Ways to hold work that bends. */
export type AnswerCode =
  'as-held' | 'lighter' | 'follow-rest' | 'steady' | 'centre' | 'stiffer-bar' | 'springs' | 'all';
/** One way to hold it, and how big it then comes out. */
export interface Answer {
  readonly code: AnswerCode;
  /** The steady's place, the cap of the last passes, the bar's neck, or the springs; by the code. */
  readonly figure: number | null;
  /** Of all answers together, the one that the figure belongs to; elsewhere the answer itself. */
  readonly by: AnswerCode;
  readonly along: Along;
  /** The lathe has what it takes, or the job's own schedule can be changed so. */
  readonly can: boolean;
  /** It is within what the size may vary. */
  readonly within: boolean;
}
/** What decides how far it may come out big. */
export type Limit = 'bend' | 'grip' | 'power' | 'overhang' | 'neck';

/** How the work is held, how it bends, and what would help. */
export interface HoldingView {
  readonly missing: readonly Unsaid[];
  readonly passes: readonly LoadedPass[];
  /** Places along the free length (a bar has one), from the jaws, mm. */
  readonly atMm: readonly number[];
  /** By how much it may come out big (a nut small), mm on diameter. */
  readonly allowedMm: number;
  /** In the trade's order; the first is as it is held now. None where something is missing. */
  readonly answers: readonly Answer[];
  /** The first answer that does; the last one that can be had where none does. Null: as held will do, or nothing is known. */
  readonly best: Answer | null;
  readonly grip: GripView | null;
  readonly motorKw: number | null;
  /** What binds, the gravest first. */
  readonly binds: readonly Limit[];
  /** Repeats at full depth until the dial is believed, where it gives way most; null: more than anybody does. */
  readonly repeats: number | null;
  readonly thickestNeckMm: number | null;
  /** What is put on while it is cut; null: the material is not known. */
  readonly fluid: Pick<Material, 'fluid' | 'otherFluid'> | null;
}

/** Of the motor's power so much is at the spindle. Common practice, no source. */
const AT_SPINDLE = 0.7;
/** Lighter passes at the end: the last of the depth by so much a pass, mm. Common practice, no source. */
const LIGHT_LAST_MM = 0.2;
/** A pass near the depth where the last of it is taken lightly, mm. */
export const LIGHT_BY_MM = 0.03;
/** Springs after which it is given up, and a stiffer way is sought. */
const MOST_SPRINGS = 5;
/** Repeats are counted from so much before full depth, mm. Common practice, no source. */
export const BEFORE_DEPTH_MM = 0.05;
/** Left for the last repeat to be nothing, mm. Common practice, no source. */
const CLOSED_MM = 0.005;

/**
 * What each pass asks, what gives way and by how much, and what the trade does about it. Null: no thread is named.
 * @example holdingOf(demo('press'), shop) // null
 * @example holdingOf(demo('sluice'), shop).passes[0].depthMm // 0.2207
 */
export const holdingOf = kept((job: Job, shop: Shop): HoldingView | null => {
  const ahead = aheadOf(job, shop);
  const fit = fitOfJob(job);
  if (!fit) return null;
  const internal = fit.make === 'internal';
  // towards the mate: a screw to the most of its class, a nut to the least; without one until its clearance is gone
  const near = internal ? fit.limits?.pitch.min : fit.limits?.pitch.max;
  const allowedMm = near == null ? job.fit.pitchClearanceMm : Math.abs(near - fit.pitchDiameterMm);
  const material = materialOf(job.intake.material);
  const missing = missingOf(job, ahead?.ok === true, material);
  const motorKw = latheOf(job, shop)?.motorKw ?? null;
  const none: HoldingView = {
    missing,
    passes: [],
    atMm: [],
    allowedMm,
    answers: [],
    best: null,
    grip: null,
    motorKw,
    binds: [],
    repeats: null,
    fluid: material,
    thickestNeckMm: internal ? thickestNeckMm(fit.startDiameterMm, fit.depthMm) : null,
  };
  if (!ahead?.ok || !material?.force) return none;
  const passes = loadedPasses(job, shop, ahead.value, material.force);
  const hardest = passes.reduce((a, p) => Math.max(a, p.mainN), 0);
  const { held } = job.setup;
  const jawsMm = held.inJawsMm ?? (internal ? null : fit.startDiameterMm);
  const along = passes.reduce((a, p) => Math.max(a, Math.abs(p.axialN)), 0);
  const grip =
    held.grip !== null && jawsMm !== null && held.by !== 'centres' && held.by !== null
      ? gripOf(held.grip, hardest, held.stop ? 0 : along, fit.pitchDiameterMm, jawsMm)
      : null;
  const weak = passes.some((p) => motorKw !== null && p.powerKW !== null && p.powerKW > AT_SPINDLE * motorKw);
  const shared = { ...none, passes, grip };
  const bends = (missing.length === 0 && bendingOf(job, shop, ahead.value, material, allowedMm)) || null;
  const bar = job.setup.bar;
  const neckOver =
    internal && bar.neckMm !== null && none.thickestNeckMm !== null && bar.neckMm > none.thickestNeckMm + 1e-9;
  const longBar =
    internal && bar.neckMm !== null && bar.overhangMm !== null && bar.overhangMm > QUIET_OVERHANG[bar.of] * bar.neckMm;
  return {
    ...shared,
    ...bends,
    binds: [
      ...(neckOver ? (['neck'] as const) : []),
      ...(grip && grip.holds !== 'holds' ? (['grip'] as const) : []),
      ...(bends?.answers[0]?.within === false ? (['bend'] as const) : []),
      ...(weak ? (['power'] as const) : []),
      ...(longBar ? (['overhang'] as const) : []),
    ],
  };
});

function missingOf(job: Job, planned: boolean, material: Material | null): Unsaid[] {
  const { held, bar } = job.setup;
  const out: Unsaid[] = [];
  if (!planned) out.push('plan');
  if (!material?.force) out.push('force');
  if (job.intake.make === 'internal') {
    if (bar.neckMm === null) out.push('neck');
    if (bar.overhangMm === null) out.push('overhang');
    return out;
  }
  if (held.by === null) out.push('holding');
  if (held.freeMm === null) out.push('free-length');
  if (held.rest === 'steady' && held.steadyAtMm === null) out.push('steady-place');
  return out;
}

/** Depths that the dials are set to, springs as repeats at the end. */
const settingsOfPlan = (a: Ahead, springs: number): number[] => [
  ...a.plan.passes.map((p) => p.depthMm),
  ...Array.from({ length: springs }, () => a.plan.depthMm),
];
/** The same with the last of the depth taken lightly. */
function lightSettings(a: Ahead, springs: number): number[] {
  const end = a.plan.depthMm;
  const from = Math.max(0, end - LIGHT_LAST_MM);
  const rough = settingsOfPlan(a, 0).filter((d) => d < from);
  const steps = Math.ceil((end - from) / LIGHT_BY_MM - 1e-9);
  return [
    ...rough,
    ...Array.from({ length: steps }, (_, i) => Math.min(end, from + LIGHT_BY_MM * (i + 1))),
    ...Array.from({ length: springs }, () => end),
  ];
}

/** Softnesses between the stiffest and the softest place for which all passes are gone through. */
const SAMPLES = 9;

type Bending = Pick<HoldingView, 'atMm' | 'answers' | 'best' | 'repeats'>;

function bendingOf(job: Job, shop: Shop, a: Ahead, material: Material, allowedMm: number): Bending | null {
  const { force } = material;
  if (!force) return null;
  const tool = toolOf(a.request);
  const way: Way = a.request.infeed === 'alternate' ? { only: 'leading' } : { feedDeg: a.plan.feedDeg };
  const radial: RadialForce = (fromMm, toMm) =>
    toMm > fromMm ? passLoad({ tool, fromMm, toMm, way, force, leadAngleDeg: 0 }).radialN : 0;
  const end = a.plan.depthMm;
  const big = (softness: number, set: readonly number[]): number =>
    2 * Math.max(0, end - (depthsLeft(set, softness, radial).at(-1) ?? 0));
  const alongOf = (soft: readonly number[], set: readonly number[]): Along => {
    // the size follows the softness smoothly: a few of them are cut through all passes, the rest lie between
    const [low, high] = [Math.min(...soft), Math.max(...soft)];
    const some = Array.from({ length: SAMPLES + 1 }, (_, i) => low * (high / low) ** (i / SAMPLES));
    const sizes = high > low * (1 + 1e-9) ? some.map((x) => big(x, set)) : [big(low, set)];
    const bigMm = soft.map((x) => {
      const at = sizes.length === 1 ? 0 : (SAMPLES * Math.log(x / low)) / Math.log(high / low);
      const i = Math.min(sizes.length - 2, Math.floor(at));
      const [a, b] = [sizes[Math.max(0, i)] ?? 0, sizes[Math.max(0, i) + 1] ?? sizes[0] ?? 0];
      return a + (b - a) * (at - Math.max(0, i));
    });
    return { bigMm, worstMm: Math.max(...bigMm) };
  };
  const ways = job.intake.make === 'internal' ? barWays(job, a) : workWays(job, shop, material);
  const [held] = ways;
  if (!held) return null;
  const springs = job.cut.springs;
  const set = settingsOfPlan(a, springs);
  const answer = (
    code: AnswerCode,
    figure: number | null,
    along: Along,
    can: boolean,
    by: AnswerCode = code,
  ): Answer => ({
    code,
    by,
    figure,
    along,
    can,
    within: along.worstMm <= allowedMm,
  });
  const answers: Answer[] = [
    answer('as-held', null, alongOf(held.soft, set), true),
    answer('lighter', LIGHT_BY_MM, alongOf(held.soft, lightSettings(a, springs)), true),
    ...ways.slice(1).map((w) => answer(w.code, w.figure, alongOf(w.soft, set), w.can)),
  ];
  const more = Array.from({ length: MOST_SPRINGS - springs }, (_, i) => springs + 1 + i);
  const sprung = more.map((n) => answer('springs', n, alongOf(held.soft, settingsOfPlan(a, n)), true));
  const enough = sprung.find((s) => s.within) ?? sprung.at(-1);
  if (enough) answers.push(enough);
  const stiffest = ways.filter((w) => w.can).at(-1);
  if (stiffest && stiffest !== held)
    answers.push(
      answer(
        'all',
        stiffest.figure,
        alongOf(stiffest.soft, lightSettings(a, Math.max(2, springs))),
        true,
        stiffest.code,
      ),
    );
  const tried = answers.slice(1).filter((x) => x.can);
  return {
    atMm: held.atMm,
    answers,
    best: answers[0]?.within === true ? null : (tried.find((x) => x.within) ?? tried.at(-1) ?? null),
    repeats: repeatsUntil(Math.max(0, end - BEFORE_DEPTH_MM), end, CLOSED_MM, Math.max(...held.soft), radial),
  };
}

interface HeldSo {
  readonly code: AnswerCode;
  readonly figure: number | null;
  readonly can: boolean;
  readonly atMm: readonly number[];
  /** How far each place gives way for 1 N, mm. */
  readonly soft: readonly number[];
}

/** The work as it is held, and as it might be: follow rest, steady, centre. */
function workWays(job: Job, shop: Shop, material: Material): HeldSo[] {
  const { held, lengthMm } = job.setup;
  const fit = fitOfJob(job);
  if (!fit || held.by === null || held.freeMm === null) return [];
  const free = held.freeMm;
  const has = latheOf(job, shop)?.has ?? [];
  // a threaded bar bends as one of its pitch diameter does
  const now: Held = {
    by: held.by,
    freeMm: free,
    diameterMm: fit.pitchDiameterMm,
    boreMm: Math.min(held.boreMm ?? 0, fit.pitchDiameterMm * 0.99),
    youngGPa: material.youngGPa,
    rest: held.rest,
    steadyAtMm: held.steadyAtMm === null ? null : Math.min(held.steadyAtMm, free * 0.999),
  };
  // the thread is cut from the free end as far as it is long
  const atMm = placesAlong(lengthMm === null ? 0 : Math.max(0, free - lengthMm), free);
  const so = (code: AnswerCode, figure: number | null, can: boolean, h: Held): HeldSo => ({
    code,
    figure,
    can,
    atMm,
    soft: atMm.map((at) => complianceMmPerN(h, at)),
  });
  const steadyAt = steadyPlaceMm(free);
  const faced = held.by === 'chuck' || held.by === 'collet' || held.by === 'faceplate';
  return [
    so('as-held', null, true, now),
    ...(faced ? [so('centre', null, true, { ...now, by: 'chuck-centre', rest: 'none', steadyAtMm: null })] : []),
    ...(held.rest === 'follow'
      ? []
      : [so('follow-rest', null, has.includes('follow-rest'), { ...now, rest: 'follow', steadyAtMm: null })]),
    ...(held.rest === 'none'
      ? [so('steady', steadyAt, has.includes('steady'), { ...now, rest: 'steady', steadyAtMm: steadyAt })]
      : []),
  ];
}

/** The bar as it is, and the thickest one that comes out of its own groove. */
function barWays(job: Job, a: Ahead): HeldSo[] {
  const { bar } = job.setup;
  if (bar.neckMm === null || bar.overhangMm === null) return [];
  const at = (neckMm: number, overhangMm: number): number => barComplianceMmPerN({ neckMm, overhangMm, of: bar.of });
  const so = (code: AnswerCode, figure: number | null, soft: number): HeldSo => ({
    code,
    figure,
    can: true,
    atMm: [bar.overhangMm ?? 0],
    soft: [soft],
  });
  const most = thickestNeckMm(a.request.surfaceMm ?? 0, a.plan.depthMm);
  return [
    so('as-held', null, at(bar.neckMm, bar.overhangMm)),
    ...(most > bar.neckMm ? [so('stiffer-bar', most, at(most, bar.overhangMm))] : []),
  ];
}
