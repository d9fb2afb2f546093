/** @jest-environment ./app/testing/environment.mjs */
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, render as renderBare, screen } from '@testing-library/react';
import { type ReactElement, useState } from 'react';
import { Provider } from 'react-redux';
import { emptyShop } from '../../core/job/create.ts';
import { openShop, store } from '../store/store.ts';
import userEvent from '@testing-library/user-event';
import { wholeNumber } from '../../core/lathe/typed.ts';
import { LengthField, PitchField, TextField } from './fields.tsx';
import { TypedField } from './TypedField.tsx';

/** Rendered within the store, as every field is: what is wrong is said in the unit at hand. */
const render = (ui: ReactElement) =>
  renderBare(ui, { wrapper: ({ children }) => <Provider store={store}>{children}</Provider> });
openShop(emptyShop(), 1);
const user = userEvent.setup({ delay: null });

afterEach(cleanup);

function Teeth({ onCommit, onClear }: { readonly onCommit: (n: number) => void; readonly onClear?: () => void }) {
  const [n, setN] = useState(40);
  return (
    <TypedField
      label="Teeth"
      shown={String(n)}
      parse={wholeNumber('teeth', 8, 400)}
      onCommit={(v) => {
        setN(v);
        onCommit(v);
      }}
      {...(onClear ? { onClear } : {})}
    />
  );
}
const field = (): HTMLInputElement => screen.getByRole('textbox');

describe('a typed field', () => {
  test('Enter takes what was typed, once', async () => {
    const taken = jest.fn();
    render(<Teeth onCommit={taken} />);
    await user.clear(field());
    await user.type(field(), '63{Enter}');
    expect(taken.mock.calls).toEqual([[63]]);
    await user.tab();
    expect(taken).toHaveBeenCalledTimes(1);
    expect(field().value).toBe('63');
  });
  test('leaving takes it too', async () => {
    const taken = jest.fn();
    render(<Teeth onCommit={taken} />);
    await user.clear(field());
    await user.type(field(), '127');
    await user.tab();
    expect(taken).toHaveBeenCalledWith(127);
  });
  test('what is wrong stays as typed, with what would be right beside it, and is not taken', async () => {
    const taken = jest.fn();
    render(<Teeth onCommit={taken} />);
    await user.clear(field());
    await user.type(field(), 'forty{Enter}');
    expect(taken).not.toHaveBeenCalled();
    expect(field().value).toBe('forty');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(document.getElementById(field().getAttribute('aria-describedby') ?? '')?.textContent).toMatch(
      /A whole number from 8 to 400 is needed\. Right would be: 8/,
    );
    // corrected in place
    await user.clear(field());
    await user.type(field(), '40{Enter}');
    expect(field().getAttribute('aria-invalid')).toBe('false');
  });
  test('Escape brings the old value back and the complaint away', async () => {
    render(<Teeth onCommit={() => undefined} />);
    await user.clear(field());
    await user.type(field(), 'x{Enter}{Escape}');
    expect(field().value).toBe('40');
    expect(field().getAttribute('aria-invalid')).toBe('false');
  });
  test('emptied, it goes back to what it was, or is cleared where that means something', async () => {
    const taken = jest.fn();
    const cleared = jest.fn();
    const { rerender } = render(<Teeth onCommit={taken} />);
    await user.clear(field());
    await user.tab();
    expect(field().value).toBe('40');
    rerender(<Teeth onCommit={taken} onClear={cleared} />);
    await user.clear(field());
    await user.tab();
    expect(cleared).toHaveBeenCalledTimes(1);
    expect(taken).not.toHaveBeenCalled();
  });
});

describe('a length', () => {
  test('is taken as it is thought, in either system, and stands beside itself in the other', async () => {
    const taken = jest.fn();
    render(<LengthField label="Blank" mm={25.4} system="mm" onCommit={taken} />);
    expect(field().value).toBe('25.400 mm');
    expect(screen.getByText('1.0000 in')).toBeTruthy();
    for (const [typed, mm] of [
      ['1 1/4', 31.75],
      ['30', 30],
      ['.750 in', 19.05],
    ] as const) {
      await user.clear(field());
      await user.type(field(), `${typed}{Enter}`);
      expect(taken).toHaveBeenLastCalledWith(mm, typed);
    }
  });
  test('a bare number is in the system on show', async () => {
    const taken = jest.fn();
    render(<LengthField label="Blank" mm={null} system="in" onCommit={taken} />);
    await user.type(field(), '1.25{Enter}');
    expect(taken).toHaveBeenLastCalledWith(31.75, '1.25');
  });
  test('a length out of reach is refused', async () => {
    const taken = jest.fn();
    render(<LengthField label="Blank" mm={10} system="mm" onCommit={taken} rule={{ maxMm: 100 }} />);
    await user.clear(field());
    await user.type(field(), '400{Enter}');
    expect(taken).not.toHaveBeenCalled();
    expect(field().getAttribute('aria-invalid')).toBe('true');
  });
});

test('a pitch is kept exactly, with the system it was given in', async () => {
  const taken = jest.fn();
  render(<PitchField label="Leadscrew" pitch="127/40" system="in" onCommit={taken} />);
  expect(field().value).toBe('8 tpi');
  await user.clear(field());
  await user.type(field(), '4 1/2 tpi{Enter}');
  expect(taken).toHaveBeenLastCalledWith('254/45', 'in');
  await user.clear(field());
  await user.type(field(), '6{Enter}');
  expect(taken).toHaveBeenCalledTimes(1); // 6 of what?
  expect(document.body.textContent).toContain('6 tpi, or 6 mm');
});

test('text is kept on leaving; Enter leaves a single line', async () => {
  const taken = jest.fn();
  render(<TextField label="Name" value="Bess" onCommit={taken} />);
  await user.type(field(), ', the long bed{Enter}');
  expect(taken.mock.calls).toEqual([['Bess, the long bed']]);
  expect(document.activeElement).not.toBe(field());
});

describe('a length that is 10 or 25.4 times off what is expected', () => {
  const shownWith = (onCommit: (mm: number) => void) =>
    render(
      <LengthField armed label="The bore measures" mm={null} system="mm" expectedMm={17.52} onCommit={onCommit} />,
    );
  test('is asked about, and taken only when it is entered again; leaving the field does not insist', async () => {
    const taken = jest.fn();
    shownWith(taken);
    await user.type(field(), '0.69{Enter}');
    expect(screen.getByText(/were inches meant\?/)).toBeTruthy();
    expect(taken).not.toHaveBeenCalled();
    await user.tab();
    expect(taken).not.toHaveBeenCalled();
    expect(field().value).toBe('0.69');
    await user.type(field(), '{Enter}{Enter}');
    expect(taken.mock.calls).toEqual([[0.69, '0.69']]);
  });
  test('one that is near is taken at once; in its own unit it stands beside itself in the other', async () => {
    const taken = jest.fn();
    shownWith(taken);
    await user.type(field(), '0.69 in');
    expect(screen.getByText('17.526 mm')).toBeTruthy();
    await user.type(field(), '{Enter}');
    expect(taken.mock.calls).toEqual([[expect.closeTo(17.526, 6), '0.69 in']]);
  });
  test('an armed field that is empty says so when it is entered', async () => {
    shownWith(() => undefined);
    await user.type(field(), '{Enter}');
    expect(screen.getByText(/Nothing typed yet/)).toBeTruthy();
  });
});
