import { isPicture } from '../../../photos/kinds.ts';
import { newId } from '../../../ui/newId.ts';
import { useCallback, useEffect, useRef, useState } from 'react';
import { leastWorn } from '../../../../core/job/special.ts';
import type { Picture, ShadowTaken } from '../../../../core/job/schema.ts';
import type { TipRead } from '../../../../core/profile/tip.ts';
import type { ProfileAskedFor, ProfileRead } from '../../../../core/profile/types.ts';
import { useJobView } from '../../../job/jobContext.tsx';
import { loadPicture } from '../../../storage/db.ts';
import { openReader, told, type Reader } from '../../../workers/pictures.ts';

/** What lies before it: the part that came in, the thread that was cut, or the tool that cuts it. */
export type Aim = 'part' | 'made' | 'tool';

/** A picture that lies before the reader, as it can be shown. */
export interface Shown {
  readonly id: string;
  readonly blob: Blob;
  readonly name: string;
  readonly w: number;
  readonly h: number;
  /** As it was taken, and no wider than a screen. */
  readonly url: string;
  readonly previewUrl: string;
}
type Failed =
  | { readonly kind: 'no-picture' }
  | { readonly kind: 'gone' }
  | { readonly kind: 'too-large'; readonly megapixels: number }
  | { readonly kind: 'failed'; readonly because: string };

export interface PictureView {
  readonly picture: Shown | null;
  readonly read: ProfileRead | null;
  /** The same of a tool. */
  readonly tip: TipRead | null;
  /** Share done while it is being read; null: it is not. */
  readonly done: number | null;
  readonly failed: Failed | null;
  /** How long the last reading took, s. */
  readonly tookS: number | null;
  readonly shadow: ShadowTaken;
  readonly setShadow: (change: Partial<ShadowTaken>) => void;
  readonly take: (blob: Blob, name: string, scale?: ShadowTaken['scale']) => void;
  /** Stops reading; the picture stays. */
  readonly stop: () => void;
  readonly again: () => void;
  readonly putAside: () => void;
  readonly reader: () => Reader;
}

const askOf = (s: ShadowTaken): ProfileAskedFor => ({
  pxPerMm: s.scale?.by === 'resolution' ? s.scale.value : null,
  pinMm: s.scale?.by === 'pin' ? s.scale.value : null,
  knownMajorMm: s.scale?.by === 'major' ? s.scale.value : null,
  starts: s.starts,
  leadAngleDeg: null,
  ...(s.view === undefined ? {} : { view: s.view }),
  shown: s.shown,
});

/** One picture from taking it to what it says: decoded and read in a worker, read again whenever what is said of it changes. */
export function usePicture(kept: Picture | null, aim: Aim): PictureView {
  const { job } = useJobView();
  const major = leastWorn(job, 'majorDiameter');
  const fresh: ShadowTaken = {
    // what was measured of the old part is not measured of what was made, nor of a tool
    scale: major && aim === 'part' ? { by: 'major', value: major.value } : null,
    freeEnd: null,
    beginsMm: 0,
    starts: null,
    shown: {},
  };
  const [shadow, setShadowState] = useState<ShadowTaken>(() => kept?.shadow ?? fresh);
  const [picture, setPicture] = useState<Shown | null>(null);
  const [read, setRead] = useState<ProfileRead | null>(null);
  const [tip, setTip] = useState<TipRead | null>(null);
  const [done, setDone] = useState<number | null>(null);
  const [failed, setFailed] = useState<Failed | null>(null);
  const [tookS, setTook] = useState<number | null>(null);
  const reader = useRef<Reader | null>(null);
  const run = useRef(0);
  const open = useCallback((): Reader => (reader.current ??= openReader()), []);
  const close = useCallback(() => {
    reader.current?.stop();
    reader.current = null;
  }, []);
  useEffect(() => close, [close]);
  useEffect(
    () => () => {
      if (picture) {
        URL.revokeObjectURL(picture.url);
        URL.revokeObjectURL(picture.previewUrl);
      }
    },
    [picture],
  );

  const readIt = useCallback(
    async (p: { readonly id: string; readonly blob: Blob }, s: ShadowTaken): Promise<void> => {
      const mine = (run.current += 1);
      // what it reports comes by another way than its answer, and may come after it
      let over = false;
      const current = (): boolean => run.current === mine;
      setDone(0);
      setFailed(null);
      const from = performance.now();
      try {
        const { ask } = open();
        if (aim === 'tool') {
          const { pxPerMm, pinMm } = askOf(s);
          const answer = await ask.readTip(p.id, { pxPerMm, pinMm });
          if (!current()) return;
          setTip(answer);
          setDone(null);
          return;
        }
        const answer = await ask.read(
          p.id,
          askOf(s),
          told((share) => {
            if (current() && !over) setDone(share);
          }),
        );
        if (!current()) return;
        setRead(answer);
        setTook((performance.now() - from) / 1000);
      } catch (e) {
        if (current()) setFailed({ kind: 'failed', because: e instanceof Error ? e.message : 'no reason given' });
      }
      over = true;
      if (current()) setDone(null);
    },
    [open, aim],
  );

  const lay = useCallback(
    async (id: string, blob: Blob, name: string, s: ShadowTaken): Promise<void> => {
      const mine = (run.current += 1);
      setRead(null);
      setTip(null);
      setFailed(null);
      setDone(0);
      try {
        const decoded = await open().ask.decode(id, blob);
        if (run.current !== mine) return;
        if ('megapixels' in decoded) {
          setDone(null);
          return setFailed({ kind: 'too-large', megapixels: decoded.megapixels });
        }
        setPicture({
          id,
          blob,
          name,
          w: decoded.w,
          h: decoded.h,
          url: URL.createObjectURL(blob),
          previewUrl: URL.createObjectURL(decoded.preview),
        });
        await readIt({ id, blob }, s);
      } catch {
        if (run.current !== mine) return;
        setDone(null);
        setFailed({ kind: 'no-picture' });
      }
    },
    [open, readIt],
  );

  // a picture of the job, opened again
  const keptId = kept?.id ?? null;
  useEffect(() => {
    if (keptId === null || !kept) return;
    let current = true;
    void loadPicture(keptId).then((blob) => {
      if (!current) return;
      if (blob) void lay(keptId, blob, kept.name, kept.shadow ?? fresh);
      else setFailed({ kind: 'gone' });
    });
    return () => {
      current = false;
    };
    // once for each picture: what is said of it afterwards is said here
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [keptId]);

  return {
    picture,
    read,
    tip,
    done,
    failed,
    tookS,
    shadow,
    setShadow: (change) => {
      const next = { ...shadow, ...change };
      setShadowState(next);
      const reads = 'scale' in change || 'starts' in change || 'shown' in change || 'view' in change;
      if (picture && reads) void readIt(picture, next);
    },
    take: (blob, name, scale) => {
      if (!isPicture(blob)) return setFailed({ kind: 'no-picture' });
      const next = { ...shadow, shown: {}, ...(scale === undefined ? {} : { scale }) };
      setShadowState(next);
      void lay(newId(), blob, name, next);
    },
    stop: () => {
      run.current += 1;
      close();
      setDone(null);
    },
    again: () => {
      if (picture) void lay(picture.id, picture.blob, picture.name, shadow);
    },
    putAside: () => {
      run.current += 1;
      setPicture(null);
      setRead(null);
      setTip(null);
      setDone(null);
      setFailed(null);
    },
    reader: open,
  };
}
