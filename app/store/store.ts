import {
  configureStore,
  createSlice,
  createListenerMiddleware,
  createNextState,
  type PayloadAction,
  type Draft,
} from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import type { Job, Shop } from '../../core/job/schema.ts';
import { applyEdit, type Edit } from '../../core/job/edits/index.ts';
import { editLabel } from '../../words/edits.ts';
import { goOver } from '../../core/job/edits/back.ts';
import type { Problem } from '../../core/quantity/outcome.ts';
import { saveJob, saveShop } from '../storage/db.ts';
import { begin, edit, redo, undo, type GoOver, type History } from './history.ts';

interface State {
  readonly shop: History<Shop> | null;
  readonly job: History<Job> | null;
  /** Set when a change could not be written down; shown until it can. */
  readonly saveFailed: string | null;
  /** Why the last act was refused; gone with the next one that is not. */
  readonly refused: Problem | null;
}

const initialState: State = { shop: null, job: null, saveFailed: null, refused: null };

/** Identity and time come from outside the reducers. */
interface Made {
  readonly id: string;
  readonly at: string;
}
const made = (): Made => ({ id: crypto.randomUUID().slice(0, 8), at: new Date().toISOString() });
const prepared = { prepare: () => ({ payload: made() }) };
const over =
  (m: Made): GoOver<Job> =>
  (present, step) =>
    goOver(present, step, m);

interface Edited<T> {
  readonly next: T;
  readonly label: string;
  readonly events?: readonly number[];
}

const slice = createSlice({
  name: 'work',
  initialState: initialState,
  reducers: {
    shopOpened: (s, a: PayloadAction<Shop>) => ({ ...s, shop: begin(a.payload) }),
    shopEdited: (s, a: PayloadAction<Edited<Shop>>) =>
      s.shop ? { ...s, shop: edit(s.shop as History<Shop>, a.payload.next, a.payload.label) } : s,
    shopUndone: (s) => (s.shop ? { ...s, shop: undo(s.shop as History<Shop>) } : s),
    shopRedone: (s) => (s.shop ? { ...s, shop: redo(s.shop as History<Shop>) } : s),
    jobOpened: (s, a: PayloadAction<{ job: Job; past: History<Job>['past'] }>) => ({
      ...s,
      job: begin(a.payload.job, a.payload.past),
    }),
    jobClosed: (s) => ({ ...s, job: null }),
    jobEdited: (s, a: PayloadAction<Edited<Job>>) =>
      s.job
        ? { ...s, refused: null, job: edit(s.job as History<Job>, a.payload.next, a.payload.label, a.payload.events) }
        : s,
    jobUndone: {
      ...prepared,
      reducer: (s: State, a: PayloadAction<Made>) =>
        s.job ? { ...s, refused: null, job: undo(s.job, over(a.payload)) } : s,
    },
    jobRedone: {
      ...prepared,
      reducer: (s: State, a: PayloadAction<Made>) =>
        s.job ? { ...s, refused: null, job: redo(s.job, over(a.payload)) } : s,
    },
    actRefused: (s, a: PayloadAction<Problem | null>) => ({ ...s, refused: a.payload }),
    saveSettled: (s, a: PayloadAction<string | null>) => ({ ...s, saveFailed: a.payload }),
  },
});
export const {
  shopOpened,
  shopUndone,
  shopRedone,
  jobOpened,
  jobClosed,
  jobUndone,
  jobRedone,
  saveSettled,
  actRefused,
} = slice.actions;
const { shopEdited, jobEdited } = slice.actions;

const saving = createListenerMiddleware();
// Saves follow one another: a slow disk must not let an older state overwrite a newer one.
let queue: Promise<unknown> = Promise.resolve();
/** Changes on their way to the record. */
let unwritten = 0;
const count = (by: 1 | -1): void => {
  unwritten += by;
  if (typeof document !== 'undefined') document.documentElement.dataset['written'] = unwritten === 0 ? 'yes' : 'no';
};
const inTurn = (save: () => Promise<unknown>, dispatch: (a: ReturnType<typeof saveSettled>) => void): void => {
  count(1);
  queue = queue
    .then(save)
    .then(
      () => dispatch(saveSettled(null)),
      (e: unknown) => dispatch(saveSettled(e instanceof Error ? e.message : 'storage refused')),
    )
    .finally(() => count(-1));
};
/** Resolves when everything done so far has been written down. */
export const allSaved = (): Promise<unknown> => queue;

saving.startListening({
  predicate: (action, now, before) => {
    const kept = (now as { work: State }).work.job;
    return action.type !== jobOpened.type && kept !== null && kept !== (before as { work: State }).work.job;
  },
  effect: (_, api) => {
    const { job } = (api.getState() as { work: State }).work;
    if (job) inTurn(() => saveJob(job.present, job.past), api.dispatch);
  },
});
saving.startListening({
  predicate: (action, now, before) => {
    const kept = (now as { work: State }).work.shop;
    return action.type !== shopOpened.type && kept !== null && kept !== (before as { work: State }).work.shop;
  },
  effect: (_, api) => {
    const { shop } = (api.getState() as { work: State }).work;
    if (shop) inTurn(() => saveShop(shop.present), api.dispatch);
  },
});

export const store = configureStore({
  reducer: { work: slice.reducer },
  // documents are plain JSON by type; walking them on every action costs more than it finds
  middleware: (get) => get({ serializableCheck: false, immutableCheck: false }).prepend(saving.middleware),
});

/** Asks before the page is left while a change is not written down yet, or could not be. */
export function holdUnwritten(e: Pick<BeforeUnloadEvent, 'preventDefault'>): void {
  if (unwritten > 0 || store.getState().work.saveFailed !== null) e.preventDefault();
}

export type RootState = ReturnType<typeof store.getState>;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();

/**
 * Does a named edit to the open job; views hold no recipe. What is refused changes nothing and is said.
 * @returns the problem, or null when it was done
 */
export function act(e: Edit): Problem | null {
  const { job, shop } = store.getState().work;
  if (!job || !shop) return null;
  const done = applyEdit(job.present, shop.present, e, made());
  if (!done.ok) {
    store.dispatch(actRefused(done.problem));
    return done.problem;
  }
  const { job: next, shop: nextShop, events } = done.value;
  const label = editLabel(e, shop.present.settings.system);
  if (nextShop !== shop.present) store.dispatch(shopEdited({ next: nextShop, label }));
  store.dispatch(jobEdited({ next, label, events }));
  return null;
}

export function editShop(label: string, recipe: (draft: Draft<Shop>) => void) {
  const { shop } = store.getState().work;
  if (!shop) return;
  store.dispatch(shopEdited({ next: createNextState(shop.present, recipe), label }));
}

export const useShop = (): Shop => {
  const shop = useAppSelector((s) => s.work.shop);
  if (!shop) throw new Error('the shop is opened before any view');
  return shop.present;
};
export const useSystem = () => useShop().settings.system;
