import { Popover } from 'radix-ui';
import { GLOSSARY, type Term } from '../../words/glossary.ts';

/** Words of the trade that stand here, each opening to a short card. Nothing waits for it. */
export function Terms({ terms }: { readonly terms: readonly Term[] }) {
  if (terms.length === 0) return null;
  return (
    <section aria-label="Terms used here" className="no-print border-t border-line pt-2 text-sm text-ink2">
      <span className="mr-1">Terms here:</span>
      {terms.map((t) => (
        <Popover.Root key={t}>
          <Popover.Trigger className="mr-1 inline-flex min-h-12 items-center px-1.5 text-ink underline decoration-dotted underline-offset-4 hover:bg-inset">
            {t}
          </Popover.Trigger>
          <Popover.Portal>
            <Popover.Content
              aria-label={t}
              side="top"
              collisionPadding={8}
              className="z-50 w-72 max-w-[calc(100vw-1rem)] rounded-[4px] border-2 border-edge bg-panel p-3 text-ink shadow-xl"
            >
              <strong className="block">{t}</strong>
              <span>{GLOSSARY[t]}</span>
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
      ))}
    </section>
  );
}
