import { writePlanterFile, type PlanterDesign } from '@huerta/core';

/** Hands the planter to the browser as a file to save. */
export function exportPlanter(design: PlanterDesign): void {
  const blob = new Blob([writePlanterFile(design)], { type: 'application/json' });
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = `${fileName(design.name)}.huerta.json`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}

function fileName(name: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase();
  return plain.slice(0, 60) || 'planter';
}
