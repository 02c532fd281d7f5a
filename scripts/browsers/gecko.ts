import puppeteer from 'puppeteer-core';
import type { Engine } from './engine';

const FIREFOX = '/usr/bin/firefox-esr';

/** Debian’s firefox-esr, at a phone’s width. */
export async function gecko(): Promise<Engine> {
  const browser = await puppeteer.launch({
    browser: 'firefox',
    executablePath: FIREFOX,
    headless: true,
    protocol: 'webDriverBiDi',
  });
  const page = await browser.newPage();
  await page.setViewport({ width: 500, height: 900 });
  return {
    name: `Gecko (${await browser.version()})`,
    open: async url => void (await page.goto(url)),
    evaluate: async <Value>(expression: string) => (await page.evaluate(expression)) as Value,
    click: selector => page.click(selector),
    type: text => page.keyboard.type(text),
    enter: () => page.keyboard.press('Enter'),
    quit: () => browser.close(),
  };
}
