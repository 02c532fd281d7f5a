import { expect, test } from './garden-server';
import { benchUnits, confirmed, dealAndLock, goToStep } from './trial-steps';

test('a prediction is sealed, stays shut, and opens with the verdict', async ({
  page,
  askedTrial,
}) => {
  await askedTrial('Who guesses right?');
  await goToStep(page, 'Ask');
  await page.getByLabel('Who', { exact: true }).fill('Ines');
  await page.getByLabel('What will do best').selectOption('Heronsgill feed');
  await page.getByRole('button', { name: 'Seal it' }).click();
  await expect(page.getByText('Say why: that is what the trial can teach.')).toBeVisible();
  await page.getByLabel('Why', { exact: true }).fill('It helped the beans.');
  await page.getByRole('button', { name: 'Seal it' }).click();
  await expect(page.getByText(/Sealed until the verdict: Ines/)).toBeVisible();
  await expect(page.getByText('It helped the beans.')).toHaveCount(0);
  await page.getByLabel('Who', { exact: true }).fill('Tomas');
  await page.getByLabel('The guess is about').selectOption('Heronsgill feed against plain water');
  await page.getByLabel('The first of the two gives').selectOption('less');
  await page.getByLabel('Why', { exact: true }).fill('It burns them.');
  await page.getByRole('button', { name: 'Seal it' }).click();
  await expect(page.getByText(/Sealed until the verdict: Ines .*, Tomas/)).toBeVisible();
  await goToStep(page, 'Lay out');
  await dealAndLock(page, 2);
  await goToStep(page, 'Judge');
  await expect(page.getByText('It helped the beans.')).toHaveCount(0);
  await confirmed(page, 'Close the trial', 'Close it');
  await expect(page.getByText(/^Nothing has been weighed or read yet/)).toBeVisible();
  await goToStep(page, 'Weigh');
  await page.getByLabel('On the scale').fill('400');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status')).toContainText(': 400 g saved');
  await goToStep(page, 'Judge');
  await confirmed(page, 'Close the trial', 'Close it');
  await page
    .getByRole('heading', { name: 'What was expected' })
    .getByRole('button', { name: 'What was expected' })
    .click();
  await expect(page.getByText('It helped the beans.')).toBeVisible();
  await expect(page.getByText('Tomas, of Heronsgill feed against plain water: less')).toBeVisible();
});

test('a change after the lock is put on record, and stands on the verdict', async ({
  page,
  lockedTrial,
}) => {
  await lockedTrial({ question: 'Changed on the way?', each: 2 });
  await page.getByText('Change something, with a reason').click();
  await page.getByText('the smallest difference worth having', { exact: true }).click();
  await page.getByLabel('At least, % of the control').fill('25');
  await page.getByRole('button', { name: 'Put it on record' }).click();
  await expect(page.getByText('Say why, so that a reader can judge it.')).toBeVisible();
  await page.getByLabel('Why', { exact: true }).fill('The feed got dearer.');
  await page.getByRole('button', { name: 'Put it on record' }).click();
  await expect(page.getByText('Smallest difference worth having: 15% → 25%')).toBeVisible();
  await goToStep(page, 'Judge');
  await expect(
    page.getByText('Changed after the lock: 15% → 25%. The feed got dearer.'),
  ).toBeVisible();
});

test('pots change places by lot after the lock, with a walk to follow', async ({
  page,
  lockedTrial,
}) => {
  await lockedTrial({ question: 'Moved round?', each: 5 });
  await page.getByRole('button', { name: 'Deal new places' }).click();
  await expect(page.getByRole('list', { name: 'The walk' })).toBeVisible();
  await expect(page.getByText(/^Set [A-Z]{2}\d aside\.$/).first()).toBeVisible();
  await expect(page.getByText(/Moved once, last on/)).toBeVisible();
});

test('sheets are printed as PDF, and a label’s code opens its pot', async ({
  page,
  openPage,
  lockedTrial,
}) => {
  const { units } = await lockedTrial({ question: 'On paper?', each: 3 });
  await page.getByRole('link', { name: 'Print labels, plan, sheets and protocol' }).click();
  await page.waitForURL(/print$/);
  await page.getByText('14 on a sheet', { exact: true }).click();
  for (const name of ['Labels', 'Bench plan', 'Clipboard sheets', 'Protocol']) {
    const answer = await page.request.get(
      (await page.getByRole('link', { name: `${name} (PDF)` }).getAttribute('href')) ?? '',
    );
    expect(answer.headers()['content-type']).toBe('application/pdf');
    expect((await answer.body()).subarray(0, 5).toString()).toBe('%PDF-');
  }
  const code = units.at(-1)?.code ?? '';
  await openPage(`${new URL(page.url()).pathname.replace(/print$/, 'weigh')}?pot=${code}`);
  await expect(page.getByRole('heading', { name: code })).toBeVisible();
});

test('of more plants than places the most alike take part, and each place says which', async ({
  page,
  askedTrial,
}) => {
  await askedTrial('Equal starts?');
  await page.getByText('anywhere on the bench', { exact: true }).click();
  await page.getByLabel('Of each treatment').fill('3');
  await page.getByText('Sizes before the start').click();
  const sizes = page.getByLabel('Sizes of all plants raised');
  await sizes.fill('12 13 tall');
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText('“tall” is not a size.')).toBeVisible();
  await sizes.fill('12 3 13 14 40 12.5 13.5 12.8');
  await expect(
    page.getByText('For 6 places 2 are set aside as spares: number 2 (3), number 5 (40).'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/Dealt once/)).toBeVisible();
  await page.getByText('Which plant goes where').click();
  await expect(
    page.getByRole('list', { name: 'Plant of each pot' }).getByRole('listitem'),
  ).toHaveCount(6);
  await page.reload();
  await expect(sizes).toHaveValue('12 3 13 14 40 12.5 13.5 12.8');
});

test('the audit follows what is typed; benches, guards, a wall and odd tubs are put down as they are', async ({
  page,
  askedTrial,
}) => {
  await askedTrial('As it really stands?');
  await page.getByLabel('Blocks', { exact: true }).fill('2');
  await expect(page.getByText('Only 2 pots of a treatment.')).toBeVisible();
  await expect(page.getByText(/checks of the plan as it is written now/)).toBeVisible();
  await page.getByLabel('Blocks', { exact: true }).fill('6');
  await expect(page.getByText('Only 2 pots of a treatment.')).toHaveCount(0);
  await page.getByLabel('On so many benches').fill('7');
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(
    page.getByText('7 benches for 6 blocks: a block stands on one bench.'),
  ).toBeVisible();
  await page.getByLabel('On so many benches').fill('2');
  await page.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText(/Dealt once/)).toBeVisible();
  await expect(page.getByText('bench 2', { exact: true })).toBeVisible();
  await page.getByLabel('Guard plants stand round it, unread').check();
  await expect(page.locator('title', { hasText: 'guard plant' }).first()).toBeAttached();
  await page.getByLabel('There is').selectOption('wall');
  await page.getByLabel('Felt for, cm').fill('80');
  await page.getByRole('button', { name: 'Draw it' }).click();
  await expect(page.getByText(/wall on the left, 20%, felt for 80 cm/)).toBeVisible();
  await page.getByRole('button', { name: 'Arrange it as it stands' }).click();
  await page.getByText('walls, fences, paths, taps', { exact: true }).click();
  await page.getByRole('button', { name: 'wall', exact: true }).focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(page.getByText(/wall where it is drawn/)).toBeVisible();
  await page.getByRole('button', { name: 'Done arranging' }).click();
  const units = await benchUnits(page);
  await page.getByText('Other differences between them').click();
  await page.getByLabel('It is', { exact: true }).fill('container');
  await page
    .getByLabel('Which have what, a line each')
    .fill(`old tub: ${units[0]?.code}\nnew tub: the rest`);
  await page.getByRole('button', { name: 'Put it down' }).click();
  await expect(page.getByText(`old tub (${units[0]?.code}), new tub (11 of them)`)).toBeVisible();
});
