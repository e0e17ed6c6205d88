import type { FileQuery, LabelQuery, RoundQuery } from '@huerta/contract';
import {
  asShopper,
  buildSheet,
  hoseHole,
  markedWith,
  shoppingFor,
  type PriceBook,
  type Template,
} from '@huerta/core/fabrication';
import { assemble } from '@huerta/core/assembly';
import { roundPicture, stepPicture } from '@huerta/core/drawing/round';
import { evaluate } from '@huerta/core/assessment';
import { wordsIn } from '@huerta/core/units';
import type { PlanterDesign } from '@huerta/core/document';
import { cutsCsv, partsCsv } from '../export/csv/csv';
import { templateDxf } from '../export/dxf/dxf';
import { labelPdf } from '../export/pdf/labels';
import type { BuildJob } from '../export/pdfRenderer';
import { planterGlb } from '../export/gltf/gltf';
import { roundSvg } from '../export/svg/round';
import { templateSvg } from '../export/svg/svg';
import type { Documents } from './documents';
import type { SharedWaterReader } from './joined';
import { ONLY } from './kinds';
import type { PdfRenderer } from './pdfRenderer';
import { notFound, problem } from './problems';

/** The files of a planter's build sheet. */
export interface FileService {
  sheet(id: string, query: FileQuery): Promise<NamedFile<Buffer>>;
  booklet(id: string, query: FileQuery): Promise<NamedFile<Buffer>>;
  templates(id: string, query: FileQuery): Promise<NamedFile<Buffer>>;
  template(
    id: string,
    template: string,
    as: 'svg' | 'dxf',
    query: FileQuery,
  ): Promise<NamedFile<string>>;
  round(id: string, query: RoundQuery): Promise<NamedFile<string>>;
  solid(id: string): Promise<NamedFile<Buffer>>;
  label(id: string, query: LabelQuery): Promise<NamedFile<Buffer>>;
  parts(id: string, query: FileQuery): Promise<NamedFile<string>>;
  cuts(id: string, query: FileQuery): Promise<NamedFile<string>>;
}

/** What the papers of a build are called after the planter's name. */
const NAMES: Readonly<Record<BuildJob['what'], string>> = {
  sheet: 'build sheet.pdf',
  booklet: 'build in pictures.pdf',
  templates: 'templates.pdf',
};

export interface NamedFile<T> {
  name: string;
  content: T;
}

interface Parts {
  planters: Documents<PlanterDesign>;
  prices: Documents<PriceBook>;
  papers: PdfRenderer;
  sharedWater: SharedWaterReader;
}

// eslint-disable-next-line max-lines-per-function -- one service: its methods share the threads that draw.
export function fileService({ planters, prices, papers, sharedWater }: Parts): FileService {
  const work = async (id: string, { units }: FileQuery) => {
    const { value: design } = await planters.get(id);
    const { planter, assessment } = evaluate(design);
    const sheet = buildSheet(planter, assessment.figures, units);
    return { design, planter, assessment, sheet, units };
  };
  const shop = async ({ design, assessment, sheet, units }: Awaited<ReturnType<typeof work>>) => {
    const { value: book } = await prices.get(ONLY);
    return shoppingFor([asShopper(design.name, sheet, assessment.figures)], book, units);
  };
  const named = <T>(design: { name: string }, kind: string, content: T): NamedFile<T> => ({
    name: `${design.name.replace(/[^\p{L}\p{N}]+/gu, ' ').trim()} ${kind}`,
    content,
  });
  const drawn = async (
    what: BuildJob['what'],
    id: string,
    query: FileQuery,
  ): Promise<NamedFile<Buffer>> => {
    const { value: design } = await planters.get(id);
    const { value: book } = await prices.get(ONLY);
    const { units, decimal, paper } = query;
    const shared = await sharedWater(id);
    const joined = shared && { share: shared.share, hole: hoseHole(shared.line, id) };
    const result = await papers.draw({ what, design, joined, book, units, decimal, paper });
    if (result.ok) {
      return named(design, NAMES[what], Buffer.from(result.file));
    }
    if (result.why === 'none') throw notFound('Nothing of this planter needs a template.');
    throw problem(
      'too-much-work',
      422,
      'Too many sheets',
      `These templates take ${result.sheets} sheets, more than can be taped together. Take them one by one as SVG or DXF to a copy shop, or mark out by the measures under Holes.`,
    );
  };
  return {
    sheet: (id, query) => drawn('sheet', id, query),
    booklet: (id, query) => drawn('booklet', id, query),
    templates: (id, query) => drawn('templates', id, query),
    async template(id, wanted, as, query) {
      const { design, sheet } = await work(id, query);
      const template = sheet.templates.find((one: Template) => one.id === wanted);
      if (!template) throw notFound('This planter has no such template.');
      const marked = markedWith(template, query.decimal ?? 'point');
      const content = as === 'svg' ? templateSvg(marked) : templateDxf(marked);
      return named(design, `${template.title.toLowerCase()}.${as}`, content);
    },
    async round(id, { turn, step, width, units }) {
      const { design, planter, sheet } = await work(id, { units, paper: 'a4' });
      const words = wordsIn(units);
      const page = { width, height: width };
      if (step === undefined) {
        const picture = roundPicture(planter, { turn: (turn * Math.PI) / 180 });
        return named(design, 'in the round.svg', roundSvg(picture, design.name, page, words));
      }
      const found = sheet.steps.find((one) => one.id === step);
      if (!found) throw notFound('This planter’s build sheet has no such step.');
      const order = sheet.steps.map((one) => one.id);
      const picture = stepPicture(planter, order, step);
      return named(design, `${step}.svg`, roundSvg(picture, found.title, page, words));
    },
    async solid(id) {
      const { value: design } = await planters.get(id);
      return named(design, 'solid.glb', Buffer.from(await planterGlb(assemble(design))));
    },
    async label(id, query) {
      const { design, planter, assessment } = await work(id, query);
      const link = new URL(`/planters/${id}`, query.at).href;
      const { units, decimal, paper, day } = query;
      const words = wordsIn(units, decimal);
      const gross = assessment.figures.standing;
      return named(
        design,
        'label.pdf',
        await labelPdf({ planter, gross, day, link, words, paper }),
      );
    },
    async parts(id, query) {
      const made = await work(id, query);
      return named(
        made.design,
        'parts.csv',
        partsCsv(made.sheet, await shop(made), query.units, query.decimal),
      );
    },
    async cuts(id, query) {
      const made = await work(id, query);
      return named(made.design, 'cuts.csv', cutsCsv(await shop(made), query.units, query.decimal));
    },
  };
}
