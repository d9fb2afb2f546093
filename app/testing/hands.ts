import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

/** What a reader does with a view, without waiting between keys. */
export const user = userEvent.setup({ delay: null });

/** Takes one of the choices of a group. */
export const pick = (group: RegExp | string, choice: RegExp | string): Promise<void> =>
  user.click(within(screen.getByRole('group', { name: group })).getByLabelText(choice));

/** Types into a field in place of what is there, and takes it with Enter. */
export async function type(label: RegExp | string, text: string): Promise<void> {
  const field = screen.getByLabelText(label);
  await user.clear(field);
  await user.type(field, `${text.replaceAll('{', '{{')}{Enter}`);
}
