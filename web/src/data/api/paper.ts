import type { Route } from '@huerta/contract';
import { callFile } from './client';

/** Has a paper drawn from what is sent, and keeps it as a file. @throws RefusedError; LaterError */
export async function keepPaper(name: string, route: Route, body: object): Promise<void> {
  const blob = await callFile(route, { body });
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  // Some browsers read it a moment later.
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
