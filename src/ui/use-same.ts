'use client';

import { useState } from 'react';

/** The same object for as long as what is in it stays the same: a page that the server paints anew hands over equal copies. */
export function useSame<Value>(value: Value): Value {
  const [kept, keep] = useState({ value, key: JSON.stringify(value) });
  const key = JSON.stringify(value);
  if (key === kept.key) return kept.value;
  keep({ value, key });
  return value;
}
