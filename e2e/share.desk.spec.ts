import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { createHash, X509Certificate } from 'node:crypto';
import { cpSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { get } from 'node:https';
import { networkInterfaces, tmpdir } from 'node:os';
import { join } from 'node:path';
import { type BrowserContext, chromium, type Page } from '@playwright/test';
import { chromiumPath } from '../scripts/chromium.mjs';
import { DATA_FILE, DEMO_FOLDER } from './demo-file';
import { expect, freePort, startServer, test } from './garden-server';
import { carePage, confirmed } from './trial-steps';

const KEEPER = 'beans and barrows';
const HELPER = 'helping hands';
const STRAWBERRIES = /^Bark or loam/;

let folder = '';
let server: ChildProcess;
let address = '';
let contexts: BrowserContext[] = [];

test.describe.configure({ mode: 'serial' });

test.beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'turnspit-share-'));
  cpSync(DEMO_FOLDER, folder, { recursive: true });
  const port = await freePort();
  address = `https://${lanAddress()}:${port}`;
  server = spawn(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'scripts/share.ts'], {
    stdio: 'pipe',
    env: {
      ...process.env,
      NODE_ENV: 'production',
      TURNSPIT_DATA: join(folder, DATA_FILE),
      TURNSPIT_PASSPHRASE: KEEPER,
      TURNSPIT_HELPERS: HELPER,
      PORT: String(port),
    },
  });
  await expect
    .poll(() =>
      fetched('/authority').then(
        ({ status }) => status,
        () => 0,
      ),
    )
    .toBe(200);
});

test.afterEach(async () => {
  for (const context of contexts) await context.close();
  contexts = [];
});

test.afterAll(() => {
  server.kill('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
});

/** Where a phone of the house would reach this machine; on one without a network its own name. */
function lanAddress(): string {
  const found = Object.values(networkInterfaces())
    .flatMap(all => all ?? [])
    .find(({ family, internal }) => family === 'IPv4' && !internal);
  return found?.address ?? 'localhost';
}

interface Fetched {
  readonly status: number;
  readonly body: string;
}

/** Asks as somebody who trusts any certificate. */
function fetched(path: string, headers: Readonly<Record<string, string>> = {}): Promise<Fetched> {
  return new Promise((resolve, reject) => {
    const asked = get(`${address}${path}`, { rejectUnauthorized: false, headers }, answer => {
      let body = '';
      answer.setEncoding('latin1');
      answer.on('data', piece => {
        body += piece;
      });
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, body }));
    });
    asked.on('error', reject);
  });
}

/**
 * A browser's own store with the garden's authority in it, put there by certutil as a phone's settings would.
 *
 * @returns the home that the browser finds it in; undefined where this machine has no certutil (Debian's libnss3-tools)
 */
function trustingHome(authority: string): string | undefined {
  const home = mkdtempSync(join(tmpdir(), 'turnspit-home-'));
  const store = join(home, '.pki', 'nssdb');
  mkdirSync(store, { recursive: true });
  writeFileSync(join(home, 'garden.crt'), authority);
  const certutil = (...args: readonly string[]): boolean =>
    spawnSync('certutil', ['-d', `sql:${store}`, ...args]).status === 0;
  const isKept =
    certutil('-N', '--empty-password') &&
    certutil('-A', '-t', 'C,,', '-n', 'garden', '-i', join(home, 'garden.crt'));
  return isKept ? home : undefined;
}

/** A phone that was told to trust the garden's authority, as its settings do it. */
async function phone(options: { readonly javaScriptEnabled?: boolean } = {}): Promise<Page> {
  const { body } = await fetched('/authority');
  const home = trustingHome(body);
  const authority = new X509Certificate(body);
  const key = authority.publicKey.export({ type: 'spki', format: 'der' });
  const trusted = createHash('sha256').update(key).digest('base64');
  const context = await chromium.launchPersistentContext(
    mkdtempSync(join(tmpdir(), 'turnspit-phone-')),
    {
      executablePath: chromiumPath(),
      ...(home === undefined ? {} : { env: { ...process.env, HOME: home } }),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        ...(home === undefined ? [`--ignore-certificate-errors-spki-list=${trusted}`] : []),
      ],
      viewport: { width: 390, height: 844 },
      reducedMotion: 'reduce',
      ...options,
    },
  );
  contexts.push(context);
  return context.pages()[0] ?? context.newPage();
}

async function comeIn(page: Page, passphrase: string): Promise<void> {
  await page.getByLabel('The garden’s passphrase').fill(passphrase);
  await page.getByRole('button', { name: 'Come in' }).click();
}

test('without the passphrase no byte of the garden leaves, by any door, and a wrong one is told so', async () => {
  const doors = ['/', '/trials', '/garden', '/shelf', '/weather', '/api/trials', '/api/verdict/x'];
  const disguises: readonly Readonly<Record<string, string>>[] = [
    {},
    { accept: 'text/html' },
    { host: 'localhost' },
    { 'x-forwarded-for': '127.0.0.1', 'x-forwarded-host': 'localhost' },
    { cookie: `turnspit_session=keeper.9999999999999.0123456789abcdef.${'0'.repeat(64)}` },
    { rsc: '1', 'next-router-prefetch': '1' },
    { 'x-middleware-subrequest': 'src/proxy:src/proxy:src/proxy:src/proxy:src/proxy' },
  ];
  for (const door of doors)
    for (const headers of disguises) {
      const { status, body } = await fetched(door, headers);
      expect([door, status === 307 || status === 401 || status === 403]).toEqual([door, true]);
      expect(body).not.toMatch(/Cinder|strawberr|Heronsgill/i);
    }
  const page = await phone();
  await page.goto(`${address}/trials`);
  await expect(page).toHaveURL(/\/enter\?to=%2Ftrials$/);
  await expect(page.getByText('Cinder Row')).toHaveCount(0);
  await comeIn(page, 'beans and barrow');
  await expect(page.getByText('That is not the passphrase of this garden.')).toBeVisible();
  await comeIn(page, KEEPER);
  await expect(page.getByRole('link', { name: STRAWBERRIES })).toBeVisible();
});

test('one comes in before the page’s scripts are there, and the passphrase is never in an address', async () => {
  const page = await phone({ javaScriptEnabled: false });
  await page.goto(`${address}/trials`);
  await comeIn(page, 'beans and barrow');
  await expect(page.getByText('That did not let you in.')).toBeVisible();
  expect(page.url()).not.toContain('barrow');
  await comeIn(page, KEEPER);
  await expect(page).toHaveURL(`${address}/trials`);
});

test('a helper ticks, and may not open the key; signing everybody out ends it for all', async () => {
  const [helper, keeper] = [await phone(), await phone()];
  await helper.goto(`${address}/trials`);
  await comeIn(helper, HELPER);
  await helper.getByRole('link', { name: STRAWBERRIES }).click();
  await helper.getByRole('link', { name: /^Tend/ }).click();
  await helper.getByRole('button', { name: 'Show what is in the bottles' }).click();
  await expect(helper.getByText('Only a keeper of this garden can do that.')).toBeVisible();
  const due = helper.getByRole('button', { name: /^Give bottle \w: done$/ });
  const before = await due.count();
  await due.first().click();
  await expect(due).toHaveCount(before - 1);
  await carePage(helper, 'What each is given');
  await expect(helper.getByText(/: bottle \w$/).first()).toBeVisible();
  await helper.getByRole('link', { name: /^Judge/ }).click();
  await confirmed(helper, 'Open the key and judge', 'Open it');
  await expect(helper.getByText('Only a keeper of this garden can do that.')).toBeVisible();
  await keeper.goto(`${address}/garden`);
  await comeIn(keeper, KEEPER);
  await keeper.getByRole('button', { name: 'Sign everybody out' }).click();
  await expect(keeper.getByRole('heading', { name: 'Come in' })).toBeVisible();
  await helper.goto(`${address}/trials`);
  await expect(helper.getByRole('heading', { name: 'Come in' })).toBeVisible();
});

test('a walk that was opened once, by links, opens without a connection, its panels too, and sends what was put down', async () => {
  test.slow();
  const page = await phone();
  await page.goto(`${address}/trials`);
  await comeIn(page, HELPER);
  await page.getByRole('link', { name: STRAWBERRIES }).click();
  await page.getByRole('link', { name: 'Walk round' }).first().click();
  await expect(page.getByText('This walk opens without a connection, too.')).toBeVisible();
  const before = Number((await page.getByText(/^\d+ of 24 read/).textContent())?.match(/\d+/)?.[0]);
  await page.context().setOffline(true);
  await page.reload();
  await page.waitForSelector('html[data-ready]');
  await page.getByText('No value, a note, a picture').click();
  await expect(page.getByText(/^Picture of/)).toBeVisible();
  await page.getByRole('button', { name: 'Not looked at' }).click();
  await expect(page.getByText('no connection: 1 kept here')).toBeVisible();
  await page.reload();
  await expect(page.getByText('no connection: 1 kept here')).toBeVisible();
  await page.context().setOffline(false);
  await expect(page.getByText('all sent')).toBeVisible();
  await expect(page.getByText(`${before + 1} of 24 read`)).toBeVisible();
});

test('signed out on a walk, one comes in again and what was put down meanwhile is sent', async () => {
  const page = await phone();
  await page.goto(`${address}/trials`);
  await comeIn(page, HELPER);
  await page.getByRole('link', { name: STRAWBERRIES }).click();
  await page.getByRole('link', { name: 'Walk round' }).first().click();
  const read = page.getByText(/^\d+ of 24 read/);
  const before = Number((await read.textContent())?.match(/\d+/)?.[0]);
  await page.context().clearCookies();
  await page.getByText('No value, a note, a picture').click();
  await page.getByRole('button', { name: 'Not looked at' }).click();
  const way = page.getByRole('link', { name: 'Come in again: 1 kept here' });
  await expect(way).toBeVisible();
  await way.click();
  await comeIn(page, HELPER);
  await expect(page).toHaveURL(({ pathname }) => pathname.endsWith('/walk'));
  await expect(page.getByText('all sent')).toBeVisible();
  await expect(page.getByText(`${before + 1} of 24 read`)).toBeVisible();
});

test('a server that others could reach does not start without a passphrase', async () => {
  const bare = mkdtempSync(join(tmpdir(), 'turnspit-bare-'));
  const open = startServer(join(bare, DATA_FILE), await freePort(), '0.0.0.0');
  let said = '';
  open.stderr?.on('data', piece => {
    said += String(piece);
  });
  const status = await new Promise<number | null>(resolve => open.on('exit', resolve));
  expect(status).toBe(1);
  expect(said).toContain('listen on 0.0.0.0');
  expect(said).toContain('npm run share');
});
