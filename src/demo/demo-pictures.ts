import sharp from 'sharp';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { seededRandom } from '@/core/stats/distributions/seeded-random';

const [WIDTH, HEIGHT] = [1200, 900];
const GREENS = ['#3f7a3d', '#5a9350', '#2f6233', '#76a85f'];

/**
 * A made-up picture of a trough from above, with a rule beside it: the larger the plant, the more leaves.
 *
 * @param size of the plant, 0 to 1
 */
export async function plantPicture(size: number, seed: number): Promise<Uint8Array> {
  const random = seededRandom(seed);
  const leaves = Array.from({ length: Math.round(12 + 46 * size) }, () => {
    const [x, y] = [
      WIDTH / 2 + 260 * Math.sqrt(size) * normalDraw(random) * 0.6,
      HEIGHT / 2 + 180 * Math.sqrt(size) * normalDraw(random) * 0.6,
    ];
    const turn = Math.round(360 * random.share());
    const long = 40 + 45 * size + 20 * random.share();
    return `<g transform="translate(${x.toFixed(0)} ${y.toFixed(0)}) rotate(${turn})" fill="${GREENS[random.below(GREENS.length)]}"><ellipse rx="${long.toFixed(0)}" ry="${(long * 0.6).toFixed(0)}"/><path d="M${-long} 0H${long}" stroke="#cfe0b8" stroke-width="3"/></g>`;
  });
  const marks = Array.from(
    { length: 21 },
    (_, i) =>
      `<path d="M${100 + 50 * i} 860v${i % 5 === 0 ? -34 : -18}" stroke="#333" stroke-width="4"/>`,
  );
  const drawing = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}"><rect width="100%" height="100%" fill="#8d8a80"/><rect x="90" y="110" width="1020" height="660" rx="30" fill="#5b4638"/>${leaves.join('')}<rect x="80" y="826" width="1040" height="40" fill="#e9dfb8"/>${marks.join('')}</svg>`;
  return sharp(Buffer.from(drawing)).png().toBuffer();
}

/** What the whole width of such a picture measures: its rule has a mark each 2 cm. */
export const PICTURE_WIDTH_MM = (WIDTH / 50) * 20;
