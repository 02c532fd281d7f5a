import type { SeenTrial } from '@/core/blinding/seen-trial';
import { printArea, printDoseMass, printLength, printVolume } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { AsBuilt } from '@/core/trial/model/as-built';
import { counted } from '@/core/words/plural';
import { blockCalled } from '@/features/weigh/mishap-view';

/** What units were put down as, alike ones together, and of which it can be said at once. */
export interface BuiltView {
  /** What is left of the plan, in sentences, where units were left out. */
  readonly standing: readonly string[];
  readonly lines: readonly { readonly codes: string; readonly words: string }[];
  readonly choices: readonly { readonly value: string; readonly label: string }[];
}

const MANY = 8;

/**
 * @param isOpen of a blind trial nothing is said by treatment
 * @param standing what is left of the plan, in sentences
 */
export function builtViewOf(
  data: SeenTrial,
  isOpen: boolean,
  system: MeasureSystem,
  standing: readonly string[],
): BuiltView {
  const { units, blocks, treatments, trial, layout } = data;
  const words = units.map(({ built }) => (built ? builtWords(built, system) : ''));
  const different = [...new Set(words)].filter(each => each !== '');
  return {
    standing,
    lines: different.map(each => {
      const codes = units.filter((_, i) => words[i] === each).map(unit => unit.code);
      return {
        codes:
          codes.length === units.length
            ? `All ${counted(codes.length, trial.unitWord)}:`
            : `${codes.length > MANY ? `${codes.slice(0, MANY).join(' ')} and ${codes.length - MANY} more` : codes.join(' ')}:`,
        words: each,
      };
    }),
    choices: [
      { value: 'all', label: `all ${counted(units.length, trial.unitWord)}` },
      ...(isOpen
        ? treatments.map(({ id, name }) => ({
            value: `treatment:${id}`,
            label: `all with ${name}`,
          }))
        : []),
      ...blocks.map(({ id, name }) => ({
        value: `block:${id}`,
        label: `all of ${blockCalled(name, layout)}`,
      })),
      ...units.map(({ id, code }) => ({ value: `unit:${id}`, label: `${code} alone` })),
    ],
  };
}

function builtWords(built: AsBuilt, system: MeasureSystem): string {
  const { areaM2, mixMl, plants, seedG, plantedMm, plantedOn, lot, container, medium } = built;
  const said = (value: number | null, print: (value: number) => string): readonly string[] =>
    value === null ? [] : [print(value)];
  return [
    ...(container === '' ? [] : [container]),
    ...said(areaM2, m2 => printArea(m2, system)),
    ...said(
      mixMl,
      ml => `${printVolume(ml, system)}${medium === '' ? ' of mix' : ` of ${medium}`}`,
    ),
    ...(mixMl === null && medium !== '' ? [medium] : []),
    ...said(plants, count => counted(count, 'plant')),
    ...said(seedG, g => `${printDoseMass(g, system)} of seed${lot === '' ? '' : ` (${lot})`}`),
    ...(seedG === null && lot !== '' ? [`seed of ${lot}`] : []),
    ...said(plantedMm, mm => `${printLength(mm, system)} deep`),
    ...(plantedOn === null ? [] : [`planted on ${plantedOn}`]),
  ].join(', ');
}
