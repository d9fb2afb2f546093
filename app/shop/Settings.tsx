import { ProblemText } from '../ui/ProblemText.tsx';
import { useRef, useState } from 'react';
import { Download, Upload } from 'lucide-react';
import type { Problem } from '../../core/quantity/outcome.ts';
import type { Imported } from '../../core/formats/documents.ts';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { emptyShop } from '../../core/job/create.ts';
import { loadJobs, putJobs, replaceAll } from '../storage/db.ts';
import { exportShop, readFile } from '../storage/files.ts';
import { allSaved, editShop, shopOpened, useAppDispatch, useShop } from '../store/store.ts';
import { Button, Choice, Note, Panel } from '../ui/controls.tsx';
import { TextField } from '../ui/fields.tsx';
import { Page } from './Page.tsx';

export function Settings() {
  const shop = useShop();
  const dispatch = useAppDispatch();
  const picker = useRef<HTMLInputElement>(null);
  const [pending, setPending] = useState<Imported | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const { settings } = shop;

  const take = async (): Promise<void> => {
    if (!pending?.ok) return;
    await allSaved();
    if (pending.kind === 'job') {
      await putJobs([pending.job]);
      setSaid(`Brought in the job "${pending.job.title}".`);
    } else {
      await replaceAll(pending.backup.shop, pending.backup.jobs);
      dispatch(shopOpened(pending.backup.shop));
      setSaid(`Brought in the shop "${pending.backup.shop.name}" with ${pending.backup.jobs.length} jobs.`);
    }
    setPending(null);
  };
  const startOver = async (demo: boolean): Promise<void> => {
    await allSaved();
    const next = demo ? demoShop() : emptyShop();
    await replaceAll(next, demo ? demoJobs() : []);
    dispatch(shopOpened(next));
    setSaid(demo ? 'The demo shop is in place again.' : 'The shop is empty.');
  };

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
        <Panel title="Backup">
          <div className="grid gap-3">
            <p className="text-ink2">
              Everything is kept in this browser. A file is yours to keep elsewhere: plain JSON, a shop with all its
              jobs, or one job.
            </p>
            <Button
              onClick={() =>
                void allSaved()
                  .then(loadJobs)
                  .then((jobs) => exportShop(shop, jobs))
              }
            >
              <Download aria-hidden size={18} /> Export the whole shop
            </Button>
            <input
              ref={picker}
              type="file"
              accept=".json,application/json"
              className="sr-only"
              tabIndex={-1}
              aria-label="File to bring in"
              onChange={(e) => {
                const file = e.target.files?.[0];
                e.target.value = '';
                setSaid(null);
                if (file) void readFile(file).then(setPending);
              }}
            />
            <Button onClick={() => picker.current?.click()}>
              <Upload aria-hidden size={18} /> Bring in a file
            </Button>
            {pending && !pending.ok && <Wrong problems={pending.problems} />}
            {pending?.ok && (
              <Note tone="say">
                <p>
                  {pending.kind === 'job'
                    ? `The file holds one job: "${pending.job.title}". A job of the same identity here is replaced.`
                    : `The file holds the shop "${pending.backup.shop.name}" with ${pending.backup.jobs.length} jobs. It replaces everything here.`}
                </p>
                <div className="mt-2 flex gap-2">
                  <Button tone="main" onClick={() => void take()}>
                    {pending.kind === 'job' ? 'Bring the job in' : 'Replace everything'}
                  </Button>
                  <Button onClick={() => setPending(null)}>Leave it</Button>
                </div>
              </Note>
            )}
            {said !== null && (
              <div role="status">
                <Note tone="right">{said}</Note>
              </div>
            )}
          </div>
        </Panel>
        <Panel title="Start over">
          <div className="flex flex-wrap gap-2">
            <StartOver label="Put the demo shop back" onSure={() => void startOver(true)} />
            <StartOver label="Start with an empty shop" onSure={() => void startOver(false)} />
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

function Wrong({ problems }: { readonly problems: readonly Problem[] }) {
  return (
    <Note tone="wrong">
      <p className="font-semibold">This file was not taken in; nothing has changed. What is wrong with it:</p>
      <ul className="list-disc pl-5">
        {problems.map((p) => (
          <li key={`${p.field} ${p.code} ${JSON.stringify(p.figures)}`}>
            <span className="num">{p.field}</span>: <ProblemText problem={p} />
          </li>
        ))}
      </ul>
    </Note>
  );
}
