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

let asked = false;
/** The same with the first act of a visit, and not with every one. */
export function askOnce(): void {
  if (asked) return;
  asked = true;
  askToKeep().catch(() => null);
}
