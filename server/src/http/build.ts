import { Router, type Response } from 'express';
import {
  fileQuerySchema,
  labelQuerySchema,
  sendProgressSchema,
  type FileQuery,
} from '@huerta/contract';
import type { FileService, NamedFile } from '../services/files';
import type { ProgressService } from '../services/progress';
import { notFound } from '../services/problems';
import { idOf, read } from './read';

const TYPES = {
  pdf: 'application/pdf',
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
  csv: 'text/csv; charset=utf-8',
} as const;

/** /api/planters/:id/progress and the files of its build sheet under /api/planters/:id/build. */
export function buildRoutes(progress: ProgressService, files: FileService): Router {
  const router = Router();

  router.get('/:id/progress', async (request, response) => {
    response.json(await progress.get(idOf(request, 'planter')));
  });
  router.patch('/:id/progress', async (request, response) => {
    const { entries } = read(sendProgressSchema, request.body);
    response.json(await progress.send(idOf(request, 'planter'), entries));
  });

  const file = (
    name: string,
    as: keyof typeof TYPES,
    make: (id: string, query: FileQuery) => Promise<NamedFile<Buffer | string>>,
  ) =>
    router.get(`/:id/build/${name}`, async (request, response) => {
      const query = read(fileQuerySchema, request.query);
      send(response, as, await make(idOf(request, 'planter'), query));
    });
  file('sheet.pdf', 'pdf', (id, query) => files.sheet(id, query));
  file('templates.pdf', 'pdf', (id, query) => files.templates(id, query));
  file('parts.csv', 'csv', (id, query) => files.parts(id, query));
  file('cuts.csv', 'csv', (id, query) => files.cuts(id, query));
  router.get('/:id/build/label.pdf', async (request, response) => {
    const query = read(labelQuerySchema, request.query);
    send(response, 'pdf', await files.label(idOf(request, 'planter'), query));
  });
  router.get('/:id/build/templates/:file', async (request, response) => {
    const query = read(fileQuerySchema, request.query);
    const [, template, as] = /^([a-z-]+)\.(svg|dxf)$/.exec(request.params.file) ?? [];
    if (!template || (as !== 'svg' && as !== 'dxf')) {
      throw notFound('A template’s file ends in .svg or .dxf.');
    }
    send(response, as, await files.template(idOf(request, 'planter'), template, as, query));
  });

  return router;
}

/** A file with a name to keep it under. PDF and SVG open in the browser, the others are kept. */
function send(response: Response, as: keyof typeof TYPES, file: NamedFile<Buffer | string>): void {
  const opens = as === 'pdf' || as === 'svg';
  response.attachment(file.name);
  if (opens) {
    const kept = response.getHeader('Content-Disposition') as string;
    response.setHeader('Content-Disposition', kept.replace(/^attachment/, 'inline'));
  }
  response.type(TYPES[as]).set('Cache-Control', 'no-store').send(file.content);
}
