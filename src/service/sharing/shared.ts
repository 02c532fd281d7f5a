import { isPassphraseSet } from './passphrase';

const LOOPBACK = /^(?:localhost|127(?:\.\d{1,3}){3}|\[?::1\]?)$/;

/** Whether others than this machine can reach the garden: then everybody, from wherever, has to come in. */
export function isShared(): boolean {
  return process.env.TURNSPIT_SHARED === '1' || !LOOPBACK.test(listenedOn());
}

/** The address that the server was told to listen on. */
function listenedOn(): string {
  const { argv } = process;
  const at = argv.findIndex(word => word === '-H' || word === '--hostname');
  return (at >= 0 ? argv[at + 1] : undefined) ?? '127.0.0.1';
}

/** Why a garden must not be served as it is told to; undefined where it may. */
export function sharingTrouble(): string | undefined {
  return isShared() && !isPassphraseSet()
    ? `Turnspit was to listen on ${listenedOn()}, where anybody in the network could open it, and no passphrase is set. Start it by “npm run share”, which asks for one, or without HOST, for this computer alone.`
    : undefined;
}
