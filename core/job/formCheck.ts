import { isSquare } from '../form/flanks.ts';
import {
  drunkennessMm,
  engagedFlanks,
  leadByMates,
  taperOf,
  virtualOf,
  type FormErrors,
  type Virtual,
} from '../gauging/finished.ts';
import { crestFlatMm } from '../form/sizes.ts';
import { pitchMmOf, threadFormOf } from '../standards/thread.ts';
import { engagedOf, fitOfJob, threadOfJob } from './derive.ts';
import { formUnit, type EventOf, type FormReading } from './events.ts';
import { measurePlan } from './measure.ts';
import { rightPitch } from './rightBy.ts';
import { metalOf, standingOfPart } from './metal.ts';
import type { Job, Shop } from './schema.ts';
import { beliefOf } from './sizing.ts';
import { toolViewOf } from './toolView.ts';

/** A finished thread's flank may lean so far, degrees. Common practice, no source. */
const FLANK_DEG = 0.5;
/** Of a diameter or a flat for which nothing says more, mm. Common practice, no source. */
const LOOSE_MM = 0.05;

/** One thing read of the finished thread against what it should be, in degrees or mm. */
export interface FormRow {
  readonly what: Exclude<FormReading, 'round'>;
  readonly unit: 'deg' | 'mm';
  /** What is right; null: nothing says. */
  readonly right: { readonly least: number; readonly most: number } | null;
  /** What it should be over, for a lead: the length that so many pitches have, mm. */
  readonly spanMm: number | null;
  readonly read: {
    readonly n: number;
    readonly value: number;
    readonly text: string;
    readonly spanMm: number | null;
  } | null;
  readonly ok: boolean | null;
}
/** The finished thread held against its form. */
export interface FormCheck {
  readonly rows: readonly FormRow[];
  /** What the errors do to the fit; null: a square thread, whose flanks give nothing on the diameter. */
  readonly virtual: Virtual | null;
  /** Pitch diameter as measured, or as believed; null: neither. */
  readonly simpleMm: number | null;
  /** The size that the mate meets. */
  readonly virtualMm: number | null;
  /** The size that it must not be beyond: the class's, or that of the mate; mm. */
  readonly limitMm: number;
  /** It passes its mate with its errors; null: not known. */
  readonly ok: boolean | null;
  readonly lead: { readonly perMm: number; readonly from: 'read' | 'mates' } | null;
  /** Half travel of the helix to and fro in a turn, mm, and how many places were read. */
  readonly drunkMm: number | null;
  readonly aroundCount: number;
  /** Taper on diameter per mm, and from end to end as read; null: not read at two places. */
  readonly taper: {
    readonly perMm: number;
    readonly overMm: number;
    readonly changeMm: number;
    /** It changes by no more than the pitch diameter may. */
    readonly ok: boolean;
  } | null;
  readonly engagedMm: number;
}

/**
 * Pitches over which a lead is read: as many as go into about 25 mm, at least five. Common practice, no source.
 * @example leadPitches(24) // 5
 */
export const leadPitches = (pitchMm: number): number => Math.max(5, Math.round(25 / pitchMm));

/**
 * The finished thread by its form: what was read of it, and what it does to the fit. Null: no thread yet.
 * @example formCheck(demo('press'), shop) // null
 * @example formCheck(demo('sluice'), shop).rows[0].right.least // 14
 */
export function formCheck(job: Job, shop: Shop): FormCheck | null {
  const thread = threadOfJob(job);
  const fit = fitOfJob(job);
  if (!thread || !fit) return null;
  const form = threadFormOf(thread);
  const nut = fit.make === 'internal';
  const pitchMm = pitchMmOf(thread);
  const events = standingOfPart(job).filter((e): e is EventOf<'formRead'> => e.kind === 'formRead');
  const last = (what: FormReading): EventOf<'formRead'> | null => events.findLast((e) => e.what === what) ?? null;
  const span = leadPitches(pitchMm) * pitchMm;
  const tip = isSquare(form) ? null : toolViewOf(job);
  const rootFlat = tip?.ok ? tip.value.tipFlatMm : null;
  const crest = crestFlatMm(form, pitchMm);
  const about = (x: number): FormRow['right'] => ({ least: Math.max(0, x - LOOSE_MM), most: x + LOOSE_MM });
  const startRight = fit.limits
    ? {
        least: fit.limits.start.min ?? fit.startDiameterMm - LOOSE_MM,
        most: fit.limits.start.max ?? fit.startDiameterMm + LOOSE_MM,
      }
    : about(fit.startDiameterMm);
  const rights: readonly (readonly [FormRow['what'], FormRow['right']])[] = [
    ['leadingFlank', { least: form.leadingDeg - FLANK_DEG, most: form.leadingDeg + FLANK_DEG }],
    ['trailingFlank', { least: form.trailingDeg - FLANK_DEG, most: form.trailingDeg + FLANK_DEG }],
    [nut ? 'minorDiameter' : 'majorDiameter', startRight],
    [nut ? 'majorDiameter' : 'minorDiameter', about(fit.rootDiameterMm)],
    ['rootFlat', rootFlat ? { least: rootFlat.least, most: rootFlat.most } : null],
    ['crestFlat', crest > 0 ? about(crest) : null],
    ['lead', null],
  ];
  const byMates = leadByMates(
    standingOfPart(job).flatMap((e) =>
      e.kind === 'tried' && e.lengthMm !== null && e.shakeMm !== null
        ? [{ lengthMm: e.lengthMm, playMm: e.shakeMm }]
        : [],
    ),
  );
  const leadRead = last('lead');
  const lead =
    leadRead && leadRead.spanMm !== null
      ? { perMm: Math.abs(leadRead.value - leadRead.spanMm) / leadRead.spanMm, from: 'read' as const }
      : byMates
        ? { perMm: byMates.perMm, from: 'mates' as const }
        : null;
  const around = events.flatMap((e) =>
    e.what === 'round' && e.roundDeg !== null ? [{ deg: e.roundDeg, mm: e.value }] : [],
  );
  const drunkMm = drunkennessMm(around);
  const engagedMm = engagedOf(job);
  const off = (what: 'leadingFlank' | 'trailingFlank', is: number): number => {
    const read = last(what);
    return read ? read.value - is : 0;
  };
  const errors: FormErrors = {
    leadingDeg: off('leadingFlank', form.leadingDeg),
    trailingDeg: off('trailingFlank', form.trailingDeg),
    leadPerMm: lead?.perMm ?? 0,
    roundMm: drunkMm ?? 0,
  };
  const flanks = engagedFlanks(form, pitchMm);
  const virtual = flanks && virtualOf(flanks, engagedMm, errors);
  const places = measurePlan(job, shop)?.measured ?? [];
  const simpleMm = places.at(-1)?.pitchDiameterMm ?? beliefOf(job, shop)?.answer.pitchDiameterMm.value ?? null;
  const side = nut ? -1 : 1;
  const virtualMm = virtual && simpleMm !== null ? simpleMm + side * virtual.totalMm : null;
  const limitMm =
    (nut ? fit.limits?.pitch.min : fit.limits?.pitch.max) ?? fit.pitchDiameterMm + side * job.fit.pitchClearanceMm;
  const ok = virtualMm === null ? null : side * (limitMm - virtualMm) >= -1e-9;
  const along = places.flatMap((p) => (p.atMm === null ? [] : [{ atMm: p.atMm, mm: p.pitchDiameterMm }]));
  const perMm = taperOf(along);
  const overMm = Math.max(...along.map((p) => p.atMm)) - Math.min(...along.map((p) => p.atMm));
  const right = rightPitch(job, fit);
  return {
    rows: rights.map(([what, right]) => {
      const read = last(what);
      return {
        what,
        unit: formUnit(what),
        right,
        spanMm: what === 'lead' ? span : null,
        read: read && { n: read.n, value: read.value, text: read.text, spanMm: read.spanMm },
        // a lead is judged by what it does over the engagement
        ok: !read
          ? null
          : right
            ? read.value >= right.least - 1e-9 && read.value <= right.most + 1e-9
            : what === 'lead'
              ? ok
              : null,
      };
    }),
    virtual,
    simpleMm,
    virtualMm,
    limitMm,
    ok,
    lead,
    drunkMm,
    aroundCount: around.length,
    taper:
      perMm === null
        ? null
        : { perMm, overMm, changeMm: perMm * overMm, ok: Math.abs(perMm * overMm) <= right.max - right.min },
    engagedMm,
  };
}

/**
 * What is done before the verdict, and whether it was done since metal was last cut: a cut raises burrs anew.
 * @example [...dressedNow(demo('pump'))] // []
 * @example [...dressedNow(demo('brass'))][0] // 'wire-edge'
 */
export function dressedNow(job: Job): ReadonlySet<EventOf<'dressed'>['what']> {
  const metal = metalOf(job);
  const from = Math.max(metal.lastCutN, ...standingOfPart(job, metal.part).map((e) => (e.kind === 'sprung' ? e.n : 0)));
  return new Set(standingOfPart(job, metal.part).flatMap((e) => (e.kind === 'dressed' && e.n > from ? [e.what] : [])));
}
