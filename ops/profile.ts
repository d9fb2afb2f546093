import { Type, type Static } from '@sinclair/typebox';
import { greyOf, type Grey } from '../core/profile/grey.ts';
import { readProfile } from '../core/profile/readProfile.ts';
import { PROFILE_VIEWS, type ProfileAskedFor, type ProfileRead, type Told } from '../core/profile/types.ts';
import type { FlankRead } from '../core/profile/section.ts';
import { bad, good, type Outcome } from '../core/quantity/outcome.ts';
import { PROFILE_ASKS } from '../words/profile.ts';
import { evidenceOfRows, lengthOf, rowsOfPicture } from '../core/job/fromPicture.ts';
import { rank } from '../core/identify/rank.ts';
import type { End } from '../core/profile/ends.ts';
import { micro, nullOr, oneOf, op, orNull, strict } from './op.ts';

const number = Type.Number();
const positive = Type.Number({ exclusiveMinimum: 0 });
const Request = strict({
  file: Type.String({ minLength: 1, maxLength: 4000 }),
  pxPerMm: orNull(positive),
  pinMm: orNull(positive),
  knownMajorMm: orNull(positive),
  starts: orNull(Type.Integer({ minimum: 1, maximum: 24 })),
  leadAngleDeg: orNull(Type.Number({ exclusiveMinimum: 0, exclusiveMaximum: 80 })),
  /** How the light went: square to the axis, or along the groove, as on a projector; null: not known. */
  view: orNull(oneOf(...PROFILE_VIEWS)),
});
type Q = Static<typeof Request>;
const told = nullOr(strict({ value: number, uncertainty: number }));
const flank = nullOr(strict({ apparentDeg: number, axialDeg: nullOr(number), uncertaintyDeg: number }));

/** Pixels that are taken, in millions; a little over 12 so that a camera of 12 is. */
const MOST_MP = 12.6;

/** Decodes a file, turned as its own tag says, to grey. */
async function pictureAt(file: string): Promise<Outcome<Grey>> {
  try {
    const { default: sharp } = await import('sharp');
    const image = sharp(file, { limitInputPixels: MOST_MP * 1e6 }).autoOrient();
    const { data, info } = await image
      .flatten({ background: '#fff' })
      .greyscale()
      .raw()
      .toBuffer({ resolveWithObject: true });
    return good(greyOf(info.width, info.height, (x, y) => (data[(y * info.width + x) * info.channels] ?? 0) / 255));
  } catch (e) {
    const why = e instanceof Error ? (e.message.split('\n')[0] ?? '') : String(e);
    return /pixel limit/i.test(why)
      ? bad('file', 'picture-too-large', { most: Math.floor(MOST_MP) })
      : bad('file', 'picture-unreadable', { typed: file, why: why.replace(/\.$/, '') });
  }
}

const flatOf = (end: End | null | undefined): number | null => (end?.kind === 'flat' ? end.wide : null);
const unsureOf = (r: ProfileRead, end: 'crest' | 'root'): number | null =>
  r.ends?.[end] ? r.ends[`${end}Uncertainty`] : null;
/** What is said of the picture, as the reader takes it. */
const askedOf = (q: Q): ProfileAskedFor => ({
  pxPerMm: q.pxPerMm ?? null,
  pinMm: q.pinMm ?? null,
  knownMajorMm: q.knownMajorMm ?? null,
  starts: q.starts ?? null,
  leadAngleDeg: q.leadAngleDeg ?? null,
  ...(q.view ? { view: q.view } : {}),
});
const radiusOf = (end: End | null | undefined): number | null => (end?.kind === 'round' ? end.radius : null);
/** A thread is named where it is likelier than all others together, which end lies left not being known. */
const NAMED = 0.5;
function likeliestOf(r: ProfileRead): string | null {
  const rows = rowsOfPicture(r, { freeEnd: 'right', beginsMm: 0 });
  if (!rows.some((x) => x.key === 'pitch') || !rows.some((x) => x.key === 'major')) return null;
  const known = rows.map((x) => (x.key === 'major' ? { ...x, taken: true } : x));
  const ranking = rank({
    part: 'external',
    evidence: evidenceOfRows(known),
    context: { origin: null, use: null },
    most: 1,
  });
  const [best] = ranking.candidates;
  return best && best.probability > NAMED ? best.thread.designation : null;
}

export const profileOp = op({
  name: 'profile',
  about: 'A picture against the light, or a scan, to a thread',
  request: Request,
  reply: strict({
    confident: Type.Boolean(),
    asks: Type.Array(Type.String()),
    pxPerMm: told,
    rotationDeg: number,
    startsSeen: nullOr(Type.String()),
    pitchPx: told,
    majorPx: nullOr(number),
    rootPx: nullOr(number),
    depthPx: nullOr(number),
    diameterUncertaintyPx: nullOr(number),
    pitchMm: told,
    majorMm: nullOr(number),
    rootMm: nullOr(number),
    depthMm: nullOr(number),
    diameterUncertaintyMm: nullOr(number),
    apparentPitchDiameterMm: nullOr(number),
    left: flank,
    right: flank,
    crestFlatMm: nullOr(number),
    rootFlatMm: nullOr(number),
    crestRadiusMm: nullOr(number),
    rootRadiusMm: nullOr(number),
    /** Of crest and root, flat or round, one standard deviation; null where they are. */
    crestUncertaintyMm: nullOr(number),
    rootUncertaintyMm: nullOr(number),
    taper: nullOr(number),
    wear: Type.Array(
      strict({
        where: Type.String(),
        fromPx: number,
        toPx: number,
        fromMm: nullOr(number),
        toMm: nullOr(number),
        lostMm: nullOr(number),
      }),
    ),
    fit: strict({ designation: nullOr(Type.String()), residualPx: nullOr(number) }),
  }),
  run: () => bad('file', 'picture-awaited'),
  later: async (q: Q) => {
    const picture = await pictureAt(q.file);
    if (!picture.ok) return picture;
    const r = readProfile(picture.value, askedOf(q));
    const scale = r.pxPerMm;
    const px = (x: number | null): number | null => (x === null ? null : micro(x));
    const mm = (x: number | null): number | null => (x === null || scale === null ? null : micro(x / scale.value));
    const both = (t: Told): Told => ({ value: micro(t.value), uncertainty: micro(t.uncertainty) });
    const inMm = (t: Told): Told | null => {
      const length = lengthOf(t, scale);
      return length && both(length);
    };
    const side = (f: FlankRead | null) =>
      f && { apparentDeg: micro(f.apparentDeg), axialDeg: px(f.axialDeg), uncertaintyDeg: micro(f.uncertaintyDeg) };
    return good({
      confident: r.confident,
      asks: r.asks.map((a) => PROFILE_ASKS[a]),
      pxPerMm: scale && both(scale),
      rotationDeg: micro(r.rotationDeg),
      startsSeen: r.startsSeen,
      pitchPx: r.pitchPx && both(r.pitchPx),
      majorPx: px(r.majorPx),
      rootPx: px(r.rootPx),
      depthPx: px(r.depthPx),
      diameterUncertaintyPx: r.confident ? micro(r.diameterUncertaintyPx) : null,
      pitchMm: r.pitchPx && inMm(r.pitchPx),
      majorMm: mm(r.majorPx),
      rootMm: mm(r.rootPx),
      depthMm: mm(r.depthPx),
      diameterUncertaintyMm:
        r.majorPx === null
          ? null
          : (inMm({ value: r.majorPx, uncertainty: r.diameterUncertaintyPx })?.uncertainty ?? null),
      apparentPitchDiameterMm: mm(r.pitchDiameterPx),
      left: side(r.left),
      right: side(r.right),
      crestFlatMm: mm(flatOf(r.ends?.crest)),
      rootFlatMm: mm(flatOf(r.ends?.root)),
      crestRadiusMm: mm(radiusOf(r.ends?.crest)),
      rootRadiusMm: mm(radiusOf(r.ends?.root)),
      crestUncertaintyMm: mm(unsureOf(r, 'crest')),
      rootUncertaintyMm: mm(unsureOf(r, 'root')),
      taper: px(r.taper),
      wear: r.wear.map((w) => ({
        where: w.where,
        fromPx: micro(w.fromPx),
        toPx: micro(w.toPx),
        fromMm: mm(w.fromPx),
        toMm: mm(w.toPx),
        lostMm: mm(w.lostPx),
      })),
      fit: { designation: likeliestOf(r), residualPx: px(r.forms[0]?.residual ?? r.ends?.residual ?? r.residualPx) },
    });
  },
});
