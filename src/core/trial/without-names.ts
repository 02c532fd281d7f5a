import type { TrialData } from './model/trial-data';

interface Written {
  readonly by: string;
}

/**
 * A trial without the names of people: each is a person with a number, the same wherever they wrote something, since who read
 * what is part of the trial.
 */
export function withoutNames(data: TrialData): TrialData {
  const numbers = new Map<string, number>();
  const unnamed = (by: string): string => {
    const name = by.trim().toLowerCase();
    if (name === '') return '';
    if (!numbers.has(name)) numbers.set(name, numbers.size + 1);
    return `person ${numbers.get(name)}`;
  };
  const all = <Entry extends Written>(entries: readonly Entry[]): Entry[] =>
    entries.map(entry => ({ ...entry, by: unnamed(entry.by) }));
  return {
    ...data,
    predictions: all(data.predictions),
    picks: all(data.picks),
    readings: all(data.readings),
    incidents: all(data.incidents),
    amendments: all(data.amendments),
    regrets: all(data.regrets),
    care: { ...data.care, acts: all(data.care.acts) },
    blocks: data.blocks.map(block => ({
      ...block,
      about: { ...block.about, person: unnamed(block.about.person) },
    })),
  };
}
