import { z } from 'zod';
import { photoFile } from '@/service/inspect/photos';

const Id = z.uuid();

/** A kept picture, large or small. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ readonly trialId: string; readonly photoId: string }> },
): Promise<Response> {
  const { trialId, photoId } = await params;
  if (!Id.safeParse(trialId).success || !Id.safeParse(photoId).success)
    return new Response(null, { status: 404 });
  const jpeg = await photoFile(
    trialId,
    photoId,
    new URL(request.url).searchParams.get('size') === 'small' ? 'small' : 'large',
  );
  if (!jpeg) return new Response(null, { status: 404 });
  // Its id never names another picture.
  return new Response(jpeg, {
    headers: {
      'content-type': 'image/jpeg',
      'x-content-type-options': 'nosniff',
      'content-security-policy': "default-src 'none'; sandbox",
      'cache-control': 'private, max-age=31536000, immutable',
    },
  });
}
