import { parseQuantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { nearestOpenStep } from '@/core/schedule/tasks/matching-step';
import type { TrackedTask } from '@/core/schedule/tasks/task-state';
import { daysApart } from '@/core/time/days-apart';
import type { CareAct } from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { ExperimentalUnit } from '@/core/trial/model/unit';

/** One line of a paper log that can't be taken. Rows are counted as a spreadsheet shows them, the heads being row 1. */
export interface LogTrouble {
  readonly row: number;
  readonly column: string;
  readonly says: string;
}

/** What a paper log is read against. */
export interface LogContext {
  readonly rules: readonly CareRule[];
  readonly tasks: readonly TrackedTask[];
  readonly units: readonly Pick<ExperimentalUnit, 'id' | 'code'>[];
  readonly system: MeasureSystem;
  readonly startsOn: string;
  readonly today: string;
}

/** A line of it: which planned step was done on which day, to whom, and how much. */
export type LoggedStep = Pick<
  CareAct,
  'ruleId' | 'nth' | 'doneOn' | 'isSkipped' | 'amount' | 'unitIds' | 'note' | 'by'
>;

type Role = 'day' | 'task' | 'to' | 'amount' | 'note' | 'who';
const HEADS: Readonly<Record<Role, RegExp>> = {
  day: /^(day|date|on)$/i,
  task: /^(task|step|what|done|rule)$/i,
  to: /^(to|pots?|codes?|units?|which)$/i,
  amount: /^(amount|each|how much|dose|given)$/i,
  note: /^(notes?|remarks?|why)$/i,
  who: /^(who|by|observer|name)$/i,
};
const MOST_TROUBLES = 40;
const LEFT_OUT = /^(not given|left out|skipped|none|no|0)$/i;

/**
 * Reads a paper log of the care: a line for each time, by the plan's own names, with its true day. All of it or nothing. Each line
 * becomes the open step of its rule that lies nearest.
 *
 * @param rows with the heads in the first: day, task, and, where there is more to say, to, amount, note, who
 */
export function readPaperLog(
  rows: readonly (readonly string[])[],
  context: LogContext,
): Result<readonly LoggedStep[], readonly LogTrouble[]> {
  const [heads = [], ...lines] = rows;
  const at = columnsOf(heads);
  const missing = (['day', 'task'] as const).filter(role => at(role) < 0);
  if (missing.length > 0)
    return failure([
      {
        row: 1,
        column: missing.join(', '),
        says: 'The first line names the columns: day, task, and, where there is more to say, to, amount, note, who.',
      },
    ]);
  const reader = new LogReader(at, context);
  lines.forEach((line, i) => {
    reader.read(line, i + 2);
  });
  return reader.troubles.length > 0
    ? failure(reader.troubles.slice(0, MOST_TROUBLES))
    : success(reader.steps);
}

function columnsOf(heads: readonly string[]): (role: Role) => number {
  return role => heads.findIndex(head => HEADS[role].test(head.trim()));
}

/** Reads line after line; a step that one line took is not open for the next. */
class LogReader {
  readonly steps: LoggedStep[] = [];
  readonly troubles: LogTrouble[] = [];
  #open: readonly TrackedTask[];

  constructor(
    readonly at: (role: Role) => number,
    readonly context: LogContext,
  ) {
    this.#open = context.tasks;
  }

  read(line: readonly string[], row: number): void {
    if (line.every(cell => cell.trim() === '')) return;
    const step = this.#stepOf(role => (line[this.at(role)] ?? '').trim());
    if (step.ok) this.steps.push(step.value);
    else this.troubles.push({ row, ...step.trouble });
  }

  #stepOf(cell: (role: Role) => string): Result<LoggedStep, Refusal> {
    const doneOn = cell('day');
    const wrongDay = this.#dayTrouble(doneOn);
    if (wrongDay !== undefined) return refusal('day', wrongDay);
    const rule = this.context.rules.find(each => isNamed(each, cell('task')));
    if (!rule) return refusal('task', this.#unknownStep(cell('task')));
    const unitIds = this.#unitsOf(cell('to'));
    if (unitIds === undefined)
      return refusal('to', `“${cell('to')}”: codes of this trial, with a space between them.`);
    const isSkipped = LEFT_OUT.test(cell('amount'));
    const amount = isSkipped ? success(null) : this.#amountOf(cell('amount'), rule);
    if (!amount.ok) return refusal('amount', amount.trouble);
    const [note, by] = [cell('note'), cell('who')];
    if (note.length > 600 || by.length > 80) return refusal('note', 'That is too long.');
    if ((isSkipped || unitIds !== null) && note.length < 3)
      return refusal('note', 'Not all got it: say why. It will stand on the verdict.');
    const step = nearestOpenStep(rule.id, doneOn, this.#open);
    if (!step)
      return refusal(
        'day',
        `No open task of “${rule.name}” lies near ${doneOn}: it is on record already, or was not planned.`,
      );
    // What is said of some pots may be said of the others in another line.
    if (unitIds === null)
      this.#open = this.#open.map(task => (task === step ? { ...task, state: 'done' } : task));
    else if (this.#isTold(step, unitIds))
      return refusal('to', `The same task is put down for one of ${cell('to')} in a line above.`);
    const { ruleId, nth } = step;
    const given = { doneOn, isSkipped, amount: amount.value, unitIds };
    return success({ ruleId, nth, ...given, note, by });
  }

  #isTold({ ruleId, nth }: TrackedTask, unitIds: readonly string[]): boolean {
    return this.steps.some(
      step =>
        step.ruleId === ruleId &&
        step.nth === nth &&
        unitIds.some(id => step.unitIds?.some(other => other === id)),
    );
  }

  #dayTrouble(day: string): string | undefined {
    if (daysApart(this.context.startsOn, day) === undefined)
      return `“${day}” is no day. Write it as 2026-08-03.`;
    return day > this.context.today ? `${day} is still to come.` : undefined;
  }

  #unknownStep(said: string): string {
    const names = this.context.rules.filter(rule => !rule.isUnplanned).map(rule => rule.name);
    return `“${said}” is no task of the plan: ${names.join(', ')}.`;
  }

  /** null: to all that were meant; undefined: not codes of this trial. */
  #unitsOf(said: string): LoggedStep['unitIds'] | undefined {
    if (said === '' || /^all$/i.test(said)) return null;
    const codes = said.toUpperCase().split(/[\s,;]+/);
    const units = this.context.units.filter(unit => codes.includes(unit.code.toUpperCase()));
    return units.length === new Set(codes).size ? units.map(unit => unit.id) : undefined;
  }

  /** In the rate's g or ml, of water ml; null: as planned. */
  #amountOf(said: string, rule: CareRule): Result<number | null, string> {
    if (said === '' || /^as planned$/i.test(said)) return success(null);
    const dimension = rule.material?.rate.of ?? 'volume';
    const { system } = this.context;
    // A bare number means grams or millilitres only where people have no others in the shed; elsewhere it is asked back.
    const bare = system === 'us' ? {} : { bareUnit: dimension === 'mass' ? 'g' : 'ml' };
    const read = parseQuantity(said, { system, dimension, ...bare });
    return read.ok
      ? success(read.value.base)
      : failure(quantitySentence(read.trouble, { system, wanted: dimension }));
  }
}

type Refusal = Omit<LogTrouble, 'row'>;

function refusal(column: Role, says: string): Result<never, Refusal> {
  return failure({ column, says });
}

function isNamed(rule: CareRule, said: string): boolean {
  return !rule.isUnplanned && rule.name.trim().toLowerCase() === said.toLowerCase();
}
