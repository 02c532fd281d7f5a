import { type RefObject, useEffect, useRef } from 'react';

/**
 * What was typed, chosen or ticked before the page's scripts were there, on a slow phone, is taken over: else the screen would show
 * it, and the old would be saved. It goes where it was meant when it was typed, be another pot in hand by now. What a browser puts
 * back by itself after a reload is none of this: lines, lists and ticks ask it not to (`autoComplete="off"`).
 *
 * @param read what stands in the field; undefined where nothing can be read
 */
export function useDoneBefore<Held extends HTMLElement, Value>(
  read: (held: Held) => Value | undefined,
  value: Value,
  onChange: (value: Value) => void,
): RefObject<Held | null> {
  const held = useRef<Held>(null);
  const first = useRef({ read, value, onChange });
  useEffect(() => {
    const stands = held.current ? first.current.read(held.current) : undefined;
    if (stands !== undefined && stands !== first.current.value) first.current.onChange(stands);
  }, []);
  return held;
}

/** What is written on the line in a field. */
export function writtenIn(field: HTMLElement): string | undefined {
  return field.querySelector<HTMLInputElement>('input, textarea')?.value;
}
