import { expectAccessible, expectAccessibleHoweverSeen } from './accessible';
import { expect, test } from './garden-server';

const BEANS = 'Do three feeds help dwarf beans?';
const BEETROOT = 'How deep must leaf-mould lie under beetroot?';
const STRAWBERRIES = 'Bark or loam in the troughs, and does either want feeding?';

const VIEWS = [
  { name: 'Today', path: '/', trial: undefined },
  { name: 'Trials', path: '/trials', trial: undefined },
  { name: 'Garden', path: '/garden', trial: undefined },
  { name: 'A new question', path: '/trials/new', trial: undefined },
  { name: 'a crossed question', path: '/trials/new?from=mulch-and-feed', trial: undefined },
  { name: 'a question of doses', path: '/trials/new?from=how-much', trial: undefined },
  { name: 'Print', path: 'print', trial: BEANS },
  { name: 'Ask', path: 'ask', trial: BEANS },
  { name: 'Lay out', path: 'lay-out', trial: BEANS },
  { name: 'Tend', path: 'tend', trial: STRAWBERRIES },
  { name: 'a care plan', path: 'tend?page=plan', trial: STRAWBERRIES },
  { name: 'what each is given', path: 'tend?page=given', trial: BEANS },
  { name: 'Shelf', path: '/shelf', trial: undefined },
  { name: 'a product', path: '/shelf/new', trial: undefined },
  { name: 'sums of the shed', path: '/shelf/sums', trial: undefined },
  { name: 'a sum', path: '/shelf/sums?sum=mix', trial: undefined },
  { name: 'Weather', path: '/weather', trial: undefined },
  { name: 'Weigh', path: 'weigh', trial: STRAWBERRIES },
  { name: 'Readings', path: 'readings', trial: STRAWBERRIES },
  { name: 'a close look', path: 'inspect', trial: STRAWBERRIES },
  { name: 'soil', path: 'inspect?page=soil', trial: STRAWBERRIES },
  { name: 'digging up', path: 'inspect?page=dug', trial: STRAWBERRIES },
  { name: 'taste', path: 'inspect?page=taste', trial: STRAWBERRIES },
  { name: 'a walk', path: 'walk', trial: STRAWBERRIES },
  { name: 'Judge', path: 'judge', trial: BEANS },
  { name: 'all measures', path: 'judge?page=measures', trial: BEANS },
  { name: 'how firm a verdict is', path: 'judge?page=firm', trial: BEANS },
  { name: 'what may have spoiled a trial', path: 'judge?page=spoiled', trial: BEANS },
  { name: 'money and time', path: 'judge?page=money', trial: BEANS },
  { name: 'what next', path: 'judge?page=next', trial: BEANS },
  { name: 'a dose series judged', path: 'judge', trial: BEETROOT },
  { name: 'the report', path: 'report', trial: BEANS },
  { name: 'a shut key', path: 'judge', trial: STRAWBERRIES },
] as const;

for (const { name, path, trial } of VIEWS) {
  test(`axe finds nothing on ${name} in either light and at any width, and nothing sticks out sideways`, async ({
    page,
    openPage,
    openTrial,
  }) => {
    const faults: string[] = [];
    page.on('pageerror', error => faults.push(error.message));
    page.on('console', message => {
      if (message.type() === 'error') faults.push(message.text());
    });
    if (trial === undefined) await openPage(path);
    else await openTrial(trial, path);
    if (path === 'judge?page=firm')
      await expect(page.getByText('Analysis of variance', { exact: true })).toBeVisible(); // its last part
    await expectAccessibleHoweverSeen(page);
    expect(faults).toEqual([]);
  });
}

test('the keys are listed under ?', async ({ page, openPage }) => {
  await openPage('/');
  await page.getByRole('button', { name: 'Keys' }).click();
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await expectAccessible(page);
  // Whoever wants none of them shuts them off, and they stay off.
  await page.getByRole('checkbox', { name: 'lead where the list says' }).click();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.reload();
  await page.waitForSelector('html[data-ready]');
  await page.keyboard.press('l');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.getByRole('button', { name: 'Keys' }).click();
  await page.getByRole('checkbox', { name: 'lead where the list says' }).click();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.keyboard.press('l');
  await page.waitForURL(/\/trials$/);
});

test('a trial that does not exist says so', async ({ page, openPage }) => {
  await openPage('/trials/019ed9be-0000-7000-8000-000000000000/judge');
  await expect(page.getByRole('heading', { name: 'Nothing grows here' })).toBeVisible();
});
