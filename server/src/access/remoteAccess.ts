import { once } from 'node:events';
import { createServer as createHttp, type RequestListener, type Server } from 'node:http';
import { createServer as createHttps } from 'node:https';
import Bonjour from 'bonjour-service';
import type { RemoteAccessState } from '@huerta/contract';
import { stayOpen } from '../api/connections';
import type { DeviceTable } from '../storage/devices';
import { houseAddresses, LOCAL_NAME } from './addresses';
import { certificateOf, type Certificate } from './certificate';
import type { Secrets } from './secrets';

/** The door to the house's network: a listener of its own, beside the one for this machine. */
export interface RemoteAccess {
  state(): Promise<RemoteAccessState>;
  /** Opens or shuts it, and keeps that for the next start. */
  set(wish: Wish): Promise<RemoteAccessState>;
  /** Opens it if it was left open. */
  begin(): Promise<void>;
  stop(): Promise<void>;
}

interface Wish {
  open: boolean;
  secure: boolean;
}

interface Parts {
  table: DeviceTable;
  secrets: Secrets;
  /** Answers what comes in by the door. */
  answer: RequestListener;
  folder: string;
  port: number;
  /** A name or address to offer first. */
  named: string | null;
  own: { cert: string; key: string } | null;
}

const SHUT: Wish = { open: false, secure: false };

/** What was wished at the last start; where that cannot be read the door stays shut. */
function readWish(text: string | null): Wish {
  try {
    const { open, secure } = JSON.parse(text ?? '{}') as Partial<Wish>;
    return { open: open === true, secure: secure === true };
  } catch {
    return SHUT;
  }
}

export function remoteAccess(parts: Parts): RemoteAccess {
  const { table, secrets, answer, folder, port, named, own } = parts;
  let server: Server | null = null;
  let certificate: Certificate | null = null;
  let announced: Bonjour | null = null;
  let trouble: string | null = null;

  const wished = async (): Promise<Wish> => {
    const kept = await table.setting('door');
    return readWish(kept);
  };

  const shut = async (): Promise<void> => {
    announced?.destroy();
    announced = null;
    const closing = server;
    server = null;
    certificate = null;
    if (!closing) return;
    closing.closeAllConnections();
    closing.close();
    await once(closing, 'close');
  };

  const open = async ({ secure }: Wish): Promise<void> => {
    await shut();
    trouble = null;
    try {
      certificate = secure ? await certificateOf(folder, own, named) : null;
      const opening = certificate ? createHttps(certificate, answer) : createHttp(answer);
      stayOpen(opening);
      opening.listen(port, '0.0.0.0');
      await once(opening, 'listening');
      server = opening;
      announced = announce(port, secure);
    } catch (error) {
      const { code, message } = error as { code?: string; message: string };
      trouble =
        code === 'EADDRINUSE'
          ? `Another program has taken the place ${port} in the network. Close it, or start Huerta with another HUERTA_DOOR_PORT.`
          : message;
    }
  };

  const state = async (): Promise<RemoteAccessState> => {
    const { secure } = await wished();
    const scheme = secure ? 'https' : 'http';
    const names = [...(named ? [named] : []), ...houseAddresses(), LOCAL_NAME];
    return {
      open: server !== null,
      secure,
      addresses: server ? [...new Set(names)].map((name) => `${scheme}://${name}:${port}`) : [],
      certificate: certificate?.by ?? null,
      devices: await secrets.devices(),
      trouble,
    };
  };

  return {
    state,
    async set(wish) {
      await table.set('door', JSON.stringify(wish));
      if (wish.open) await open(wish);
      else await shut();
      return state();
    },
    async begin() {
      const wish = await wished();
      if (wish.open) await open(wish);
    },
    stop: shut,
  };
}

/** Says in the network where Huerta is, where the network lets such words through. */
function announce(port: number, secure: boolean): Bonjour | null {
  try {
    const bonjour = new Bonjour({}, () => undefined);
    bonjour.publish({ name: 'Huerta', type: secure ? 'https' : 'http', port, host: LOCAL_NAME });
    return bonjour;
  } catch {
    return null;
  }
}
