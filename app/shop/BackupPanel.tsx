import { lazy, Suspense, useRef, useState } from 'react';
import { Download, ScanQrCode, Upload } from 'lucide-react';
import type { Job, Shop } from '../../core/job/schema.ts';
import { HAND_WORDS } from '../../words/handOver.ts';
import { storageText } from '../../words/storage.ts';
import { loadAll } from '../storage/db.ts';
import { exportShop, exportShopPack, readFile, type Brought } from '../storage/files.ts';
import { channel, editShop, useShop } from '../store/store.ts';
import { Button, Note, Panel } from '../ui/controls.tsx';
import { BringIn } from './BringIn.tsx';
import { setDropped, useDropped } from './dropped.ts';

/** Fetched when a job is taken over, with what reads codes. */
const TakeOver = lazy(async () => ({ default: (await import('../handover/TakeOver.tsx')).TakeOver }));

interface Props {
  /** Does what goes to the record as a whole, and says what it did. */
  readonly whole: (what: string, how: () => Promise<string>) => void;
  readonly replaced: (shop: Shop, jobs: readonly Job[]) => Promise<void>;
  readonly failed: string | null;
  readonly said: string | null;
}

/** The shop out to a file of one's own, and a file in: chosen here, or dropped anywhere. */
export function BackupPanel({ whole, replaced, failed, said }: Props) {
  const shop = useShop();
  const picker = useRef<HTMLInputElement>(null);
  const [brought, setBrought] = useState<Brought | null>(null);
  const [taking, setTaking] = useState(false);
  const [unread, setUnread] = useState<string | null>(null);
  const dropped = useDropped();
  const taken = dropped ?? brought;
  const exported = (
    write: (shop: Shop, jobs: readonly Job[], others: readonly unknown[]) => void | Promise<void>,
  ): void =>
    whole('Not exported', async () => {
      const { jobs, others } = await loadAll();
      await write(shop, jobs, others);
      return others.length === 0
        ? `Exported ${jobs.length} jobs.`
        : `Exported ${jobs.length} jobs, and ${others.length} set aside (damaged, newer, or as they were before a repair) apart from them.`;
    });
  return (
    <Panel title="Backup">
      <div className="grid gap-3">
        <p className="text-ink2">
          Everything is kept in this browser. A file is yours to keep elsewhere: the shop with all its jobs and pictures
          in one pack, readable without Gelvin too, or one job.
        </p>
        <Button onClick={() => exported(exportShopPack)}>
          <Download aria-hidden size={18} /> Export the whole shop
        </Button>
        <Button tone="quiet" onClick={() => exported(exportShop)}>
          without pictures, as one JSON document
        </Button>
        <input
          ref={picker}
          type="file"
          accept=".json,.zip,application/json,application/zip"
          className="sr-only"
          tabIndex={-1}
          aria-label="File to bring in"
          onChange={(e) => {
            const file = e.target.files?.[0];
            e.target.value = '';
            setUnread(null);
            if (file)
              readFile(file).then(
                (b) => {
                  setDropped(null);
                  setBrought(b);
                },
                (err: unknown) => setUnread(`The file could not be read: ${storageText(err)}.`),
              );
          }}
        />
        <Button onClick={() => picker.current?.click()}>
          <Upload aria-hidden size={18} /> Bring in a file
        </Button>
        <Button onClick={() => setTaking(true)}>
          <ScanQrCode aria-hidden size={18} /> {HAND_WORDS.take}
        </Button>
        {taking && (
          <Suspense>
            <TakeOver onClose={() => setTaking(false)} />
          </Suspense>
        )}
        {taken && (
          <BringIn
            key={String(taken.file.ok)}
            brought={taken}
            whole={whole}
            onDone={() => {
              setBrought(null);
              setDropped(null);
            }}
            replaced={replaced}
            merged={(next) =>
              editShop('bring in lathes, instruments and pins', (d) => void Object.assign(d, structuredClone(next)))
            }
            onJobs={() => channel.say({ what: 'all' })}
          />
        )}
        {unread !== null && <Note tone="wrong">{unread}</Note>}
        {failed !== null && <Note tone="wrong">{failed}</Note>}
        {said !== null && (
          <div role="status">
            <Note tone="right">{said}</Note>
          </div>
        )}
      </div>
    </Panel>
  );
}
