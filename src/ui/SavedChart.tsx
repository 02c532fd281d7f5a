'use client';

import { type ReactNode, useRef } from 'react';
import { styled } from 'styled-components';
import { Button } from './Button';

interface SavedChartProps {
  /** What stands over the saved picture, and names its file. */
  readonly title: string;
  /** What stands beside the drawing in rows of one height, from the top: it is part of the picture. */
  readonly rows?: readonly string[];
  readonly rowPx?: number;
  readonly children: ReactNode;
}

const MARGIN = 24;
const TITLE_PX = 48;
const ROWS_PX = 190;

/** A chart that can be taken along: as it stands, with its title, as a picture. */
export function SavedChart({ title, rows = [], rowPx = 0, children }: SavedChartProps) {
  const box = useRef<HTMLDivElement>(null);
  const save = (): void => {
    const drawn = box.current?.querySelector('canvas');
    if (drawn) download(pictureOf(drawn, title, rows, rowPx), `${fileName(title)}.png`);
  };
  return (
    <Box>
      <div ref={box}>{children}</div>
      <Button data-tone="quiet" onPress={save} aria-label={`Save as a picture: ${title}`}>
        Save as a picture
      </Button>
    </Box>
  );
}

/** The drawing on the page's own ground, under its title, beside its rows, at the screen's own sharpness. */
function pictureOf(
  drawn: HTMLCanvasElement,
  title: string,
  rows: readonly string[],
  rowPx: number,
): HTMLCanvasElement {
  const scale = drawn.width / drawn.clientWidth;
  const left = MARGIN + (rows.length > 0 ? ROWS_PX : 0);
  const [width, height] = [
    left + drawn.clientWidth + MARGIN,
    TITLE_PX + drawn.clientHeight + MARGIN,
  ];
  const picture = document.createElement('canvas');
  [picture.width, picture.height] = [width * scale, height * scale];
  const pen = picture.getContext('2d');
  if (!pen) return picture;
  const style = getComputedStyle(document.body);
  pen.scale(scale, scale);
  pen.fillStyle = style.getPropertyValue('--slate').trim();
  pen.fillRect(0, 0, width, height);
  pen.fillStyle = style.color;
  pen.textBaseline = 'middle';
  pen.font = `600 18px ${style.fontFamily}`;
  pen.fillText(title, MARGIN, TITLE_PX / 2, width - 2 * MARGIN);
  pen.font = `16px ${style.fontFamily}`;
  for (const [i, row] of rows.entries())
    pen.fillText(row, MARGIN, TITLE_PX + rowPx * (i + 0.5), ROWS_PX - 12);
  pen.drawImage(drawn, left, TITLE_PX, drawn.clientWidth, drawn.clientHeight);
  return picture;
}

function fileName(title: string): string {
  return (
    title
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 60) || 'chart'
  );
}

function download(picture: HTMLCanvasElement, name: string): void {
  picture.toBlob(blob => {
    if (!blob) return;
    const link = document.createElement('a');
    link.href = URL.createObjectURL(blob);
    link.download = name;
    link.click();
    URL.revokeObjectURL(link.href);
  });
}

const Box = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr);
  & > button { justify-self: start; font-size: 0.9375rem; }
  @media print { & > button { display: none; } }
`;
