import { bringIn, jobOf, named } from './bench.ts';
import { axeClean, expect, test } from './fixtures.ts';

/** M30x2 on Bess by 63/40 x 20/50: what is up cuts 2.00025 mm. */
const UP = [
  named('M30x2'),
  { do: 'chooseLathe', lathe: 'lathe-bess' },
  { do: 'takeTrain', train: { drivers: [63, 20], driven: [40, 50], gearbox: '1' } },
  { do: 'mountGears' },
  { do: 'mount' },
  { do: 'measureBlank', diameterMm: 29.93 },
] as const;

test('the pitch before depth: a scratch that is a slip stops the card and names it; put right, it goes on', async ({
  page,
}) => {
  await bringIn(page, jobOf('Scratch', UP), 'cut');
  const card = page.getByRole('region', { name: 'Pass card' });
  // the lathe of this browser has the train on only once it is said
  await card.getByRole('button', { name: 'It is put up', exact: true }).click();
  await card.getByRole('button', { name: /^Touched off/ }).click();
  await expect(card).toContainText('16 grooves span 32.00 mm');
  await expect(card.getByRole('button', { name: /^Done/ })).toHaveCount(0);
  await axeClean(page);
  await card.getByRole('button', { name: /^Scratched/ }).click();
  await expect(card.getByRole('row', { name: /30\.48 mm.*60 on in place of the 63/ })).toBeVisible();
  await axeClean(page);
  const span = page.getByLabel('16 grooves span');
  // a number in the other unit is asked about, whatever is pressed; nothing is lost
  await span.fill('1.26');
  await card.getByRole('button', { name: 'Let it be, this once' }).click();
  await expect(card.getByText(/were inches meant\?/)).toBeVisible();
  await expect(span).toHaveValue('1.26');
  // taken by another act that is pressed: the card hears it first
  await span.fill('30.5');
  await card.getByRole('button', { name: /: right$/ }).click();
  await expect(card.getByRole('alert')).toContainText('The scratch is not this thread');
  await expect(card).toContainText('60 on in place of the 63');
  await card.getByRole('button', { name: 'Gears and levers put right' }).click();
  await card.getByRole('button', { name: /^Scratched/ }).click();
  for (const figure of ['3', '2', 'Take it']) await card.getByRole('button', { name: figure, exact: true }).click();
  await expect(card).toContainText('Pass 1 of');
});

test('let be, once: the record says that the pitch was not proved', async ({ page }) => {
  await page.setViewportSize({ width: 820, height: 1180 });
  await bringIn(page, jobOf('Let be', UP), 'cut');
  const card = page.getByRole('region', { name: 'Pass card' });
  await card.getByRole('button', { name: 'It is put up', exact: true }).click();
  await card.getByRole('button', { name: /^Touched off/ }).click();
  await card.getByRole('button', { name: 'Let it be, this once' }).click();
  await expect(card).toContainText('Pass 1 of');
  await page.goto('/jobs/bench/record');
  await expect(page.getByText('Pitch not proved before the cut: let be on purpose').first()).toBeVisible();
});
