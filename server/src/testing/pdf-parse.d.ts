/** The words of a PDF; its own types cover only the entry that reads a file at once. */
declare module 'pdf-parse/lib/pdf-parse.js' {
  export default function parsePdf(pdf: Buffer): Promise<{ text: string; numpages: number }>;
}
