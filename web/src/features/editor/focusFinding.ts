/** The list of findings, and its heading. */
export const FINDINGS_ID = 'findings';
export const FINDINGS_TITLE_ID = 'findings-title';

/** Goes to the first remedy from a finding on, or to the heading where none is left. @param from its place in the list */
export function focusFinding(from: number): void {
  const lines = [...document.querySelectorAll<HTMLElement>(`#${FINDINGS_ID} > li`)];
  const order = [...lines.slice(from), ...lines.slice(0, from)];
  const remedy = order.map((line) => line.querySelector('button')).find(Boolean);
  (remedy ?? document.getElementById(FINDINGS_TITLE_ID))?.focus();
}
