import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { readBody } from '@/app/api/read-body';
import { keepPhoto, LARGEST_PHOTO } from '@/service/inspect/photos';

const Id = z.uuid();

/** Takes one picture, its bytes bare: a content type that no other site's form can send. */
export async function POST(
  request: Request,
  { params }: { readonly params: Promise<{ readonly trialId: string }> },
): Promise<Response> {
  const id = Id.safeParse((await params).trialId);
  if (!id.success || request.headers.get('content-type') !== 'application/octet-stream')
    return new Response(null, { status: 400 });
  const bytes = await readBody(request, LARGEST_PHOTO);
  if (!bytes) return new Response(null, { status: 413 });
  const kept = await keepPhoto(
    id.data,
    Object.fromEntries(new URL(request.url).searchParams),
    bytes,
  );
  if (!kept.ok) return Response.json(kept.trouble, { status: 422 });
  revalidatePath('/', 'layout');
  return Response.json(kept.value);
}
