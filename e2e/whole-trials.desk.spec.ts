import { expect, test } from './garden-server';
import {
  daysAgo,
  dealtSeason,
  type Found,
  hiddenStandings,
  lock,
  mishap,
  readRound,
  type Standing,
  standings,
  verdict,
  weighRound,
} from './season';
import { carePage, confirmed, findIn, goToStep, verdictPage } from './trial-steps';

// Twelve whole trials, one of each group of patterns: asked, laid out, tended, read and judged through the screens, with losses,
// late ticks and exclusions. What is expected was worked out by hand from the figures that are typed in.

/** What is typed: the treatment's own level, and by how much the nth of it is off; another one of each treatment in each block. */
const level =
  (levels: Readonly<Record<string, number>>, off: readonly number[]) =>
  ({ treatment, nth }: Standing): number =>
    (levels[treatment] ?? 0) +
    (off[(nth + 2 * Object.keys(levels).indexOf(treatment)) % off.length] ?? 0);

/** A treatment's row of the verdict's table: before its name stands its label's letter. */
const rowOf = (rows: readonly string[], treatment: string): string =>
  rows.find(row => row.split(' | ')[0]?.endsWith(treatment)) ?? '';

const FIVE = [-2, -1, 0, 1, 2] as const; // sums to nothing over five blocks

test.describe.configure({ timeout: 180_000 });

test('feeds in blocks: a pot that was knocked over before anything was read is out, and the rest is held to its shelf', async ({
  page,
}) => {
  await dealtSeason(page, { asks: 'Which feed?', crop: 'dwarf beans', picked: 'beans' });
  await lock(page);
  const units = await standings(page, ['plain water', 'seaweed feed', 'tomato feed']);
  expect(units).toHaveLength(18);
  const lost = units.find(unit => unit.treatment === 'plain water' && unit.block === 1);
  await mishap(page, lost?.code ?? '', {
    was: 'tipped or broken',
    decided: 'Left out altogether',
    why: 'Knocked off the shelf by the wind.',
  });
  // Shelf j stands 2(j − 1) g higher; the feeds are off by 3 and 2 g, up and down in turn, so that their means are 155 and 105.
  const weights: Readonly<Record<string, (block: number) => number>> = {
    'plain water': block => 100 + 2 * (block - 1),
    'seaweed feed': block => 150 + 2 * (block - 1) + (block % 2 === 1 ? 3 : -3),
    'tomato feed': block => 100 + 2 * (block - 1) + (block % 2 === 1 ? -2 : 2),
  };
  await weighRound(
    page,
    units,
    ({ code, treatment, block }): Found =>
      code === lost?.code ? 'not looked at' : (weights[treatment]?.(block) ?? 0),
  );
  const { headline, rows } = await verdict(page);
  // The missing plot by Yates (1933): (6·251 + 3·530 − 2090) / (5·2) = 100.6; plain water is then (530 + 100.6) / 6 = 105.1 g.
  // 155 − 105.1 = 49.9 g, of 105.1 that is 47.5%.
  expect(headline).toMatch(/^Seaweed feed gave 47% more beans than plain water/);
  expect(rowOf(rows, 'seaweed feed')).toMatch(/\| 6 \| 155 g \| \+47\.5% \|/);
  expect(rowOf(rows, 'plain water')).toMatch(/\| 5 \| 106 g \|/);
});

test('increasing amounts: the line through all of them, and where it levels off', async ({
  page,
}) => {
  await dealtSeason(page, { asks: 'How much of it?', crop: 'chard', picked: 'leaves' });
  await lock(page);
  const levels = { '0 ml': 100, '5 ml': 118, '10 ml': 130, '20 ml': 131, '40 ml': 130 };
  const units = await standings(page, Object.keys(levels));
  expect(units).toHaveLength(25);
  await weighRound(page, units, level(levels, FIVE));
  const { headline, rows } = await verdict(page);
  expect(headline).toMatch(/^The more of it, the more leaves; it levels off/);
  for (const [dose, gap] of [
    ['5 ml', '+18.0%'],
    ['10 ml', '+30.0%'],
    ['20 ml', '+31.0%'],
    ['40 ml', '+30.0%'],
  ] as const)
    expect(rowOf(rows, dose)).toContain(`| ${gap} |`);
});

test('two or three things combined: each averaged over the other', async ({ page }) => {
  await dealtSeason(page, { asks: 'Soil and feed together?', crop: 'kale', picked: 'leaves' });
  await lock(page);
  const levels = {
    'garden soil, plain water': 100,
    'garden soil, liquid feed': 110,
    'bought mix, plain water': 130,
    'bought mix, liquid feed': 140,
  };
  const units = await standings(page, Object.keys(levels));
  expect(units).toHaveLength(20);
  await weighRound(page, units, level(levels, FIVE));
  const { headline } = await verdict(page);
  // Soil: (130 + 140) / 2 against (100 + 110) / 2 is 135 against 105, 29% more. Feed: 125 against 115, 9% more.
  expect(headline).toContain('29%');
  expect(headline).toMatch(/bought mix/i);
  await expect(page.getByText(/9%/).first()).toBeVisible();
});

test('pairs: a plant that died takes its pair along, and of the seven left one deal in 64 does as much', async ({
  page,
}) => {
  await dealtSeason(page, {
    asks: 'Does it help to pinch or prune?',
    crop: 'sweet peas',
    picked: 'stems',
  });
  await lock(page);
  const units = await standings(page, ['left alone', 'pinched']);
  expect(units).toHaveLength(16);
  const dead = units.find(unit => unit.treatment === 'left alone' && unit.block === 1);
  await mishap(page, dead?.code ?? '', {
    was: 'a cat, a bird, a vole',
    decided: 'Left out altogether',
    why: 'Eaten by a vole before it was tied in.',
  });
  // Pair j: 10 + j stems on the one left alone, 13 + j or 15 + j on the pinched one: a mean gap of (4·3 + 3·5) / 7 over pairs 2 to 8.
  const stems = ({ treatment, block }: Standing): number =>
    10 + block + (treatment === 'pinched' ? (block % 2 === 0 ? 3 : 5) : 0);
  await weighRound(
    page,
    units,
    (unit): Found => (unit.code === dead?.code ? 'not looked at' : 90),
    stems,
  );
  const { headline, rows } = await verdict(page);
  // 27/7 = 3.857 stems. The plant that is missing would have had 16 − 3.857; over all eight pairs the uncut ones then have
  // (105 + 12.143) / 8 = 14.643 stems, of which 3.857 is 26.3%.
  expect(headline).toMatch(/^Pinched gave 26% more stems than left alone/);
  expect(rowOf(rows, 'pinched')).toContain('| +26.3% |');
  await expect(page.getByText(/128 ways/).first()).toBeVisible();
});

test('containers: what one of them can’t be told from is said while it is laid out, and in the headline', async ({
  page,
}) => {
  await dealtSeason(page, { asks: 'Which container?', crop: 'courgettes', picked: 'courgettes' });
  const levels = { 'plastic tub': 1000, 'felt sack': 1010, 'clay pot': 1300 };
  const units = await standings(page, Object.keys(levels));
  expect(units).toHaveLength(15);
  const codes = (isClay: boolean) =>
    units
      .filter(unit => (unit.treatment === 'clay pot') === isClay)
      .map(unit => unit.code)
      .join(' ');
  await page.getByText('Other differences between them').first().click();
  await page.getByLabel('It is', { exact: true }).fill('mix');
  await page
    .getByLabel('Which have what, a line each')
    .fill(`loam: ${codes(true)}\nbark: ${codes(false)}`);
  await page.getByRole('button', { name: 'Put it down' }).click();
  // At once, without a reload.
  const lost = 'hat clay pot does beside plastic tub can’t be told from mix';
  await expect(page.getByText(`W${lost}.`)).toBeVisible();
  await lock(page);
  await weighRound(page, units, level(levels, [-20, -10, 0, 10, 20]));
  const { headline } = await verdict(page);
  expect(headline).toMatch(/^Clay pot gave 30% more courgettes than plastic tub/);
  expect(headline).toContain(`, though w${lost}.`);
});

test('remedies: sprays of which none is on record, then a paper log with its true days', async ({
  page,
}) => {
  await dealtSeason(page, {
    asks: 'Which remedy against pest or blight?',
    crop: 'cabbage',
    picked: 'heads',
  });
  await lock(page);
  const levels = { 'plain-water spray': 600, 'soap spray': 900, 'oil spray': 610 };
  const units = await standings(page, Object.keys(levels));
  expect(units).toHaveLength(18);
  await goToStep(page, 'Tend');
  await page.getByRole('button', { name: 'Plan something' }).click();
  await page.getByLabel('What is done').fill('soap them');
  await page.getByLabel('It is a', { exact: true }).selectOption('spray');
  await page.getByRole('checkbox', { name: 'soap spray' }).check();
  await page.getByLabel('Days', { exact: true }).fill('14');
  await page.getByLabel('Why the plan changes').fill('It was forgotten before the lock.');
  await page.getByRole('button', { name: 'Put it in the plan' }).click();
  await expect(page.getByRole('button', { name: 'Change soap them' })).toBeVisible();
  await carePage(page, 'Due');
  await expect(page.getByText(/Not ticked in time/)).toBeVisible();
  await weighRound(page, units, level(levels, [-30, -20, -10, 10, 20, 30]));
  const before = await verdict(page);
  // 900 against 600 is half as much again. From day 0 to day 70 every fourteen days: five steps are over, the sixth is today’s.
  expect(before.headline).toMatch(
    /^Soap spray gave 50% more heads than plain-water spray.*, though none of the 5 planned tasks of soap spray is on record\.$/,
  );
  await goToStep(page, 'Tend');
  await page.getByText('Put in a log kept on paper').click();
  const lines = [70, 55, 42, 28, 13].map(ago => `${daysAgo(ago)},soap them,Ida`);
  await page.getByLabel('The log').fill(`day,task,who\n${lines.join('\n')}`);
  await page.getByRole('button', { name: 'Put the log on record' }).click();
  await expect(page.getByText('5 tasks put on record.')).toBeVisible();
  const after = await verdict(page);
  expect(after.headline).toMatch(/^Soap spray gave 50% more heads than plain-water spray/);
  expect(after.headline).not.toContain('on record');
});

test('slugs: counts at the desk; a patch not looked at is no patch without slugs', async ({
  page,
}) => {
  await dealtSeason(page, {
    asks: 'What keeps slugs off?',
    crop: 'lettuces',
    picked: 'heads',
    also: async sheet => {
      await sheet.getByLabel('Main measure').selectOption('Something read off the plants');
      await findIn(page, 'What is read', 'slugs', 'Slugs found');
    },
  });
  await lock(page);
  const levels = { nothing: 20, 'grit ring': 10, 'wool pellets': 20, bait: 2 };
  const units = await standings(page, Object.keys(levels));
  expect(units).toHaveLength(20);
  const unseen = units.find(unit => unit.treatment === 'wool pellets' && unit.nth === 4);
  await goToStep(page, 'Weigh');
  await readRound(page, units, unit =>
    unit.code === unseen?.code ? 'not looked' : String(level(levels, FIVE)(unit)),
  );
  const { headline, rows } = await verdict(page);
  // Bait: 10 slugs on five patches against 100: 90% fewer. Grit: 50 against 100.
  expect(headline).toMatch(/^Bait did best: 90% fewer slugs found than “nothing”/);
  expect(rowOf(rows, 'grit ring')).toMatch(/\| 5 \|.*−50\.0%/);
  expect(rowOf(rows, 'wool pellets')).toMatch(/\| 4 \|/);
});

test('a split plot: whole beds are judged by beds, feeds within them by plots', async ({
  page,
}) => {
  await dealtSeason(page, {
    asks: 'Does mulch hold water, and does feed still help?',
    crop: 'beans',
    picked: 'beans',
  });
  await lock(page);
  const levels = {
    'bare, plain water': 100,
    'bare, liquid feed': 110,
    'mulched, plain water': 125,
    'mulched, liquid feed': 135,
  };
  const units = await standings(page, Object.keys(levels));
  expect(units).toHaveLength(20);
  await weighRound(page, units, level(levels, FIVE));
  const { headline } = await verdict(page);
  // Mulched (125 + 135) / 2 = 130 against 105: 24% more. Fed 122.5 against 112.5: 9% more.
  expect(headline).toContain('24%');
  expect(headline).toMatch(/mulched/i);
  await expect(page.getByText(/9%/).first()).toBeVisible();
});

test('weeds: less is better, and what does harm is said in the headline', async ({ page }) => {
  await dealtSeason(page, {
    asks: 'What keeps the path clear?',
    crop: 'path weeds',
    picked: 'weeds',
  });
  await lock(page);
  const levels = { nothing: 100, hoed: 60, 'hot water': 80, flame: 130 };
  const units = await standings(page, Object.keys(levels));
  expect(units).toHaveLength(20);
  await weighRound(page, units, level(levels, FIVE));
  const { headline, rows } = await verdict(page);
  expect(headline).toMatch(
    /^Hoed did best: 40% less weeds with culls than “nothing”, but flame did worse\.$/,
  );
  expect(rowOf(rows, 'flame')).toMatch(/worse.*\| \+30\.0% \|/);
});

test('a Latin square: rows and columns taken out, the gap is the treatment’s own', async ({
  page,
}) => {
  await dealtSeason(page, {
    asks: 'Light from one side, draught from the other?',
    crop: 'tomatoes',
    picked: 'tomatoes',
  });
  await lock(page);
  const levels = {
    'plain water': 400,
    'half strength': 400,
    'full strength': 560,
    'comfrey tea': 400,
  };
  const units = await standings(page, Object.keys(levels));
  expect(units).toHaveLength(16);
  // Each treatment off by figures of its own that sum to nothing: in no square do rows and columns take all of them out.
  const off: Readonly<Record<string, readonly number[]>> = {
    'plain water': [-9, 3, -3, 9],
    'half strength': [5, -7, 4, -2],
    'full strength': [-4, 6, -8, 6],
    'comfrey tea': [2, -5, 9, -6],
  };
  await weighRound(
    page,
    units,
    ({ treatment, nth }) =>
      (levels[treatment as keyof typeof levels] ?? 0) + (off[treatment]?.[nth] ?? 0),
  );
  const { headline, rows } = await verdict(page);
  expect(headline).toMatch(/^Full strength gave 40% more tomatoes than plain water/);
  expect(rowOf(rows, 'full strength')).toContain('| +40.0% |');
  expect(rowOf(rows, 'half strength')).toContain('0.0% |');
});

test('small shelves: kinds that never stood together are compared by way of others', async ({
  page,
}) => {
  await dealtSeason(page, {
    asks: 'Many kinds, small shelves?',
    crop: 'radishes',
    picked: 'radishes',
  });
  await lock(page);
  const names = ['plain water', ...[1, 2, 3, 4, 5, 6].map(n => `feed ${n}`)];
  const units = await standings(page, names);
  expect(units).toHaveLength(21);
  // Each shelf 10 g above the one before: only what is compared within shelves gives 160 against 100.
  await weighRound(
    page,
    units,
    ({ treatment, block, nth }) =>
      100 + 10 * (block - 4) + (treatment === 'feed 3' ? 60 : 0) + ([-0.2, 0, 0.2][nth] ?? 0),
  );
  const { headline } = await verdict(page);
  expect(headline).toMatch(/^Feed 3 gave (?:59|60|61)% more radishes than plain water/);
});

test('several gardens, blind: what is left out after the key counts all the same, and stands beside', async ({
  page,
}) => {
  await dealtSeason(page, {
    asks: 'Does it hold in other gardens?',
    crop: 'leeks',
    picked: 'leeks',
    isBlind: true,
  });
  await lock(page);
  const levels = { 'as usual': 500, 'the new feed': 650 };
  const units = await hiddenStandings(page);
  expect(units).toHaveLength(20);
  await weighRound(page, units, level(levels, [-9, -7, -5, -3, -1, 1, 3, 5, 7, 9]));
  // Before the key: a pot that is left out is out of the verdict. It weighed 650 + 5 g.
  const early = units.find(unit => unit.treatment === 'the new feed' && unit.nth === 5);
  await mishap(page, early?.code ?? '', {
    was: 'stood in water',
    decided: 'Left out altogether',
    why: 'Its hole was stopped all season.',
  });
  await goToStep(page, 'Judge');
  await confirmed(page, 'Open the key and judge', 'Open it');
  const first = await verdict(page);
  // (10·650 − 655) / 9 = 649.4 g; against 500 g still 30% more.
  expect(first.headline).toMatch(/^The new feed gave 30% more leeks than as usual/);
  expect(rowOf(first.rows, 'the new feed')).toMatch(/\| 9 \| 649 g \|/);
  const late = units.find(unit => unit.treatment === 'as usual');
  await mishap(page, late?.code ?? '', {
    was: 'a cat, a bird, a vole',
    decided: 'Left out altogether',
    why: 'It looked nibbled, now that we look at it.',
  });
  const second = await verdict(page);
  expect(second.headline).toBe(first.headline);
  expect(rowOf(second.rows, 'as usual')).toMatch(/\| 10 \| 500 g \|/);
  await verdictPage(page, 'What may have spoiled it');
  await expect(page.getByText('With only those that had no mishap:')).toBeVisible();
});
