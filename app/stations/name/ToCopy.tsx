import { QUANTITY_NAMES } from '../../../words/readings.ts';
import { partOf, pitchOfCount, sigmaOf } from '../../../core/job/evidence.ts';
import type { Reading } from '../../../core/job/schema.ts';
import { leastWorn } from '../../../core/job/special.ts';
import { degreesText, FINE, lengthText } from '../../../core/quantity/format.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import type { ThreadSpec } from '../../../core/standards/thread.ts';
import { ThreadDrawing } from '../../drawing/ThreadDrawing.tsx';
import { useJobView } from '../../job/jobContext.tsx';
import { useSystem } from '../../store/store.ts';

/** Read off the drawing; the rest stand under it. */
const ON_DRAWING = ['majorDiameter', 'minorDiameter', 'crestCount', 'flankAngle', 'depth'] as const;
const BESIDE = ['crestFlat', 'rootFlat', 'crestRadius', 'rootRadius', 'starts', 'hand', 'taper'] as const;
const UNREAD = 'not known yet';

/** What is known of a special, each with how sure the reading is; the rest said to be unknown, never filled in. */
export function ToCopy({ thread }: { readonly thread: ThreadSpec }) {
  const { job } = useJobView();
  const system = useSystem();
  const part = partOf(job);
  const sure = (q: Reading['quantity']): string | null => {
    const best = leastWorn(job, q);
    return best && sureText(best, system);
  };
  const flanks = [sure('leadingFlank'), sure('trailingFlank')];
  const angle = sure('flankAngle') ?? (flanks.some(Boolean) ? flanks.map((f) => f ?? '?').join(' / ') : null);
  const drawn = ON_DRAWING.flatMap((quantity) => {
    const text = quantity === 'flankAngle' ? angle : sure(quantity);
    return text === null ? [] : [{ quantity, text }];
  });
  return (
    <section aria-label="The dimensions to copy" className="grid gap-2">
      <ThreadDrawing
        thread={thread}
        tentative
        side={part}
        readings={drawn}
        system={system}
        unread={UNREAD}
        caption={`The dimensions to copy, ${system === 'mm' ? 'mm' : 'inches'}, each as sure as its reading. Dashed: the form is a guess where it is not known yet.`}
      />
      <dl className="grid gap-x-4 text-sm sm:grid-cols-[8rem_1fr_8rem_1fr]">
        {BESIDE.map((q) => (
          <div key={q} className="contents">
            <dt className="text-ink2">{QUANTITY_NAMES[q][part]}</dt>
            <dd className="num">{sure(q) ?? UNREAD}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** A reading with its uncertainty, as it would be written on a sketch. */
function sureText(r: Reading, system: UnitSystem): string {
  const within = (mm: number, sigma: number): string =>
    `${lengthText(mm, system, { ...FINE, bare: true })} \u00b1${lengthText(sigma, system, { ...FINE, bare: true })}`;
  switch (r.quantity) {
    case 'starts':
      return `${r.value} counted`;
    case 'hand':
      return r.value < 0 ? 'left' : 'right';
    case 'taper':
      return r.value === 0 ? 'none' : `1 in ${Number((1 / r.value).toFixed(1))}`;
    case 'flankAngle':
    case 'leadingFlank':
    case 'trailingFlank':
      return `${degreesText(r.value, 0.01)} \u00b1${degreesText(sigmaOf(r) ?? 0, 0.01)}`;
    case 'crestCount': {
      const pitch = pitchOfCount(r);
      return pitch ? within(pitch.mm, pitch.sigmaMm) : 'over no length';
    }
    default: {
      const sigma = sigmaOf(r);
      return sigma === null ? String(r.value) : within(r.value, sigma);
    }
  }
}
