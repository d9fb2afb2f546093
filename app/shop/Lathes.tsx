import { newId } from '../ui/newId.ts';
import { Plus } from 'lucide-react';
import { Link, useNavigate } from 'react-router';
import { newLathe } from '../../core/lathe/create.ts';
import { isGeared } from '../../core/lathe/schema.ts';
import { pitchText } from '../../core/quantity/pitch.ts';
import { exact } from '../../core/quantity/rational.ts';
import { editShop, useShop, useSystem } from '../store/store.ts';
import { Button, Panel } from '../ui/controls.tsx';
import { Page } from './Page.tsx';
import { RemovedLathes } from './RemovedLathes.tsx';

export function Lathes() {
  const shop = useShop();
  const system = useSystem();
  const navigate = useNavigate();
  const add = (): void => {
    const id = newId().slice(0, 8);
    editShop('add a lathe', (d) => void d.lathes.push(newLathe(id)));
    void navigate(`/lathes/${id}`);
  };
  return (
    <Page
      title="Lathes"
      lead="What each lathe has: leadscrew, gears, dials. Measured once, used by every job."
      actions={
        <Button tone="main" onClick={add}>
          <Plus aria-hidden size={18} /> Add a lathe
        </Button>
      }
    >
      {shop.lathes.length === 0 && (
        <Panel>
          <p>No lathe yet. Add one: its leadscrew pitch and the gears in the drawer are enough to begin.</p>
        </Panel>
      )}
      <ul className="grid gap-2">
        {shop.lathes.map((l) => (
          <li key={l.id}>
            <Link
              to={`/lathes/${l.id}`}
              className="grid gap-1 rounded-lg border border-line bg-panel p-4 hover:bg-inset md:grid-cols-[1fr_1fr_1fr]"
            >
              <span className="text-lg font-semibold">{l.name}</span>
              <span className="num self-center">
                leadscrew{' '}
                {l.unconfirmed.includes('leadscrew')
                  ? 'not known yet'
                  : pitchText(exact(l.leadscrew), l.leadscrewSystem)}
              </span>
              <span className="self-center text-ink2">
                {!isGeared(l)
                  ? l.kind === 'control'
                    ? 'with a control'
                    : 'electronic leadscrew'
                  : `${l.gears.length} gears, ${Object.keys(l.levers).length > 0 ? `gearbox with ${Object.keys(l.levers).length} lever${Object.keys(l.levers).length === 1 ? '' : 's'}` : 'no gearbox'}`}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {shop.removedLathes.length > 0 && (
        <RemovedLathes
          removed={shop.removedLathes}
          onBack={(id) =>
            editShop('bring a lathe back', (d) => {
              const back = d.removedLathes.find((r) => r.lathe.id === id);
              if (!back) return;
              d.removedLathes = d.removedLathes.filter((r) => r !== back);
              d.lathes = [...d.lathes.filter((l) => l.id !== id), back.lathe];
            })
          }
          onEmpty={() => editShop('empty the removed lathes', (d) => void (d.removedLathes = []))}
        />
      )}
      <p className="text-sm text-ink2">
        Showing {system === 'mm' ? 'millimetres' : 'inches'}; each lathe&rsquo;s dials keep their own system.
      </p>
    </Page>
  );
}
