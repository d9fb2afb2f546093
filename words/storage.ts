/** Why something could not be written or read, and what to do about it. @param e what the browser's storage threw */
export function storageText(e: unknown): string {
  const name =
    e instanceof Error || (typeof e === 'object' && e !== null && 'name' in e) ? String((e as Error).name) : '';
  const inner = (e as { inner?: { name?: string } } | null)?.inner?.name ?? '';
  if (name === 'QuotaExceededError' || inner === 'QuotaExceededError')
    return 'the disk, or the room that the browser gives this address, is full. Free some room, or export the job now';
  if (name === 'DatabaseClosedError' || name === 'InvalidStateError')
    return 'the record was closed, by a newer Gelvin in another window or by the browser. Export the job, then load the page again';
  if (name === 'OpenFailedError' || name === 'MissingAPIError' || name === 'SecurityError')
    return 'the browser gives this address no storage. Allow it, or leave private browsing';
  if (name === 'UnreadableError')
    return 'the record now holds it in a form that this Gelvin does not read, damaged or newer. Export the job now';
  if (name === 'TimeoutError') return 'the disk does not answer. Wait, or export the job now';
  return `the browser\u2019s storage refused${e instanceof Error && e.message !== '' ? ` (${e.message.split('\n')[0] ?? ''})` : ''}. Export the job now`;
}

/** Under this share left it is said that it runs short. */
const SHORT = 0.1;
const bytesText = (n: number): string =>
  n < 1e6
    ? `${Math.max(1, Math.round(n / 1e3))} kB`
    : n < 1e9
      ? `${(n / 1e6).toFixed(0)} MB`
      : `${(n / 1e9).toFixed(1)} GB`;
/** How much room is taken and left, and what happens when it runs out. */
export function roomText({ usedBytes, ofBytes }: { readonly usedBytes: number; readonly ofBytes: number }): string {
  const left = Math.max(0, ofBytes - usedBytes);
  const says = `Jobs and pictures take ${bytesText(usedBytes)}; the browser gives this address ${bytesText(left)} more.`;
  return left < SHORT * ofBytes
    ? `${says} It runs short: export the shop, then remove pictures or jobs. When it is full nothing that is there is lost, but what is new is not kept, and that is said.`
    : `${says} When that is full nothing that is there is lost; what is new is then refused, and that is said.`;
}
