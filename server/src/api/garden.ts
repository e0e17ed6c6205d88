import { GARDEN } from '@huerta/contract';
import { DEMO_GARDEN } from '../demo/garden';
import type { Services } from '../services';
import { FileAnswer, JsonText, registerRoute, type Routing } from './registerRoute';

/** The garden in short, and what is taken away as it is. */
export function gardenRoutes(router: Routing, { garden }: Services): void {
  registerRoute(router, GARDEN.entries, async () => new JsonText(await garden.entries()));
  registerRoute(router, GARDEN.examples, async () => ({ designs: DEMO_GARDEN }));
  registerRoute(router, GARDEN.document, async ({ request }) => {
    const { kind, name: id } = request.params;
    const { name, text } = await garden.document(String(kind), String(id));
    // It may be no JSON: that is why it is taken away.
    return new FileAnswer(`${name}.json`, text, GARDEN.document.file, false);
  });
  registerRoute(router, GARDEN.setAside, async ({ request }) => {
    const { name, text } = await garden.setAside(Number(request.params.n));
    return new FileAnswer(`${name}.json`, text, GARDEN.setAside.file, false);
  });
  registerRoute(router, GARDEN.drawing, async ({ id, query, response }) => {
    const { drawing, by, revision } = await garden.drawing(id);
    // Asked for by what it depends on, it never changes.
    if (query.by === by && query.revision === String(revision)) {
      response.set('Cache-Control', 'private, max-age=31536000, immutable');
    }
    return drawing;
  });
}
