import type { Call, FactorEffect } from '@/core/judge/outcomes/judgement';
import { isBetter, isFound, isWorse, overallCall } from '@/core/judge/verdict/call';
import type { VerdictContext, Words } from '@/core/judge/verdict/verdict-context';
import { listed } from '@/core/words/listed';
import { sentenceCase } from '@/core/words/sentence-case';
import { joined, lowerFirst } from './margin-words';
import { between, range, sizeThan, sizeWords } from './size-words';

const DEPENDS = 0.05;

/** The call of a crossed trial: that of its factors, each averaged over the others. */
export function factorCall(effects: readonly FactorEffect[]): Call {
  return overallCall(effects.filter(effect => effect.within === null));
}

/**
 * The verdict of a crossed trial: what each factor does, averaged over the others; where factors depend on each other, what
 * each does within the others' levels. A cell beside the first cell answers no question that was asked.
 */
export function factorWords(context: VerdictContext): Words {
  const { input, effects, interactions } = context;
  const depending = interactions.filter(({ p }) => p !== null && p < DEPENDS);
  const averaged = effects.filter(effect => effect.within === null);
  const factors = [...new Set(averaged.map(effect => effect.factor))];
  if (depending.length > 0) {
    // The other way round is in the table.
    const involved = new Set(depending.map(({ term }) => term.split(':').at(-1)));
    const within = effects.filter(effect => effect.within !== null && involved.has(effect.factor));
    return {
      headline: depending.map(({ term }) => dependWords(term, within, context)).join(' '),
      detail: joined(...within.map(effect => withinWords(effect, context))),
    };
  }
  const ofFactor = (factor: string): readonly FactorEffect[] =>
    averaged.filter(effect => effect.factor === factor);
  const ordered = [...factors].sort(
    (a, b) => rankOf(factorCall(ofFactor(a))) - rankOf(factorCall(ofFactor(b))),
  );
  const others = (factor: string): string =>
    `, averaged over ${listed(factors.filter(other => other !== factor))}`;
  return {
    headline: ordered
      .map(factor => `${sentenceCase(factor)}: ${factorHeadline(ofFactor(factor), context)}`)
      .join(' '),
    detail: joined(
      ...ordered.flatMap(factor =>
        ofFactor(factor).map(
          effect => `${range(effect, input).replace(/\.$/, '')}${others(factor)}.`,
        ),
      ),
      untoldWords(factors, context),
      independentWords(context),
    ),
  };
}

/** Factors of which some cells have no partner, or that go together with something else. */
function untoldWords(told: readonly string[], { input }: VerdictContext): string {
  const untold = (input.factors?.names ?? []).filter(name => !told.includes(name));
  return untold.length === 0
    ? ''
    : `What ${listed(untold)} does by itself can’t be told in this layout.`;
}

function rankOf(call: Call): number {
  if (isBetter(call)) return 0;
  return isWorse(call) ? 1 : 2;
}

/** What one factor does, as half a sentence after its name. */
function factorHeadline(effects: readonly FactorEffect[], { input }: VerdictContext): string {
  const against = effects[0]?.against ?? '';
  const found = effects.filter(isFound);
  const [first] = found;
  if (first && found.length === 1) {
    return isBetter(first.call)
      ? `${first.level} ${gave(input)}${sizeThan(first, input, against)}.`
      : `${first.level} did worse than ${against}: ${sizeWords(first, input)}.`;
  }
  if (first) {
    const better = found.filter(({ call }) => isBetter(call)).map(({ level }) => level);
    const worse = found.filter(({ call }) => isWorse(call)).map(({ level }) => level);
    const clauses = [
      ...(better.length > 0 ? [`${listed(better)} beat ${against}`] : []),
      ...(worse.length > 0 ? [`${listed(worse)} did worse than ${against}`] : []),
    ];
    return `${clauses.join('; ')}.`;
  }
  if (effects.every(({ call }) => call === 'no-difference-that-matters'))
    return `no difference that matters from ${against}.`;
  const open = effects.filter(({ call }) => call === 'cant-tell').map(({ level }) => level);
  return `can’t tell yet whether ${open.length === 1 ? open[0] : 'anything'} beats ${against}.`;
}

// More than this in one headline is a table.
const MOST_CLAUSES = 3;

/** That the last factor of a term depends on the others, and how, where that fits into a sentence. */
function dependWords(
  term: string,
  within: readonly FactorEffect[],
  { input }: VerdictContext,
): string {
  const names = term.split(':');
  const [one = '', ...others] = names;
  const found = `What ${listed(others)} does depends on ${one}`;
  const shown = within.filter(
    effect => effect.factor === names.at(-1) && effect.within?.[one] !== undefined,
  );
  if (names.length > 2 || shown.length === 0 || shown.length > MOST_CLAUSES) return `${found}.`;
  const clauses = shown.map(effect => {
    const where = `with ${effect.within?.[one]},`;
    if (isFound(effect)) {
      return `${where} ${effect.level} ${gave(input)}${sizeThan(effect, input, effect.against)}`;
    }
    return effect.call === 'no-difference-that-matters'
      ? `${where} ${effect.level} made no difference that matters`
      : `${where} it can’t be told yet`;
  });
  return `${found}: ${clauses.join('; ')}.`;
}

function withinWords(effect: FactorEffect, { input }: VerdictContext): string {
  const where = Object.values(effect.within ?? {}).join(', ');
  const found = `${effect.level} ${gave(input)}${sizeThan(effect, input, effect.against)}`;
  return `With ${where}, ${found}: ${lowerFirst(between(effect, input))}.`;
}

/** What is weighed or counted is given; of shares, steps and days there is only more of them, or less. */
function gave({ outcome }: VerdictContext['input']): string {
  return outcome === 'continuous' || outcome === 'count' ? 'gave ' : '';
}

function independentWords({ interactions }: VerdictContext): string {
  const known = interactions.filter(({ p }) => p !== null);
  if (interactions.length === 0) return '';
  if (known.length === 0) return 'Whether they depend on each other can’t be told.';
  return known.length === interactions.length && known.length === 1
    ? 'That one depends on the other does not show.'
    : 'That they depend on each other does not show.';
}
