import { useMemo } from 'react';
import { sizingOf } from '../../../core/job/sizing.ts';
import type { SizeAnswer } from '../../../core/sizing/decide.ts';
import { beliefText } from '../../../words/size.ts';
import type { WirePlan } from '../../../core/job/derive.ts';
import { standingOfPart } from '../../../core/job/metal.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { leftText } from '../../../words/conclusions.ts';
import { eventText } from '../../../words/ledger.ts';
import { useDialUnit, useJobView } from '../../shell/jobContext.tsx';
import { act, useShop, useSystem } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { Drawer } from '../../ui/Drawer.tsx';
import { LengthField } from '../../ui/fields.tsx';

export type ProveTab = 'wires' | 'said';

/** Which wires are used; everything that was measured and tried. */
export function ProveDrawer({
  tab,
  wires,
  onClose,
}: {
  readonly tab: ProveTab;
  readonly wires: WirePlan | null;
  readonly onClose: () => void;
}) {
  return (
    <Drawer
      label={tab === 'wires' ? 'Wires' : 'Measured'}
      title={tab === 'wires' ? 'Wires' : 'Measured and tried'}
      onClose={onClose}
    >
      {tab === 'wires' && wires ? <Wires wires={wires} /> : <Said wires={wires} />}
    </Drawer>
  );
}

function Wires({ wires }: { readonly wires: WirePlan }) {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const { min, max } = wires.usableMm;
  const owned = shop.wiresMm.filter((w) => w >= min && w <= max);
  return (
    <>
      <LengthField
        label="Wire or pin used (empty: nearest owned)"
        mm={job.prove.wire?.mm ?? null}
        system={system}
        rule={{ maxMm: 60 }}
        onClear={() => act({ do: 'setWire', wire: null })}
        onCommit={(mm, text) => act({ do: 'setWire', wire: { text, mm } })}
        hint={`best ${lengthText(wires.bestMm, system, FINE)}; usable ${lengthText(min, system, FINE)} to ${lengthText(max, system, FINE)}`}
      />
      {shop.wiresMm.length > 0 && (
        <p className="text-ink2">
          Owned and usable:{' '}
          <span className="num">
            {owned.map((w) => lengthText(w, system, { ...FINE, bare: true })).join(', ') || 'none'}
          </span>
        </p>
      )}
    </>
  );
}

function Said({ wires }: { readonly wires: WirePlan | null }) {
  const { job } = useJobView();
  const system = useSystem();
  const shop = useShop();
  const belief = useMemo(() => sizingOf(job, shop), [job, shop]);
  const tried = standingOfPart(job).filter((e) => e.kind === 'tried' && e.result !== 'note');
  if (tried.length === 0 && !wires?.measured.length)
    return belief ? <Belief belief={belief} /> : <p className="text-ink2">Nothing yet.</p>;
  return (
    <>
      {belief && <Belief belief={belief} />}
      <ul className="grid gap-1">
        {wires?.measured.map((m) => (
          <li key={m.n} className="flex items-center justify-between gap-3 border-t border-line">
            <span className="num">{m.text}</span>
            <span>{leftText(m, system)}</span>
            <Button tone="quiet" aria-label={`Take back ${m.text}`} onClick={() => act({ do: 'void', of: m.n })}>
              Take back
            </Button>
          </li>
        ))}
        {tried.map((e) => (
          <li key={e.n} className="border-t border-line py-2">
            {eventText(e, system)}
          </li>
        ))}
      </ul>
    </>
  );
}

/** What every cut, reading and trial together say of the size. */
function Belief({ belief }: { readonly belief: SizeAnswer }) {
  const u = useDialUnit();
  const text = beliefText(belief, u);
  return (
    <section aria-label="By all of it together" className="mb-3 grid gap-1">
      <p className="num text-xl font-bold">{text.size}</p>
      <p>{text.left}</p>
      <p className="font-semibold">{text.next}</p>
    </section>
  );
}
