import { isKeeper, KEEPER_ONLY } from '@/app/role';
import { backupZip } from '@/service/files/backup-zip';

export const dynamic = 'force-dynamic';

/** A public door: a backup as one file to take away. */
export async function GET(
  _: Request,
  { params }: { readonly params: Promise<{ readonly name: string }> },
): Promise<Response> {
  if (!(await isKeeper())) return new Response(KEEPER_ONLY, { status: 403 });
  const { name } = await params;
  const zip = await backupZip(name);
  if (!zip) return new Response('There is no such backup.', { status: 404 });
  return new Response(zip, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="turnspit-${name}.zip"`,
      'cache-control': 'no-store',
    },
  });
}
