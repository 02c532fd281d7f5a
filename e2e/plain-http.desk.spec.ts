import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { chromiumPath } from '../scripts/chromium.mjs';
import { DATA_FILE, DEMO_FOLDER } from './demo-file';
import { expect, freePort, startServer, test } from './garden-server';

// A phone at the garden's address in the house: a name that is not this machine's own, over plain http. Browsers give such a page
// no locks and no store of pages.
const NAME = 'garden.example';

test('a walk over plain http sends what is put down, and finds it again after a reload', async () => {
  test.slow();
  const folder = mkdtempSync(join(tmpdir(), 'turnspit-http-'));
  cpSync(DEMO_FOLDER, folder, { recursive: true });
  const port = await freePort();
  process.env.TURNSPIT_ORIGIN = `http://${NAME}:${port}`;
  const server = startServer(join(folder, DATA_FILE), port);
  delete process.env.TURNSPIT_ORIGIN;
  const browser = await chromium.launch({
    executablePath: chromiumPath(),
    args: ['--no-sandbox', '--disable-gpu', `--host-resolver-rules=MAP ${NAME} 127.0.0.1`],
  });
  try {
    await expect
      .poll(() =>
        fetch(`http://127.0.0.1:${port}/`).then(
          answer => answer.status,
          () => 0,
        ),
      )
      .toBe(200);
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    await page.goto(`http://${NAME}:${port}/trials`);
    await page.getByRole('link', { name: /^Bark or loam/ }).click();
    await page.waitForURL(/trials\/[0-9a-f-]+/);
    const trial = /.*\/trials\/[0-9a-f-]+/.exec(page.url())?.[0] ?? '';
    await page.goto(`${trial}/walk`);
    await page.waitForSelector('html[data-ready]');
    expect(await page.evaluate(() => [window.isSecureContext, 'locks' in navigator])).toEqual([
      false,
      false,
    ]);
    await expect(page.getByText('7 of 24 read')).toBeVisible();
    await page.getByRole('button', { name: 'Tap for one' }).click();
    await page.getByRole('button', { name: 'Next trough' }).click();
    await page.getByRole('button', { name: 'Yes, it is' }).click();
    await expect(page.getByText('8 of 24 read')).toBeVisible();
    await expect(page.getByText('all sent')).toBeVisible();
    await page.reload();
    await expect(page.getByText('8 of 24 read')).toBeVisible();
  } finally {
    await browser.close();
    server.kill('SIGTERM');
    rmSync(folder, { recursive: true, force: true });
  }
});
