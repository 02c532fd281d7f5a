import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { askedOf } from '@/app/api/asked-of';
import { readBody } from '@/app/api/read-body';
import { isKeeper, KEEPER_ONLY } from '@/app/role';
import { fileName } from '@/core/trial/file-name';
import { fileSentence, parseFile } from '@/core/trial/shared/shared-file';
import { today } from '@/service/garden/clock';
import { planFile } from '@/service/gardens/plan-files';
import {
  resultsFile,
  takeInResultsSentence,
  takenInWords,
  takeResultsIn,
} from '@/service/gardens/results-files';

const LARGEST = 40_000_000;

const Asked = z.object({
  trialId: z.uuid(),
  what: z.enum(['plan', 'results']),
  named: z.enum(['yes', 'no']).default('no'),
  name: z.string().max(120).default(''),
  place: z.string().max(120).default(''),
  soil: z.string().max(60).default(''),
  person: z.string().max(120).default(''),
});

interface Door {
  readonly params: Promise<{ readonly trialId: string }>;
}

/** A public door: a trial’s plan for other gardens, or what this garden found for the one that made the plan. */
export async function GET(request: Request, { params }: Door): Promise<Response> {
  if (!(await isKeeper())) return new Response(KEEPER_ONLY, { status: 403 });
  const asked = await askedOf(Asked, request, params);
  if (!asked) return new Response('There is no such file.', { status: 404 });
  const { trialId, what, named, name, place, soil, person } = asked;
  if (what === 'plan') {
    const plan = await planFile(trialId, { isNamed: named === 'yes', person });
    return plan
      ? saved(plan, fileName([plan.trial.question, 'plan'], 'json'))
      : new Response('Lock the plan first: until then it may still change.', { status: 409 });
  }
  const made = await resultsFile(trialId, {
    name,
    place,
    soil,
    person,
    withNames: named === 'yes',
  });
  return made.ok
    ? saved(
        made.value,
        fileName([name, made.value.trial.trial.question, 'results', today()], 'json'),
      )
    : new Response(made.trouble, { status: 409 });
}

function saved(value: unknown, name: string): Response {
  return new Response(`${JSON.stringify(value)}\n`, {
    headers: {
      'content-type': 'application/json',
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
      'x-content-type-options': 'nosniff',
    },
  });
}

/** A public door: takes a garden’s results in from its file. `{"said"}`, or `{"trouble"}`, each a sentence. */
export async function POST(request: Request, { params }: Door): Promise<Response> {
  if (!(await isKeeper())) return new Response(KEEPER_ONLY, { status: 403 });
  const id = z.uuid().safeParse((await params).trialId);
  if (!id.success || !request.headers.get('content-type')?.startsWith('application/json'))
    return new Response(null, { status: 400 });
  const body = await readBody(request, LARGEST);
  if (!body)
    return Response.json(
      { trouble: 'That file is larger than any garden’s results: at most 40 MB are taken.' },
      { status: 413 },
    );
  const parsed = parseFile(new TextDecoder().decode(body));
  if (!parsed.ok) return Response.json({ trouble: fileSentence(parsed.trouble) }, { status: 422 });
  const taken = await takeResultsIn(id.data, parsed.value);
  if (!taken.ok)
    return Response.json({ trouble: takeInResultsSentence(taken.trouble) }, { status: 422 });
  revalidatePath('/', 'layout');
  return Response.json({ said: takenInWords(taken.value) });
}
