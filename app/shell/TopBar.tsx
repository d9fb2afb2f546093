import { useState } from 'react';
import { Dialog } from 'radix-ui';
import { Keyboard, Redo2, Undo2 } from 'lucide-react';
import { NavLink } from 'react-router';
import clsx from 'clsx';
import { editShop, redoJob, redoShop, undoJob, undoShop, useAppSelector, useShop } from '../store/store.ts';
import { SaveBar } from './SaveBar.tsx';
import { KEY_LIST, useKeys } from '../ui/keys.ts';
import { useMemo } from 'react';

const VIEWS = [
  ['/jobs', 'Jobs'],
  ['/lathes', 'Lathes'],
  ['/gauges', 'Gauges'],
  ['/tables', 'Tables'],
  ['/settings', 'Settings & backup'],
] as const;

/** Always there: where one is, undo and redo with what they would undo, the unit system, the key list. */
export function TopBar({ inJob }: { readonly inJob: boolean }) {
  const shop = useShop();
  const history = useAppSelector((s) => (inJob ? s.work.job : s.work.shop));
  const saving = useAppSelector((s) => s.work.saving);
  const [keysOpen, setKeysOpen] = useState(false);
  const back = history?.past.at(-1)?.label;
  const forward = history?.future[0]?.label;
  const keys = useMemo(() => {
    const undo = inJob ? undoJob : undoShop;
    const redo = inJob ? redoJob : redoShop;
    return { 'Ctrl+z': undo, 'Ctrl+y': redo, 'Shift+Ctrl+z': redo, '?': () => setKeysOpen(true) };
  }, [inJob]);
  useKeys(keys);
  const system = shop.settings.system;
  return (
    <>
      <header className="on-slate no-print flex flex-wrap items-center gap-x-1 gap-y-1 border-b border-slate2 bg-slate px-3 py-1.5 text-chalk">
        <span className="mr-2 text-lg font-bold tracking-wide">Gelvin</span>
        <nav aria-label="Shop" className="flex flex-wrap">
          {VIEWS.map(([to, name]) => (
            <NavLink
              key={to}
              to={to}
              className={({ isActive }) =>
                clsx(
                  'flex min-h-12 items-center px-3',
                  isActive ? 'border-b-3 border-[#8fb1ff] font-semibold' : 'text-chalk2 hover:text-chalk',
                )
              }
            >
              {name}
            </NavLink>
          ))}
        </nav>
        <span className="ml-auto flex items-center gap-1">
          <span aria-live="off" className="px-2 text-sm text-chalk2">
            {saving === 'written' ? 'written' : saving === 'writing' ? 'writing\u2026' : 'not written'}
          </span>
          <BarButton label={back ? `Undo: ${back}` : 'Nothing to undo'} disabled={!back} onClick={keys['Ctrl+z']}>
            <Undo2 aria-hidden size={20} />
          </BarButton>
          <BarButton
            label={forward ? `Redo: ${forward}` : 'Nothing to redo'}
            disabled={!forward}
            onClick={keys['Ctrl+y']}
          >
            <Redo2 aria-hidden size={20} />
          </BarButton>
          <BarButton
            label={system === 'mm' ? 'Showing millimetres; change to inches' : 'Showing inches; change to millimetres'}
            onClick={() =>
              editShop('change the units', (d) => {
                d.settings.system = system === 'mm' ? 'in' : 'mm';
              })
            }
          >
            <span className="num text-base">{system}</span>
          </BarButton>
          <BarButton label="Key list" onClick={() => setKeysOpen(true)}>
            <Keyboard aria-hidden size={20} />
          </BarButton>
        </span>
        <Dialog.Root open={keysOpen} onOpenChange={setKeysOpen}>
          <Dialog.Portal>
            <Dialog.Overlay className="fixed inset-0 bg-black/50" />
            <Dialog.Content
              aria-describedby={undefined}
              className="fixed left-1/2 top-1/2 max-h-[90dvh] w-[min(40rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-lg border border-line bg-panel p-5 text-ink"
            >
              <Dialog.Title className="mb-3 text-xl font-semibold">Keys</Dialog.Title>
              <table className="w-full text-left">
                <thead>
                  <tr className="text-sm text-ink2">
                    <th className="py-1 font-normal">Key</th>
                    <th className="font-normal">Does</th>
                    <th className="font-normal">Where</th>
                  </tr>
                </thead>
                <tbody>
                  {KEY_LIST.map((k) => (
                    <tr key={k.keys + k.where} className="border-t border-line">
                      <td className="num py-2 pr-3">{k.keys}</td>
                      <td className="pr-3">{k.does}</td>
                      <td className="text-ink2">{k.where}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
              <Dialog.Close className="mt-4 min-h-12 rounded-md border border-line px-4">Close</Dialog.Close>
            </Dialog.Content>
          </Dialog.Portal>
        </Dialog.Root>
      </header>
      <SaveBar />
    </>
  );
}

function BarButton({
  label,
  children,
  ...rest
}: {
  readonly label: string;
  readonly children: React.ReactNode;
  readonly disabled?: boolean;
  readonly onClick: () => void;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      className="inline-flex min-h-12 min-w-12 items-center justify-center rounded-md hover:bg-slate2 disabled:opacity-45"
      {...rest}
    >
      {children}
    </button>
  );
}
