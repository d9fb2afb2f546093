import { Trash2 } from 'lucide-react';
import { parseLength } from '../../core/quantity/length.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import { parseUncertaintyDeg } from '../../core/lathe/typed.ts';
import { good } from '../../core/quantity/outcome.ts';
import { editShop, useShop, useSystem } from '../store/store.ts';
import { Button, Panel } from '../ui/controls.tsx';
import { DraftScope } from '../ui/drafts.ts';
import { LengthField, TextField, TypedField } from '../ui/fields.tsx';
import { Page } from './Page.tsx';

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
                        id: crypto.randomUUID().slice(0, 8),
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
        <Panel title="Wires and pins owned">
          <TypedField
            label="Add diameters (any equal set of three will do), then Enter"
            shown=""
            placeholder=".081 in, 1.0, 1/16"
            parse={(t) => {
              const out: number[] = [];
              for (const part of t.split(/;|,(?=\s)|\n/)) {
                const l = parseLength(part, { system, field: 'wires', maxMm: 60 });
                if (!l.ok) return l;
                out.push(l.value.mm);
              }
              return good(out);
            }}
            onCommit={(list) =>
              editShop(
                'add wires',
                (d) => void (d.wiresMm = [...new Set([...d.wiresMm, ...list])].sort((a, b) => a - b)),
              )
            }
          />
          <ul className="mt-3 flex flex-wrap gap-2">
            {shop.wiresMm.map((w) => (
              <li key={w}>
                <button
                  type="button"
                  className="num min-h-12 rounded-md border border-line px-3 hover:bg-inset"
                  aria-label={`Remove wires of ${lengthText(w, system, FINE)}`}
                  onClick={() => editShop('remove wires', (d) => void (d.wiresMm = d.wiresMm.filter((x) => x !== w)))}
                >
                  {lengthText(w, system, FINE)} <span aria-hidden>&times;</span>
                </button>
              </li>
            ))}
          </ul>
          {shop.wiresMm.length === 0 && (
            <p className="text-ink2">None entered: Prove then reckons with the best wire for each thread.</p>
          )}
        </Panel>
      </div>
    </Page>
  );
}
