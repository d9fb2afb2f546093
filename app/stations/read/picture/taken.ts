import type { PictureRow } from '../../../../core/job/fromPicture.ts';
import type { Edit } from '../../../../core/job/edits/index.ts';
import { FINE, lengthText } from '../../../../core/quantity/format.ts';
import type { UnitSystem } from '../../../../core/quantity/units.ts';
import { readingTyped } from '../../../../words/picture.ts';

type Taken = Extract<Edit, { do: 'takePicture' }>['readings'][number];

/** Lines of a picture as readings of the job, with the text that somebody would have typed. */
export const readingsOf = (rows: readonly PictureRow[], member: 'part' | 'mate', system: UnitSystem): Taken[] =>
  rows.flatMap((r) =>
    r.gives.map((g): Taken => {
      const bare = g.quantity === 'crestCount' || g.quantity === 'template';
      return {
        quantity: g.quantity,
        text: bare ? String(g.value) : readingTyped(g.value, r.unit, system),
        value: g.value,
        span: g.spanMm === null ? null : { text: lengthText(g.spanMm, system, FINE), mm: g.spanMm },
        leaf: g.leaf,
        ...(g.flank === null ? {} : { flank: g.flank }),
        instrument: null,
        uncertainty: g.leaf === null ? g.uncertainty : null,
        member,
        place: '',
        positionMm: g.positionMm,
        wear: g.wear,
      };
    }),
  );
