import type { PlanterDesign } from '@huerta/core/document';
import { saveFile } from './saveFile';

/** Hands the planter to the browser as a file to save. */
export async function exportPlanter(design: PlanterDesign): Promise<void> {
  const { writePlanterFile } = await import('./planterFile');
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
