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
  ['uk', '80 m', 80],
  ['uk', '80', 80],
  ['us', '262', 79.858],
  ['us', '80 m', 80],
  ['us', '−282 ft', -85.954],
])('in a %s garden a height of “%s” is %d m above the sea', async (system, altitude, metres) => {
  const { name } = await currentGarden();
  expect(await saveGarden({ name, system, altitude })).toMatchObject({ ok: true });
  expect((await currentGarden()).altitudeM).toBe(metres);
});

const SAYS = {
  uk: 'From −500 to 9000 m above the sea: 80 m.',
  us: 'From −1,600 to 29,500 ft above the sea: 260 ft.',
} as const;

test.each(['high', '10 kg', '9001 m', '-501 m'])('“%s” is no height', async altitude => {
  const { name, system } = await currentGarden();
  expect(await saveGarden({ name, system, altitude })).toEqual({
    ok: false,
    trouble: { altitude: SAYS[system] },
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
