import { BasicPlatform, Chart as ChartJs } from 'chart.js';
import { Context, Element } from 'svgcanvas';
import { frameOf, paintFrame, type SavedPicture } from './chart-frame';

/** A chart that stands on the page as an SVG file: drawn anew by the chart library itself, with a pen that writes lines and words. */
export function chartSvg(drawn: HTMLCanvasElement, picture: SavedPicture): string {
  const { width, height, left, top } = frameOf(picture);
  const pen = new Context({ width, height });
  paintFrame(pen, picture);
  const chart = drawnAnew(drawn, picture.chart);
  chart.setAttribute('x', String(left));
  chart.setAttribute('y', String(top));
  pen.getSvg().append(chart);
  return new XMLSerializer().serializeToString(pen.getSvg());
}

function drawnAnew(drawn: HTMLCanvasElement, size: SavedPicture['chart']): SVGSVGElement {
  const live = ChartJs.getChart(drawn);
  if (!live) throw new Error('no chart is drawn here');
  const canvas = new Element(size);
  const { type, data, options, plugins } = live.config as ChartJs['config'] & {
    readonly type: 'scatter';
  };
  const anew = new ChartJs(canvas, {
    type,
    // With a style by segment the library draws its lines by the pen, not by paths that only a canvas knows.
    data: { ...data, datasets: data.datasets.map(each => ({ ...each, segment: {} })) },
    plugins: plugins ?? [],
    platform: BasicPlatform, // no mouse, no resizing: it is drawn once
    options: { ...options, animation: false, responsive: false, devicePixelRatio: 1 },
  });
  anew.draw();
  return canvas.svg;
}
