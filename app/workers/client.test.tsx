/** @jest-environment ./app/testing/environment.mjs */
import { afterEach, beforeAll, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type * as Client from './client.ts';

const user = userEvent.setup({ delay: null });

/** A worker that answers when the test says so. */
interface Pending {
  readonly n: number;
  readonly worker: number;
  readonly report: (done: number) => void;
  readonly answer: (value: string) => void;
  readonly fail: (why: string) => void;
}
const asked: Pending[] = [];
let workers = 0;
let client: typeof Client;

beforeAll(async () => {
  jest.unstable_mockModule('comlink', () => ({
    proxy: (f: unknown) => f,
    wrap: () => {
      workers += 1;
      const worker = workers;
      return {
        ask: (n: number, report: (done: number) => void) =>
          new Promise((resolve, reject) => {
            asked.push({ n, worker, report, answer: resolve, fail: (why) => reject(new Error(why)) });
          }),
      };
    },
  }));
  client = await import('./client.ts');
});
afterEach(() => {
  cleanup();
  asked.length = 0;
});

function Asking({ n, stoppable = false }: { readonly n: number | null; readonly stoppable?: boolean }) {
  const a = client.useCalc(
    n === null ? null : `question ${n}`,
    (w, report) =>
      (w as unknown as { ask: (n: number, r: (done: number) => void) => Promise<string> }).ask(n ?? 0, report),
    stoppable,
  );
  return (
    <>
      <output>
        {[
          a.pending ? 'pending' : 'idle',
          a.value ?? 'nothing',
          a.failed ?? 'no failure',
          a.stopped ? 'stopped' : 'not stopped',
          a.done ?? 'no progress',
        ].join(', ')}
      </output>
      <button onClick={a.again}>again</button>
    </>
  );
}
const says = (): string => screen.getByRole('status').textContent ?? '';
const last = (): Pending => {
  const p = asked.at(-1);
  if (!p) throw new Error('nothing asked');
  return p;
};

describe('asking the worker', () => {
  test('nothing is asked without a question', () => {
    render(<Asking n={null} />);
    expect(says()).toBe('idle, nothing, no failure, not stopped, no progress');
    expect(asked).toHaveLength(0);
  });
  test('an answer is shown; the last one stays while the next is worked out', async () => {
    const { rerender } = render(<Asking n={1} />);
    expect(says()).toMatch(/^pending, nothing/);
    act(() => last().answer('one'));
    await waitFor(() => expect(says()).toMatch(/^idle, one/));
    rerender(<Asking n={2} />);
    expect(says()).toMatch(/^pending, one/);
    act(() => last().answer('two'));
    await waitFor(() => expect(says()).toMatch(/^idle, two/));
  });
  test('an answer to an older question is dropped, however late it comes', async () => {
    const { rerender } = render(<Asking n={1} />);
    const first = last();
    rerender(<Asking n={2} />);
    act(() => last().answer('two'));
    await waitFor(() => expect(says()).toMatch(/^idle, two/));
    await act(async () => {
      first.answer('one');
      await Promise.resolve();
    });
    expect(says()).toMatch(/^idle, two/);
  });
  test('progress is that of the question on show', () => {
    const { rerender } = render(<Asking n={1} />);
    const first = last();
    act(() => first.report(0.4));
    expect(says()).toMatch(/0\.4$/);
    rerender(<Asking n={2} />);
    act(() => first.report(0.9));
    expect(says()).toMatch(/no progress$/);
  });
  test('a failure is said, and can be asked again', async () => {
    render(<Asking n={1} />);
    act(() => last().fail('out of memory'));
    await waitFor(() => expect(says()).toMatch(/^idle, nothing, out of memory/));
    await user.click(screen.getByRole('button'));
    expect(says()).toMatch(/^pending, nothing, no failure/);
    act(() => last().answer('one'));
    await waitFor(() => expect(says()).toMatch(/^idle, one/));
  });
});

describe('stopping it', () => {
  test('what may be stopped says so, and is asked of a fresh worker when taken up again', async () => {
    render(<Asking n={1} stoppable />);
    const before = last().worker;
    act(() => client.stopCalc());
    expect(says()).toMatch(/^idle, nothing, no failure, stopped/);
    await user.click(screen.getByRole('button'));
    expect(last().worker).toBeGreaterThan(before);
    act(() => last().answer('one'));
    await waitFor(() => expect(says()).toMatch(/^idle, one, no failure, not stopped/));
  });
  test('what may not is asked again by itself', async () => {
    render(<Asking n={1} />);
    act(() => client.stopCalc());
    expect(asked).toHaveLength(2);
    expect(says()).toMatch(/^pending, nothing, no failure, not stopped/);
    act(() => last().answer('one'));
    await waitFor(() => expect(says()).toMatch(/^idle, one/));
  });
});
