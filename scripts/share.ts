// npm run share: serves the garden to the home network, over https and behind a passphrase.
import { createServer } from 'node:https';
import { hostname, networkInterfaces } from 'node:os';
import { createInterface } from 'node:readline/promises';
import next from 'next';
import QRCode from 'qrcode';
import { certificateFor } from '../src/service/sharing/authority';
import { isPassphraseSet, setPassphrases } from '../src/service/sharing/passphrase';

const port = Number(process.env.PORT ?? 4322);

/** IPv4 addresses of this machine in its own networks, what people type first. */
function addressesHere(): readonly string[] {
  return Object.values(networkInterfaces())
    .flatMap(found => found ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
}

/** Asks on this terminal, or takes what TURNSPIT_PASSPHRASE and TURNSPIT_HELPERS say where there is none. */
async function askPassphrases(): Promise<void> {
  const { TURNSPIT_PASSPHRASE: keeper, TURNSPIT_HELPERS: helper = '' } = process.env;
  if (keeper !== undefined) return setOrEnd(keeper, helper);
  const terminal = createInterface({ input: process.stdin, output: process.stdout });
  const lines = terminal[Symbol.asyncIterator]();
  // Line by line and not by `question`, which loses what is piped in faster than it is asked for.
  const ask = async (question: string): Promise<string> => {
    terminal.setPrompt(question);
    terminal.prompt();
    const { value } = await lines.next();
    return typeof value === 'string' ? value : '';
  };
  console.log('Whoever opens the garden from another device is asked for a passphrase.');
  const said = await ask('A passphrase for its keepers, who may do all (10 letters or more): ');
  const other = await ask('One for helpers, who walk, weigh and tick (empty: none): ');
  terminal.close();
  await setOrEnd(said.trim(), other.trim());
}

async function setOrEnd(keeper: string, helper: string): Promise<void> {
  const set = await setPassphrases(keeper, helper);
  if (set.ok) return;
  console.error(set.trouble);
  process.exit(1);
}

async function share(): Promise<void> {
  if (!isPassphraseSet() || process.argv.includes('--new-passphrase')) await askPassphrases();
  const addresses = addressesHere();
  const [first = '127.0.0.1'] = addresses;
  const name = `${hostname().split('.')[0]}.local`.toLowerCase();
  const origins = [...addresses, name, 'localhost'].map(host => `https://${host}:${port}`);
  process.env.TURNSPIT_SHARED = '1';
  process.env.TURNSPIT_ADDRESS = `https://${first}:${port}`;
  process.env.TURNSPIT_ORIGIN = [process.env.TURNSPIT_ORIGIN, ...origins].filter(Boolean).join(',');
  const { key, certificate } = await certificateFor([...addresses, name, 'localhost', '127.0.0.1']);
  const app = next({ dev: false, hostname: first, port });
  await app.prepare();
  const handle = app.getRequestHandler();
  const server = createServer({ key, cert: certificate }, (request, response) => {
    // What the visitor says of itself here is not believed.
    request.headers['x-forwarded-proto'] = 'https';
    request.headers['x-forwarded-for'] = request.socket.remoteAddress ?? '';
    request.headers['x-forwarded-host'] = request.headers.host ?? '';
    void handle(request, response);
  });
  server.on('error', error => {
    console.error(`Port ${port} can’t be opened (${error.message}). Choose another: PORT=4323.`);
    process.exit(1);
  });
  server.listen(port, '0.0.0.0', () => void sayWhere());
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.on(signal, () => {
      server.close();
      process.exit(0);
    });
}

async function sayWhere(): Promise<void> {
  const address = process.env.TURNSPIT_ADDRESS ?? '';
  console.log(await QRCode.toString(address, { type: 'terminal', small: true }));
  console.log(`The garden is at ${address}, for whoever has the passphrase (Ctrl+C ends it).`);
}

void share();
