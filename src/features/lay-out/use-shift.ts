import { type KeyboardEvent, type PointerEvent, type RefObject, useRef, useState } from 'react';

/** What is being moved, and by how much so far, in mm. */
export interface Shift {
  readonly id: string;
  readonly xMm: number;
  readonly yMm: number;
}

export interface ShiftHandlers {
  readonly onKeyDown: (event: KeyboardEvent) => void;
  readonly onPointerDown: (event: PointerEvent<SVGGElement>) => void;
  readonly onPointerMove: (event: PointerEvent) => void;
  readonly onPointerUp: (event: PointerEvent) => void;
  readonly onPointerCancel: () => void;
}

const STEP_MM = 10;
const LONG_STEP_MM = 100;
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/**
 * Moves things in a drawing with mouse, finger or arrows, to the centimetre.
 *
 * @param shown what the drawing shows from side to side
 * @param settle told by how much, when it is let go or an arrow is pressed
 */
export function useShift(
  drawing: RefObject<SVGSVGElement | null>,
  shown: { readonly widthMm: number; readonly depthMm: number },
  settle: (id: string, dx: number, dy: number) => void,
): { readonly shift: Shift | null; readonly handlersOf: (id: string) => ShiftHandlers } {
  const [shift, setShift] = useState<Shift | null>(null);
  const grip = useRef<{
    readonly pointer: number;
    readonly fromX: number;
    readonly fromY: number;
  } | null>(null);
  const end = (): void => setShift(null);
  const shiftAt = (event: PointerEvent): readonly [number, number] => {
    const box = drawing.current?.getBoundingClientRect();
    const scale =
      box && box.width > 0 && box.height > 0
        ? Math.max(shown.widthMm / box.width, shown.depthMm / box.height)
        : 1; // the tighter side decides how large it is drawn
    const round = (mm: number): number => Math.round(mm / STEP_MM) * STEP_MM;
    return grip.current
      ? [
          round((event.clientX - grip.current.fromX) * scale),
          round((event.clientY - grip.current.fromY) * scale),
        ]
      : [0, 0];
  };
  const handlersOf = (id: string): ShiftHandlers => ({
    onKeyDown: event => {
      const step = STEPS[event.key];
      if (!step) return;
      event.preventDefault();
      const size = event.shiftKey ? LONG_STEP_MM : STEP_MM;
      settle(id, step[0] * size, step[1] * size);
    },
    onPointerDown: event => {
      event.currentTarget.setPointerCapture(event.pointerId);
      grip.current = { pointer: event.pointerId, fromX: event.clientX, fromY: event.clientY };
      setShift({ id, xMm: 0, yMm: 0 });
    },
    onPointerMove: event => {
      if (grip.current?.pointer !== event.pointerId) return;
      const [xMm, yMm] = shiftAt(event);
      setShift({ id, xMm, yMm });
    },
    onPointerUp: event => {
      if (grip.current?.pointer !== event.pointerId) return;
      const [dx, dy] = shiftAt(event);
      grip.current = null;
      end();
      if (dx !== 0 || dy !== 0) settle(id, dx, dy);
    },
    onPointerCancel: () => {
      grip.current = null;
      end();
    },
  });
  return { shift, handlersOf };
}
