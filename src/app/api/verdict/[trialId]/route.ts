import { z } from 'zod';
import { askedOf } from '@/app/api/asked-of';
import { trialSentence } from '@/core/trial/trial-trouble';
import { verdictPage } from '@/service/judge/verdict';

const Params = z.object({ trialId: z.uuid(), measure: z.uuid().optional() });

/** A public door: what a verdict's page asks for once the verdict itself stands. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ readonly trialId: string }> },
): Promise<Response> {
  const asked = await askedOf(Params, request, params);
  if (!asked) return new Response('There is no such trial.', { status: 404 });
  const rest = await verdictPage(asked.trialId, asked.measure);
  if (!rest.ok)
    return new Response(trialSentence(rest.trouble), {
      status: rest.trouble.kind === 'no-such-trial' ? 404 : 409,
    });
  return Response.json(rest.value, {
    headers: { 'cache-control': 'no-store', 'x-content-type-options': 'nosniff' },
  });
}
