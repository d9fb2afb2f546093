import { ProblemText } from '../ui/ProblemText.tsx';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { offlineState, onOffline } from '../offline/register.ts';
import { Download, Upload } from 'lucide-react';
import type { Problem } from '../../core/quantity/outcome.ts';
import type { Imported } from '../../core/formats/documents.ts';
import { emptyShop } from '../../core/job/create.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import { storageText } from '../../words/storage.ts';
import { loadAll, putJobs, replaceAll } from '../storage/db.ts';
import { askToKeep, isKept } from '../storage/persist.ts';
import { exportShop, readFile } from '../storage/files.ts';
import { allSaved, channel, editShop, jobClosed, openShop, recorder, useAppDispatch, useShop } from '../store/store.ts';
import { Button, Choice, Note, Panel } from '../ui/controls.tsx';
import { dropDrafts } from '../ui/drafts.ts';
import { TextField } from '../ui/fields.tsx';
import { Page } from './Page.tsx';

export function Settings() {
  const shop = useShop();
  const dispatch = useAppDispatch();
  const picker = useRef<HTMLInputElement>(null);
  const [pending, setPending] = useState<Imported | null>(null);
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
  const take = (): void => {
    if (!pending?.ok) return;
    const file = pending;
    whole('Nothing was brought in', async () => {
      if (file.kind === 'job') {
        await putJobs([file.job]);
        channel.say({ what: 'all' });
        setPending(null);
        return `Brought in the job "${file.job.title}".`;
      }
      const { shop: theirs, jobs } = file.backup;
      await replaced(theirs, jobs);
      setPending(null);
      return `Brought in the shop "${theirs.name}" with ${jobs.length} jobs.`;
    });
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
        <Panel title="Backup">
          <div className="grid gap-3">
            <p className="text-ink2">
              Everything is kept in this browser. A file is yours to keep elsewhere: plain JSON, a shop with all its
              jobs, or one job.
            </p>
            <Button
              onClick={() =>
                whole('Not exported', async () => {
                  const { jobs, others } = await loadAll();
                  exportShop(shop, jobs, others);
                  return others.length === 0
                    ? `Exported ${jobs.length} jobs.`
                    : `Exported ${jobs.length} jobs, and ${others.length} set aside (damaged, newer, or as they were before a repair) in a file of their own.`;
                })
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
                setFailed(null);
                if (file)
                  readFile(file).then(setPending, (err: unknown) =>
                    setFailed(`The file could not be read: ${storageText(err)}.`),
                  );
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
                {pending.kind === 'backup' && <LeftOut file={pending} />}
                <div className="mt-2 flex gap-2">
                  <Button tone="main" onClick={take}>
                    {pending.kind === 'job' ? 'Bring the job in' : 'Replace everything'}
                  </Button>
                  <Button onClick={() => setPending(null)}>Leave it</Button>
                </div>
              </Note>
            )}
            {failed !== null && <Note tone="wrong">{failed}</Note>}
            {said !== null && (
              <div role="status">
                <Note tone="right">{said}</Note>
              </div>
            )}
          </div>
        </Panel>
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

/** What of a file is not taken in, and why. */
function LeftOut({ file }: { readonly file: Extract<Imported, { kind: 'backup' }> }) {
  if (file.left.length === 0 && file.shopLost.length === 0) return null;
  return (
    <div className="mt-2">
      {file.shopLost.length > 0 && (
        <p>
          Of the shop this does not hold and is left out: <span className="num">{file.shopLost.join(', ')}</span>
        </p>
      )}
      {file.left.length > 0 && (
        <>
          <p className="font-semibold">
            {file.left.length} {file.left.length === 1 ? 'job is' : 'jobs are'} not taken in:
          </p>
          <ul className="list-disc pl-5">
            {file.left.slice(0, 20).map((l, i) => (
              <li key={i}>
                {l.title || 'a job without a title'}:{' '}
                {l.problems.slice(0, 2).map((p) => (
                  <span key={`${p.field} ${p.code}`}>
                    <span className="num">{p.field}</span> <ProblemText problem={p} />{' '}
                  </span>
                ))}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

/** Whether the browser promised to keep the record. */
function Kept() {
  const offline = useSyncExternalStore(onOffline, offlineState);
  const [kept, setKept] = useState<boolean | null>(null);
  useEffect(() => {
    isKept().then(setKept, () => setKept(null));
  }, []);
  return (
    <Panel title="How safe the record is here">
      <p>
        {kept === true
          ? 'The browser has promised to keep this record, also when the disk runs short.'
          : 'The browser may clear this record when the disk runs short. Ask it to keep it, and export now and then.'}
      </p>
      <p className="mt-2">
        {offline === 'none'
          ? 'No copy of Gelvin for work without its server is kept here yet: it comes when a page is loaded from it.'
          : 'A copy of Gelvin is kept in this browser: it works also with its server stopped and the network off.'}
      </p>
      {kept !== true && (
        <Button className="mt-2" onClick={() => void askToKeep().then(setKept, () => setKept(null))}>
          Ask the browser to keep it
        </Button>
      )}
    </Panel>
  );
}
