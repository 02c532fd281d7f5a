import { revalidatePath } from 'next/cache';
import { readJsonBody } from '@/app/api/json-body';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { takeReadings } from '@/service/weigh/readings';

const LARGEST = 1_000_000;
const STATUS: Readonly<Partial<Record<TrialTrouble['kind'], number>>> = {
  'no-such-trial': 404,
  'disk-full': 507,
};

/** The door that an outbox sends to. JSON only, which no other site's form can send; each entry is answered by itself. */
export async function POST(
  request: Request,
  { params }: { readonly params: Promise<{ readonly trialId: string }> },
): Promise<Response> {
  const asked = await readJsonBody(request, params, LARGEST);
  if (asked.refusal) return asked.refusal;
  const taken = await takeReadings(asked.id, asked.body);
  if (!taken.ok)
    return Response.json(taken.trouble, {
      status: STATUS[taken.trouble.kind] ?? 400,
    });
  revalidatePath('/', 'layout');
  return Response.json(taken.value);
}
