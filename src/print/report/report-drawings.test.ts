import fc from 'fast-check';
import type { Report } from './report';
import { dotsSvg, mapSvg } from './report-drawings';

type Drawn = Parameters<typeof dotsSvg>[0];

const drawn = (over: Partial<Drawn>): Drawn => ({
  dots: [
    { treatment: 'plain water', values: [100, 120], mean: 110, interval: null },
    { treatment: 'feed', values: [150, 210], mean: 180, interval: [140, 220] },
  ],
  band: { control: 110, ends: [99, 121] },
  printValue: value => `${value} g`,
  roundUnit: () => 1,
  letters: { 'plain water': 'A', feed: 'B' },
  control: 'plain water',
  ...over,
});
const numbersOf = (svg: string, name: string): readonly number[] =>
  [...svg.matchAll(new RegExp(` ${name}="([^"]*)"`, 'g'))].map(match => Number(match[1]));

describe('the dots of a report', () => {
  it('stand where their values say, with the interval under them and the control in the band', () => {
    const svg = dotsSvg(drawn({}));
    // 0 to 220 g over 596 of 620: 150 g lies at 12 + 596 · 150 / 220.
    expect(svg).toContain('cx="418.4"');
    expect(svg).toContain(`x1="${(12 + (596 * 140) / 220).toFixed(1)}" x2="608.0"`);
    expect(svg.match(/class="stake empty"/g)).toHaveLength(1);
    expect([...svg.matchAll(/class="tick"[^>]*>([^<]*)/g)].map(match => match[1])).toEqual([
      '0 g',
      '50 g',
      '100 g',
      '150 g',
      '200 g',
    ]);
  });

  it('keep their room where a range is wide: it ends in an arrow', () => {
    const dots = [
      { treatment: 'plain water', values: [100, 120], mean: 110, interval: null },
      { treatment: 'feed', values: [150, 210], mean: 180, interval: [-2600, 4100] as const },
    ];
    const svg = dotsSvg(drawn({ dots }));
    // 0 to 420 g: twice as far as what was seen.
    expect(svg).toContain(`cx="${(12 + (596 * 210) / 420).toFixed(1)}"`);
    expect(svg.match(/class="interval open"/g)).toHaveLength(2);
    expect(dotsSvg(drawn({}))).not.toContain('open');
  });

  it('stay within the picture, whatever was read', () => {
    const value = fc.double({ min: -1e6, max: 1e6, noNaN: true });
    const row = fc.record({
      treatment: fc.constantFrom('plain water', 'feed'),
      values: fc.array(value, { maxLength: 8 }),
      mean: fc.option(value),
      interval: fc.option(fc.tuple(value, value)),
    });
    fc.assert(
      fc.property(fc.array(row, { minLength: 1, maxLength: 5 }), dots => {
        const svg = dotsSvg(drawn({ dots: dots as Report['dots'] }));
        expect(svg).not.toMatch(/NaN|Infinity/);
        for (const name of ['cx', 'x1', 'x2'])
          for (const x of numbersOf(svg, name)) expect(x >= 0 && x <= 620).toBe(true);
        const read = dots.reduce((sum, each) => sum + each.values.length, 0);
        expect(numbersOf(svg, 'cx')).toHaveLength(read);
      }),
    );
  });
});

it('the bench of a report leaves the control white', () => {
  const unit = { code: 'WT3', letter: 'B', x: 0, y: 0, w: 200, h: 200 };
  const units = [unit, { ...unit, code: 'GY3', letter: 'A', x: 250 }];
  const svg = mapSvg({ widthMm: 450, depthMm: 200, units }, 'A');
  expect([...svg.matchAll(/class="(pot[^"]*)"/g)].map(match => match[1])).toEqual([
    'pot',
    'pot empty',
  ]);
});
