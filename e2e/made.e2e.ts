import { besides, bringIn, jobOf, M30, provePitch, times } from './bench.ts';
import type { Edit } from '../core/job/edits/index.ts';
import { took } from '../app/testing/bench.ts';
import { axeClean, expect, test } from './fixtures.ts';

test('a go plug for the valve nuts: its own limits in Fit, over wires, and a not-go at a touch', async ({ page }) => {
  await page.goto('/jobs/demo-plug/fit');
  await expect(page.getByText(/^Full form, as long as the nut/)).toContainText('scrap it at 22.376 mm');
  await page.getByText('Not-go plug').click();
  await expect(page.getByText(/^Two or three turns/)).toBeVisible();
  await axeClean(page);
  await page.getByRole('link', { name: /^Prove/ }).click();
  await expect(page.getByText('is inside class 6H')).toBeVisible();
});

test('a saw-tooth special is copied as read: depth typed in Fit, heard by the card and by the wires', async ({
  page,
}) => {
  await page.goto('/jobs/demo-press/name');
  await page.getByRole('button', { name: 'Accept as special' }).click();
  await page.getByRole('link', { name: /^Fit/ }).click();
  await expect(page.getByRole('heading', { name: 'The special, as read' })).toBeVisible();
  await expect(page.getByText('read: 49.8')).toBeVisible();
  await page.getByLabel('Depth of thread').fill('5.5');
  await page.keyboard.press('Enter');
  await expect(page.getByText('given by hand or by its name').first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Depth to cut/ })).toContainText(/5\.[3-6]\d\d mm/);
  await axeClean(page);
});

const PIECE: readonly Edit[] = [
  { do: 'setSchedule', passes: 6, firstMaxMm: null, lastMinMm: null, springs: 0 },
  ...times(6, { do: 'passDone' }),
];
const RIGHT: readonly Edit[] = [{ do: 'tryMate', mate: 'the yoke', result: 'runs' }, { do: 'finishPart' }];
test('two parts after a test piece: each is offered what was right on the one before', async ({ page }) => {
  const piece: readonly Edit[] = [
    { do: 'setQuantity', parts: 2, testPiece: true },
    ...M30,
    { do: 'measureBlank', diameterMm: 29.93 },
    { do: 'touchOff' },
    ...PIECE,
    { do: 'deeper', byMm: 0.06 },
    { do: 'passDone' },
    ...RIGHT,
  ];
  await bringIn(page, jobOf('Two after a test piece', piece), 'cut');
  await page.getByRole('button', { name: 'Begin part 2' }).click();
  await expect(
    page.getByText(/^The test piece was right at 1\.\d+ mm deep, 0\.0(59|6\d) mm deeper than planned/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Aim at the same here' }).click();
  await expect(page.getByRole('button', { name: 'Aim at the same here' })).toHaveCount(0);
  await besides(page, 'Done so far');
  await expect(page.getByRole('list', { name: 'Events' })).toContainText(/Deeper|deeper/);
  await axeClean(page);
  // the second part, aimed so from the start, comes out right, and the third is offered it
  const second = jobOf('The third', [
    ...piece,
    { do: 'beginPart' },
    { do: 'deeper', byMm: 0.06 },
    { do: 'mount' },
    { do: 'measureBlank', diameterMm: 29.9 },
    { do: 'touchOff' },
    ...PIECE,
    ...RIGHT,
  ]);
  await bringIn(page, { ...second, id: 'third' }, 'cut', 'third');
  await page.getByRole('button', { name: 'Begin part 3' }).click();
  await expect(page.getByText(/^Part 2 was right at 1\.\d+ mm deep, 0\.\d+ mm deeper than planned/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Aim at the same here/ })).toBeVisible();
});

test('a nut for a worn screw: the ways with it have their figures, the true root bounds the bore, the card hears it', async ({
  page,
}) => {
  await page.goto('/jobs/demo-vice/fit');
  const ways = page.getByRole('region', { name: 'Ways with a worn mate' });
  await expect(ways).toContainText('Play 0.139 mm to 0.182 mm along the axis on the travel.');
  await expect(ways).toContainText('It does not pass 15.00 mm, 210.00 mm.');
  await expect(ways).toContainText('The screw loses 0.481 mm of pitch diameter: cut 0.240 mm deeper');
  // the largest root read, 22.95, and 0.15 of clearance a side: more than the table's own bore with its relief
  const bore = page.getByRole('button', { name: /^Bore to/ });
  await expect(bore).toHaveAccessibleName(/23\.250 mm/);
  await expect(page.getByText(/^The screw that it has to pass decides/)).toBeVisible();
  await ways.getByRole('button', { name: 'Make it so' }).first().click();
  await expect(page.getByRole('button', { name: /^Pitch diameter to reach 25\.269 mm/ })).toBeVisible();
  // on the travel alone its root is smaller, and the table decides
  await expect(bore).toHaveAccessibleName(/23\.170 mm/);
  await axeClean(page);
  await page.getByRole('button', { name: 'Right: on to Gears' }).click();
  await page.goto('/jobs/demo-vice/cut');
  const card = page.getByRole('region', { name: 'Pass card' });
  // its gears are proved before the nut is put up
  await expect(card).toContainText('by hand');
  await provePitch(page);
  await card.getByRole('button', { name: 'It is put up and runs true' }).click();
  await page.getByLabel(/^The bore measures/).fill('23.2');
  await page.keyboard.press('Enter');
  await card.getByRole('button', { name: 'Touched off, dials at zero' }).click();
  await expect(card).toContainText('Pass 1 of');
});

test('a recut by own steps until its nut runs, then the same for the next part', async ({ page }) => {
  await page.goto('/jobs/demo-auger/cut');
  const card = page.getByRole('region', { name: 'Pass card' });
  await card.getByText('on the diameter', { exact: true }).click();
  await card.getByLabel(/^Own step between trials, on the diameter/).fill('0.003 in');
  await page.keyboard.press('Enter');
  // typed as steps are said at this lathe; told as its dial reads
  await expect(card).toContainText('Go deeper by 0.040 mm on the radius');
  for (const heard of ['starts, then stops', 'goes on, tight']) {
    if (heard === 'goes on, tight') await card.getByRole('button', { name: 'Try the nut' }).click();
    await card.getByRole('button', { name: heard }).click();
    await card.getByRole('button', { name: /^Deeper by 0\.0[34]\d mm on the radius/ }).click();
    await card.getByRole('button', { name: 'Done', exact: true }).click();
    await card.getByRole('button', { name: 'Spring pass done' }).click();
  }
  await card.getByRole('button', { name: 'Try the nut' }).click();
  await card.getByRole('button', { name: 'runs freely' }).click();
  await expect(card).toContainText('It is at size.');
  await card.getByRole('button', { name: 'This part is done' }).click();
  await card.getByRole('button', { name: 'Begin part 2' }).click();
  await expect(
    page.getByText(/^Part 1 was right at 0\.1\d\d mm deep, 0\.1[12]\d mm deeper than planned/),
  ).toBeVisible();
  await page.getByRole('button', { name: /^Begin 0\.069 mm short of that/ }).click();
  await card.getByRole('button', { name: 'It is put up and runs true' }).click();
  await expect(card).toContainText('A thread is there already');
  await axeClean(page);
});

test('a recut touched off on its crests: passes above the old flanks say that they cut air', async ({ page }) => {
  const job = jobOf('Recut', [
    { do: 'setIntake', wanted: 'recut' },
    ...M30,
    { do: 'setFit', class: null, pitchClearanceMm: 0.1 },
    { do: 'inGroove', way: 'by-eye' },
    { do: 'measureBlank', diameterMm: 29.9 },
  ]);
  await bringIn(page, job, 'cut');
  const card = page.getByRole('region', { name: 'Pass card' });
  await card.getByRole('button', { name: 'Touched off on the crests instead' }).click();
  await expect(card).toContainText('No metal is expected: if it cuts, stop.');
  await card.getByRole('button', { name: 'In the groove all along' }).click();
  await expect(card.getByRole('alert')).toContainText(
    /This pass and the next \d+ are expected to cut air: if it cuts, stop/,
  );
  await axeClean(page);
});

test('a saw-tooth screw: which flank leads follows which of them faces the free end', async ({ page }) => {
  for (const [freeEnd, head, says] of [
    ['31', '3', 'straight in'],
    ['3', '31', 'slide 30.5\u00b0'],
  ] as const) {
    const job = jobOf('Saw-tooth', [
      took('majorDiameter', 49.8),
      took('crestCount', 12.5, { span: { text: '100 mm', mm: 100 } }),
      took('leadingFlank', Number(freeEnd)),
      took('trailingFlank', Number(head)),
      { do: 'chooseLathe', lathe: 'lathe-els' },
    ]);
    await bringIn(page, job, 'name');
    await page.getByRole('button', { name: 'Accept as special' }).click();
    await expect(page.getByRole('link', { name: /^Set up/ })).toContainText(says);
  }
});

test('an aim is dragged within its class and typed; outside it is refused where it was typed; Cut hears it', async ({
  page,
}) => {
  await page.goto('/jobs/demo-pump/fit');
  const aim = page.getByRole('slider', { name: 'Aim for the pitch diameter' });
  await expect(aim).toHaveAttribute('aria-valuetext', '28.578');
  const box = await aim.boundingBox();
  if (!box) throw new Error('no handle');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 20, y, { steps: 4 });
  await page.mouse.up();
  const typed = page.getByLabel(/^Pitch diameter to reach, by hand/);
  await expect(typed).toBeVisible();
  expect(Number((await typed.inputValue()).replace(' mm', ''))).toBeGreaterThan(28.578);
  // ISO 965-1, 6g: 28.493 to 28.663
  await page.mouse.move(x + 20, y);
  await page.mouse.down();
  await page.mouse.move(x + 600, y, { steps: 4 });
  await page.mouse.up();
  await expect(typed).toHaveValue('28.663 mm');
  await typed.fill('28.7');
  await typed.press('Enter');
  await expect(page.getByText(/Class 6g does not allow it/)).toContainText('28.493 mm to 28.663 mm');
  await typed.fill('28.55');
  await typed.press('Enter');
  await expect(aim).toHaveAttribute('aria-valuetext', '28.550');
  await aim.focus();
  await page.keyboard.press('ArrowRight');
  await expect(aim).toHaveAttribute('aria-valuetext', '28.555');
  // 0.023 less on the pitch diameter is as much less over the wires
  const prove = page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: /^Prove/ });
  await expect(prove).toContainText('M 30.123');
  await page.getByRole('button', { name: /^Pitch diameter to reach/ }).click();
  await expect(page.getByRole('complementary', { name: 'Working' })).toContainText('aim, by hand');
  await page.keyboard.press('Escape');
  // emptied, it is the middle of its class again
  await page.getByLabel(/^Pitch diameter to reach, by hand/).fill('');
  await page.keyboard.press('Enter');
  await expect(aim).toHaveAttribute('aria-valuetext', '28.578');
  await axeClean(page);
});
