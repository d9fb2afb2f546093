import { useState } from 'react';
import { fitOfJob } from '../../../core/job/derive.ts';
import { gaugeMm } from '../../../core/job/rightBy.ts';
import { standOffs } from '../../../core/job/standOffs.ts';
import { notGoTurnsOf } from '../../../core/job/verdict.ts';
import { GAUGE_TRUTH } from '../../../words/prove.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useSystem } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { StandOffPanel } from '../pickup/StandOffPanel.tsx';

type Which = 'go' | 'not-go';

/** A limit gauge: which, of what size, and whether it goes; a not-go may enter a few turns and still not go. */
export function GaugePanel() {
  const { job, machine } = useJobView();
  const system = useSystem();
  const [which, setWhich] = useState<Which>('go');
  const [typed, setTyped] = useState<Partial<Record<Which, number>>>({});
  const fit = fitOfJob(job);
  const nut = fit?.make === 'internal';
  const known = fit && gaugeMm(fit, which);
  const size = typed[which] ?? known;
  const may = notGoTurnsOf(job);
  const taper = standOffs(job) !== null;
  const say = (passes: boolean, turns: number | null): unknown =>
    act({ do: 'gauge', which, passes, turns, pitchDiameterMm: size, after: machine.card.after });
  return (
    <div className="grid gap-3">
      <Choice
        label={nut ? 'Plug' : 'Ring'}
        even
        value={which}
        options={[
          { value: 'go', label: 'Go' },
          { value: 'not-go', label: 'Not-go' },
        ]}
        onChange={(w) => setWhich(w)}
      />
      <LengthField
        key={which}
        label="Pitch diameter of the gauge"
        mm={size}
        system={system}
        onClear={() => setTyped({ ...typed, [which]: undefined })}
        onCommit={(mm) => setTyped({ ...typed, [which]: mm })}
        hint={known === null ? 'as marked on it; without it the gauge says yes or no, but no size' : undefined}
      />
      <p className="text-lg text-ink2">{GAUGE_TRUTH[which](may)}</p>
      <div className="grid grid-cols-2 gap-2">
        <Button className="min-h-20 text-2xl font-bold" onClick={() => say(true, null)}>
          It goes
        </Button>
        <Button className="min-h-20 text-2xl font-bold" onClick={() => say(false, 0)}>
          It does not start
        </Button>
      </div>
      <div className="grid grid-cols-4 gap-2 max-xs:grid-cols-2">
        {[1, 2, 3, 4].map((t) => (
          <Button key={t} className="min-h-14 px-1 text-lg leading-tight" onClick={() => say(false, t)}>
            {t} {t === 1 ? 'turn' : 'turns'}, then stops
          </Button>
        ))}
      </div>
      {taper && <StandOffPanel unit={system} />}
    </div>
  );
}
