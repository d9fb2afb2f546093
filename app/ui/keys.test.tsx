/** @jest-environment ./app/testing/environment.mjs */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { demoShop } from '../../demo/index.ts';
import { openShop } from '../store/store.ts';
import { useKeys } from './keys.ts';

const user = userEvent.setup({ delay: null });

const done = jest.fn();
function View() {
  useKeys({
    passDone: () => done('d'),
    undo: () => done('undo'),
    arm: (place) => done('arm', place),
    takePicture: () => done('enter'),
  });
  return (
    <>
      <input aria-label="typed in" />
      <input type="radio" aria-label="choice" />
      <button>a button</button>
    </>
  );
}
beforeEach(() => {
  done.mockClear();
  openShop(demoShop(), 1);
  render(<View />);
});
afterEach(cleanup);

describe('keys of a view', () => {
  test('a single key acts when nothing is typed in', async () => {
    await user.keyboard('d');
    expect(done.mock.calls).toEqual([['d']]);
  });
  test('not while a field is typed in; with Alt it does', async () => {
    screen.getByLabelText('typed in').focus();
    await user.keyboard('d{Alt>}1{/Alt}');
    expect(done.mock.calls).toEqual([['arm', 0]]);
  });
  test('Ctrl Z belongs to the field that is typed in, and to the job elsewhere', async () => {
    await user.keyboard('{Control>}z{/Control}');
    expect(done.mock.calls).toEqual([['undo']]);
    done.mockClear();
    screen.getByLabelText('typed in').focus();
    await user.keyboard('{Control>}z{/Control}');
    expect(done).not.toHaveBeenCalled();
  });
  test('a choice is no field: single keys act there', async () => {
    screen.getByLabelText('choice').focus();
    await user.keyboard('d');
    expect(done).toHaveBeenCalledWith('d');
  });
  test('Enter belongs to the button under focus', async () => {
    screen.getByRole('button').focus();
    await user.keyboard('{Enter}');
    expect(done).not.toHaveBeenCalled();
  });
  test('switched off in Settings, single keys do nothing and the others still act', async () => {
    const shop = demoShop();
    openShop({ ...shop, settings: { ...shop.settings, singleKeys: false } }, 1);
    await user.keyboard('d{Alt>}1{/Alt}');
    expect(done.mock.calls).toEqual([['arm', 0]]);
  });
});
