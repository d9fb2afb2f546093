const storageOf = (): StorageManager | undefined =>
  typeof navigator === 'undefined' ? undefined : (navigator as { storage?: StorageManager }).storage;

/** Whether the browser promised to keep the record; null: it has no such promise to give, or was not asked yet. */
export async function isKept(): Promise<boolean | null> {
  const storage = storageOf();
  return storage?.persisted ? storage.persisted() : null;
}

/** Asks the browser to keep the record also when the disk runs short. */
export async function askToKeep(): Promise<boolean | null> {
  const storage = storageOf();
  if (!storage?.persist) return isKept();
  return (await isKept()) === true ? true : storage.persist();
}

/** How much room the record takes and how much the browser gives it, bytes; null: it does not say. */
export interface Room {
  readonly usedBytes: number;
  readonly ofBytes: number;
}
export async function roomHere(): Promise<Room | null> {
  const storage = storageOf();
  if (!storage?.estimate) return null;
  const { usage, quota } = await storage.estimate();
  return usage === undefined || quota === undefined ? null : { usedBytes: usage, ofBytes: quota };
}

let asked = false;
/** The same with the first act of a visit, and not with every one. */
export function askOnce(): void {
  if (asked) return;
  asked = true;
  askToKeep().catch(() => null);
}
