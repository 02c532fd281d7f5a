import { z } from 'zod';

/** What is said of a field where its own schema has no words for it. Set once for all schemas, as this file is read. */
z.config({ customError: plainError });

function plainError(issue: z.core.$ZodRawIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return typeWords(issue);
    case 'invalid_format':
      return issue.format === 'date' ? 'That is not a day of the calendar.' : NOT_READ;
    case 'too_small':
      return leastWords(issue.origin, Number(issue.minimum));
    case 'too_big':
      return mostWords(issue.origin, Number(issue.maximum));
    case 'invalid_value':
      return 'Choose one of those that are offered.';
    default:
      return NOT_READ;
  }
}

const NOT_READ = 'That can’t be read here.';

function typeWords({ expected, input }: z.core.$ZodRawIssue<z.core.$ZodIssueInvalidType>): string {
  if (input === undefined || input === null) return 'This is missing.';
  if (expected === 'int') return 'Write a whole number.';
  return expected === 'number' ? 'Write a number.' : NOT_READ;
}

function leastWords(origin: string, least: number): string {
  if (origin === 'string') return least === 1 ? 'Write something.' : `At least ${least} letters.`;
  return `At least ${least}.`;
}

function mostWords(origin: string, most: number): string {
  return origin === 'string' ? `At most ${most} letters.` : `At most ${most}.`;
}
