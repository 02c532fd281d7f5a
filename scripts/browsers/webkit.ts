import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Builder, By, Key } from 'selenium-webdriver';
import type { Engine } from './engine';

const PORT = '7777';
const DISPLAY = ':97';
const BROWSER = '/usr/lib/x86_64-linux-gnu/webkit2gtk-4.1/MiniBrowser';
const ENVIRONMENT = {
  ...process.env,
  DISPLAY,
  // There is no graphics card, and nothing but this application is ever opened in it.
  WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS: '1',
  LIBGL_ALWAYS_SOFTWARE: '1',
  WEBKIT_DISABLE_COMPOSITING_MODE: '1',
  XDG_RUNTIME_DIR: mkdtempSync(join(tmpdir(), 'turnspit-xdg-')),
};

/** Debian’s WebKitGTK in a screen of its own; its window is never narrower than about 447 pixels. */
export async function webkit(): Promise<Engine> {
  const screen = spawn('Xvfb', [DISPLAY, '-screen', '0', '500x900x24'], { stdio: 'ignore' });
  const door = spawn('WebKitWebDriver', [`--port=${PORT}`], { stdio: 'ignore', env: ENVIRONMENT });
  await new Promise(resolve => setTimeout(resolve, 1500));
  const driver = await new Builder()
    .usingServer(`http://127.0.0.1:${PORT}`)
    .withCapabilities({
      browserName: 'MiniBrowser',
      'webkitgtk:browserOptions': { binary: BROWSER, args: ['--automation'] },
    })
    .build();
  const version = (await driver.getCapabilities()).get('browserVersion');
  return {
    name: `WebKit (${version})`,
    open: url => driver.get(url),
    evaluate: expression => driver.executeScript(`return (${expression})`),
    click: async selector => {
      const found = await driver.findElement(By.css(selector));
      await driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', found);
      await found.click();
    },
    type: async text => {
      await driver.switchTo().activeElement().sendKeys(text);
    },
    enter: async () => {
      await driver.switchTo().activeElement().sendKeys(Key.ENTER);
    },
    quit: async () => {
      await driver.quit();
      door.kill();
      screen.kill();
    },
  };
}
