import { type BrowserContext, expect, type Page } from '@playwright/test';
import { addDays } from '@/core/time/garden-day';
import { DEMO_DAY } from '@/demo/demo-season';
import { type LockedTrial, test } from './garden-server';

/** A locked trial in which something of one's own is read; back at its readings. */
async function walkable(
  page: Page,
  lockedTrial: LockedTrial,
  question: string,
  each: number,
  parts: number,
): Promise<string> {
  const { url: trial } = await lockedTrial({ question, each }, 'readings');
  await page.getByRole('button', { name: 'One of your own' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Tendrils');
  await page
    .getByLabel('From where to where, and what counts')
    .fill('From the stem to the tip, held up straight.');
  await page.getByLabel('Unit', { exact: true }).fill('mm');
  await page.getByLabel('Parts read each time').fill(String(parts));
  await page.getByRole('button', { name: 'Read it', exact: true }).click();
  await expect(page.getByRole('region', { name: /^Readings of/ })).toBeVisible();
  return trial;
}

async function openWalk(page: Page, trial: string): Promise<void> {
  await page.goto(`${trial}/walk`);
  await page.waitForSelector('html[data-ready]');
  await expect(page.getByRole('group', { name: 'Keypad' })).toBeVisible();
}

async function put(page: Page, figures: string): Promise<void> {
  for (const figure of figures)
    await page.getByRole('button', { name: figure, exact: true }).click();
  await page.getByRole('button', { name: 'Next pot' }).click();
}

const stored = async (page: Page, trial: string): Promise<string[]> => {
  await page.goto(`${trial}/readings`);
  await page.waitForSelector('html[data-ready]');
  return page
    .locator('input[data-at]')
    .evaluateAll(cells => cells.map(cell => (cell instanceof HTMLInputElement ? cell.value : '')));
};

test('a whole walk: figure by figure, an odd value asked about, undone, left out with a word, and read again', async ({
  page,
  lockedTrial,
}) => {
  const trial = await walkable(page, lockedTrial, 'A walk?', 3, 1);
  await openWalk(page, trial);
  const first = await page.getByRole('heading', { level: 1 }).textContent();
  await put(page, '101');
  await expect(page.getByText('1 of 6 read')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(first ?? '');
  for (const figures of ['101', '103', '99', '102', '100']) await put(page, figures);
  await put(page, '1010');
  await expect(page.getByText(/^Sure\? Others give about 101 mm today/)).toBeVisible();
  await page.getByRole('button', { name: 'Rub out' }).click();
  await page.getByText('No value, a note, a picture').click();
  await page.getByLabel('Note', { exact: true }).fill('Under the net.');
  await page.getByRole('button', { name: 'Not looked at' }).click();
  await expect(page.getByRole('heading', { name: 'All 6 pots read' })).toBeVisible();
  await page.getByRole('button', { name: 'Read a few again' }).click();
  for (const figures of ['102', '101', '100']) await put(page, figures);
  await expect(page.getByText(/^Read twice, \d values? differ by ±/)).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();
  expect((await stored(page, trial)).sort()).toEqual(['-', '100', '101', '102', '103', '99']);
});

test('sixty entries without a connection, the page killed and reopened: sent once when it is back', async ({
  page,
  context,
  lockedTrial,
}) => {
  test.slow();
  const trial = await walkable(page, lockedTrial, 'In flight?', 10, 3);
  // Once, and by a link: no navigation that the worker could have seen.
  await page.getByRole('link', { name: 'Walk round' }).first().click();
  await expect(page.getByRole('group', { name: 'Keypad' })).toBeVisible();
  await expect(page.getByText('This walk opens without a connection, too.')).toBeVisible();
  await context.setOffline(true);
  for (let i = 0; i < 31; i++) await put(page, String(100 + i));
  await expect(page.getByText('no connection: 31 kept here')).toBeVisible();
  const again = await reopened(page, context, trial);
  await expect(again.getByText('no connection: 31 kept here')).toBeVisible();
  await expect(again.getByText('31 of 60 read')).toBeVisible();
  for (let i = 31; i < 60; i++) await put(again, String(100 + i));
  await expect(again.getByText('no connection: 60 kept here')).toBeVisible();
  await context.setOffline(false);
  await expect(again.getByText('all sent')).toBeVisible();
  expect(await stored(again, trial)).toEqual(Array.from({ length: 60 }, (_, i) => String(100 + i)));
});

/** Kills the page and opens the walk in another, as after an empty battery. */
async function reopened(page: Page, context: BrowserContext, trial: string): Promise<Page> {
  await page.close({ runBeforeUnload: false });
  const again = await context.newPage();
  await openWalk(again, trial);
  return again;
}

test('a browser that can keep no page shows the walk all the same, and says so', async ({
  page,
  lockedTrial,
}) => {
  const trial = await walkable(page, lockedTrial, 'A full store?', 2, 1);
  const browser = await page.context().newCDPSession(page);
  const { origin } = new URL(page.url());
  await browser.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: 200_000 });
  await openWalk(page, trial);
  await expect(page.getByText(/^This browser could not keep the walk/)).toBeVisible();
  await page.reload();
  await page.waitForSelector('html[data-ready]');
  await put(page, '101');
  await expect(page.getByText('all sent')).toBeVisible();
});

test('a value of a wrong day is refused by name, and put right instead of given up', async ({
  page,
  lockedTrial,
}) => {
  const trial = await walkable(page, lockedTrial, 'A wrong clock?', 2, 1);
  // This device believes that it is five days later.
  await page.route('**/walk', async route => {
    const answer = await route.fetch();
    const body = (await answer.text()).replace(
      `data-demo-day="${DEMO_DAY}"`,
      `data-demo-day="${addDays(DEMO_DAY, 5)}"`,
    );
    await route.fulfill({ response: answer, body });
  });
  await openWalk(page, trial);
  await put(page, '101');
  const refused = page.getByRole('alert', { name: 'Not taken' });
  await expect(refused).toContainText('is still to come');
  await refused.getByLabel('The day it was read').fill(DEMO_DAY);
  await refused.getByRole('button', { name: 'Send it so' }).click();
  await expect(refused).toHaveCount(0);
  await expect(page.getByText('all sent')).toBeVisible();
});

test('two devices at one pot: the second sees what stands there, and chooses', async ({
  page,
  browser,
  lockedTrial,
}) => {
  const trial = await walkable(page, lockedTrial, 'Two at once?', 2, 1);
  const other = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, reducedMotion: 'reduce' })
  ).newPage();
  await openWalk(other, trial);
  await openWalk(page, trial);
  await put(page, '101');
  await expect(page.getByText('all sent')).toBeVisible();
  await put(other, '222');
  const clash = other.getByRole('alert', { name: 'Not taken' });
  await expect(clash).toContainText('you put down 222');
  await expect(clash).toContainText('Another value stands there already');
  await clash.getByRole('button', { name: 'Take mine' }).click();
  await expect(clash).toHaveCount(0);
  await expect(other.getByText('all sent')).toBeVisible();
  expect((await stored(page, trial))[0]).toBe('222');
  await other.context().close();
});

test('a block of 40 by 12 from a spreadsheet is pasted, and what can’t be read is told', async ({
  page,
  lockedTrial,
}) => {
  test.slow();
  const trial = await walkable(page, lockedTrial, 'A block?', 20, 12);
  const block = Array.from({ length: 40 }, (_, row) =>
    Array.from({ length: 12 }, (__, column) =>
      row === 3 && column === 2 ? 'tall' : String(1000 + 12 * row + column),
    ).join('\t'),
  ).join('\n');
  await page.locator('input[data-at="0 0"]').focus();
  await page.evaluate(text => {
    const data = new DataTransfer();
    data.setData('text', text);
    document.activeElement?.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  }, block);
  await expect(page.getByText(/, Tendrils 3: /)).toBeVisible();
  await expect(page.locator('input[data-state="bad"]')).toHaveCount(1);
  await expect(page.locator('input[data-state="sending"]')).toHaveCount(0);
  await page.locator('input[data-at="3 2"]').fill('1038');
  await page.keyboard.press('Enter');
  await expect(page.locator('input[data-at="4 2"]')).toBeFocused();
  await expect(page.locator('input[data-state="bad"]')).toHaveCount(0);
  expect(await stored(page, trial)).toEqual(
    Array.from({ length: 480 }, (_, i) => String(1000 + i)),
  );
});

test('a file is matched column by column, refused whole for one bad row, taken, and taken back whole; a mishap is put on record', async ({
  page,
  lockedTrial,
}) => {
  test.slow();
  const trial = await walkable(page, lockedTrial, 'From a file?', 2, 1);
  const codes = await page.locator('tbody th[scope=row]').allTextContents();
  const csv = (last: string): Buffer =>
    Buffer.from(
      `pot,tendrils (cm),weather\n${codes.map((code, i) => `${code},${i === 3 ? last : 10 + i},dull`).join('\n')}\n`,
    );
  await page.getByText('From a file, or pasted', { exact: true }).click();
  await page
    .getByLabel('Choose a file')
    .setInputFiles({ name: 'bad.csv', mimeType: 'text/csv', buffer: csv('tall') });
  await expect(page.getByLabel('tendrils (cm)')).toHaveValue(/^[0-9a-f-]{36}$/);
  await expect(page.getByLabel('weather')).toHaveValue('nothing');
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByText(/^Row 5, tendrils \(cm\): /)).toBeVisible();
  await expect(page.locator('input[data-at="0 0"]')).toHaveValue('');
  await page
    .getByLabel('Choose a file')
    .setInputFiles({ name: 'good.csv', mimeType: 'text/csv', buffer: csv('13') });
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByText('4 values taken in.')).toBeVisible();
  await expect(page.locator('input[data-at="0 0"]')).toHaveValue('10 cm');
  await page.getByText('From a file, or pasted', { exact: true }).scrollIntoViewIfNeeded();
  await page.getByRole('button', { name: 'Undo all of it' }).click();
  await expect(page.locator('input[data-at="0 0"]')).toHaveValue('');
  await page.goto(`${trial}/weigh`);
  await page.waitForSelector('html[data-ready]');
  await page.getByText('Something happened').click();
  await page.getByRole('button', { name: /, in hand$/ }).click();
  await page.getByRole('button', { name: 'Today', exact: true }).click();
  await page.getByLabel('It was', { exact: true }).selectOption('frost');
  await page.getByLabel('Decided').selectOption('Left out from that day on');
  await page.getByLabel('What happened, and why so').fill('The lid blew off in the night.');
  await page.getByRole('button', { name: 'Put it on record' }).click();
  await expect(
    page.getByText(/frost\. Left out from that day on.*The lid blew off in the night\./),
  ).toBeVisible();
});

test('hold, settle, take, next pot: a scale gives its values without a key', async ({
  page,
  lockedTrial,
}) => {
  test.slow();
  const { url: trial } = await lockedTrial({ question: 'On the scale?', each: 2 }, 'readings');
  await page.getByText(/^From the library/).click();
  await page.getByLabel('Find').fill('washed, drained');
  await page.getByRole('button', { name: 'Read Root weight' }).click();
  await expect(page.getByRole('region', { name: /^Readings of/ })).toBeVisible();
  await openWalk(page, trial);
  await page.getByText('With a scale').click();
  await page.getByRole('button', { name: 'The stand-in scale' }).click();
  await page.getByRole('button', { name: 'Put the pot on' }).click();
  await expect(page.getByText('1 of 4 read')).toBeVisible();
  await page.waitForTimeout(1500); // it lies on still: nothing is taken twice
  await expect(page.getByText('1 of 4 read')).toBeVisible();
  await page.getByRole('button', { name: 'Lift it off' }).click();
  await expect(page.getByText(/^-?[01]\.\d g/)).toBeVisible();
  await page.getByRole('button', { name: 'Put the pot on' }).click();
  await expect(page.getByText('2 of 4 read')).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();
  const values = await stored(page, trial);
  expect(values.filter(value => /^2\d\d\.\d$/.test(value))).toHaveLength(2);
});

test('cover from a picture, without a connection: counted in the frame, a text that calls itself a picture and a broken one are refused', async ({
  page,
  context,
  lockedTrial,
}) => {
  test.slow();
  const { url: trial } = await lockedTrial({ question: 'How green?', each: 1 }, 'readings');
  await page.getByText(/^From the library/).click();
  await page.getByLabel('Find').fill('hidden by weeds');
  await page.getByRole('button', { name: 'Read Weed cover' }).click();
  await expect(page.getByRole('region', { name: /^Readings of/ })).toBeVisible();
  await openWalk(page, trial);
  await expect(page.getByText('This walk opens without a connection, too.')).toBeVisible();
  await context.setOffline(true);
  await page.reload();
  await page.waitForSelector('html[data-ready]');
  await page.getByText('From a picture').click();
  const file = page.getByLabel('Choose a picture');
  await file.setInputFiles({
    name: 'bed.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('<svg onload="alert(1)"></svg>'),
  });
  await expect(page.getByText('bed.jpg is no picture this can read')).toBeVisible();
  await file.setInputFiles({
    name: 'half.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16, 74, 70, 73, 70]),
  });
  await expect(page.getByText(/half\.jpg is damaged/)).toBeVisible();
  // A bed four tenths green.
  const drawn = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(400, 300);
    const context = canvas.getContext('2d');
    if (!context) throw new Error('no canvas');
    context.fillStyle = 'rgb(112 92 74)';
    context.fillRect(0, 0, 400, 300);
    context.fillStyle = 'rgb(62 118 44)';
    context.fillRect(0, 0, 160, 300);
    return [
      ...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer()),
    ];
  });
  await file.setInputFiles({ name: 'bed.png', mimeType: 'image/png', buffer: Buffer.from(drawn) });
  await expect(page.getByRole('button', { name: /^Take (39\.[5-9]|40\.[0-5])%$/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /^What counts as green/ })).toBeVisible();
  await page.getByRole('button', { name: 'Corner, far right' }).press('ArrowLeft');
  await page.getByRole('button', { name: 'Corner, far right' }).press('Enter');
  await expect(page.getByRole('button', { name: /^Take 40\.[0-9]%$/ })).toBeVisible();
  await page.getByRole('button', { name: /^Take/ }).click();
  await page
    .getByRole('button', { name: 'Next plot' })
    .or(page.getByRole('button', { name: 'Next pot' }))
    .click();
  await expect(page.getByText('1 of 2 read')).toBeVisible();
  await expect(page.getByText('no connection: 1 kept here')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('all sent')).toBeVisible();
});

test('a caliper’s key is a value: part after part, pot after pot', async ({
  page,
  lockedTrial,
}) => {
  const { url: trial } = await lockedTrial({ question: 'How thick?', each: 1 }, 'readings');
  await page.getByText(/^From the library/).click();
  await page.getByLabel('Find').fill('5 mm up');
  await page.getByRole('button', { name: 'Read Stem thickness' }).click();
  await expect(page.getByRole('region', { name: /^Readings of/ })).toBeVisible();
  await openWalk(page, trial);
  await page.getByText('With a caliper').click();
  await page.getByRole('button', { name: 'The stand-in caliper' }).click();
  for (let read = 1; read <= 3; read++) {
    await page.getByRole('button', { name: 'Press its key' }).click();
    await expect(page.getByText(`${read} of 4 read`)).toBeVisible();
  }
  await page.getByRole('button', { name: 'Press its key' }).click();
  await expect(page.getByRole('heading', { name: 'All 2 pots read' })).toBeVisible();
  await expect(page.getByText('all sent')).toBeVisible();
  expect((await stored(page, trial)).every(value => /^1[0-4]\.\d\d$/.test(value))).toBe(true);
});
