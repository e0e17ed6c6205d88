import { STARTING_POINTS } from '@huerta/core/document';
import { evaluate } from '@huerta/core/assessment';
import { buildSheet, NEW_BOOK } from '@huerta/core/fabrication';
import parsePdf from 'pdf-parse/lib/pdf-parse.js';
import { renderPdf } from './pdfRenderer';

/** The build in pictures: each step stands in it once, with its number, and the heights in the reader's units. */

const plain = (text: string) => text.replace(/\s+/g, ' ');

test.each(STARTING_POINTS.filter(({ id }) => id !== 'blank'))(
  '$id: every step stands in the booklet, in either system',
  async ({ design }) => {
    for (const [units, paper] of [
      ['metric', 'a4'],
      ['us', 'letter'],
    ] as const) {
      const result = await renderPdf({ what: 'booklet', design, book: NEW_BOOK, units, paper });
      if (!result.ok) throw new Error('No booklet');
      expect(result.file.length).toBeLessThan(2e6);
      const { text, numpages } = await parsePdf(Buffer.from(result.file));
      const { planter, assessment } = evaluate(design);
      const { steps } = buildSheet(planter, assessment.figures, units);
      const words = plain(text);
      steps.forEach(({ title }, i) => expect(words).toContain(plain(`${i + 1} ${title}`)));
      // A cover, and two steps or more to a page.
      expect(numpages).toBeLessThanOrEqual(2 + Math.ceil(steps.length / 2));
      if (units === 'us') expect(words).not.toMatch(/\d mm\b(?! pipe)/);
    }
  },
);
