import { type AxisRange, axisSpan, cutAt, roundTicks, type Span } from '@/core/quantity/axis-span';
import { letterOf, type Report, type ReportDots, type ReportMap } from './report';
import { written } from './written';

const WIDTH = 620;
const ROW = 62;
const SIDE = 12;

/** Every unit as a dot, row by row, with the interval beneath it, and the band of what would not matter. */
export function dotsSvg({
  dots,
  band,
  printValue,
  roundUnit,
  letters,
  control,
}: Pick<Report, 'dots' | 'band' | 'printValue' | 'roundUnit' | 'letters' | 'control'>): string {
  const [low, high] = axisSpan(
    [
      0,
      1e-9,
      ...dots.flatMap(row => [...row.values, row.mean ?? []].flat()),
      ...(band?.ends ?? []),
    ],
    dots.flatMap(row => row.interval ?? []),
    0,
  );
  const x = (value: number): number => SIDE + ((WIDTH - 2 * SIDE) * (value - low)) / (high - low);
  const bottom = ROW * dots.length + 6;
  const rows = dots.map((row, i) =>
    dotRow(row, ROW * i, { x, min: low, max: high }, letterOf(letters, row.treatment), control),
  );
  const axis = roundTicks([low, high], roundUnit(high))
    .map(
      tick =>
        `<line x1="${at(x(tick))}" x2="${at(x(tick))}" y1="${bottom}" y2="${bottom + 5}" class="rule"/><text x="${at(x(tick))}" y="${bottom + 20}" class="tick" text-anchor="${anchor(x(tick))}">${written(printValue(tick))}</text>`,
    )
    .join('');
  return `<svg viewBox="0 0 ${WIDTH} ${bottom + 26}" role="img" aria-label="Each as a dot, with intervals">${band ? bandSvg(band, x, bottom) : ''}${rows.join('')}<line x1="${SIDE}" x2="${WIDTH - SIDE}" y1="${bottom}" y2="${bottom}" class="rule"/>${axis}</svg>`;
}

function bandSvg(
  { control, ends: [from, to] }: NonNullable<Report['band']>,
  x: (value: number) => number,
  bottom: number,
): string {
  return `<rect x="${at(x(from))}" y="0" width="${at(x(to) - x(from))}" height="${bottom}" class="band"/><line x1="${at(x(control))}" x2="${at(x(control))}" y1="0" y2="${bottom}" class="middle"/>`;
}

function dotRow(
  { treatment, values, mean, interval }: ReportDots,
  top: number,
  { x, ...axis }: AxisRange & { readonly x: (value: number) => number },
  letter: string,
  control: string,
): string {
  const y = top + 36;
  const name = `${stake(letter, treatment === control, SIDE, top + 2)}<text x="${SIDE + 22}" y="${top + 16}" class="name">${written(treatment)}</text>`;
  const points = values
    .map((value, i) => `<circle cx="${at(x(value))}" cy="${y + ((i % 3) - 1) * 4}" r="4"/>`)
    .join('');
  const line = interval ? rangeSvg(interval, y + 13, x, axis) : '';
  const middle =
    mean === null
      ? ''
      : `<line x1="${at(x(mean))}" x2="${at(x(mean))}" y1="${y + 6}" y2="${y + 20}" class="mean"/>`;
  return `<g>${name}${points}${line}${middle}</g>`;
}

/** A range with a bar across each end, or an arrow where it goes on beyond the drawing. */
function rangeSvg(range: Span, y: number, x: (value: number) => number, axis: AxisRange): string {
  const { drawn, beyond } = cutAt(range, axis);
  const ends = drawn.map((end, i) => {
    const [place, out] = [x(end), i === 0 ? -1 : 1];
    return beyond[i]
      ? `<path d="M${at(place - 7 * out)} ${y - 5}L${at(place)} ${y}L${at(place - 7 * out)} ${y + 5}" class="interval open"/>`
      : `<line x1="${at(place)}" x2="${at(place)}" y1="${y - 4}" y2="${y + 4}" class="interval"/>`;
  });
  return `<line x1="${at(x(drawn[0]))}" x2="${at(x(drawn[1]))}" y1="${y}" y2="${y}" class="interval"/>${ends.join('')}`;
}

/** A plant label with its letter; the control’s is outline only. */
export function stake(letter: string, isControl: boolean, x: number, y: number): string {
  return `<g transform="translate(${x} ${y})"><path d="M0 0H14V12L7 19L0 12Z" class="${isControl ? 'stake empty' : 'stake'}"/><text x="7" y="11" class="${isControl ? 'letter' : 'letter on'}" text-anchor="middle">${written(letter)}</text></g>`;
}

export function mapSvg({ widthMm, depthMm, units }: ReportMap, controlLetter: string): string {
  const size = Math.max(1, Math.min(...units.map(unit => Math.min(unit.w, unit.h))));
  const pots = units.map(({ x, y, w, h, letter, code }) => {
    const isControl = letter === controlLetter;
    const middle = `x="${x + w / 2}" text-anchor="middle"`;
    return `<rect x="${x}" y="${y}" width="${w}" height="${h}" rx="${size / 10}" class="${isControl ? 'pot empty' : 'pot'}" stroke-width="${size / 40}"/><text ${middle} y="${y + h / 2}" font-size="${size / 2.6}" font-weight="700">${written(letter)}</text><text ${middle} y="${y + h / 2 + size / 3.4}" font-size="${size / 4.6}">${written(code)}</text>`;
  });
  return `<svg viewBox="0 0 ${widthMm} ${depthMm}" role="img" aria-label="The bench from above" style="max-height:340px">${pots.join('')}</svg>`;
}

function anchor(x: number): string {
  return x < 40 ? 'start' : x > WIDTH - 40 ? 'end' : 'middle';
}

function at(place: number): string {
  return place.toFixed(1);
}
