/** It ships no types of its own. What we use of it: a pen of a canvas that writes SVG. */
declare module 'svgcanvas' {
  export interface SvgPen extends CanvasRenderingContext2D {
    readonly getSvg: () => SVGSVGElement;
    readonly getSerializedSvg: () => string;
  }
  export const Context: new (size: { readonly width: number; readonly height: number }) => SvgPen;
  /** Stands in for a canvas. */
  export const Element: new (size: {
    readonly width: number;
    readonly height: number;
  }) => HTMLCanvasElement & { readonly svg: SVGSVGElement };
}
