import { type Ref, useEffect, useRef } from 'react';

/** What was typed before the page's scripts were there, on a slow phone, is taken over and not lost. */
export function useTypedBefore(
  value: string,
  onChange: (value: string) => void,
): Ref<HTMLDivElement> {
  const field = useRef<HTMLDivElement>(null);
  const first = useRef({ value, onChange });
  useEffect(() => {
    const typed = field.current?.querySelector<HTMLInputElement>('input, textarea')?.value ?? '';
    if (typed !== '' && typed !== first.current.value) first.current.onChange(typed);
  }, []);
  return field;
}
