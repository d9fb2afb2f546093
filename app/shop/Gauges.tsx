import { newId } from '../ui/newId.ts';
import { Trash2 } from 'lucide-react';
import { parseUncertaintyDeg } from '../../core/lathe/typed.ts';
import { editShop, useShop, useSystem } from '../store/store.ts';
import { Button, Panel } from '../ui/controls.tsx';
import { DraftScope } from '../ui/drafts.ts';
import { LengthField, TextField } from '../ui/fields.tsx';
import { TypedField } from '../ui/TypedField.tsx';
import { Page } from './Page.tsx';
import { PinsPanel } from './PinsPanel.tsx';

const setUncertainty = (id: string) => (value: number) =>
  editShop('change an uncertainty', (d) => void (d.instruments.find((x) => x.id === id)!.uncertainty = value));

export function Gauges() {
  const shop = useShop();
  const system = useSystem();
  return (
    <Page title="Gauges" lead="What you measure with, how well it reads, and the wires and pins you own.">
      <div className="grid gap-4 md:grid-cols-2">
        <Panel title="Instruments">
          <ul className="@container grid grid-cols-[minmax(0,1fr)] gap-3">
            {shop.instruments.map((i) => (
              <DraftScope key={i.id} id={i.id}>
                <li className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-x-2 gap-y-1 border-t border-line pt-2 @md:grid-cols-[minmax(0,1fr)_10rem_auto] @max-md:*:first:col-span-2">
                  <TextField
                    label={`Name (${i.measures})`}
                    value={i.name}
                    onCommit={(t) =>
                      t.trim() &&
                      editShop(
                        'rename an instrument',
                        (d) => void (d.instruments.find((x) => x.id === i.id)!.name = t.trim()),
                      )
                    }
                  />
                  {i.measures === 'angle' ? (
                    <TypedField
                      label="good to ±, degrees"
                      shown={String(i.uncertainty)}
                      parse={parseUncertaintyDeg}
                      onCommit={setUncertainty(i.id)}
                    />
                  ) : (
                    <LengthField
                      label="good to ±"
                      mm={i.uncertainty}
                      system={system}
                      rule={{ maxMm: 10 }}
                      onCommit={setUncertainty(i.id)}
                    />
                  )}
                  <Button
                    tone="quiet"
                    aria-label={`Remove ${i.name}`}
                    onClick={() =>
                      editShop(
                        `remove ${i.name}`,
                        (d) => void (d.instruments = d.instruments.filter((x) => x.id !== i.id)),
                      )
                    }
                  >
                    <Trash2 aria-hidden size={18} />
                  </Button>
                </li>
              </DraftScope>
            ))}
          </ul>
          <div className="mt-3 flex flex-wrap gap-2">
            {(['length', 'angle', 'taper'] as const).map((kind) => (
              <Button
                key={kind}
                onClick={() =>
                  editShop(
                    'add an instrument',
                    (d) =>
                      void d.instruments.push({
                        id: newId().slice(0, 8),
                        name: `New for ${kind}`,
                        measures: kind,
                        uncertainty: kind === 'angle' ? 1 : kind === 'taper' ? 0.004 : 0.02,
                      }),
                  )
                }
              >
                Add for {kind}
              </Button>
            ))}
          </div>
        </Panel>
        <PinsPanel />
      </div>
    </Page>
  );
}
