import type { FileQuery, LabelQuery } from '@huerta/contract';
import { buildSheet, evaluate, shoppingFor, type Template } from '@huerta/core';
import { cutsCsv, partsCsv } from '../files/csv';
import { templateDxf } from '../files/dxf';
import { labelPdf } from '../files/labelPdf';
import { sheetPdf } from '../files/sheetPdf';
import { templateSvg } from '../files/svg';
import { templatesPdf } from '../files/templatePdf';
import type { PlanterService } from './planters';
import type { PriceService } from './prices';
import { notFound } from './problems';

/** The files of a planter's build sheet. */
export interface FileService {
  sheet(id: string, query: FileQuery): Promise<NamedFile<Buffer>>;
  templates(id: string, query: FileQuery): Promise<NamedFile<Buffer>>;
  template(
    id: string,
    template: string,
    as: 'svg' | 'dxf',
    query: FileQuery,
  ): Promise<NamedFile<string>>;
  label(id: string, query: LabelQuery): Promise<NamedFile<Buffer>>;
  parts(id: string, query: FileQuery): Promise<NamedFile<string>>;
  cuts(id: string, query: FileQuery): Promise<NamedFile<string>>;
}

export interface NamedFile<T> {
  name: string;
  content: T;
}

export function fileService(planters: PlanterService, prices: PriceService): FileService {
  const work = async (id: string, { units }: FileQuery) => {
    const { design } = await planters.get(id);
    const { planter, assessment } = evaluate(design);
    const sheet = buildSheet(planter, assessment.figures, units);
    return { design, planter, assessment, sheet };
  };
  const shop = async ({ design, assessment, sheet }: Awaited<ReturnType<typeof work>>) => {
    const { book } = await prices.get();
    const { parts, cuts } = sheet;
    const usable = assessment.figures.usable;
    return shoppingFor([{ name: design.name, parts, cuts, usable }], book);
  };
  const named = <T>(design: { name: string }, kind: string, content: T): NamedFile<T> => ({
    name: `${design.name.replace(/[^\p{L}\p{N}]+/gu, ' ').trim()} ${kind}`,
    content,
  });
  return {
    async sheet(id, query) {
      const made = await work(id, query);
      const { planter, assessment, sheet } = made;
      const { units, paper } = query;
      const shopping = await shop(made);
      const pdf = await sheetPdf({ planter, assessment, sheet, shopping, units, paper });
      return named(made.design, 'build sheet.pdf', pdf);
    },
    async templates(id, query) {
      const { design, sheet } = await work(id, query);
      if (sheet.templates.length === 0) throw notFound('Nothing of this planter needs a template.');
      return named(
        design,
        'templates.pdf',
        await templatesPdf(design.name, sheet.templates, query.paper),
      );
    },
    async template(id, wanted, as, query) {
      const { design, sheet } = await work(id, query);
      const template = sheet.templates.find((one: Template) => one.id === wanted);
      if (!template) throw notFound('This planter has no such template.');
      const content = as === 'svg' ? templateSvg(template) : templateDxf(template);
      return named(design, `${template.title.toLowerCase()}.${as}`, content);
    },
    async label(id, query) {
      const { design, planter, assessment } = await work(id, query);
      const link = new URL(`/planters/${id}`, query.at).href;
      const { units, paper, day } = query;
      const gross = assessment.figures.standing;
      return named(
        design,
        'label.pdf',
        await labelPdf({ planter, gross, day, link, units, paper }),
      );
    },
    async parts(id, query) {
      const made = await work(id, query);
      return named(made.design, 'parts.csv', partsCsv(made.sheet, await shop(made), query.units));
    },
    async cuts(id, query) {
      const made = await work(id, query);
      return named(made.design, 'cuts.csv', cutsCsv(await shop(made), query.units));
    },
  };
}
