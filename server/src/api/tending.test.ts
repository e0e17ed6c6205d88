import { mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import ICAL from 'ical.js';
import parsePdf from 'pdf-parse/lib/pdf-parse.js';
import { pino } from 'pino';
import sharp from 'sharp';
import request from 'supertest';
import { logSchema, photoSchema, problemSchema, roundResourceSchema } from '@huerta/contract';
import { dayAfter, siteOf } from '@huerta/core/physics/climate';
import { usualLine } from '@huerta/core/simulation/waterLine';
import { planterStateKey, stateOf, type LogEntry } from '@huerta/core/journal';
import { STARTING_POINTS } from '@huerta/core/document';
import { servicesOf, type Services } from '../services';
import { openDatabase, type Database } from '../storage/database';
import { createApp } from './app';

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const today = '2026-07-15';
let folder: string;
let database: Database;
let api: ReturnType<typeof request>;
let planter: string;
let services: Services;

beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-tending-'));
  database = await openDatabase(join(folder, 'huerta.sqlite'));
  services = servicesOf(database, 'test', () => today);
  api = request(createApp({ services, logger: pino({ level: 'silent' }) }));
  const design = { ...STARTING_POINTS[0]!.design, name: 'Peppers by the step' };
  planter = (await api.post('/api/planters').send({ design }).expect(201)).body.id;
});
afterEach(async () => {
  await Promise.all([services.garden.stop(), services.standing.stop()]);
  await database.close();
  await rm(folder, { recursive: true });
});

const filled = (n: number, date: string): LogEntry => ({
  id: uuid(n),
  planter,
  at: `${date}T06:00:00.000Z`,
  by: '',
  did: { kind: 'filled', where: 'tube', volume: 0.004, ran: true },
  text: '',
  typed: '',
  instead: null,
  gone: false,
});
const planted = (date: string): LogEntry => ({
  ...filled(90, date),
  did: { kind: 'did', what: 'planted' },
});

describe('how planters stand, kept ready', () => {
  const ready = async () => (await api.get('/api/round/standing').expect(200)).body.standing;
  const log = (entries: LogEntry[]) => api.post('/api/log').send({ entries }).expect(200);

  test('as core says it, with the mark that a browser makes of the same answers', async () => {
    expect(await ready()).toEqual([]);
    await log([planted('2026-05-01'), filled(1, '2026-06-20'), filled(2, '2026-07-01')]);
    await services.standing.refresh();
    const { design } = (await api.get(`/api/planters/${planter}`)).body;
    const { entries } = (await api.get('/api/log')).body;
    const { choice } = (await api.get('/api/weather')).body;
    const { days: measured } = (await api.get('/api/weather/days')).body;
    const asked = { design, planted: null, entries, choice, measured, today };
    const state = stateOf({
      design,
      planted: null,
      entries,
      site: siteOf(choice),
      days: [],
      today,
    });
    expect(state).not.toBeNull();
    // As a whole: nothing in it is lost on its way through JSON.
    expect(await ready()).toEqual([{ planter, mark: planterStateKey(asked), state }]);
  });

  test('asking begins the work, and each state is answered once to whoever asks for what is new', async () => {
    await log([planted('2026-05-01'), filled(1, '2026-07-01')]);
    const since = async (last: number) =>
      (await api.get(`/api/round/standing?since=${last}`).expect(200)).body;
    let [last, working] = [0, true];
    const told: string[] = [];
    while (working) {
      const answer = await since(last);
      told.push(...answer.standing.map((one: { planter: string }) => one.planter));
      ({ last, working } = answer);
    }
    expect(told).toEqual([planter]);
    expect((await since(0)).standing).toHaveLength(1);
    expect((await since(last)).standing).toEqual([]);
    await api.get('/api/round/standing?since=-1').expect(400);
  });

  test('of joined planters with the line’s water, by the mark that a browser makes', async () => {
    const other = STARTING_POINTS.find(({ id }) => id === 'tote-pipes')!.design;
    const { id } = (await api.post('/api/planters').send({ design: other }).expect(201)).body;
    const { design } = (await api.get(`/api/planters/${planter}`)).body;
    const designs = { [planter]: design, [id]: (await api.get(`/api/planters/${id}`)).body.design };
    const line = usualLine(
      { id: uuid(99), name: 'By the wall' },
      [planter, id].map((one) => ({ id: one, design: designs[one] })),
      'metric',
    );
    const { plan } = (await api.get('/api/round')).body;
    await api
      .put('/api/round')
      .send({ revision: 0, plan: { ...plan, lines: [line] } })
      .expect(200);
    await log([planted('2026-05-01'), filled(1, '2026-07-01')]);
    await services.standing.refresh();
    const { entries } = (await api.get('/api/log')).body;
    const { choice } = (await api.get('/api/weather')).body;
    const joined = { line, designs, planter };
    const asked = { design, joined, planted: null, entries, choice, measured: [], today };
    const [standing] = await ready();
    expect(standing.mark).toBe(planterStateKey(asked));
    const { measured: _none, ...question } = { ...asked, site: siteOf(choice), days: [] };
    expect(standing.state).toEqual(stateOf(question));
  });

  test('ready again after a restart; not what another Huerta worked out, and not a damaged row', async () => {
    await log([planted('2026-05-01'), filled(1, '2026-07-01')]);
    await services.standing.refresh();
    const [{ mark, state }] = await ready();
    const restarted = async (by: string) => {
      const again = servicesOf(database, by, () => today);
      await again.standing.refresh();
      const { standing } = await again.standing.readySince(0);
      await Promise.all([again.garden.stop(), again.standing.stop()]);
      return standing;
    };
    // A text that nobody would work out shows where it comes from.
    const kept = { planter, mark, state: '"as it was"' };
    await database.planterStates.keep(kept, 'test');
    expect(await restarted('test')).toEqual([{ planter, mark, state: 'as it was' }]);
    expect(await restarted('another')).toEqual([{ planter, mark, state }]);
    await database.planterStates.keep(kept, 'test');
    await database.sequelize.query(`UPDATE planter_states SET state = '"as it wos"'`);
    expect(await restarted('test')).toEqual([{ planter, mark, state }]);
    // With the planter goes its state.
    await api.delete(`/api/planters/${planter}`).expect(204);
    await services.standing.refresh();
    expect(await database.planterStates.of('test')).toEqual([]);
  });

  test('anew after another entry, not after none, and not for what nobody planted', async () => {
    await log([planted('2026-05-01'), filled(1, '2026-07-01')]);
    await api.post('/api/planters').send({ design: STARTING_POINTS[1]!.design }).expect(201);
    await services.standing.refresh();
    const [before, ...others] = await ready();
    expect(others).toEqual([]);
    await services.standing.refresh();
    expect(await ready()).toEqual([before]);
    await log([filled(2, '2026-07-14')]);
    await services.standing.refresh();
    const [after] = await ready();
    expect(after.mark).not.toBe(before.mark);
    expect(after.state.daysLeft.likely).toBeGreaterThan(before.state.daysLeft.likely);
  });
});

describe('readings of a sensor', () => {
  const readings = [
    { at: '2026-07-01T05:00:00.000Z', level: 0.04 },
    { at: '2026-07-02T05:00:00.000Z', level: 0.03, moisture: { depth: 0.05, feels: 'moist' } },
  ];

  test('count as dips and fingers, and are stored once however often they are sent', async () => {
    const body = { by: 'Float', readings };
    const path = `/api/planters/${planter}/readings`;
    expect((await api.post(path).send(body).expect(200)).body).toEqual({ came: 3 });
    expect((await api.post(path).send(body).expect(200)).body).toEqual({ came: 0 });
    const { entries } = logSchema.parse((await api.get(`/api/planters/${planter}/log`)).body);
    expect(entries.map(({ did }) => did.kind).sort()).toEqual(['finger', 'level', 'level']);
    expect(entries.every(({ by }) => by === 'Float')).toBe(true);
  });

  test('say what is missing', async () => {
    const path = `/api/planters/${planter}/readings`;
    const answer = await api
      .post(path)
      .send({ by: 'Float', readings: [{ at: '2026-07-01T05:00:00.000Z' }] })
      .expect(400);
    expect(problemSchema.parse(answer.body).detail).toMatch(/Send a level or a moisture/);
    await api
      .post(`/api/planters/${uuid(9)}/readings`)
      .send({ by: 'x', readings })
      .expect(404);
  });
});

describe('photos', () => {
  const picture = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: '#357a3a' } })
      .withExif({ IFD0: { Make: 'Some camera' }, IFD3: { GPSLatitude: '40/1 0/1 0/1' } })
      .jpeg();

  test('are turned upright, made smaller, and lose their place and camera', async () => {
    const bytes = await picture(3000, 2000).withMetadata({ orientation: 6 }).toBuffer();
    expect((await sharp(bytes).metadata()).orientation).toBe(6);
    const answer = await api
      .put(`/api/photos/${uuid(1)}`)
      .type('image/jpeg')
      .send(bytes)
      .expect(200);
    expect(photoSchema.parse(answer.body)).toMatchObject({ width: 1067, height: 1600 });
    const whole = await api
      .get(`/api/photos/${uuid(1)}`)
      .buffer()
      .expect(200);
    const kept = await sharp(whole.body as Buffer).metadata();
    expect(kept).toMatchObject({ format: 'jpeg', width: 1067, height: 1600 });
    expect([kept.exif, kept.orientation, kept.xmp]).toEqual([undefined, undefined, undefined]);
    const small = await sharp(
      (
        await api
          .get(`/api/photos/${uuid(1)}/small`)
          .buffer()
          .expect(200)
      ).body as Buffer,
    ).metadata();
    expect(Math.max(small.width, small.height)).toBe(320);
  });

  test('lie under their hash: the same picture twice is one file, and an id keeps its first', async () => {
    const bytes = await picture(400, 300).toBuffer();
    const other = await picture(200, 300).toBuffer();
    for (const n of [1, 2])
      await api
        .put(`/api/photos/${uuid(n)}`)
        .send(bytes)
        .type('image/jpeg');
    const again = await api
      .put(`/api/photos/${uuid(1)}`)
      .type('image/jpeg')
      .send(other)
      .expect(200);
    expect(photoSchema.parse(again.body)).toMatchObject({ width: 400, height: 300 });
    expect(await readdir(join(folder, 'photos'))).toHaveLength(2);
  });

  test('that are none are refused in a sentence', async () => {
    const answer = await api
      .put(`/api/photos/${uuid(1)}`)
      .type('image/jpeg')
      .send(Buffer.from('not a picture at all'))
      .expect(400);
    expect(problemSchema.parse(answer.body).detail).toMatch(/not a picture/);
    await api.get(`/api/photos/${uuid(1)}`).expect(404);
    const svg = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>');
    await api
      .put(`/api/photos/${uuid(2)}`)
      .type('image/svg+xml')
      .send(svg)
      .expect(400);
  });

  test('go with the garden’s file and come back from it', async () => {
    const bytes = await picture(400, 300).toBuffer();
    await api
      .put(`/api/photos/${uuid(1)}`)
      .type('image/jpeg')
      .send(bytes);
    const services = servicesOf(database);
    const file = await services.gardenFile.take();
    const elsewhere = await openDatabase(join(folder, 'other', 'huerta.sqlite'));
    const there = servicesOf(elsewhere);
    await there.gardenFile.restore(file, 'keep');
    expect(await there.photos.all()).toMatchObject([{ id: uuid(1), width: 400, height: 300 }]);
    await elsewhere.close();
  });
});

describe('the calendar', () => {
  const events = async () => {
    const answer = await api.get('/api/calendar.ics?units=us').buffer().expect(200);
    expect(answer.type).toBe('text/calendar');
    const text = answer.text ?? (answer.body as Buffer).toString();
    return new ICAL.Component(ICAL.parse(text))
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one));
  };

  test('is read by an independent reader: fillings as spans of days, duties, harvests, absences', async () => {
    const entries = [planted(dayAfter(today, -40)), filled(1, dayAfter(today, -2))];
    await api.post('/api/log').send({ entries }).expect(200);
    const away = { from: dayAfter(today, 15), until: dayAfter(today, 25) };
    await api
      .put('/api/round')
      .send({ revision: 0, plan: { order: [planter], tank: null, away } })
      .expect(200);
    const all = await events();
    const fill = all.find(({ uid }) => uid === `fill-${planter}@huerta`)!;
    expect(fill.summary).toBe('Fill Peppers by the step');
    expect(fill.startDate.isDate).toBe(true);
    expect(fill.startDate.toString() >= today).toBe(true);
    expect(fill.endDate.toString() > fill.startDate.toString()).toBe(true);
    expect(fill.description).toMatch(/cups? today/);
    // Reminded on one of its days, at the hour of the filling that is noted; of what takes no water not at all.
    const alarms = (event: typeof fill) => event.component.getAllSubcomponents('valarm');
    const after = alarms(fill)[0]!.getFirstPropertyValue('trigger') as ICAL.Duration;
    expect(after.toSeconds() % 86_400).toBe(6 * 3600);
    expect(after.toSeconds()).toBeLessThan(fill.endDate.subtractDate(fill.startDate).toSeconds());
    expect(alarms(all.find(({ uid }) => uid.startsWith('pick-'))!)).toHaveLength(0);
    const absent = all.find(({ uid }) => uid === 'away@huerta')!;
    expect(absent.startDate.toString()).toBe(away.from);
    expect(absent.endDate.toString()).toBe(away.until);
    const onDay = (name: string) => all.find(({ uid }) => uid === name)!.startDate.toString();
    expect([onDay('leave@huerta'), onDay('back@huerta')]).toEqual([away.from, away.until]);
    expect(all.some(({ uid }) => uid.startsWith('pick-'))).toBe(true);
    expect(new Set(all.map(({ uid }) => uid)).size).toBe(all.length);
  });

  test('keeps the names of its events when they move', async () => {
    const began = planted(dayAfter(today, -40));
    await api.post('/api/log').send({ entries: [began, filled(1, dayAfter(today, -6))] });
    const before = await events();
    const now: LogEntry = {
      ...filled(2, today),
      did: { kind: 'filled', where: 'tube', volume: null, ran: true },
    };
    await api.post('/api/log').send({ entries: [now] });
    const after = await events();
    const of = (all: typeof before) => all.find(({ uid }) => uid.startsWith('fill-'))!;
    expect(of(after).uid).toBe(of(before).uid);
    expect(of(after).startDate.toString() > of(before).startDate.toString()).toBe(true);
  });
});

describe('the plan of the round', () => {
  test('is one document, saved over a known revision', async () => {
    const first = roundResourceSchema.parse((await api.get('/api/round').expect(200)).body);
    expect(first).toMatchObject({ revision: 0, plan: { order: [], tank: null, away: null } });
    const plan = { ...first.plan, order: [planter] };
    await api.put('/api/round').send({ revision: 0, plan }).expect(200);
    await api
      .put('/api/round')
      .send({ revision: 0, plan: { ...plan, order: [] } })
      .expect(409);
  });

  test('a coming home before the leaving is refused at its field', async () => {
    const plan = { order: [], tank: null, away: { from: '2026-08-10', until: '2026-08-01' } };
    const answer = await api.put('/api/round').send({ revision: 0, plan }).expect(400);
    const [error] = problemSchema.parse(answer.body).errors!;
    expect(error).toMatchObject({ path: ['plan', 'away', 'until'] });
  });
});

test('a neighbour’s sheet is one page with days, litres, where to pour and what to leave alone', async () => {
  const answer = await api
    .post('/api/round/neighbour.pdf')
    .send({
      from: '2026-07-20',
      until: '2026-08-03',
      order: [planter],
      visits: [
        { date: '2026-07-25', fills: [{ id: planter, volume: 0.0042, most: 0.005 }] },
        { date: '2026-07-30', fills: [{ id: planter, volume: 0.0051, most: 0.006 }] },
      ],
      units: 'metric',
      paper: 'a4',
    })
    .buffer()
    .expect(200);
  const { text, numpages } = await parsePdf(answer.body as Buffer);
  expect(numpages).toBe(1);
  for (const words of [
    'Peppers by the step',
    'Sat 25 Jul',
    'Thu 30 Jul',
    '4.2',
    '5.1',
    'tube',
    'No feed',
  ])
    expect(text).toContain(words);
  await api.post('/api/round/neighbour.pdf').send({}).expect(400);
});

test('what no visit keeps alive is said first on the neighbour’s sheet, and not that it lasts', async () => {
  const dates = { from: '2026-07-20', until: '2026-08-03' };
  const answer = await api
    .post('/api/round/neighbour.pdf')
    .send({
      ...dates,
      order: [planter],
      visits: [],
      beyond: [planter],
      units: 'us',
      paper: 'letter',
    })
    .buffer()
    .expect(200);
  const { text } = await parsePdf(answer.body as Buffer);
  expect(text.replace(/\s+/g, ' ')).toContain('Fill Peppers by the step every day');
  expect(text).not.toContain('Lasts by itself');
  expect(text).not.toContain('last by themselves');
});
