import { request } from 'node:http';
import { expect, test } from './garden-server';

interface Answer {
  readonly status: number;
  readonly headers: Readonly<Record<string, string | readonly string[] | undefined>>;
  readonly body: string;
}

/** Asks with headers of one's own, which no browser would send for itself. */
function ask(
  url: string,
  method: string,
  headers: Readonly<Record<string, string>>,
): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const asked = request(url, { method, headers }, answer => {
      let body = '';
      answer.setEncoding('utf8');
      answer.on('data', part => {
        body += part;
      });
      answer.on('end', () =>
        resolve({ status: answer.statusCode ?? 0, headers: answer.headers, body }),
      );
    });
    asked.on('error', reject);
    asked.end();
  });
}

test('a name that another site pointed here is not answered, by any door', async ({ garden }) => {
  for (const path of ['/', '/trials', '/api/trials', '/sw.js'])
    for (const method of ['GET', 'POST']) {
      const answer = await ask(`${garden.url}${path}`, method, { host: 'evil.example' });
      expect(answer.status).toBe(403);
      expect(answer.body).not.toContain('Cinder Row');
    }
  expect((await ask(`${garden.url}/`, 'GET', {})).body).toContain('Cinder Row');
});

test('a page of another site can’t change anything', async ({ garden }) => {
  const answer = await ask(`${garden.url}/api/trials`, 'POST', {
    origin: 'https://evil.example',
    'content-type': 'application/json',
  });
  expect(answer.status).toBe(403);
  expect(answer.body).toContain('own pages only');
});

test('a form that no page here sends is refused, not broken over', async ({ garden }) => {
  for (const path of ['/', '/garden', '/nowhere']) {
    const answer = await ask(`${garden.url}${path}`, 'POST', {
      'content-type': 'multipart/form-data; boundary=x',
    });
    expect(answer.status).toBe(415);
  }
});

test('what another site fetches in secret is not answered; where it leads one, is', async ({
  garden,
}) => {
  const from = (mode: string) =>
    ask(`${garden.url}/trials`, 'GET', { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': mode });
  expect((await from('no-cors')).status).toBe(403);
  expect((await from('navigate')).status).toBe(200);
});

test('every answer keeps out of foreign frames, keeps its type, and tells no other site where one came from', async ({
  garden,
}) => {
  for (const path of ['/', '/trials', '/api/trials']) {
    const { headers } = await ask(`${garden.url}${path}`, 'GET', {});
    expect(headers).toMatchObject({
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'same-origin',
      'x-frame-options': 'SAMEORIGIN',
    });
    expect(headers['x-powered-by']).toBeUndefined();
  }
  const { headers } = await ask(`${garden.url}/`, 'GET', {});
  expect(headers['content-security-policy']).toContain("frame-ancestors 'self'");
});
