'use client';

import { useLocale } from 'react-aria-components';
import { amountWords } from '@/core/materials/amount-words';
import { printRain } from '@/core/quantity/print-quantity';
import { printTemperature } from '@/core/quantity/temperature';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';

/** Whose measures the garden reads: by the language of the page, which follows the garden's setting. */
export function useSystem(): MeasureSystem {
  return useLocale().locale === 'en-US' ? 'us' : 'uk';
}

/** Prints an amount to measure out in the garden's own units. */
export function useAmountWords(): (amount: number, of: 'mass' | 'volume') => string {
  const system = useSystem();
  return (amount, of) => amountWords(amount, of, system);
}

/** Prints rain as the garden's gauge shows it. */
export function useRainWords(): (mm: number) => string {
  const system = useSystem();
  return mm => printRain(mm, system);
}

/** Prints a temperature as the garden's thermometer shows it. */
export function useTemperatureWords(): (celsius: number, digits?: number) => string {
  const system = useSystem();
  return (celsius, digits) => printTemperature(celsius, system, digits);
}
