import { useState } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import { isGeared } from '../../core/lathe/schema.ts';
import { Tray } from '../drawing/Tray.tsx';
import { confirm } from '../../core/lathe/unconfirmed.ts';
import { editShop, useShop } from '../store/store.ts';
import { Button, Note, Panel } from '../ui/controls.tsx';
import { TextField } from '../ui/fields.tsx';
import { Chart } from './Chart.tsx';
import { Page } from './Page.tsx';
import { ArmPanel } from './lathe/ArmPanel.tsx';
import { ControlPanel } from './lathe/ControlPanel.tsx';
import { EndPlate } from './lathe/EndPlate.tsx';
import { Kind } from './lathe/Kind.tsx';
import { LeverGrid } from './lathe/LeverGrid.tsx';
import type { Measures } from './lathe/measures.ts';
import { DialPanel } from './lathe/DialPanel.tsx';
import type { EditLathe, SayFact } from './lathe/edit.ts';
import { GearsPanel } from './lathe/GearsPanel.tsx';
import { LearnedPanel } from './lathe/LearnedPanel.tsx';
import { HasPanel } from './lathe/HasPanel.tsx';
import { NamePanel } from './lathe/NamePanel.tsx';
import { SlidePanels } from './lathe/SlidePanels.tsx';
import { TypedPanel } from './lathe/TypedPanel.tsx';

/** One lathe, as its owner can measure it. */
export function LathePage() {
  const { latheId = '' } = useParams();
  const shop = useShop();
  const navigate = useNavigate();
  const lathe = shop.lathes.find((l) => l.id === latheId);
  const [read, setRead] = useState<Measures>({});
  if (!lathe) return <Navigate to="/lathes" replace />;
  const geared = isGeared(lathe);
  const edit: EditLathe = (label, change) =>
    editShop(label, (d) => {
      const l = d.lathes.find((x) => x.id === latheId);
      if (l) change(l);
    });
  const say: SayFact = (fact, label, change) =>
    edit(label, (l) => {
      change(l);
      confirm(l, fact);
    });
  return (
    <Page
      title={lathe.name}
      lead="Every change is kept at once and can be undone. Jobs that rest on this lathe say so."
      actions={
        <>
          <Button onClick={() => void navigate('/lathes')}>All lathes</Button>
          <Button
            tone="stop"
            onClick={() => {
              editShop(`remove ${lathe.name}`, (d) => {
                const gone = d.lathes
                  .filter((l) => l.id === latheId)
                  .map((l) => ({ at: new Date().toISOString(), lathe: l }));
                d.removedLathes = [...gone, ...d.removedLathes].slice(0, 100);
                d.lathes = d.lathes.filter((l) => l.id !== latheId);
              });
              void navigate('/lathes');
            }}
          >
            Remove this lathe
          </Button>
        </>
      }
    >
      <Kind kind={lathe.kind} onChange={(v) => edit('change the drive', (l) => void (l.kind = v))} />
      {geared && (
        <div className="grid gap-4 lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
          <div className="grid content-start gap-3">
            <EndPlate key={lathe.id} lathe={lathe} edit={edit} read={read} onRead={setRead} />
            {lathe.gears.length > 0 && (
              <Tray
                gears={lathe.gears}
                used={lathe.mounted ? [...lathe.mounted.drivers, ...lathe.mounted.driven] : []}
              />
            )}
          </div>
          <div className="grid content-start gap-4">
            <GearsPanel lathe={lathe} edit={edit} />
            {Object.keys(lathe.levers).length > 0 && (
              <Panel>
                <LeverGrid lathe={lathe} />
              </Panel>
            )}
          </div>
        </div>
      )}
      <div className="grid gap-4 md:grid-cols-2">
        <NamePanel lathe={lathe} edit={edit} say={say} />
        <SlidePanels lathe={lathe} edit={edit} say={say} />
        {geared && (
          <>
            <ArmPanel lathe={lathe} edit={edit} read={read} onRead={setRead} />
            <Chart
              lathe={lathe}
              onKeep={(chart) => edit('keep the rows of the chart', (l) => void (l.chart = chart))}
              onTake={(levers) => edit('take the gearbox from its chart', (l) => void (l.levers = levers))}
            />
            <DialPanel lathe={lathe} edit={edit} />
          </>
        )}
        <HasPanel lathe={lathe} edit={edit} told={!geared} />
        {lathe.kind === 'electronic' && <TypedPanel lathe={lathe} edit={edit} />}
        {lathe.kind === 'control' && <ControlPanel lathe={lathe} edit={edit} />}
        <LearnedPanel lathe={lathe} />
        <Panel title="Note">
          <TextField
            label="Anything to remember"
            lines={4}
            value={lathe.note}
            onCommit={(t) => edit('change the note', (l) => void (l.note = t))}
          />
          <div className="mt-3">
            <Note tone="caution">
              Isolate at the plug before hands go near gears, belts or pulleys; cover back on before power.
            </Note>
          </div>
        </Panel>
      </div>
    </Page>
  );
}
