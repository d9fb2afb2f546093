export function isLeftOver(folder: string, now?: number): boolean;
export function withLock<T>(
  folder: string,
  act: () => T | Promise<T>,
  onWait?: (owner: { pid: number } | null) => void,
): Promise<T>;
