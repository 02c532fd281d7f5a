import { z } from 'zod';
import { failure, type Result, success } from '@/core/result';
import '@/core/trial/forms/plain-errors';
import { beyondLimits } from '@/core/trial/plain-limits';

/** Why a file from another garden can’t be used, by itself. */
export type FileTrouble =
  | { readonly kind: 'not-json' }
  | { readonly kind: 'other-kind'; readonly expected: SharedFormat; readonly found: string }
  | { readonly kind: 'newer'; readonly version: number }
  | { readonly kind: 'no-such-shape'; readonly where: string; readonly finding: string }
  | { readonly kind: 'too-large'; readonly finding: string }
  | { readonly kind: 'does-not-hang-together'; readonly finding: string };

/** What a file says that it is. */
export type SharedFormat = 'turnspit-protocol' | 'turnspit-results' | 'turnspit-trial';

const CALLED: Readonly<Record<SharedFormat, string>> = {
  'turnspit-protocol': 'a plan for other gardens',
  'turnspit-results': 'a garden’s results',
  'turnspit-trial': 'a whole trial',
};

const Head = z.object({ format: z.string().max(60), version: z.number() });

/** Text as JSON; half a file is none. */
export function parseFile(text: string): Result<unknown, FileTrouble> {
  try {
    return success(JSON.parse(text));
  } catch {
    return failure({ kind: 'not-json' });
  }
}

/** A plain value as what it says that it is: which kind of file, which version, then its shape. */
export function readFile<Shape extends z.ZodType>(
  input: unknown,
  format: SharedFormat,
  shape: Shape,
): Result<z.infer<Shape>, FileTrouble> {
  const large = beyondLimits(input);
  if (large !== undefined) return failure({ kind: 'too-large', finding: large });
  const head = Head.safeParse(input);
  if (!head.success || head.data.format !== format)
    return failure({ kind: 'other-kind', expected: format, found: head.data?.format ?? '' });
  if (head.data.version > 1) return failure({ kind: 'newer', version: head.data.version });
  const parsed = shape.safeParse(input);
  if (parsed.success) return success(parsed.data);
  const issue = parsed.error.issues[0];
  return failure({
    kind: 'no-such-shape',
    where: issue?.path.join('.') ?? '',
    finding: issue?.message ?? 'it has another shape',
  });
}

/** What is wrong with a file, for whoever brought it. */
export function fileSentence(trouble: FileTrouble): string {
  switch (trouble.kind) {
    case 'not-json':
      return 'The file is cut short or is no file of Turnspit’s: it can’t be read to its end. Ask for it again.';
    case 'newer':
      return `The file was written by a newer Turnspit (its version is ${trouble.version}, known here is 1). Update Turnspit, then take it in.`;
    case 'other-kind':
      return `That is not ${CALLED[trouble.expected]}${isKnown(trouble.found) ? ` but ${CALLED[trouble.found]}` : ''}.`;
    case 'no-such-shape':
      return `The file is damaged or was changed by hand: at ${trouble.where}, ${trouble.finding}.`;
    case 'too-large':
      return `The file is not taken: ${trouble.finding}.`;
    case 'does-not-hang-together':
      return `The file does not hang together: ${trouble.finding}.`;
  }
}

function isKnown(format: string): format is SharedFormat {
  return Object.hasOwn(CALLED, format);
}
