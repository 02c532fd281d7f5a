'use client';

import { useEffect, useState } from 'react';

const NAMES = [
  'ink',
  'ink-soft',
  'rule',
  'rule-strong',
  'paper',
  'slate',
  'slate-deep',
  'clay',
  'band',
  'leaf',
  'hue-1',
  'hue-2',
  'hue-3',
  'hue-4',
  'hue-5',
  'hue-6',
  'hue-7',
  'hue-8',
] as const;

/** The colours of the theme as a canvas needs them: plain values, by token name. */
export type Tokens = Readonly<Record<(typeof NAMES)[number], string>> & { readonly font: string };

/** Reads the theme's colours, again whenever light and dark change; null before the first look at the page. */
export function useTokens(): Tokens | null {
  const [tokens, setTokens] = useState<Tokens | null>(null);
  useEffect(() => {
    const dark = window.matchMedia('(prefers-color-scheme: dark)');
    const read = (): void => setTokens(readTokens());
    read();
    dark.addEventListener('change', read);
    return () => dark.removeEventListener('change', read);
  }, []);
  return tokens;
}

function readTokens(): Tokens {
  const style = getComputedStyle(document.documentElement);
  const of = (name: (typeof NAMES)[number]): string => style.getPropertyValue(`--${name}`).trim();
  return {
    ink: of('ink'),
    'ink-soft': of('ink-soft'),
    rule: of('rule'),
    'rule-strong': of('rule-strong'),
    paper: of('paper'),
    slate: of('slate'),
    'slate-deep': of('slate-deep'),
    clay: of('clay'),
    band: of('band'),
    leaf: of('leaf'),
    'hue-1': of('hue-1'),
    'hue-2': of('hue-2'),
    'hue-3': of('hue-3'),
    'hue-4': of('hue-4'),
    'hue-5': of('hue-5'),
    'hue-6': of('hue-6'),
    'hue-7': of('hue-7'),
    'hue-8': of('hue-8'),
    font: style.fontFamily,
  };
}

/** The colour of a treatment: ink for the control (−1), else one of the eight hues. */
export function tokenHue(tokens: Tokens, index: number): string {
  const hues = [
    tokens['hue-1'],
    tokens['hue-2'],
    tokens['hue-3'],
    tokens['hue-4'],
    tokens['hue-5'],
    tokens['hue-6'],
    tokens['hue-7'],
    tokens['hue-8'],
  ];
  return index < 0 ? tokens.ink : (hues[index % hues.length] ?? tokens.ink);
}
