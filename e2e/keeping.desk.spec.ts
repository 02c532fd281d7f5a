import { expect, test } from './garden-server';

test('a trial is put away, asked about twice, deleted, and stands in the backup that was made before', async ({
  page,
  openPage,
  askedTrial,
}) => {
  await askedTrial('Put away?');
  await openPage('/trials');
  await page.getByRole('button', { name: 'Put away: Put away?' }).click();
  await expect(page.getByRole('link', { name: 'Put away?' })).toHaveCount(0);
  await page.getByText(/^Put away, \d+$/).click();
  await page.getByRole('button', { name: 'Bring back: Put away?' }).click();
  await expect(page.getByRole('link', { name: 'Put away?' })).toBeVisible();
  await page.getByRole('button', { name: 'Put away: Put away?' }).click();
  await expect(page.getByRole('link', { name: 'Put away?' })).toHaveCount(0);
  // Where another one lies there, the list has stayed unfolded.
  const list = page.getByRole('button', { name: /^Put away, \d+$/ });
  if ((await list.getAttribute('aria-expanded')) !== 'true') await list.click();
  const opened = page.getByRole('button', { name: 'Delete: Put away?' });
  await opened.click();
  await page.getByRole('button', { name: 'Leave it as it is' }).click();
  await opened.click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Go on' }).click();
  await page.getByRole('button', { name: 'Delete it for good' }).click();
  await expect(page.getByText(/is deleted\. The backup before-delete-/)).toBeVisible();
  await openPage('/garden');
  await expect(page.getByText(/before a trial was deleted/).first()).toBeVisible();
});

test('a backup is made by a press, and fetched as a zip file', async ({ page, openPage }) => {
  await openPage('/garden');
  await page.getByRole('button', { name: 'Make a backup now' }).click();
  const link = page.getByRole('link', { name: /^Save by-hand-/ }).first();
  await expect(link).toBeVisible();
  const fetching = page.waitForEvent('download');
  await link.click();
  expect((await fetching).suggestedFilename()).toMatch(/^turnspit-by-hand-.*\.zip$/);
});

test('a sheet with the key on it is a deed: by its address alone nobody looks', async ({
  page,
  garden,
  openTrial,
}) => {
  const question = 'Bark or loam in the troughs, and does either want feeding?';
  const sheet = `${garden.url}/trials/${garden.trialId(question)}/print/labels?key=open`;
  const asked = await page.request.get(sheet);
  expect([asked.status(), await asked.text()]).toEqual([409, expect.stringContaining('blind')]);
  await openTrial(question, 'print');
  await page.getByText('what each gets, too').click();
  const opening = page.waitForEvent('popup');
  const answering = page
    .context()
    .waitForEvent('response', answer => answer.url().includes('key=open'));
  await page.getByRole('button', { name: 'Labels (PDF)' }).click();
  const answer = await answering;
  await opening;
  expect([answer.request().method(), answer.status()]).toEqual(['POST', 200]);
  expect(answer.headers()['content-type']).toBe('application/pdf');
});

test('scripts run only where this very answer names them', async ({ page, openPage }) => {
  const broken: string[] = [];
  page.on('console', message => {
    if (/Content Security Policy/i.test(message.text())) broken.push(message.text());
  });
  for (const path of ['/', '/trials', '/shelf', '/garden', '/weather', '/nowhere']) {
    const answer = await page.goto(path);
    expect(answer?.headers()['content-security-policy']).toMatch(/script-src 'self' 'nonce-[^']+'/);
  }
  await openPage('/trials');
  const ran = await page.evaluate(() => {
    const script = document.createElement('img');
    script.setAttribute('onerror', 'window.walkedIn = true');
    script.src = 'data:,';
    document.body.append(script);
    return new Promise(resolve => setTimeout(() => resolve('walkedIn' in window), 300));
  });
  expect(ran).toBe(false);
  expect(
    broken.filter(said => !said.includes('onerror') && !said.includes('inline event')),
  ).toEqual([]);
});
