import { DEMO_SHOP } from '../../demo/name.ts';

const SEEN = 'gelvin-first-visit';

/** Whether somebody is here for the first time: the demo shop, and nobody has looked round yet. */
export function firstVisit(shopName: string): boolean {
  try {
    return shopName === DEMO_SHOP && localStorage.getItem(SEEN) === null;
  } catch {
    return false;
  }
}
export function keepSeen(): void {
  try {
    localStorage.setItem(SEEN, 'seen');
  } catch {
    // then it is said again the next time
  }
}
