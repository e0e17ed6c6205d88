import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { base, end, pause, send, start } from './server';

/** A garden with a row in every table, so that each of them can be damaged. */

type Json = Record<string, unknown>;
/** The answer to what is sent. @throws Error where it is refused */
const read = async (answer: Response | null): Promise<Json> => {
  if (!answer?.ok)
    throw new Error(`${answer?.url} was answered ${answer?.status}: ${await answer?.text()}`);
  return answer.status === 204 ? {} : ((await answer.json()) as Json);
};

const entryOf = (planter: string, at: string, did: object) => ({
  ...{ id: randomUUID(), planter, at, by: '', text: '', typed: '' },
  ...{ did, instead: null, gone: false },
});
const FILLED = { kind: 'filled', where: 'tube', volume: 0.004, ran: true };

/** A planter with an older revision, ticks, a season, a log, readings and a photo. */
async function plant(design: object): Promise<string> {
  const { id, revision } = (await read(await send('POST', '/planters', { design }))) as {
    id: string;
    revision: number;
  };
  await read(
    await send('PUT', `/planters/${id}`, {
      revision,
      saveId: randomUUID(),
      design: { ...design, notes: 'changed' },
    }),
  );
  await read(
    await send('PATCH', `/planters/${id}/progress`, {
      entries: [{ key: 'note/level', value: 'even', at: new Date().toISOString() }],
    }),
  );
  await read(
    await send('PUT', `/planters/${id}/season`, {
      revision: 0,
      plan: { planted: '2026-05-01', filling: { kind: 'when-low' }, waterings: [] },
    }),
  );
  const photo = randomUUID();
  const picture = await sharp({
    create: { width: 40, height: 30, channels: 3, background: '#5a7d3a' },
  })
    .jpeg()
    .toBuffer();
  await fetch(`${base}/photos/${photo}`, {
    method: 'PUT',
    headers: { 'content-type': 'image/jpeg' },
    body: new Uint8Array(picture),
  });
  await read(
    await send('POST', '/log', {
      entries: [
        ...['2026-07-01T08:00:00.000Z', '2026-07-05T08:00:00.000Z'].map((at) =>
          entryOf(id, at, FILLED),
        ),
        entryOf(id, '2026-07-06T08:00:00.000Z', { kind: 'photo', photo }),
      ],
    }),
  );
  await read(
    await send('POST', `/planters/${id}/readings`, {
      by: 'Float',
      readings: [
        { at: '2026-07-06T08:00:00.000Z', level: 0.05 },
        { at: '2026-07-06T09:00:00.000Z', moisture: { depth: 0.1, feels: 'moist' } },
      ],
    }),
  );
  return id;
}

/** What there is once in a garden: each is saved as it is. */
const ONCE = { '/prices': 'book', '/crops': 'own', '/weather': 'choice', '/round': 'plan' };

/** The door opened, a device let in, and addresses given out and used. */
async function letIn(planter: string): Promise<void> {
  const door = await read(await send('PUT', '/door', { open: true, secure: false }));
  const [address] = door.addresses as string[];
  const { link } = await read(await send('POST', '/door/codes', { address }));
  const { hash, origin } = new URL(String(link));
  await read(
    await fetch(`${origin}/api/door/enter`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin },
      body: JSON.stringify({ code: hash.slice(1), name: 'Phone' }),
    }),
  );
  const feeds = [
    { name: 'Kitchen calendar', kind: 'calendar' },
    { name: 'Float', kind: 'readings', planter },
  ];
  for (const feed of feeds) {
    const made = await read(await send('POST', '/feeds', { ...feed, address }));
    await fetch(String(made.link));
  }
  await read(await send('PUT', '/door', { open: false, secure: false }));
}

/** Until it is known how each planter stands. */
async function known(): Promise<void> {
  for (let since = 0, working = true; working;) {
    const told = await read(await send('GET', `/round/standing?since=${since}`));
    since = told.last as number;
    working = told.working as boolean;
    await pause(100);
  }
}

export async function fillGarden(folder: string): Promise<void> {
  const server = await start(folder);
  const { designs } = (await read(await send('GET', '/examples'))) as { designs: object[] };
  const ids: string[] = [];
  for (const design of designs.slice(0, 7)) ids.push(await plant(design));
  const [first, last] = [String(ids[0]), String(ids.at(-1))];
  await send('DELETE', `/planters/${last}`);
  const { vessel } = designs[0] as { vessel: object };
  await read(await send('POST', '/vessels', { name: 'The one by the well', vessel }));
  for (const [path, key] of Object.entries(ONCE)) {
    const { revision, [key]: value } = await read(await send('GET', path));
    await read(await send('PUT', path, { revision, [key]: value }));
  }
  await read(
    await send('POST', '/weather/days', {
      days: [{ date: '2026-07-06', tMin: 17, tMax: 31, rain: 0 }],
    }),
  );
  await letIn(first);
  await known();
  await fetch(`${base}/garden`);
  await end(server, 'SIGTERM');
}
