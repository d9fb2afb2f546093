import { lazy, Suspense, useState } from 'react';
import { Button } from '../ui/controls.tsx';
import { keepSeen } from './first.ts';

const OwnShop = lazy(async () => ({ default: (await import('./OwnShop.tsx')).OwnShop }));

/** Whoever comes for the first time: look round, or begin with a shop of one's own. It blocks nothing. */
export function FirstVisit({ onDone }: { readonly onDone: () => void }) {
  const [gone, setGone] = useState(false);
  const [own, setOwn] = useState(false);
  if (gone) return null;
  const close = (): void => {
    keepSeen();
    setGone(true);
  };
  return (
    <section aria-label="First visit" className="rounded-[4px] border-2 border-edge bg-panel p-4">
      <p>
        <strong>A demo shop, invented.</strong> Look round: every job stands at another place of the work, and nothing
        here matters. Or begin with a shop of your own.
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button onClick={() => setOwn(true)} aria-expanded={own}>
          Start my own shop
        </Button>
        <Button onClick={close}>I look round</Button>
      </div>
      {own && (
        <Suspense>
          <OwnShop
            onDone={() => {
              close();
              onDone();
            }}
          />
        </Suspense>
      )}
    </section>
  );
}
