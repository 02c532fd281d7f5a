import { revalidatePath } from 'next/cache';
import { readJsonBody } from '@/app/api/json-body';
import { isKeeper, KEEPER_ONLY } from '@/app/role';
import { importReadings } from '@/service/weigh/import-readings';

const LARGEST = 25_000_000;

/** Takes a table of readings; answers line by line in JSON: how far it is, and at last what became of it. */
export async function POST(
  request: Request,
  { params }: { readonly params: Promise<{ readonly trialId: string }> },
): Promise<Response> {
  if (!(await isKeeper())) return new Response(KEEPER_ONLY, { status: 403 });
  const asked = await readJsonBody(request, params, LARGEST);
  if (asked.refusal) return asked.refusal;
  const lines = new TextEncoder();
  const stream = new ReadableStream({
    async start(controller) {
      const say = (line: unknown): void =>
        controller.enqueue(lines.encode(`${JSON.stringify(line)}\n`));
      const result = await importReadings(asked.id, asked.body, (done, of) => say({ done, of }));
      if (result.ok) revalidatePath('/', 'layout');
      say({ result });
      controller.close();
    },
  });
  return new Response(stream, {
    headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' },
  });
}
