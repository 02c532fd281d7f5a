import { z } from 'zod';
import { trialSentence } from '@/core/trial/trial-trouble';
import { verdictPage } from '@/service/judge/verdict';

const Params = z.object({ trialId: z.uuid(), measure: z.uuid().optional() });

/** A public door: what a verdict's page asks for once the verdict itself stands. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ readonly trialId: string }> },
): Promise<Response> {
  const asked = Params.safeParse({
    ...Object.fromEntries(new URL(request.url).searchParams),
    ...(await params),
  });
  if (!asked.success) return new Response('There is no such trial.', { status: 404 });
  const rest = await verdictPage(asked.data.trialId, asked.data.measure);
  if (!rest.ok)
    return new Response(trialSentence(rest.trouble), {
      status: rest.trouble.kind === 'no-such-trial' ? 404 : 409,
    });
  return Response.json(rest.value, {
    headers: { 'cache-control': 'no-store', 'x-content-type-options': 'nosniff' },
  });
}
