import type { PictureRow } from '../core/job/fromPicture.ts';
import type { FormLaid } from '../core/profile/forms.ts';
import type { Scene, ToolScene } from '../core/profile/scenes.ts';
import type { TipAsk } from '../core/profile/tip.ts';
import type { ProfileRead } from '../core/profile/types.ts';
import { formAt } from '../core/form/shape.ts';
import { degreesText, FINE, lengthText, type LengthStyle } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';
import { QUANTITY_NAMES } from './readings.ts';

type Side = 'external' | 'internal';

const ALONG: LengthStyle = { stepMm: 1, stepIn: 0.05 };

/** What a line of the picture is called. */
export function rowName(row: PictureRow, side: Side): string {
  const why = row.why;
  switch (row.key) {
    case 'pitch':
      return 'Pitch';
    case 'major':
      return QUANTITY_NAMES.majorDiameter[side];
    case 'minor':
      return QUANTITY_NAMES.minorDiameter[side];
    case 'depth':
      return 'Depth';
    case 'included':
      return QUANTITY_NAMES.flankAngle[side];
    case 'leading':
      return QUANTITY_NAMES.leadingFlank[side];
    case 'trailing':
      return QUANTITY_NAMES.trailingFlank[side];
    case 'crest':
    case 'root': {
      const where = row.key === 'crest' ? 'Crest' : 'Root';
      return why?.kind === 'end' ? `${where} ${why.of}` : where;
    }
    case 'taper':
      return 'Taper';
    case 'pitchDiameter':
      return 'Pitch diameter';
    case 'wear':
      return why?.kind === 'worn'
        ? why.where === 'crest'
          ? 'Worn, crest'
          : `Worn, ${why.where === 'leading' ? 'towards the free end' : 'towards the head'}`
        : 'Worn';
  }
}

/** What stands under its name in small. */
export function rowNote(row: PictureRow, system: UnitSystem): string {
  const why = row.why;
  switch (why?.kind) {
    case 'teeth':
      return `${why.teeth} teeth`;
    case 'yours':
      return 'gave the scale: it is yours';
    case 'alike':
      return 'flat and round look alike: nearer, or sharper';
    case 'shadow':
      return row.unit === 'deg'
        ? `the shadow shows ${degreesText(Number(why.apparent.toFixed(1)))}`
        : `the shadow shows ${lengthText(why.apparent, system, FINE)}`;
    case 'worn':
      return `${lengthText(why.longMm, system, ALONG)} long, from ${lengthText(why.fromMm, system, ALONG)}`;
    case 'hidden':
      return 'its own crest hides it';
    case 'end':
    case undefined:
      return row.key === 'taper' ? 'on diameter' : '';
  }
}

const bareMm = { ...FINE, bare: true };
/** The figure and what is known of it. */
export function rowFigures(row: PictureRow, system: UnitSystem): { readonly value: string; readonly sigma: string } {
  if (row.why?.kind === 'hidden') {
    const { fromDeg, toDeg } = row.why.range;
    return { value: `${fromDeg}\u2013${degreesText(toDeg)}`, sigma: 'asks' };
  }
  if (row.value === null) return { value: '\u2013', sigma: 'asks' };
  switch (row.unit) {
    case 'deg':
      return {
        value: degreesText(Number(row.value.toFixed(1))),
        sigma: `\u00b1 ${Math.max(0.1, Number(row.uncertainty.toFixed(1)))}`,
      };
    case 'ratio':
      return {
        value: row.value === 0 ? 'none' : `1 in ${(1 / Math.abs(row.value)).toFixed(1)}`,
        sigma: `\u00b1 ${(100 * row.uncertainty).toFixed(2)} in 100`,
      };
    case 'mm':
      return {
        value: lengthText(row.value, system, bareMm),
        sigma: row.why?.kind === 'yours' ? 'yours' : `\u00b1 ${lengthText(row.uncertainty, system, bareMm)}`,
      };
  }
}

/** What the text of a reading is, as somebody would have typed it. */
export function readingTyped(value: number, unit: PictureRow['unit'], system: UnitSystem): string {
  if (unit === 'deg') return value.toFixed(1);
  if (unit === 'ratio') return value === 0 ? '0' : `1 in ${(1 / value).toFixed(1)}`;
  return lengthText(value, system, bareMm);
}

/** A form by its own flanks. */
export const formName = (f: FormLaid): string => formAt(f.form, 1).name;
export const offText = (px: number): string => `${px < 10 ? px.toFixed(1) : Math.round(px)} px off`;

/** How the lead changes along a part. @param share of itself from end to end of what is seen, + to the right */
export const growsText = (share: number): string =>
  `From left to right it ${share > 0 ? 'grows' : 'falls'} by ${(100 * Math.abs(share)).toFixed(2)} %.`;

/** What is borne in mind with a hidden flank. */
export const hiddenText = (
  from: number,
  to: number,
  apparent: number,
  next: { deg: number; seen: number } | null,
): string =>
  `Its own crest hides this flank. Anything from ${from} to ${degreesText(to)} shows ${degreesText(Number(apparent.toFixed(1)))}${
    next ? `; a ${next.deg} would show ${next.seen.toFixed(1)}` : ''
  }. Feel it with a square.`;

export const SCENE_NAMES: Readonly<Record<Scene | ToolScene, string>> = {
  press: 'A press screw, 50 mm, worn',
  vice: 'A vice screw, 30 mm, worn in the middle',
  special: 'A maker\u2019s own thread, on a scanner',
  pinned: 'A bolt, a 2.5 mm pin beside it',
  soft: 'The same out of focus',
  half: 'A screw, half of it hidden',
  'tool-flat': 'A 60\u00b0 tool, its tip flat, a 2 mm pin beside it',
  'tool-round': 'A 55\u00b0 tool, its nose round, a 2 mm pin beside it',
};

/** What a picture of a tool wants. */
export const TIP_ASKS: Readonly<Record<TipAsk, string>> = {
  'no-part': 'No tool stands out from its ground: lamp behind it, and its face square to the camera.',
  'no-shank': 'The tool lies whole in the picture: let its shank run out of it at one side, so that its tip is known.',
  'no-tip': 'No two straight flanks meet at its end: turn its face square to the camera, nearer, and sharp.',
};
/** Within this a tool's angle is right, degrees. Common practice, no source. */
const TOOL_DEG = 0.5;
export function tipAngleText(is: { readonly value: number; readonly uncertainty: number }, wantedDeg: number): string {
  const off = is.value - wantedDeg;
  return Math.abs(off) <= Math.max(TOOL_DEG, 2 * is.uncertainty)
    ? `Right: ${degreesText(wantedDeg)} is wanted.`
    : `${degreesText(wantedDeg)} is wanted: grind it ${off > 0 ? 'sharper' : 'blunter'} by ${degreesText(Math.abs(off))}. How it stands to the work, this does not say.`;
}

/** What is looked at before a picture is taken. */
export function checksOf(
  read: ProfileRead,
): readonly { readonly good: boolean; readonly what: string; readonly figure: string }[] {
  const edges = read.seen?.edges.length ?? 0;
  const soft = read.blurPx > 0 && read.depthPx !== null && read.blurPx > read.depthPx / 10;
  return [
    {
      good: edges === 2 && read.teeth >= 4,
      what: edges === 2 ? 'Both edges in view' : edges === 1 ? 'One edge in view' : 'No thread in view yet',
      figure: read.teeth > 0 ? `${Math.round(read.teeth / Math.max(1, edges))} threads` : '',
    },
    { good: read.confident && !soft, what: 'Sharp', figure: `${read.blurPx.toFixed(1)} px` },
    { good: read.unevenness < 2, what: 'Light even', figure: `1 : ${read.unevenness.toFixed(1)}` },
    {
      good: Math.abs(read.rotationDeg) <= 30,
      what: 'Axis, up to 30\u00b0 will do',
      figure: degreesText(Number(Math.abs(read.rotationDeg).toFixed(1))),
    },
  ];
}

/** Back to where one came from. */
export const PICTURE_BACK: Readonly<Record<'part' | 'made' | 'tool', string>> = {
  part: 'To the readings',
  made: 'To the proof',
  tool: 'To the tool',
};
/** How it is held up for a picture. */
export const HOLD_IT: Readonly<Record<'part' | 'made' | 'tool', string>> = {
  part: 'Lamp behind a sheet of paper, camera as far off as the zoom allows, square to the part.',
  made: 'The finished thread, clean and dry: lamp behind paper, camera far off and square to it.',
  tool: 'The tool\u2019s face square to the camera, lamp behind it, its shank running out of the picture.',
};
/** Why a picture was not read. */
export function notReadText(
  f:
    | { readonly kind: 'no-picture' | 'gone' }
    | { readonly kind: 'too-large'; readonly megapixels: number }
    | { readonly kind: 'failed'; readonly because: string },
): string {
  switch (f.kind) {
    case 'no-picture':
      return 'This is no picture that can be opened here: PNG, JPEG or WebP.';
    case 'gone':
      return 'This picture is not in this browser: it stayed where it was taken. Its readings are here.';
    case 'too-large':
      return `This picture has ${f.megapixels.toFixed(0)} million points; 12 are taken. Save it smaller.`;
    case 'failed':
      return `It could not be read: ${f.because}.`;
  }
}

const NUMBERS = [
  'No',
  'One',
  'Two',
  'Three',
  'Four',
  'Five',
  'Six',
  'Seven',
  'Eight',
  'Nine',
  'Ten',
  'Eleven',
  'Twelve',
];
/** How many readings, as a heading begins with it. */
export const counted = (n: number): string => NUMBERS[n] ?? String(n);
