import { useState } from 'react';
import { auditTrain, nearestPitches } from '../../../core/gearing/proof/index.ts';
import { gearboxRatios } from '../../../core/gearing/gearbox/index.ts';
import { parseTrain, trainText } from '../../../core/gearing/trainText.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { ppmText } from '../../../core/quantity/format.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { exact } from '../../../core/quantity/rational.ts';
import { useSystem } from '../../store/store.ts';
import { Choice } from '../../ui/choices.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { TypedField } from '../../ui/TypedField.tsx';

/** What will this cut? Any train and levers, on gears owned or not. */
export function Audit({ lathe }: { readonly lathe: Lathe }) {
  const system = useSystem();
  const ratios = gearboxRatios(lathe.levers);
  const [train, setTrain] = useState<{ drivers: number[]; driven: number[] } | null>(null);
  const [box, setBox] = useState(ratios[0]?.ratio ?? '1');
  const result = train
    ? auditTrain(exact(lathe.leadscrew), exact(lathe.fixedRatio), train.drivers, train.driven, box)
    : null;
  return (
    <section aria-label="What would this cut?" className="grid gap-3 border-t border-line pt-3">
      <h2 className="text-lg">What would this cut?</h2>
      <div className="grid gap-3">
        <TypedField
          label="Any train, driver/driven"
          shown={train ? trainText(train) : ''}
          placeholder="30/50 x 63/60"
          parse={parseTrain}
          onCommit={setTrain}
          onClear={() => setTrain(null)}
        />
        {ratios.length > 1 && (
          <Choice
            label="Gearbox"
            value={box}
            options={ratios.map((r) => ({ value: r.ratio, label: r.name }))}
            onChange={setBox}
          />
        )}
        {result && (
          <>
            <Figure
              label="Cuts"
              value={pitchText(exact(result.leadMm), system)}
              other={`${result.leadMm} mm exactly; ${result.tpi} threads per inch; ${result.turns.spindle} chuck : ${result.turns.leadscrew} screw`}
            />
            <ul>
              {nearestPitches(exact(result.leadMm), 3).map((p) => (
                <li key={p.pitch} className="num">
                  {pitchText(exact(p.pitch), system)}: {ppmText(p.errorPpm)}
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
    </section>
  );
}
