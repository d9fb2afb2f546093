import { newId } from '../ui/newId.ts';
import { configureStore, createSlice, type Draft, type PayloadAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { storableShop } from '../../core/formats/checkShop.ts';
import type { Edit } from '../../core/job/edits/index.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import type { Problem } from '../../core/quantity/outcome.ts';
import { writeNumbers } from '../../core/quantity/writing.ts';
import { storageText } from '../../words/storage.ts';
import { knowing } from '../storage/knowing.ts';
import { askOnce } from '../storage/persist.ts';
import { openChannel } from './channel.ts';
import { begin, type History } from '../storage/history.ts';
import { isWork, perform, Recorder, type Act, type Made, type Overlap, type Told, type Work } from './recorder.ts';

interface State {
  readonly shop: History<Shop> | null;
  /** Revision of the shop in the record. */
  readonly shopRev: number;
  readonly job: History<Job> | null;
  /** How memory and record stand to each other. */
  readonly saving: Told['state'];
  /** Why the last try to write failed, in words; shown until one succeeds. */
  readonly saveFailed: string | null;
  /** Why the last act was refused; gone with the next one that is not. */
  readonly refused: Problem | null;
  /** Another window changed the same; shown until it is put away. */
  readonly overlap: Overlap | null;
}

const initialState: State = {
  shop: null,
  shopRev: 0,
  job: null,
  saving: 'written',
  saveFailed: null,
  refused: null,
  overlap: null,
};

const slice = createSlice({
  name: 'work',
  initialState,
  reducers: {
    shopOpened: (s, a: PayloadAction<{ shop: Shop; rev: number }>) => ({
      ...s,
      shop: begin(a.payload.shop),
      shopRev: a.payload.rev,
    }),
    jobOpened: (s, a: PayloadAction<{ job: Job; past: History<Job>['past'] }>) => ({
      ...s,
      refused: null,
      overlap: null,
      saving: 'written' as const,
      job: begin(a.payload.job, a.payload.past),
    }),
    jobClosed: (s) => ({ ...s, job: null }),
    /** Memory as it is after an act, or after another window's. */
    worked: (s, a: PayloadAction<Work>) => ({ ...s, ...a.payload, refused: null }),
    actRefused: (s, a: PayloadAction<Problem | null>) => ({ ...s, refused: a.payload }),
    overlapped: (s, a: PayloadAction<Overlap | null>) => ({ ...s, overlap: a.payload }),
    told: (s, a: PayloadAction<{ state: Told['state']; saveFailed: string | null; shopRev: number }>) => ({
      ...s,
      saving: a.payload.state,
      saveFailed: a.payload.saveFailed,
      shopRev: a.payload.shopRev,
    }),
  },
});
const { jobOpened, shopOpened, worked, overlapped, told } = slice.actions;
export const { jobClosed, actRefused } = slice.actions;

export const store = configureStore({
  reducer: { work: slice.reducer },
  // documents are plain JSON by type; walking them on every action costs more than it finds
  middleware: (get) => get({ serializableCheck: false, immutableCheck: false }),
});

export const channel = openChannel('gelvin');
const work = (): Work => {
  const { job, shop } = store.getState().work;
  return { job, shop };
};
export const recorder = new Recorder({
  work,
  channel,
  tell: ({ state, because }) => {
    if (typeof document !== 'undefined')
      document.documentElement.dataset['written'] = state === 'written' ? 'yes' : 'no';
    const before = store.getState().work;
    // while it is tried again the last failure stays to be read
    const saveFailed = state === 'failed' ? storageText(because) : state === 'writing' ? before.saveFailed : null;
    const shopRev = recorder.revs.shop ?? before.shopRev;
    if (before.saving !== state || before.saveFailed !== saveFailed || before.shopRev !== shopRev)
      store.dispatch(told({ state, saveFailed, shopRev }));
  },
  rebased: (next, overlap) => {
    store.dispatch(worked(next));
    if (overlap) store.dispatch(overlapped(overlap));
  },
});
channel.hear((said) => {
  const open = store.getState().work.job?.present.id;
  const ours = said.what === 'job' || said.what === 'removed' ? said.id === open : true;
  if (!ours) return;
  if (said.what === 'job' && said.rev === recorder.revs.job) return;
  if (said.what === 'shop' && said.rev === recorder.revs.shop) return;
  // what cannot be read now is met again with the next act
  recorder.follow().catch(() => undefined);
});

/** Numbers are written as the person at this screen has them. */
function writeAs({ decimal, inches }: Shop['settings']): void {
  const own = new Intl.NumberFormat().formatToParts(1.5).find((p) => p.type === 'decimal')?.value;
  writeNumbers({ inches, decimal: decimal === 'comma' || (decimal === 'auto' && own === ',') ? ',' : '.' });
}
let written: Shop['settings'] | null = null;
// before any view hears of it
store.subscribe(() => {
  const settings = store.getState().work.shop?.present.settings ?? null;
  if (settings === written) return;
  written = settings;
  if (settings) writeAs(settings);
});

/** The shop as it lies in the record, with its revision. */
export function openShop(shop: Shop, rev: number): void {
  recorder.openedShop(shop, rev);
  store.dispatch(shopOpened({ shop, rev }));
}
/** A job as it lies in the record, with its revision and its road back. */
export function openJob(job: Job, past: History<Job>['past'], rev: number | null): void {
  recorder.openedJob(job, rev);
  store.dispatch(jobOpened({ job, past }));
}

const made = (): Made => ({ id: newId().slice(0, 8), at: new Date().toISOString() });

/**
 * Does one act in memory and hands it to the recorder. What the record could not keep is refused here, where it was typed:
 * one description of limits serves field, store and file.
 * @returns the problem, or null when it was done
 */
function take(a: Act): Problem | null {
  const before = work();
  const next = perform(before, a);
  const problem = isWork(next) ? unstorable(before, next) : next;
  if (!isWork(next) || problem) {
    store.dispatch(actRefused(problem));
    return problem;
  }
  store.dispatch(worked(next));
  askOnce();
  recorder.done(a);
  return null;
}
function unstorable(before: Work, next: Work): Problem | null {
  if (next.job && next.job !== before.job) {
    const kept = knowing().storable(next.job.present);
    if (!kept.ok) return kept.problem;
  }
  if (next.shop && next.shop !== before.shop) {
    const kept = storableShop(next.shop.present);
    if (!kept.ok) return kept.problem;
  }
  return null;
}

/** Does a named edit to the open job; views hold no recipe. What is refused changes nothing and is said. */
export const act = (e: Edit): Problem | null => {
  const { job, shop } = store.getState().work;
  if (!job || !shop) return null;
  return take({ kind: 'edit', edit: e, label: knowing().editLabel(e, shop.present.settings.system), made: made() });
};
export const editShop = (label: string, recipe: (draft: Draft<Shop>) => void): Problem | null =>
  take({ kind: 'shop', label, recipe });
export const undoJob = (): void => {
  if ((store.getState().work.job?.past.length ?? 0) > 0) take({ kind: 'back', made: made() });
};
export const redoJob = (): void => {
  if ((store.getState().work.job?.future.length ?? 0) > 0) take({ kind: 'forward', made: made() });
};
export const undoShop = (): void => {
  if ((store.getState().work.shop?.past.length ?? 0) > 0) take({ kind: 'shopBack' });
};
export const redoShop = (): void => {
  if ((store.getState().work.shop?.future.length ?? 0) > 0) take({ kind: 'shopForward' });
};
export const putAwayOverlap = (): void => void store.dispatch(overlapped(null));

/** Resolves when everything done so far has been written down, or could not be for now. */
export const allSaved = (): Promise<void> => recorder.settled();

/** Asks before the page is left while a change is not written down yet, or could not be. */
export function holdUnwritten(e: Pick<BeforeUnloadEvent, 'preventDefault'>): void {
  if (recorder.unwritten) e.preventDefault();
}

export type RootState = ReturnType<typeof store.getState>;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();

export const useShop = (): Shop => {
  const shop = useAppSelector((s) => s.work.shop);
  if (!shop) throw new Error('the shop is opened before any view');
  return shop.present;
};
export const useSystem = () => useShop().settings.system;
