import { isKeeper, KEEPER_ONLY } from '@/app/role';
import { gardenPackage } from '@/service/files/data-package';

export const dynamic = 'force-dynamic';

/** A public door: every trial of the garden as one data package. Names of people only where they are asked for. */
export async function GET(request: Request): Promise<Response> {
  if (!(await isKeeper())) return new Response(KEEPER_ONLY, { status: 403 });
  const { name, zip } = await gardenPackage(
    new URL(request.url).searchParams.get('names') === 'yes',
  );
  return new Response(zip, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
      'x-content-type-options': 'nosniff',
    },
  });
}
