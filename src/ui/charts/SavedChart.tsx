'use client';

import { type ReactNode, useRef, useState } from 'react';
import { styled } from 'styled-components';
import { Button } from '../Button';
import { Trouble } from '../Trouble';
import { frameOf, paintFrame, type SavedPicture } from './chart-frame';

interface SavedChartProps {
  /** What stands over the saved picture, and names its file. */
  readonly title: string;
  /** What stands beside the drawing in rows of one height, from the top, each in lines: it is part of the picture. */
  readonly rows?: SavedPicture['rows'];
  readonly rowPx?: number;
  readonly children: ReactNode;
}

/** A chart that can be taken along: as it stands, with its title, as a picture or as lines that stay sharp at any size. */
export function SavedChart({ title, rows = [], rowPx = 0, children }: SavedChartProps) {
  const box = useRef<HTMLDivElement>(null);
  const [isBroken, setBroken] = useState(false);
  const save = (made: Saving): void => {
    const drawn = box.current?.querySelector('canvas');
    if (!drawn) return;
    const chart = { width: drawn.clientWidth, height: drawn.clientHeight };
    made(drawn, { title, rows, rowPx, chart }).then(
      () => setBroken(false),
      () => setBroken(true),
    );
  };
  return (
    <Box>
      <div ref={box}>{children}</div>
      <Ways>
        <Button
          data-tone="quiet"
          onPress={() => save(savePicture)}
          aria-label={`Save as a picture: ${title}`}
        >
          Save as a picture
        </Button>
        <Button
          data-tone="quiet"
          onPress={() => save(saveDrawing)}
          aria-label={`Save as a drawing, SVG: ${title}`}
        >
          as a drawing (SVG)
        </Button>
      </Ways>
      {isBroken && <Trouble>The chart could not be saved: perhaps there is no connection.</Trouble>}
    </Box>
  );
}

type Saving = (drawn: HTMLCanvasElement, picture: SavedPicture) => Promise<void>;

/** As it stands, at the screen's own sharpness. */
const savePicture: Saving = async (drawn, picture) => {
  const scale = drawn.width / drawn.clientWidth;
  const { width, height, left, top } = frameOf(picture);
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width * scale, height * scale];
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('this browser draws no pictures');
  pen.scale(scale, scale);
  paintFrame(pen, picture);
  pen.drawImage(drawn, left, top, picture.chart.width, picture.chart.height);
  const blob = await new Promise<Blob | null>(done => canvas.toBlob(done));
  if (blob) download(blob, `${fileName(picture.title)}.png`);
};

/** Drawn anew as lines and words. */
const saveDrawing: Saving = async (drawn, picture) => {
  const { chartSvg } = await import('./chart-svg'); // few take one along
  const blob = new Blob([chartSvg(drawn, picture)], { type: 'image/svg+xml' });
  download(blob, `${fileName(picture.title)}.svg`);
};

function fileName(title: string): string {
  return (
    title
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 60) || 'chart'
  );
}

function download(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

const Box = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr);
`;

const Ways = styled.div`
  display: flex; flex-wrap: wrap; gap: 0 16px;
  & > button { font-size: 0.9375rem; }
  @media print { display: none; }
`;
