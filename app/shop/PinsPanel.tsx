import { useState } from 'react';
import { Trash2 } from 'lucide-react';
import { PIN_KINDS, type Pin } from '../../core/job/schema.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import { parseLength } from '../../core/quantity/length.ts';
import { good } from '../../core/quantity/outcome.ts';
import { PIN_NAMES } from '../../words/prove.ts';
import { editShop, useShop, useSystem } from '../store/store.ts';
import { Button, Panel } from '../ui/controls.tsx';
import { Choice } from '../ui/choices.tsx';
import { DraftScope } from '../ui/drafts.ts';
import { LengthField } from '../ui/fields.tsx';
import { TypedField } from '../ui/TypedField.tsx';

const key = (p: Pin): string => `${p.kind} ${p.mm}`;
const byKind = (a: Pin, b: Pin): number => PIN_KINDS.indexOf(a.kind) - PIN_KINDS.indexOf(b.kind) || a.mm - b.mm;

/** What is owned to lay into grooves: by kind, with its own diameter and roundness where somebody has measured it. */
export function PinsPanel() {
  const shop = useShop();
  const system = useSystem();
  const [kind, setKind] = useState<Pin['kind']>('wire');
  const [open, setOpen] = useState<string | null>(null);
  const change = (p: Pin, by: Partial<Pin>): unknown =>
    editShop('measure a pin', (d) => void Object.assign(d.pins.find((x) => key(x) === key(p)) ?? {}, by));
  return (
    <Panel title="Wires, pins and balls owned">
      <div className="grid gap-3">
        <Choice
          label="Kind"
          value={kind}
          options={PIN_KINDS.map((k) => ({ value: k, label: PIN_NAMES[k] }))}
          onChange={setKind}
        />
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
            editShop('add wires', (d) => {
              const fresh = [...new Set(list)].map((mm): Pin => ({ kind, mm, measuredMm: null, roundMm: null }));
              const all = [...d.pins, ...fresh.filter((f) => !d.pins.some((p) => key(p) === key(f)))];
              d.pins = all.sort(byKind);
            })
          }
        />
      </div>
      <ul className="mt-3 flex flex-wrap gap-2">
        {shop.pins.map((p) => (
          <li key={key(p)} className={open === key(p) ? 'w-full' : ''}>
            <button
              type="button"
              className="num min-h-12 rounded-md border border-line px-3 hover:bg-inset aria-expanded:bg-ink aria-expanded:text-onink"
              aria-expanded={open === key(p)}
              onClick={() => setOpen(open === key(p) ? null : key(p))}
            >
              {lengthText(p.mm, system, FINE)}{' '}
              <span className="font-sans">
                {PIN_NAMES[p.kind]}
                {p.measuredMm === null ? '' : ', measured'}
              </span>
            </button>
            {open === key(p) && (
              <DraftScope id={key(p)}>
                <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] items-start gap-2 border-b border-line py-2">
                  <LengthField
                    label="Measures itself"
                    mm={p.measuredMm}
                    system={system}
                    rule={{ maxMm: 60 }}
                    onClear={() => change(p, { measuredMm: null })}
                    onCommit={(measuredMm) => change(p, { measuredMm })}
                    hint="a drill's shank is seldom its size"
                  />
                  <LengthField
                    label="Out of round by"
                    mm={p.roundMm}
                    system={system}
                    rule={{ maxMm: 1, allowZero: true }}
                    onClear={() => change(p, { roundMm: null })}
                    onCommit={(roundMm) => change(p, { roundMm })}
                  />
                  <Button
                    tone="quiet"
                    className="mt-6"
                    aria-label={`Remove ${PIN_NAMES[p.kind]} of ${lengthText(p.mm, system, FINE)}`}
                    onClick={() =>
                      editShop('remove wires', (d) => void (d.pins = d.pins.filter((x) => key(x) !== key(p))))
                    }
                  >
                    <Trash2 aria-hidden size={18} />
                  </Button>
                </div>
              </DraftScope>
            )}
          </li>
        ))}
      </ul>
      {shop.pins.length === 0 && (
        <p className="text-ink2">None entered: Prove then reckons with the best wire for each thread.</p>
      )}
    </Panel>
  );
}
