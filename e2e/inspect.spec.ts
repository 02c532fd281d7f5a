import { expect, test } from './garden-server';

test('a picture is kept, measured and taken away; what is no picture is refused', async ({
  page,
  lockedTrial,
}) => {
  await lockedTrial({ question: 'How does it look?', each: 2 }, 'inspect');
  await page.getByText('Keep a picture').click();
  const file = page.getByLabel('Choose a picture');
  await file.setInputFiles({
    name: 'pot.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('not a picture at all'),
  });
  await expect(page.getByText('That is no picture this can read')).toBeVisible();
  const drawn = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(2000, 1000);
    const context = canvas.getContext('2d');
    if (!context) throw new Error('no canvas');
    context.fillStyle = 'rgb(62 118 44)';
    context.fillRect(0, 0, 1000, 1000);
    return [
      ...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg' })).arrayBuffer()),
    ];
  });
  await file.setInputFiles({ name: 'pot.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(drawn) });
  await expect(page.getByText(/: kept\.$/)).toBeVisible();
  await page.getByRole('button', { name: /^Look at .* closely$/ }).click();
  const large = page.getByRole('region', { name: 'One picture' });
  await expect(large).toBeVisible();
  await large.getByLabel('Width of the whole picture').fill('500');
  await large.getByRole('button', { name: 'Take it as the scale' }).click();
  await expect(page.getByText('Not at one scale')).toBeVisible(); // one picture has nothing to be held against
  await page.getByRole('button', { name: 'Take it away for good' }).click();
  await expect(page.getByText('None yet. One a pot at the start')).toBeVisible();
});

test('bags are numbered, a report is refused whole and then taken; cups are laid out and counted for good', async ({
  page,
  lockedTrial,
}) => {
  await lockedTrial({ question: 'What is in the soil?', each: 2 }, 'inspect?page=soil');
  await page.getByText('Fill bags').click();
  await page.getByRole('button', { name: 'Number 4 bags' }).click();
  await expect(page.getByText('4 bags, 4 without an answer')).toBeVisible();
  const report = page.getByLabel('Or a report as a file');
  await report.setInputFiles({
    name: 'report.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'sample,analyte,value,unit,optimum low,optimum high\nS001,pH,6.1,,6,7\nS099,pH,6.3,,6,7\n',
    ),
  });
  await expect(page.getByText('Row 3: No bag of this trial has the number “S099”.')).toBeVisible();
  await report.setInputFiles({
    name: 'report.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'sample,analyte,value,unit,optimum low,optimum high\nS001,P2O5,30,mg/100 g,10,20\nS002,P2O5,< 1,mg/100 g,10,20\n',
    ),
  });
  await expect(page.getByText('2 values taken in.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Phosphorus (P) in the soil' })).toContainText(
    '131, high',
  );
  await expect(page.getByRole('region', { name: 'Phosphorus (P) in the soil' })).toContainText(
    'below 4.36',
  );
  await page
    .getByRole('navigation', { name: 'Close looks' })
    .getByRole('link', { name: 'Taste' })
    .click();
  await page.getByText('Lay out cups').click();
  await page.getByRole('button', { name: 'Number the cups' }).click();
  await expect(page.getByText('At least 6 of 8 must find it')).toBeVisible();
  await page.getByLabel('So many found it').fill('5');
  await page.getByRole('button', { name: 'Put it down for good' }).click();
  await expect(page.getByText(/^5 of 8 found the odd cup; 6 would have been needed/)).toBeVisible();
});

test('what is dug up is foretold, chosen, and then read on a walk', async ({
  page,
  lockedTrial,
}) => {
  await lockedTrial({ question: 'What do the roots say?', each: 1 }, 'inspect?page=dug');
  await page.getByText('Say what you expect to find').click();
  await page.getByLabel('Who', { exact: true }).fill('Ines');
  await page.getByLabel('What, and why').fill('Finer roots where it was fed.');
  await page.getByRole('button', { name: 'Seal it' }).click();
  await expect(page.getByText(/^Expected, sealed until the verdict: Ines of Smell/)).toBeVisible();
  await page.getByRole('button', { name: 'Look for worms' }).click();
  await page.getByRole('link', { name: 'Walk round and read them' }).click();
  await page.waitForURL(/walk$/);
  await expect(page.getByText('In a cube of 20 cm')).toBeVisible();
});
