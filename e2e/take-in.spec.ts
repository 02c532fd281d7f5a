import { readFileSync } from 'node:fs';
import { expect, test } from './garden-server';

test('a trial is taken in from its own file; the same twice, and what is none, are refused with a sentence', async ({
  page,
  openTrial,
}) => {
  await openTrial('What keeps slugs off lettuce?', 'report');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: /^The whole trial/ }).click();
  const saved = readFileSync(await (await download).path(), 'utf8');
  await page.goto('/trials');
  await page.waitForSelector('html[data-ready]');
  const field = page.getByLabel('Take a trial or a plan in from its file');
  const bring = (body: string) =>
    field.setInputFiles({
      name: 'trial.json',
      mimeType: 'application/json',
      buffer: Buffer.from(body),
    });
  await bring(saved);
  await expect(
    page.getByText('“What keeps slugs off lettuce?” is in this garden already.'),
  ).toBeVisible();
  await bring('{"format":"something else"}');
  await expect(page.getByText(/^That is no file of a trial: at format/)).toBeVisible();
  // Another garden’s trial, still running: the same shape with ids of its own.
  const next = JSON.parse(saved.replaceAll(/"0([0-9a-f]{7}-[0-9a-f]{4}-7)/g, '"1$1'));
  await bring(
    JSON.stringify({
      ...next,
      trial: {
        ...next.trial,
        question: 'What keeps slugs off, next door?',
        state: 'locked',
        closedAt: null,
      },
    }),
  );
  await page.waitForURL(/ask$/);
  await expect(page.getByLabel('The question')).toHaveValue('What keeps slugs off, next door?');
});
