import { authorityCertificate } from '@/service/sharing/authority';

export const dynamic = 'force-dynamic';

/** Open to all: the certificate by which a phone trusts this garden. It says nothing of what is in it. */
export function GET(): Response {
  const certificate = authorityCertificate();
  return certificate === undefined
    ? new Response('This garden has no certificate of its own.', { status: 404 })
    : new Response(certificate, {
        headers: {
          'content-type': 'application/x-x509-ca-cert',
          'content-disposition': 'attachment; filename="garden.crt"',
          'cache-control': 'no-store',
        },
      });
}
