import type { ProfileRead } from '../profile/types.ts';
import { pitchMmOf } from '../standards/thread.ts';
import { threadOfJob } from './derive.ts';
import { leadPitches, type FormRow } from './formCheck.ts';
import type { FreeEnd, PictureRow } from './fromPicture.ts';
import type { Job } from './schema.ts';

/** One thing of the finished thread, as a picture gives it; mm or degrees. */
export interface FormGiven {
  readonly what: FormRow['what'];
  readonly value: number;
  readonly unit: 'mm' | 'deg';
  readonly spanMm: number | null;
}

/**
 * What a picture says of the finished thread's form, from the lines that are taken; flanks by what they face.
 * @example formGiven(demo('pump'), pictureRead(), [], 'left') // []; without a line that is taken
 */
export function formGiven(
  job: Job,
  read: ProfileRead,
  rows: readonly PictureRow[],
  freeEnd: FreeEnd,
): readonly FormGiven[] {
  const thread = threadOfJob(job);
  if (!thread) return [];
  const of = (key: PictureRow['key']): PictureRow | null => rows.find((r) => r.key === key && r.value !== null) ?? null;
  const mm = (what: FormRow['what'], row: PictureRow | null): FormGiven[] =>
    row?.value == null ? [] : [{ what, value: row.value, unit: 'mm', spanMm: null }];
  const deg = (what: FormRow['what'], key: 'leading' | 'trailing'): FormGiven[] => {
    // alike flanks stand in one line, and are two in the form
    const side = (key === 'leading') === (freeEnd === 'right') ? read.right : read.left;
    return (of(key) ?? of('included')) && side?.axialDeg != null
      ? [{ what, value: side.axialDeg, unit: 'deg', spanMm: null }]
      : [];
  };
  const flat = (what: FormRow['what'], key: 'crest' | 'root'): FormGiven[] => {
    const row = of(key);
    return row?.why?.kind === 'end' && row.why.of === 'flat' ? mm(what, row) : [];
  };
  const pitchMm = pitchMmOf(thread);
  const n = leadPitches(pitchMm);
  const pitch = of('pitch')?.value;
  return [
    ...deg('leadingFlank', 'leading'),
    ...deg('trailingFlank', 'trailing'),
    ...mm('majorDiameter', of('major')),
    ...mm('minorDiameter', of('minor')),
    ...flat('rootFlat', 'root'),
    ...flat('crestFlat', 'crest'),
    ...(pitch == null ? [] : [{ what: 'lead' as const, value: n * pitch, unit: 'mm' as const, spanMm: n * pitchMm }]),
  ];
}
