import { useShop, useAppDispatch, allSaved, openShop, jobClosed, recorder, channel, editShop } from '../store/store.ts';
import { useState } from 'react';
import { storageText } from '../../words/storage.ts';
import type { Shop, Job } from '../../core/job/schema.ts';
import { replaceAll } from '../storage/db.ts';
import { dropDrafts } from '../ui/drafts.ts';
import { emptyShop } from '../../core/job/create.ts';
import { Page } from './Page.tsx';
import { Panel, Button } from '../ui/controls.tsx';
import { Choice } from '../ui/choices.tsx';
import { TextField } from '../ui/fields.tsx';
import { BackupPanel } from './BackupPanel.tsx';
import { Kept } from './KeptPanel.tsx';

/** As it was built; a test's modules were not. */
const VERSION = (import.meta as Partial<ImportMeta>).env?.VITE_GELVIN_VERSION as string | undefined;

export function Settings() {
  const shop = useShop();
  const dispatch = useAppDispatch();
  const [said, setSaid] = useState<string | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const { settings } = shop;

  /** Does what goes to the record as a whole; where that fails nothing has changed, and it is said. */
  const whole = (what: string, how: () => Promise<string>): void => {
    setSaid(null);
    setFailed(null);
    allSaved()
      .then(how)
      .then(setSaid, (e: unknown) => setFailed(`${what}: ${storageText(e)}.`));
  };
  const replaced = async (next: Shop, jobs: readonly Job[]): Promise<void> => {
    const rev = await replaceAll(next, jobs);
    openShop(next, rev);
    dropDrafts();
    dispatch(jobClosed());
    recorder.openedJob(null, null);
    channel.say({ what: 'all' });
  };
  const startOver = (demo: boolean): void =>
    whole('Nothing has changed', async () => {
      const { demoJobs, demoShop } = await import('../../demo/index.ts');
      await replaced(demo ? demoShop() : emptyShop(), demo ? demoJobs() : []);
      return demo ? 'The demo shop is in place again.' : 'The shop is empty.';
    });

  return (
    <Page title="Settings & backup" lead="How Gelvin speaks to you, and your data in files of your own.">
      <div className="grid gap-4 md:grid-cols-2">
        <Panel title="This shop">
          <div className="grid gap-3">
            <TextField
              label="Name of the shop"
              value={shop.name}
              onCommit={(t) => t.trim() && editShop('rename the shop', (d) => void (d.name = t.trim()))}
            />
            <TextField
              label="Who is working"
              value={settings.operator}
              onCommit={(t) => editShop('change who is working', (d) => void (d.settings.operator = t))}
            />
            <Choice
              label="Lengths without a unit are"
              value={settings.system}
              options={[
                { value: 'mm', label: 'millimetres' },
                { value: 'in', label: 'inches' },
              ]}
              onChange={(v) => editShop('change the units', (d) => void (d.settings.system = v))}
            />
            <Choice
              label="Decimals are written"
              value={settings.decimal}
              options={[
                { value: 'auto', label: 'as the device' },
                { value: 'point', label: '31.75' },
                { value: 'comma', label: '31,75' },
              ]}
              onChange={(v) => editShop('change the decimal mark', (d) => void (d.settings.decimal = v))}
            />
            <Choice
              label="Inches off a rule are written"
              value={settings.inches}
              options={[
                { value: 'decimal', label: '1.19' },
                { value: 'fractions', label: '1 3/16' },
                { value: '64ths', label: '1 12/64' },
              ]}
              onChange={(v) => editShop('change how inches are written', (d) => void (d.settings.inches = v))}
            />
            <Choice
              label="Screen"
              value={settings.theme}
              options={[
                { value: 'auto', label: 'as the device' },
                { value: 'light', label: 'light (bright yard)' },
                { value: 'dark', label: 'dark (dim shop)' },
              ]}
              onChange={(v) => editShop('change the screen', (d) => void (d.settings.theme = v))}
            />
            <Choice
              label="Single-letter keys"
              value={settings.singleKeys ? 'on' : 'off'}
              options={[
                { value: 'on', label: 'on' },
                { value: 'off', label: 'off' },
              ]}
              onChange={(v) => editShop('change the keys', (d) => void (d.settings.singleKeys = v === 'on'))}
            />
          </div>
        </Panel>
        <BackupPanel whole={whole} replaced={replaced} failed={failed} said={said} />
        <Kept />
        <Panel title="Start over">
          <div className="flex flex-wrap gap-2">
            <StartOver label="Put the demo shop back" onSure={() => startOver(true)} />
            <StartOver label="Start with an empty shop" onSure={() => startOver(false)} />
          </div>
          <p className="mt-2 text-sm text-ink2">
            Both take away every job and lathe here. Export first if anything is wanted.
          </p>
        </Panel>
        <Panel title="What Gelvin does not do">
          <p>
            It computes from what you read and from published tables, and shows how. It does not certify. Threads that
            carry people, lifting gear, pressure, fuel gas, steering, brakes, firearms, aircraft or oilfield connections
            are reproduced only under the code that applies and by those qualified for it.
          </p>
          <p className="mt-2">
            <a className="text-blue underline" href="/licences.txt">
              Licences of all that Gelvin is made of
            </a>
          </p>
          {VERSION && <p className="mt-2">Version {VERSION}</p>}
        </Panel>
      </div>
    </Page>
  );
}

function StartOver({ label, onSure }: { readonly label: string; readonly onSure: () => void }) {
  const [asked, setAsked] = useState(false);
  if (!asked) return <Button onClick={() => setAsked(true)}>{label}</Button>;
  return (
    <span className="flex gap-2">
      <Button
        tone="stop"
        onClick={() => {
          setAsked(false);
          onSure();
        }}
      >
        Yes: {label.toLowerCase()}
      </Button>
      <Button onClick={() => setAsked(false)}>No</Button>
    </span>
  );
}
