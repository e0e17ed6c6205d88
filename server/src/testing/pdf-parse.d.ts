/** The words of a PDF; its own types cover only the entry that reads a file at once. */
declare module 'pdf-parse/lib/pdf-parse.js' {
  /** A run of words as it is set: `transform` ends with its left and its base line, in points. */
  interface Run {
    str: string;
    width: number;
    transform: readonly [number, number, number, number, number, number];
  }
  interface Page {
    getTextContent(): Promise<{ items: readonly Run[] }>;
  }
  export default function parsePdf(
    pdf: Buffer,
    options?: { pagerender(page: Page): Promise<string> },
  ): Promise<{ text: string; numpages: number }>;
}
