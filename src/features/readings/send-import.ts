import type { ColumnRole } from '@/core/measure/reading/match-columns';
import type { RowTrouble } from '@/core/measure/reading/reading-table';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';

type Trouble =
  | { readonly kind: 'rows'; readonly rows: readonly RowTrouble[] }
  | { readonly kind: 'roles'; readonly says: string }
  | { readonly kind: 'trial'; readonly trouble: TrialTrouble };
type Line =
  | { readonly done: number; readonly of: number }
  | {
      readonly result:
        | {
            readonly ok: true;
            readonly value: { readonly importId: string; readonly count: number };
          }
        | { readonly ok: false; readonly trouble: Trouble };
    };

/** What became of a file: taken, with the name it can be undone by, or why not. */
export type ImportAnswer =
  | { readonly importId: string; readonly count: number }
  | { readonly says: readonly string[] };

const BROKEN_OFF =
  'The connection broke off: whether the file was taken is not known. Press again: it is taken once, however often it is sent.';

/** Sends a file and hears how far it is, line by line. */
export async function sendImport(
  trialId: string,
  form: {
    readonly id: string;
    readonly csv: string;
    readonly roles: readonly ColumnRole[];
    readonly day: string;
    readonly by: string;
  },
  onProgress: (share: number) => void,
): Promise<ImportAnswer> {
  try {
    return await sent(trialId, form, onProgress);
  } catch {
    return { says: [BROKEN_OFF] };
  }
}

async function sent(
  trialId: string,
  form: unknown,
  onProgress: (share: number) => void,
): Promise<ImportAnswer> {
  const answer = await fetch(`/api/import/${trialId}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(form),
  });
  if (!answer.ok || !answer.body)
    return {
      says: [
        answer.status === 413
          ? 'That file is too large: at most 20 MB.'
          : 'The file did not arrive. Try again.',
      ],
    };
  const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { value, done } = await reader.read();
    if (done) return { says: [BROKEN_OFF] };
    const lines = (rest + value).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) {
      const said = lineOf(line);
      if ('done' in said) onProgress(said.done / said.of);
      else return said.result.ok ? said.result.value : { says: sentencesOf(said.result.trouble) };
    }
  }
}

/** @throws where it is no line of our own door; then the answer counts as lost */
function lineOf(line: string): Line {
  const said: unknown = JSON.parse(line);
  if (isLine(said)) return said;
  throw new TypeError('a line must say how far it is, or what became of the file');
}

function isLine(said: unknown): said is Line {
  if (typeof said !== 'object' || said === null) return false;
  if ('done' in said) return 'of' in said && Number.isFinite(said.done) && Number.isFinite(said.of);
  if (!('result' in said) || typeof said.result !== 'object' || said.result === null) return false;
  return 'ok' in said.result && ('value' in said.result || 'trouble' in said.result);
}

function sentencesOf(trouble: Trouble): readonly string[] {
  if (trouble.kind === 'roles') return [trouble.says];
  return trouble.kind === 'trial'
    ? [trialSentence(trouble.trouble)]
    : trouble.rows.map(({ row, column, says }) =>
        row === 0 ? says : `Row ${row}, ${column}: ${says}`,
      );
}
