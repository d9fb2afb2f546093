import { useState } from 'react';
import { auditTrain, nearestPitches } from '../../../core/gearing/audit.ts';
import { gearboxRatios } from '../../../core/gearing/gearbox.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { ppmText } from '../../../core/quantity/format.ts';
import { bad, good, type Outcome } from '../../../core/quantity/outcome.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { exact } from '../../../core/quantity/rational.ts';
import { useSystem } from '../../store/store.ts';
import { Choice, Figure, Panel } from '../../ui/controls.tsx';
import { TypedField } from '../../ui/fields.tsx';

/** Reads "40/35" or "30/50 x 63/60". */
function parseTrain(t: string): Outcome<{ drivers: number[]; driven: number[] }> {
  const right = '40/35, or 30/50 x 63/60 (driver/driven)';
  const pairs = t
    .trim()
    .split(/\s*[x\u00d7*]\s*|\s{1,}(?=\d+\s*\/)/i)
    .filter(Boolean);
  const drivers: number[] = [];
  const driven: number[] = [];
  for (const p of pairs) {
    const m = /^(\d{1,3})\s*\/\s*(\d{1,3})$/.exec(p);
    if (!m) return bad('train', `"${p}" is not driver/driven.`, right);
    drivers.push(Number(m[1]));
    driven.push(Number(m[2]));
  }
  if (drivers.length < 1 || drivers.length > 3) return bad('train', 'One to three pairs.', right);
  const wrong = [...drivers, ...driven].find((g) => g < 8 || g > 400);
  return wrong === undefined ? good({ drivers, driven }) : bad('train', `${wrong} teeth is out of reach.`, right);
}

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
    <Panel title="What would this cut?">
      <div className="grid gap-3">
        <TypedField
          label="Any train, driver/driven"
          shown={train ? train.drivers.map((d, i) => `${d}/${train.driven[i] ?? ''}`).join(' \u00d7 ') : ''}
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
    </Panel>
  );
}
