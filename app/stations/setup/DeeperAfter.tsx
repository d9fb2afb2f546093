import { useState } from 'react';
import { latheOf } from '../../../core/job/derive.ts';
import { cutsNow } from '../../../core/job/card.ts';
import { deeperAt } from '../../../core/motion/deeperAt.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import type { UnitSystem } from '../../../core/quantity/units.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { StepsOn, useStepsOn } from '../cut/StepsOn.tsx';
import { LengthField } from '../../ui/fields.tsx';

/** A step deeper once it was tried: as the new last diameter, as an offset, and as the program written anew. */
export function DeeperAfter({ finalXMm, unit }: { readonly finalXMm: number; readonly unit: UnitSystem }) {
  const { job, machine } = useJobView();
  const shop = useShop();
  const lathe = latheOf(job, shop);
  const [byMm, setBy] = useState<number | null>(null);
  const on = useStepsOn();
  if (!lathe) return null;
  const x = lathe.control?.diameterProgramming === false ? 'radius' : 'diameter';
  const d = byMm === null || on === null ? null : deeperAt(finalXMm, byMm, on, x, job.intake.make);
  const mm = (v: number): string => lengthText(v, unit, FINE);
  return (
    <section aria-label="Deeper afterwards" className="grid gap-3 border-t-2 border-edge pt-3">
      <h3 className="text-lg font-bold">Deeper afterwards</h3>
      <div className="grid gap-3 sm:grid-cols-2">
        <LengthField
          label={on === null ? 'By how much' : `By how much, on the ${on}`}
          mm={byMm}
          system={unit}
          rule={{ maxMm: 20 }}
          placeholder={unit === 'mm' ? '0.1 mm' : '0.010 in'}
          onClear={() => setBy(null)}
          onCommit={(v) => setBy(v)}
        />
        {on === null && <StepsOn />}
      </div>
      {d && (
        <>
          <p className="text-lg">
            New last X <strong className="num">{mm(x === 'radius' ? d.minorMm / 2 : d.minorMm)}</strong>, or the X
            offset changed by <strong className="num">{mm(d.offsetMm)}</strong> and the same program again. Z start
            stays.
          </p>
          {cutsNow(machine) && (
            <div>
              <Button big onClick={() => act({ do: 'deeper', byMm: d.radialMm }) === null && setBy(null)}>
                Write it anew, {mm(d.radialMm)} deeper on the radius
              </Button>
            </div>
          )}
        </>
      )}
    </section>
  );
}
