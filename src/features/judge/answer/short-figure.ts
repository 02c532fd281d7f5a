import { printFigure } from '@/features/judge/print-value';

export const shortFigure = (value: number): string => printFigure(Number(value.toPrecision(3)));
