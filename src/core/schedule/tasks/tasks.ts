import { addDays, type CalendarDay, daysBetween } from '@/core/time/garden-day';
import type { TaskDone } from '@/core/trial/model/care-plan';
import type { CareRule, Moment } from '@/core/trial/model/care-rule';

/** One time of a rule. Its nth stays its own when days move. */
export interface Task {
  readonly ruleId: string;
  /** From 0. */
  readonly nth: number;
  /** null while it waits for a stage, or for another rule that does. */
  readonly dueOn: CalendarDay | null;
  readonly waitsFor: string | null;
}

/** A step that rain undid: it is due again on the day after the rain. */
export interface WashedOff {
  readonly ruleId: string;
  readonly nth: number;
  readonly doneOn: CalendarDay;
  readonly rainMm: number;
  readonly dueAgainOn: CalendarDay;
}

/** What rules are dated by. */
export interface Season {
  readonly startsOn: CalendarDay;
  readonly endsOn: CalendarDay;
  /** Days of stages as they came. */
  readonly stages: Readonly<Record<string, CalendarDay>>;
  /** Without what rain has washed off. */
  readonly done: readonly TaskDone[];
  readonly washedOff?: readonly WashedOff[];
  /** Where only these days are asked about, steps on fixed days that nothing counts from are dated within them alone. */
  readonly within?: { readonly from: CalendarDay; readonly to: CalendarDay };
}

const MOST_TIMES = 1100; // every day for three years

/** A trial's tasks in the order of their days, those that wait last. The same input always gives the same tasks. */
export function tasksOf(rules: readonly CareRule[], season: Season): readonly Task[] {
  const dated = new Dates(rules, season);
  return rules
    .flatMap(rule => dated.tasksOf(rule))
    .sort((a, b) => compareDays(a.dueOn, b.dueOn) || a.nth - b.nth);
}

function compareDays(a: CalendarDay | null, b: CalendarDay | null): number {
  if (a === b) return 0;
  if (a === null) return 1;
  return b === null || a < b ? -1 : 1;
}

/** Dates rules, each once; a rule that waits for itself, by whatever way round, waits for good. */
class Dates {
  readonly #rules: ReadonlyMap<string, CareRule>;
  readonly #found = new Map<string, readonly Task[]>();
  readonly #open = new Set<string>();
  readonly #doneOn = new Map<string, Map<number, TaskDone>>();
  readonly #again: ReadonlyMap<string, CalendarDay>;
  readonly #asked: ReadonlySet<string>;

  constructor(
    rules: readonly CareRule[],
    readonly season: Season,
  ) {
    this.#rules = new Map(rules.map(rule => [rule.id, rule]));
    this.#again = new Map(
      (season.washedOff ?? []).map(each => [`${each.ruleId} ${each.nth}`, each.dueAgainOn]),
    );
    // Only rules that count from what was done, or after another, ask for it.
    this.#asked = new Set([
      ...rules.filter(rule => rule.repeat.kind === 'times').map(rule => rule.id),
      ...rules.flatMap(rule => (rule.from.kind === 'after' ? [rule.from.ruleId] : [])),
    ]);
    for (const done of season.done) {
      if (!this.#asked.has(done.ruleId)) continue;
      const own = this.#doneOn.get(done.ruleId) ?? new Map<number, TaskDone>();
      this.#doneOn.set(done.ruleId, own.set(done.nth, done));
    }
  }

  tasksOf(rule: CareRule): readonly Task[] {
    const known = this.#found.get(rule.id);
    if (known) return known;
    this.#open.add(rule.id);
    const tasks = this.#date(rule);
    this.#open.delete(rule.id);
    this.#found.set(rule.id, tasks);
    return tasks;
  }

  #date(rule: CareRule): readonly Task[] {
    const from = this.#dayOf(rule.from);
    if (from === null)
      return [{ ruleId: rule.id, nth: 0, dueOn: null, waitsFor: waitsFor(rule.from, this.#rules) }];
    const last = this.#lastDay(rule);
    const { within } = this.season;
    if (within && rule.repeat.kind === 'every' && !this.#asked.has(rule.id))
      return this.#everyWithin(rule, from, last, rule.repeat.days, within);
    const days =
      rule.repeat.kind === 'times'
        ? this.#fromDone(rule, from, rule.repeat.times, rule.repeat.days)
        : fixedDays(rule.repeat, from, last);
    return days
      .filter(day => day <= last || rule.repeat.kind === 'times' || rule.repeat.kind === 'once')
      .map((dueOn, nth) => ({
        ruleId: rule.id,
        nth,
        dueOn: this.#dueAgain(rule, nth) ?? dueOn,
        waitsFor: null,
      }));
  }

  /** The times that fall within some days, each with the nth it has in the whole season; and whatever rain made due again. */
  #everyWithin(
    rule: CareRule,
    from: CalendarDay,
    last: CalendarDay,
    days: number,
    within: NonNullable<Season['within']>,
  ): readonly Task[] {
    const first = Math.max(0, Math.ceil(daysBetween(from, within.from) / days));
    const end = Math.min(
      Math.floor(daysBetween(from, within.to < last ? within.to : last) / days),
      MOST_TIMES,
    );
    const tasks: Task[] = [];
    for (let nth = first; nth <= end; nth++)
      tasks.push({
        ruleId: rule.id,
        nth,
        dueOn: this.#dueAgain(rule, nth) ?? addDays(from, nth * days),
        waitsFor: null,
      });
    // With each the one after it: that ends the time to make it up.
    const again = [
      ...new Set(
        (this.season.washedOff ?? [])
          .filter(each => each.ruleId === rule.id)
          .flatMap(each => [each.nth, each.nth + 1]),
      ),
    ].filter(nth => nth < first);
    return [
      ...again.map(nth => ({
        ruleId: rule.id,
        nth,
        dueOn: this.#dueAgain(rule, nth) ?? addDays(from, nth * days),
        waitsFor: null,
      })),
      ...tasks,
    ];
  }

  /** What rain washed off is due again, whatever day it had. */
  #dueAgain(rule: CareRule, nth: number): CalendarDay | undefined {
    return this.#again.size === 0 ? undefined : this.#again.get(`${rule.id} ${nth}`);
  }

  /** Each so many days after the one before was done; where it was not yet, after it was due. */
  #fromDone(
    rule: CareRule,
    from: CalendarDay,
    times: number,
    days: number,
  ): readonly CalendarDay[] {
    const due: CalendarDay[] = [from];
    while (due.length < times) {
      const nth = due.length - 1;
      const done = this.#doneOn.get(rule.id)?.get(nth);
      due.push(
        addDays(
          done && !done.isSkipped ? done.on : (this.#dueAgain(rule, nth) ?? due[nth] ?? from),
          days,
        ),
      );
    }
    return due;
  }

  /** The last day on which a rule can fall. The day of a stage belongs to what begins with it. */
  #lastDay({ until }: CareRule): CalendarDay {
    const day = until === null ? null : this.#dayOf(until);
    if (day === null) return this.season.endsOn;
    const last = until?.kind === 'stage' ? addDays(day, -1) : day;
    return last;
  }

  #dayOf(moment: Moment): CalendarDay | null {
    switch (moment.kind) {
      case 'day':
        return moment.day;
      case 'start':
        return addDays(this.season.startsOn, moment.days);
      case 'stage': {
        const day = Object.hasOwn(this.season.stages, moment.stage)
          ? this.season.stages[moment.stage]
          : undefined;
        return day === undefined ? null : addDays(day, moment.days);
      }
      case 'after': {
        const rule = this.#rules.get(moment.ruleId);
        const last =
          rule === undefined || this.#open.has(rule.id) ? undefined : this.tasksOf(rule).at(-1);
        if (!last || last.dueOn === null) return null;
        const done = this.#doneOn.get(last.ruleId)?.get(last.nth);
        return addDays(done && !done.isSkipped ? done.on : last.dueOn, moment.days);
      }
    }
  }
}

function waitsFor(from: Moment, rules: ReadonlyMap<string, CareRule>): string {
  return from.kind === 'stage'
    ? from.stage
    : from.kind === 'after'
      ? (rules.get(from.ruleId)?.name ?? 'a task that is gone')
      : '';
}

function fixedDays(
  repeat: CareRule['repeat'],
  from: CalendarDay,
  last: CalendarDay,
): readonly CalendarDay[] {
  if (repeat.kind === 'once') return [from];
  const span = Math.min(daysBetween(from, last), MOST_TIMES);
  if (repeat.kind === 'every')
    return Array.from({ length: span < 0 ? 0 : Math.floor(span / repeat.days) + 1 }, (_, i) =>
      addDays(from, i * repeat.days),
    );
  const all = Array.from({ length: Math.max(0, span + 1) }, (_, i) => i);
  if (repeat.kind !== 'weekdays') return [];
  const first = weekdayOf(from);
  return all
    .filter(i => repeat.weekdays.includes(((first - 1 + i) % 7) + 1))
    .map(i => addDays(from, i));
}

/** 1 Monday to 7 Sunday. */
export function weekdayOf(day: CalendarDay): number {
  return ((new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7) + 1;
}
