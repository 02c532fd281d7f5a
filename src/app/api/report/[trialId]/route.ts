import { z } from 'zod';
import { askedOf } from '@/app/api/asked-of';
import { trialSentence } from '@/core/trial/trial-trouble';
import { reportFile } from '@/service/judge/report';

const Params = z.object({
  trialId: z.uuid(),
  as: z.enum(['html', 'csv', 'entries', 'xlsx', 'package', 'json', 'frozen']).default('html'),
  names: z.enum(['yes', 'no']).default('no'),
  save: z.enum(['yes', 'no']).default('no'),
});

/** A public door: a trial's report, or the data behind it. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ readonly trialId: string }> },
): Promise<Response> {
  const asked = await askedOf(Params, request, params);
  if (!asked) return new Response('There is no such report.', { status: 404 });
  const { trialId, as, names, save } = asked;
  const made = await reportFile(trialId, as, names === 'yes');
  if (!made.ok)
    return new Response(trialSentence(made.trouble), {
      status: made.trouble.kind === 'no-such-trial' ? 404 : 409,
    });
  const { name, type, body } = made.value;
  return new Response(body, {
    headers: {
      'content-type': type,
      'content-disposition': `${save === 'yes' || as !== 'html' ? 'attachment' : 'inline'}; filename="${name}"`,
      'cache-control': 'no-store',
      'x-content-type-options': 'nosniff',
      // What a gardener wrote is in it: nothing of it may run, or fetch anything.
      'content-security-policy':
        "default-src 'none'; style-src 'unsafe-inline'; font-src data:; frame-ancestors 'self'",
    },
  });
}
