import { render, screen } from '@testing-library/react';
import { BLANK_FEATURE } from '@/core/trial/model/blank-facts';
import type { SiteFeature } from '@/core/trial/model/layout';
import { SiteMarks } from './SiteMarks';
import { siteExtent } from './site-extent';

const bench = { widthMm: 2000, depthMm: 1000 };
const feature = (
  kind: SiteFeature['kind'],
  side: SiteFeature['side'],
  line: SiteFeature['line'] = null,
): SiteFeature => ({ kind, side, percent: 20, ...BLANK_FEATURE, line });

test('room is made where something lies, and nowhere else', () => {
  expect(siteExtent([], bench)).toEqual({ left: 0, right: 0, far: 0, near: 0 });
  const slope = siteExtent([feature('slope', 'left')], bench);
  expect([slope.left > 0, slope.right, slope.far, slope.near]).toEqual([true, 0, 0, 0]);
});

test('a wall far off is still in the drawing, whichever way its ends are given', () => {
  const away = { x1Mm: 2900, y1Mm: 1400, x2Mm: -700, y2Mm: -300 };
  const turned = { x1Mm: away.x2Mm, y1Mm: away.y2Mm, x2Mm: away.x1Mm, y2Mm: away.y1Mm };
  const room = siteExtent([feature('wall', 'near', away)], bench);
  expect([room.left >= 700, room.right >= 900, room.far >= 300, room.near >= 400]).toEqual([
    true,
    true,
    true,
    true,
  ]);
  expect(siteExtent([feature('wall', 'near', turned)], bench)).toEqual(room);
});

test('each is drawn with its words: gradients at their side, the rest where it is', () => {
  render(
    <svg aria-hidden="true">
      <SiteMarks
        site={[
          feature('slope', 'left'),
          feature('light', 'left'),
          feature('tap', 'right'),
          feature('fence', 'far'),
        ]}
        {...bench}
      />
    </svg>,
  );
  for (const words of ['slope, high 20%', 'light 20%', 'tap 20%', 'fence 20%'])
    expect(screen.getByText(words)).toBeInTheDocument();
  const [slope, light] = ['slope, high 20%', 'light 20%'].map(words =>
    screen.getByText(words).parentElement?.getAttribute('transform'),
  );
  expect(slope).not.toBe(light);
});
