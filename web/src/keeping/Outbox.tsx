import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { savePlanter } from '../api/planters';
import { sendKept } from './sendKept';

/** Between two tries at sending what is kept, milliseconds. */
const AGAIN_MS = 15_000;

/** Sends what lies kept on this device: at the start, now and again, and when the network is back. */
export function Outbox() {
  const client = useQueryClient();
  useEffect(() => {
    let running = false;
    const send = async () => {
      if (running) return;
      running = true;
      const { sent } = await sendKept({
        save: ({ planter, base, saveId, after, design }) =>
          savePlanter(planter, { revision: base, saveId, after }, design),
      });
      running = false;
      if (sent.length > 0) void client.invalidateQueries({ queryKey: ['planters'] });
      void client.invalidateQueries({ queryKey: ['kept'] });
    };
    void send();
    const timer = setInterval(() => void send(), AGAIN_MS);
    const online = () => void send();
    window.addEventListener('online', online);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', online);
    };
  }, [client]);
  return null;
}
