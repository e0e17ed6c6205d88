import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { Refusal } from '@huerta/contract';
import { useEffect } from 'react';
import { sendProgress } from '../data/api/build';
import { conflictOf, sendPendingSave } from '../data/api/documents';
import { sendLog } from '../data/api/log';
import { sendPhoto } from '../data/api/photos';
import { plantersChanged } from '../data/api/planters';
import { documentKey } from '../data/api/useDocument';
import { migrateLegacyStorage } from '../data/offline/legacyStorage';
import { onRecovered } from '../data/offline/connectivity';
import { onWake } from '../data/offline/pendingSaves';
import { alone } from '../data/offline/lease';
import {
  sendDocuments,
  sendPendingEntries,
  sendProgressMarks,
  sendPhotos,
  tidyRefusals,
} from '../data/offline/outbox';
import { HALTED, type Halted } from '../data/offline/halted';
import { growingWaits } from '../data/offline/waits';

/** Changes made one after the other go out together. Milliseconds. */
const GATHER_MS = 80;
/** After so long another window that is at it is asked again, and in any case what waits is looked at. */
const OTHER_WINDOW_MS = 1000;
const LOOK_MS = 15_000;
const LOCK = 'huerta-outbox';

/** What of the page's knowledge is old once something was sent. */
interface Changed {
  keys: readonly (readonly unknown[])[];
  planters: boolean;
}

/**
 * Sends what lies kept on this device: at the start, when something is kept, when the network or the server is back,
 * and else after waits that grow. One window of the browser sends at a time; the others hear what changed.
 */
export function Outbox() {
  const client = useQueryClient();
  useEffect(() => {
    const waits = growingWaits();
    let running = false;
    let again = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const others =
      typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('huerta-sent');
    const later = (ms: number) => {
      clearTimeout(timer);
      timer = setTimeout(() => void send(), ms);
    };
    const send = async () => {
      again = running;
      if (running) return;
      running = true;
      let halted: Refusal | null = null;
      let mine: boolean;
      try {
        mine = await alone(LOCK, async () => {
          const { changed, ...result } = await sendEverything(client);
          halted = result.halted;
          refresh(client, changed);
          others?.postMessage(changed);
        });
      } finally {
        running = false;
      }
      if (halted) later(waits.next());
      else {
        waits.reset();
        later(mine ? LOOK_MS : OTHER_WINDOW_MS);
      }
      if (again && !halted) later(0);
    };
    const now = () => {
      waits.reset();
      later(0);
    };
    others?.addEventListener('message', ({ data }) => refresh(client, data as Changed));
    void migrateLegacyStorage().then(now);
    window.addEventListener('online', now);
    const recovered = onRecovered(now);
    const asleep = onWake(() => later(GATHER_MS));
    return () => {
      clearTimeout(timer);
      window.removeEventListener('online', now);
      recovered();
      asleep();
      others?.close();
    };
  }, [client]);
  return null;
}

function refresh(client: QueryClient, { keys, planters }: Changed): void {
  for (const queryKey of keys) void client.invalidateQueries({ queryKey });
  if (planters) plantersChanged(client);
}

/** Tries once to send all that waits; the first that cannot be taken now ends it. */
async function sendEverything(
  client: QueryClient,
): Promise<{ halted: Refusal | null; changed: Changed }> {
  const keys: (readonly unknown[])[] = [['kept']];
  let planters = false;
  const documents = await sendDocuments({ save: sendPendingSave, conflictOf });
  for (const { kind, id } of documents.sent) {
    if (kind === 'planter') planters = true;
    else keys.push(kind === 'vessel' ? ['vessels'] : documentKey(kind, id));
  }
  let { halted } = documents;
  const then = async <S extends { halted: Refusal | null }>(
    send: () => Promise<S>,
    sent: (result: S) => void,
  ) => {
    if (halted) return;
    const result = await send();
    ({ halted } = result);
    sent(result);
  };
  await then(
    () =>
      sendProgressMarks(async (planter, entries) => {
        client.setQueryData(['progress', planter], await sendProgress(planter, entries));
      }),
    ({ sent }) => {
      for (const { planter } of sent) keys.push(['marks', planter]);
      if (sent.length > 0) keys.push(['garden']);
    },
  );
  // Entries before pictures: an entry is small, and the picture is looked for under its own id.
  await then(
    () => sendPendingEntries(sendLog),
    ({ sent }) => {
      if (sent.length > 0) keys.push(['log']);
    },
  );
  await then(
    () => sendPhotos(sendPhoto),
    ({ sent }) => {
      if (sent.length > 0) keys.push(['photo']);
    },
  );
  client.setQueryData<Halted>(HALTED, { why: halted?.sentence ?? null });
  await tidyRefusals();
  return { halted, changed: { keys, planters } };
}
