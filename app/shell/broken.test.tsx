/** @jest-environment ./app/testing/environment.mjs */
import { afterEach, expect, jest, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { Boundary } from '../ui/Boundary.tsx';
import { Broken } from './Broken.tsx';

afterEach(() => {
  cleanup();
  jest.restoreAllMocks();
});
function Throws(): never {
  throw new Error('a figure that is none');
}

test('a view that breaks says what can still be done: the other jobs, and everything as it lies there', () => {
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const router = createMemoryRouter([{ path: '/', element: <Throws />, errorElement: <Broken /> }]);
  render(<RouterProvider router={router} />);
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('This view could not be shown');
  expect(screen.getByText('a figure that is none')).toBeTruthy();
  expect(screen.getByRole('link', { name: /without this one/ }).getAttribute('href')).toBe('/jobs');
  expect(screen.getByRole('button', { name: /Export everything/ })).toBeTruthy();
});
test('every address of the application has its own', async () => {
  const { routes } = await import('../routes.tsx');
  expect(routes.length).toBeGreaterThan(8);
  for (const r of routes) expect(r.errorElement).toBeTruthy();
});
test('where one row breaks the others stand', () => {
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
  render(
    <ul>
      {[1, 2, 3].map((n) => (
        <li key={n}>
          <Boundary fallback={<p>row {n} could not be shown</p>}>{n === 2 ? <Throws /> : <p>row {n}</p>}</Boundary>
        </li>
      ))}
    </ul>,
  );
  expect(screen.getAllByRole('listitem').map((li) => li.textContent)).toEqual([
    'row 1',
    'row 2 could not be shown',
    'row 3',
  ]);
});
