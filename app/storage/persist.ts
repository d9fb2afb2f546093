const storageOf = (): StorageManager | undefined =>
  typeof navigator === 'undefined' ? undefined : (navigator as { storage?: StorageManager }).storage;

/** Whether the browser promised to keep the record; null: it has no such promise to give, or was not asked yet. */
export async function isKept(): Promise<boolean | null> {
  const storage = storageOf();
  return storage?.persisted ? storage.persisted() : null;
}

let asked = false;
/** Asks the browser, once a visit, to keep the record also when the disk runs short. */
export async function askToKeep(): Promise<boolean | null> {
  const storage = storageOf();
  if (asked || !storage?.persist) return isKept();
  asked = true;
  return (await isKept()) === true ? true : storage.persist();
}
