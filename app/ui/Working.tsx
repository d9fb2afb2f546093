import { createContext, useContext, useMemo, useState, type ReactNode } from 'react';
import { lengthText, FINE } from '../../core/quantity/format.ts';
import { plain, type Step } from '../../core/quantity/working.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';

interface Shown {
  readonly title: string;
  readonly steps: readonly Step[];
}
interface WorkingContext {
  readonly shown: Shown | null;
  readonly show: (title: string, steps: readonly Step[]) => void;
}
const Context = createContext<WorkingContext>({ shown: null, show: () => undefined });

/** Holds the working of the number last touched. */
export function WorkingProvider({ children }: { readonly children: ReactNode }) {
  const [shown, setShown] = useState<Shown | null>(null);
  const value = useMemo(
    () => ({ shown, show: (title: string, steps: readonly Step[]) => setShown({ title, steps }) }),
    [shown],
  );
  return <Context.Provider value={value}>{children}</Context.Provider>;
}
export const useWorking = (): WorkingContext => useContext(Context);

const UNIT: Record<Step['unit'], string> = {
  mm: 'mm',
  deg: '\u00b0',
  ratio: '',
  count: '',
  s: 's',
  rpm: 'rev/min',
  ppm: 'ppm',
};

/** The formula in symbols, the values put in, the result, the source. */
export function Steps({ steps, system }: { readonly steps: readonly Step[]; readonly system: UnitSystem }) {
  return (
    <ol className="grid gap-4">
      {steps.map((s) => (
        <li key={s.name + s.formula} className="grid gap-0.5">
          <span className="font-semibold">{s.name}</span>
          <span className="num text-sm">
            {s.symbol} = {s.formula}
          </span>
          <span className="num text-sm text-ink2">= {s.values}</span>
          <span className="num text-lg">
            = {s.unit === 'mm' ? lengthText(s.result, system, FINE) : `${plain(s.result)} ${UNIT[s.unit]}`}
            {s.unit === 'mm' && (
              <span className="text-sm text-ink2"> ({lengthText(s.result, system === 'mm' ? 'in' : 'mm', FINE)})</span>
            )}
          </span>
          <span className="text-sm text-ink2">{s.source}</span>
        </li>
      ))}
    </ol>
  );
}

export function WorkingPanel({ system }: { readonly system: UnitSystem }) {
  const { shown } = useWorking();
  return (
    <aside
      aria-label="Working"
      className="grid content-start gap-3 border-t border-line bg-panel p-4 xl:border-l xl:border-t-0"
    >
      <h2 className="text-lg">Working</h2>
      {shown ? (
        <>
          <p className="text-ink2">{shown.title}</p>
          <Steps steps={shown.steps} system={system} />
        </>
      ) : (
        <p className="text-ink2">
          Touch a number to see how it came about: the formula, the values put in, and where it is published.
        </p>
      )}
    </aside>
  );
}
