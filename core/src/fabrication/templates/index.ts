import type { Figures } from '../../assessment';
import type { Planter } from '../../assembly';
import type { DecimalMark, UnitSystem } from '../../units';
import type { PlatformSheet } from '../platform';
import type { Hole } from '../buildSheetBuilder';
import { dipStick, floatScale } from './gauge';
import { platformTemplate } from './platform';
import type { Template } from './template';
import { overflowStrip, rowsStrip } from './wall';

export type { Stroke, Template, TemplateShape } from './template';
export { shapesOn, tilesOf, RULE, type Tile } from './tiles';
export { PAPERS, PAPER_IDS, type PaperId } from '../papers';

/** Every template of a planter, in the order of the work. */
export function templatesOf(
  planter: Planter,
  figures: Figures,
  deck: PlatformSheet | null,
  holes: readonly Hole[],
  set: UnitSystem,
): Template[] {
  const overflow = holes.find(({ lip }) => lip !== null);
  const rows = planter.design.overflow?.kind === 'rows';
  const gauge =
    planter.design.fillTube !== null ||
    planter.design.pipes.some(({ use }) => use === 'inspection');
  return [
    overflow && !rows ? overflowStrip(planter, overflow, set) : null,
    overflow && rows ? rowsStrip(planter, overflow, set) : null,
    deck ? platformTemplate(deck, set) : null,
    gauge ? dipStick(planter, figures, set) : null,
    floatScale(planter, figures, set),
  ].filter((template) => template !== null);
}

/** A template with its numbers as they are written with `mark`. All words on it are Huerta's own. */
export function markedWith(template: Template, mark: DecimalMark): Template {
  if (mark === 'point') return template;
  const marked = (text: string) => text.replace(/(\d)\.(\d)/g, '$1,$2');
  return {
    ...template,
    title: marked(template.title),
    says: marked(template.says),
    shapes: template.shapes.map((shape) =>
      shape.kind === 'text' ? { ...shape, text: marked(shape.text) } : shape,
    ),
  };
}
