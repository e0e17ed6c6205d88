import { writePlanterFile } from '@huerta/core/assembly';
import type { PlanterDesign } from '@huerta/core/document';
import { saveFile } from './saveFile';

/** Hands the planter to the browser as a file to save. */
export function exportPlanter(design: PlanterDesign): void {
  const blob = new Blob([writePlanterFile(design)], { type: 'application/json' });
  saveFile(`${fileName(design.name)}.huerta.json`, blob);
}

function fileName(name: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase();
  return plain.slice(0, 60) || 'planter';
}
