import { BUILD } from '@huerta/contract';
import type { Services } from '../services';
import type { NamedFile } from '../services/files';
import { notFound } from '../services/problems';
import { FileAnswer, registerRoute, type Routing } from './registerRoute';

/** Progress of builds, and the files of a build sheet. */
export function buildRoutes(router: Routing, { progress, files }: Services): void {
  registerRoute(router, BUILD.progress, ({ id }) => progress.get(id));
  registerRoute(router, BUILD.mark, ({ id, body }) => progress.send(id, body.entries));

  const shown = ({ name, content }: NamedFile<Buffer | string>, type: string) =>
    new FileAnswer(name, content, type, !/csv|dxf|gltf/.test(type));
  const {
    sheetPdf,
    bookletPdf,
    templatesPdf,
    labelPdf,
    partsCsv,
    cutsCsv,
    round,
    roundGlb,
    template,
  } = BUILD;
  registerRoute(router, sheetPdf, async ({ id, query }) =>
    shown(await files.sheet(id, query), sheetPdf.file),
  );
  registerRoute(router, bookletPdf, async ({ id, query }) =>
    shown(await files.booklet(id, query), bookletPdf.file),
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
  registerRoute(router, round, async ({ id, query }) =>
    shown(await files.round(id, query), round.file),
  );
  registerRoute(router, roundGlb, async ({ id }) => shown(await files.solid(id), roundGlb.file));
  registerRoute(router, template, async ({ id, query, request }) => {
    const [, name, as] = /^([a-z-]+)\.(svg|dxf)$/.exec(String(request.params.file)) ?? [];
    if (!name || (as !== 'svg' && as !== 'dxf')) {
      throw notFound('A template’s file ends in .svg or .dxf.');
    }
    const type = as === 'svg' ? template.file : 'image/vnd.dxf';
    return shown(await files.template(id, name, as, query), type);
  });
}
