import { createContext, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { lengthText, FINE, speedText } from '../../core/quantity/format.ts';
import { plain, type Step } from '../../core/quantity/working.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import { Copy } from './Copy.tsx';
import { Drawer } from './Drawer.tsx';

interface Shown {
  /** Which figure's working it is. */
  readonly of: string;
  readonly title: string;
  readonly steps: readonly Step[];
}
interface WorkingContext {
  readonly shown: Shown | null;
  readonly put: (shown: Shown | null) => void;
}
const Context = createContext<WorkingContext>({ shown: null, put: () => undefined });

/** Holds the working of the number last touched. */
export function WorkingProvider({ children }: { readonly children: ReactNode }) {
  const [shown, put] = useState<Shown | null>(null);
  const value = useMemo(() => ({ shown, put }), [shown]);
  return <Context.Provider value={value}>{children}</Context.Provider>;
}

/**
 * The working of one figure. While it is the one shown it follows the figure, and it goes when the figure does.
 * @param of which figure, alike in every render @returns shows it
 */
export function useWorking(of: string, title: string, steps: readonly Step[]): () => void {
  const { shown, put } = useContext(Context);
  const mine = shown?.of === of;
  const key = JSON.stringify([title, steps]);
  useEffect(() => {
    if (mine) put({ of, title, steps });
    // the steps are compared by what they say
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, mine, of, put]);
  const showing = useRef(false);
  useEffect(() => {
    showing.current = mine;
  }, [mine]);
  useEffect(
    () => () => {
      if (showing.current) put(null);
    },
    [put],
  );
  return () => put({ of, title, steps });
}

const UNIT: Record<Exclude<Step['unit'], 'mm' | 'mm/s'>, string> = {
  deg: '\u00b0',
  ratio: '',
  count: '',
  s: 's',
  rpm: 'rev/min',
  ppm: 'ppm',
};

const resultText = ({ unit, result }: Step, system: UnitSystem): string =>
  unit === 'mm'
    ? lengthText(result, system, FINE)
    : unit === 'mm/s'
      ? speedText(result, system)
      : `${plain(result)} ${UNIT[unit]}`;

/** The formula in symbols, the values put in, the result, the source. */
export function Steps({ steps, system }: { readonly steps: readonly Step[]; readonly system: UnitSystem }) {
  return (
    <ol className="grid gap-4">
      {steps.map((s) => (
        <li key={s.name + s.formula} className="grid gap-0.5">
          <span className="font-semibold">{s.name}</span>
          <div className="grid gap-1 border-l-4 border-blue bg-inset px-3 py-2">
            <span className="num">
              {s.symbol} = {s.formula}
            </span>
            <span className="num text-sm text-ink2">
              = {s.values}
              {s.unit === 'mm' && system === 'in' && ' (lengths in mm)'}
            </span>
            <span className="num text-lg font-semibold">
              = {resultText(s, system)}
              {s.unit === 'mm' && (
                <span className="text-sm font-normal text-ink2">
                  {' '}
                  ({lengthText(s.result, system === 'mm' ? 'in' : 'mm', FINE)})
                </span>
              )}
            </span>
          </div>
          <span className="text-sm text-ink2">{s.source}</span>
        </li>
      ))}
    </ol>
  );
}

/** The working of the figure that was touched, until it is closed; it takes no room otherwise. */
export function WorkingDrawer({ system }: { readonly system: UnitSystem }) {
  const { shown, put } = useContext(Context);
  if (!shown) return null;
  return (
    <Drawer label="Working" title={shown.title} onClose={() => put(null)}>
      <p className="-mt-3 text-sm text-ink2">Working</p>
      <Steps steps={shown.steps} system={system} />
      <div>
        <Copy
          label="Copy"
          text={() =>
            shown.steps
              .map((s) => `${s.name}\t${s.symbol} = ${s.formula} = ${s.values} = ${resultText(s, system)}\t${s.source}`)
              .join('\n')
          }
        />
      </div>
    </Drawer>
  );
}
