'use client';

import dynamic from 'next/dynamic';
import { Select, type SelectProps } from './Select';

/** So many can be looked through; of more, one is found by typing. */
const LOOKED_THROUGH = 12;

const ComboBox = dynamic(() => import('./ComboBox').then(({ ComboBox }) => ComboBox), {
  ssr: false,
});

/** One of a list that may be long: a dozen as the system's own list, more as a line to type on. */
export function LongSelect(props: Omit<SelectProps<string>, 'hidesLabel'>) {
  return props.options.length > LOOKED_THROUGH ? <ComboBox {...props} /> : <Select {...props} />;
}
