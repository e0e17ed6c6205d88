import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { sendProgress } from '../api/build';
import { clashOf, saveKept } from '../api/documents';
import { plantersChanged } from '../api/planters';
import { documentKey } from '../api/useDocument';
import { adoptOld } from './adopted';
import { onWake } from './kept';
import { sendLog } from '../api/log';
import { sendPhoto } from '../api/photos';
import { notify } from '../components/notices';
import { sendKept, sendLogged, sendMarks, sendPhotos } from './sendKept';

/** Between two tries at sending what is kept, milliseconds. */
const AGAIN_MS = 15_000;
/** Changes made one after the other go out together. */
const GATHER_MS = 80;

/** Sends what lies kept on this device: at the start, when something is kept, now and again, and when the network is back. */
export function Outbox() {
  const client = useQueryClient();
  useEffect(() => {
    let running = false;
    let more = false;
    let gathering: ReturnType<typeof setTimeout> | undefined;
    const send = async () => {
      more = running;
      if (running) return;
      running = true;
      try {
        await sendAll(client);
      } finally {
        running = false;
      }
      if (more) void send();
    };
    const now = () => void send();
    const soon = () => {
      clearTimeout(gathering);
      gathering = setTimeout(now, GATHER_MS);
    };
    void adoptOld().then(now);
    const timer = setInterval(now, AGAIN_MS);
    window.addEventListener('online', now);
    const asleep = onWake(soon);
    return () => {
      clearInterval(timer);
      clearTimeout(gathering);
      window.removeEventListener('online', now);
      asleep();
    };
  }, [client]);
  return null;
}

async function sendAll(client: QueryClient): Promise<void> {
  const { sent } = await sendKept({ save: saveKept, clashOf });
  const marks = await sendMarks(async (planter, entries) => {
    client.setQueryData(['progress', planter], await sendProgress(planter, entries));
  });
  for (const { kept } of sent) {
    if (kept.kind === 'planter') plantersChanged(client);
    else if (kept.kind === 'vessel') void client.invalidateQueries({ queryKey: ['vessels'] });
    else void client.invalidateQueries({ queryKey: documentKey(kept.kind, kept.id) });
  }
  for (const planter of marks.sent) {
    void client.invalidateQueries({ queryKey: ['marks', planter] });
  }
  const photos = await sendPhotos(sendPhoto);
  if (photos.sent > 0) void client.invalidateQueries({ queryKey: ['photo'] });
  if (photos.refused) notify(photos.refused);
  if ((await sendLogged(sendLog)) > 0) void client.invalidateQueries({ queryKey: ['log'] });
  if (marks.sent.length > 0) void client.invalidateQueries({ queryKey: ['garden'] });
  client.setQueryData(['marks', 'trouble'], marks.trouble);
  void client.invalidateQueries({ queryKey: ['kept'] });
}
