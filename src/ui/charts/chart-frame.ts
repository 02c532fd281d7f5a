/** A chart as it is taken along. Lengths in px of the page. */
export interface SavedPicture {
  readonly title: string;
  /** What stands beside the drawing in rows of one height, from the top; each in lines. */
  readonly rows: readonly (readonly string[])[];
  readonly rowPx: number;
  readonly chart: { readonly width: number; readonly height: number };
}

const MARGIN = 24;
const TITLE_PX = 48;
const ROWS_PX = 190;
const LINE_PX = 20;

/** The size of the whole, and where the chart lies in it. */
export function frameOf({ rows, chart }: SavedPicture): {
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly top: number;
} {
  const left = MARGIN + (rows.length > 0 ? ROWS_PX : 0);
  return {
    width: left + chart.width + MARGIN,
    height: TITLE_PX + chart.height + MARGIN,
    left,
    top: TITLE_PX,
  };
}

/** The page's own ground, the title over the chart, and the rows beside it. */
export function paintFrame(pen: CanvasRenderingContext2D, picture: SavedPicture): void {
  const { width, height } = frameOf(picture);
  const style = getComputedStyle(document.body);
  pen.fillStyle = style.getPropertyValue('--slate').trim();
  pen.fillRect(0, 0, width, height);
  pen.fillStyle = style.color;
  pen.textBaseline = 'middle';
  const write = (words: string, y: number, weight: number, px: number, mostPx: number): void => {
    pen.font = `${weight} ${px}px ${style.fontFamily}`;
    const share = Math.min(1, mostPx / pen.measureText(words).width);
    pen.font = `${weight} ${px * share}px ${style.fontFamily}`;
    pen.fillText(words, MARGIN, y);
  };
  write(picture.title, TITLE_PX / 2, 600, 18, width - 2 * MARGIN);
  for (const [i, row] of picture.rows.entries())
    for (const [line, words] of row.entries())
      write(words, rowTop(picture, i) + line * LINE_PX, 400, 16, ROWS_PX - 12);
}

/** Where a row's first line stands, so that all of its lines lie about its middle. */
function rowTop({ rows, rowPx }: SavedPicture, at: number): number {
  return TITLE_PX + rowPx * (at + 0.5) - (((rows[at]?.length ?? 1) - 1) * LINE_PX) / 2;
}
