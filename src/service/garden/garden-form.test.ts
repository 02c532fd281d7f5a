import { currentGarden, saveGarden } from './garden';
import { freshGardenForEachTest } from './garden-fixture';

freshGardenForEachTest();

test.each(['02-30', '04-31', '13-01', 'May'])('%s is no day of a frost', async lastFrost => {
  const { name, system } = await currentGarden();
  expect(await saveGarden({ name, system, lastFrost })).toMatchObject({
    ok: false,
    trouble: { lastFrost: expect.stringContaining('Month and day, as 05-14.') },
  });
});

test.each([
  ['05-14', '05-14'],
  ['02-29', '02-29'],
  ['', null],
])('“%s” is kept as %s', async (lastFrost, kept) => {
  const { name, system } = await currentGarden();
  expect(await saveGarden({ name, system, lastFrost })).toMatchObject({ ok: true });
  expect((await currentGarden()).lastFrost).toBe(kept);
});
