import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { importReadings } from '@/service/weigh/import-readings';

const Id = z.uuid();
const LARGEST = 45_000_000;

/** Takes a table of readings; answers line by line in JSON: how far it is, and at last what became of it. */
export async function POST(
  request: Request,
  { params }: { readonly params: Promise<{ readonly trialId: string }> },
): Promise<Response> {
  const id = Id.safeParse((await params).trialId);
  if (!id.success || !request.headers.get('content-type')?.startsWith('application/json'))
    return new Response(null, { status: 400 });
  const body = await request.text();
  if (body.length > LARGEST) return new Response(null, { status: 413 });
  const lines = new TextEncoder();
  const stream = new ReadableStream({
    async start(controller) {
      const say = (line: unknown): void =>
        controller.enqueue(lines.encode(`${JSON.stringify(line)}\n`));
      const result = await importReadings(id.data, jsonOf(body), (done, of) => say({ done, of }));
      if (result.ok) revalidatePath('/', 'layout');
      say({ result });
      controller.close();
    },
  });
  return new Response(stream, {
    headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' },
  });
}

function jsonOf(body: string): unknown {
  try {
    return JSON.parse(body);
  } catch {
    return undefined;
  }
}
