import { Router } from 'express';
import { BUILD, GARDEN, LOG, MOST_OF_A_ROUND, PLANTERS } from '@huerta/contract';
import { DEMO_GARDEN } from '../demo/garden';
import type { Services } from '../services';
import type { NamedFile } from '../services/files';
import { notFound } from '../services/problems';
import { ofRound } from '../services/round';
import { FileAnswer, JsonText, registerRoute } from './registerRoute';

/** What follows from documents: the garden in short, reports, progress, the files of a build sheet. */
export function reportRoutes({
  reports,
  progress,
  files,
  garden,
  log,
  weatherDays,
  planters,
  tending,
  standing,
  today,
}: Services): Router {
  const router = Router();
  registerRoute(router, GARDEN.entries, async () => new JsonText(await garden.entries()));
  registerRoute(router, GARDEN.examples, async () => ({ designs: DEMO_GARDEN }));
  registerRoute(router, GARDEN.document, async ({ request }) => {
    const { kind, name: id } = request.params;
    const { name, text } = await garden.document(String(kind), String(id));
    // It may be no JSON: that is why it is taken away.
    return new FileAnswer(`${name}.json`, text, GARDEN.document.file, false);
  });
  registerRoute(router, GARDEN.setAside, async ({ request }) => {
    const { name, text } = await garden.setAside(Number(request.params.n));
    return new FileAnswer(`${name}.json`, text, GARDEN.setAside.file, false);
  });
  registerRoute(router, GARDEN.drawing, async ({ id, query, response }) => {
    const { drawing, by, revision } = await garden.drawing(id);
    // Asked for by what it depends on, it never changes.
    if (query.by === by && query.revision === String(revision)) {
      response.set('Cache-Control', 'private, max-age=31536000, immutable');
    }
    return drawing;
  });
  registerRoute(router, PLANTERS.assessment, ({ id, query }) =>
    reports.assessment(id, query.units),
  );
  registerRoute(router, PLANTERS.sheet, ({ id, query }) => reports.sheet(id, query.units));

  registerRoute(router, BUILD.progress, ({ id }) => progress.get(id));
  registerRoute(router, BUILD.mark, ({ id, body }) => progress.send(id, body.entries));

  registerRoute(router, LOG.all, ({ query }) => log.of(query));
  registerRoute(router, LOG.of, async ({ id, query }) => {
    await planters.get(id);
    return log.of({ planter: id, ...query });
  });
  registerRoute(router, LOG.tended, async ({ query }) => {
    standing.later();
    if (query.of === 'garden') return { entries: await log.tended(null, today()) };
    const ids = (await ofRound(planters)).slice(0, MOST_OF_A_ROUND).map(({ id }) => id);
    return { entries: await log.tended(ids, today()) };
  });
  registerRoute(router, LOG.tendedOf, async ({ id }) => {
    await planters.get(id);
    return { entries: await log.tended([id], today()) };
  });
  registerRoute(router, LOG.days, async () => ({ days: await weatherDays.from() }));
  registerRoute(router, LOG.tellDays, async ({ body }) => {
    await weatherDays.put(body.days);
    return { days: await weatherDays.from(body.days.map(({ date }) => date).sort()[0]) };
  });
  registerRoute(router, LOG.readings, async ({ id, body: { by, readings } }) => ({
    came: await tending.read(id, by, readings),
  }));
  registerRoute(router, LOG.standing, async () => ({ standing: standing.ready() }));
  registerRoute(router, LOG.calendar, async ({ query }) => {
    const file = await tending.calendar(query.units);
    return new FileAnswer('huerta.ics', file, LOG.calendar.file, true);
  });
  registerRoute(router, LOG.neighbour, async ({ body }) => {
    const file = await tending.neighbour(body);
    return new FileAnswer('watering.pdf', file, LOG.neighbour.file, true);
  });
  registerRoute(router, LOG.add, async ({ body: { entries } }) => ({
    came: await log.add(entries),
    has: entries.map(({ id }) => id),
  }));

  const shown = ({ name, content }: NamedFile<Buffer | string>, type: string) =>
    new FileAnswer(name, content, type, !/csv|dxf/.test(type));
  const { sheetPdf, templatesPdf, labelPdf, partsCsv, cutsCsv, template } = BUILD;
  registerRoute(router, sheetPdf, async ({ id, query }) =>
    shown(await files.sheet(id, query), sheetPdf.file),
  );
  registerRoute(router, templatesPdf, async ({ id, query }) =>
    shown(await files.templates(id, query), templatesPdf.file),
  );
  registerRoute(router, labelPdf, async ({ id, query }) =>
    shown(await files.label(id, query), labelPdf.file),
  );
  registerRoute(router, partsCsv, async ({ id, query }) =>
    shown(await files.parts(id, query), partsCsv.file),
  );
  registerRoute(router, cutsCsv, async ({ id, query }) =>
    shown(await files.cuts(id, query), cutsCsv.file),
  );
  registerRoute(router, template, async ({ id, query, request }) => {
    const [, name, as] = /^([a-z-]+)\.(svg|dxf)$/.exec(String(request.params.file)) ?? [];
    if (!name || (as !== 'svg' && as !== 'dxf')) {
      throw notFound('A template’s file ends in .svg or .dxf.');
    }
    const type = as === 'svg' ? template.file : 'image/vnd.dxf';
    return shown(await files.template(id, name, as, query), type);
  });
  return router;
}
