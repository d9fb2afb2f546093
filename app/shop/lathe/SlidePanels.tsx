import type { Lathe } from '../../../core/lathe/schema.ts';
import { Choice } from '../../ui/choices.tsx';
import type { LathePanel, SayFact } from './edit.ts';
import { SlackPanel } from './SlackPanel.tsx';
import { SlidePanel } from './SlidePanel.tsx';
import { Unconfirmed } from './Unconfirmed.tsx';

const dialText = (d: Lathe['crossSlide']): string =>
  `${d.division} ${d.unit} a division, ${d.perTurn} in a turn, ${d.reads === 'radius' ? 'showing travel' : 'showing diameter'}`;

/** Both slides as their dials are cut, and the slack of this lathe. */
export function SlidePanels({ lathe, edit, say }: LathePanel & { readonly say: SayFact }) {
  return (
    <>
      <SlidePanel
        title="Cross slide"
        dial={lathe.crossSlide}
        onChange={(c) => say('crossSlide', 'change the cross slide', (l) => void Object.assign(l.crossSlide, c))}
      >
        <Unconfirmed lathe={lathe} edit={edit} fact="crossSlide" standsIn={dialText(lathe.crossSlide)} />
      </SlidePanel>
      <div className="grid gap-4">
        <SlackPanel lathe={lathe} edit={edit} />
        <SlidePanel
          title="Top slide"
          dial={lathe.topSlide}
          onChange={(c) => say('topSlide', 'change the top slide', (l) => void Object.assign(l.topSlide, c))}
        >
          <Unconfirmed lathe={lathe} edit={edit} fact="topSlide" standsIn={dialText(lathe.topSlide)} />
          <Choice
            label="Its angle scale reads 0"
            value={lathe.slideScaleZero}
            options={[
              { value: 'cross-slide', label: 'in line with the cross slide' },
              { value: 'bed', label: 'along the bed' },
              { value: 'none', label: 'it has none' },
            ]}
            onChange={(v) => edit('change the scale zero', (l) => void (l.slideScaleZero = v))}
          />
        </SlidePanel>
      </div>
    </>
  );
}
