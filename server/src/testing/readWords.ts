import parsePdf from 'pdf-parse/lib/pdf-parse.js';

/** Words of a PDF and where they stand on their page, in metres from its lower left. */
export interface PlacedWords {
  words: string;
  page: number;
  left: number;
  right: number;
  bottom: number;
  top: number;
}

const METRE = 0.0254 / 72;
/** How high letters stand above their base line, as a share of their size. */
const CAPITALS = 0.72;

/** All words of a PDF with their places, run by run as they were set. */
export async function readWords(pdf: Buffer): Promise<PlacedWords[]> {
  const placed: PlacedWords[] = [];
  let page = 0;
  await parsePdf(pdf, {
    async pagerender(one) {
      const { items } = await one.getTextContent();
      for (const { str, width, transform } of items) {
        if (str.trim() === '') continue;
        const [, , , size, x, y] = transform;
        placed.push({
          ...{ words: str, page },
          ...{ left: x * METRE, right: (x + width) * METRE },
          ...{ bottom: y * METRE, top: (y + CAPITALS * size) * METRE },
        });
      }
      page += 1;
      return '';
    },
  });
  return placed;
}
