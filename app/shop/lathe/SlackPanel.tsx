import { isGeared, type Lathe } from '../../../core/lathe/schema.ts';
import { Panel } from '../../ui/controls.tsx';
import { LengthField } from '../../ui/fields.tsx';
import type { EditLathe } from './edit.ts';

const SLIDES = [
  ['crossMm', 'Cross slide', 'how far the handle turns before the slide follows'],
  ['topMm', 'Top slide', undefined],
  ['carriageMm', 'Carriage', 'push and pull it against an indicator'],
] as const;

/** Slack of the slides: what is not measured stays empty, and the machine says that it allows for it. */
export function SlackPanel({ lathe, edit }: { readonly lathe: Lathe; readonly edit: EditLathe }) {
  return (
    <Panel title="Slack">
      <div className="grid gap-3">
        {SLIDES.map(([key, label, hint]) => (
          <LengthField
            key={key}
            label={key === 'carriageMm' && isGeared(lathe) ? `${label}, half-nuts shut` : label}
            mm={lathe.slack[key]}
            system={lathe.crossSlide.unit}
            rule={{ allowZero: true, maxMm: 20 }}
            placeholder="not measured"
            onClear={() => edit('clear the slack', (l) => void (l.slack[key] = null))}
            onCommit={(mm) => edit('give the slack', (l) => void (l.slack[key] = mm))}
            hint={hint}
          />
        ))}
      </div>
    </Panel>
  );
}
