/** What has to be there: a test that goes on with a stand-in for it may pass for nothing. */
export function known<T>(x: T | null | undefined): T {
  if (x === null || x === undefined) throw new Error('it is not there');
  return x;
}
