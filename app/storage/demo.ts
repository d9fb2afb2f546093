import type { Demo } from './opening.ts';

/** What a first visit finds in place: worked out at the build, so that no browser has to. @throws Error where it cannot be fetched */
export async function fetchDemo(): Promise<Demo> {
  const answer = await fetch('/demo.json');
  if (!answer.ok) throw new Error(`the demo is not there: ${answer.status}`);
  return (await answer.json()) as Demo;
}
