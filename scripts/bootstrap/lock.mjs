// One command at a time installs or builds. The lock is a folder: making one either succeeds or finds it there, on every file system.
import { mkdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { setTimeout as pause } from 'node:timers/promises';

/** An installation takes a minute or two: a lock older than this is left over, whatever its owner says, ms. */
const OLDEST_MS = 20 * 60_000;
/** An owner writes its name right after it made the folder: without one for longer than this it died in between, ms. */
const NAMELESS_MS = 5_000;
const LOOK_AGAIN_MS = 200;

/** @returns {{ pid: number, host: string } | null} who holds the lock, as far as it is written */
function ownerOf(folder) {
  try {
    const owner = JSON.parse(readFileSync(`${folder}/owner.json`, 'utf8'));
    return Number.isInteger(owner.pid) && typeof owner.host === 'string' ? owner : null;
  } catch {
    return null;
  }
}

function isAlive({ pid, host }) {
  // of a process on another machine (a shared folder) only the age of the lock tells
  if (host !== hostname()) return true;
  try {
    process.kill(pid, 0);
    return true;
  } catch (e) {
    // not ours to signal, but there
    return e.code === 'EPERM';
  }
}

/** Nobody holds the lock any more: its owner is gone, or it is too old. @returns {boolean} also when it is no longer there */
export function isLeftOver(folder, now = Date.now()) {
  try {
    const age = now - statSync(folder).mtimeMs;
    const owner = ownerOf(folder);
    return age > OLDEST_MS || (owner ? !isAlive(owner) : age > NAMELESS_MS);
  } catch {
    return true;
  }
}

/**
 * Does something while holding the lock; waits while another command holds it. The lock is given back whatever happens.
 * @param {string} folder  made while the lock is held
 * @param {() => T | Promise<T>} act
 * @param {(owner: { pid: number } | null) => void} onWait  called once if it has to wait
 * @template T
 */
export async function withLock(folder, act, onWait = () => {}) {
  for (let waited = false; ;) {
    try {
      mkdirSync(folder);
      break;
    } catch (e) {
      if (e.code !== 'EEXIST') throw e;
    }
    if (isLeftOver(folder)) {
      // two that find it so must not both remove it, and one the other's new lock: only one can rename it away
      const away = `${folder}.left.${process.pid}`;
      try {
        renameSync(folder, away);
        rmSync(away, { recursive: true, force: true });
      } catch {
        // the other was first
      }
      continue;
    }
    if (!waited) onWait(ownerOf(folder));
    waited = true;
    await pause(LOOK_AGAIN_MS);
  }
  const giveBack = () => rmSync(folder, { recursive: true, force: true });
  writeFileSync(`${folder}/owner.json`, JSON.stringify({ pid: process.pid, host: hostname() }));
  process.once('exit', giveBack);
  try {
    return await act();
  } finally {
    process.off('exit', giveBack);
    giveBack();
  }
}
