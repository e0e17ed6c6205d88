/** What the tests use of svg-parser, which ships no types. */
declare module 'svg-parser' {
  export interface ElementNode {
    type: 'element';
    tagName?: string;
    properties?: Record<string, string | number>;
    children: (ElementNode | { type: 'text' } | string)[];
  }
  export function parse(svg: string): { children: (ElementNode | { type: 'text' })[] };
}
