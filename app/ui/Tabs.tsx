import { Tabs as Primitive } from 'radix-ui';
import type { ReactNode } from 'react';

export interface Tab {
  readonly id: string;
  readonly label: ReactNode;
  readonly body: ReactNode;
}

/** Ink-underlined words: one of a few things that share a place. */
export function Tabs({
  label,
  tabs,
  value,
  onChange,
}: {
  readonly label: string;
  readonly tabs: readonly Tab[];
  readonly value: string;
  readonly onChange: (id: string) => void;
}) {
  return (
    <Primitive.Root value={value} onValueChange={onChange} className="min-w-0">
      <Primitive.List aria-label={label} className="no-print flex flex-wrap border-b border-line">
        {tabs.map((t) => (
          <Primitive.Trigger
            key={t.id}
            value={t.id}
            className="-mb-px min-h-12 border-b-4 border-transparent px-2.5 text-ink2 hover:text-ink data-[state=active]:border-ink data-[state=active]:font-semibold data-[state=active]:text-ink"
          >
            {t.label}
          </Primitive.Trigger>
        ))}
      </Primitive.List>
      {tabs.map((t) => (
        <Primitive.Content key={t.id} value={t.id} className="pt-3 outline-offset-4">
          {t.body}
        </Primitive.Content>
      ))}
    </Primitive.Root>
  );
}
