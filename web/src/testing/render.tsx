import { ChakraProvider } from '@chakra-ui/react';
import { configure, render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { NOTICE_TIMES } from '../ui/notices';
import { PreferencesProvider } from '../ui/preferences';
import { system } from '../app/theme';

// jsdom has no media queries; a light room with motion is assumed.
window.matchMedia ??= (query) =>
  ({ matches: false, media: query, addEventListener() {}, removeEventListener() {} }) as never;

// jsdom's files cannot be read as text.
Blob.prototype.text ??= function (this: Blob) {
  return new Promise((done) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result));
    reader.readAsText(this);
  });
};

// A browser of the house, with millimetres.
Object.defineProperty(navigator, 'language', { value: 'en-GB', configurable: true });

// jsdom has no pointer events; a mouse stands in for the pointer.
window.PointerEvent ??= MouseEvent as never;

// As patient as the tests themselves, for machines that are busy with something else.
configure({ asyncUtilTimeout: 20_000 });

// Nor is a notice gone before a busy machine has come to press it.
Object.assign(NOTICE_TIMES, { plain: 600_000, undo: 600_000 });

/** Renders a component inside what every page has around it. */
export function show(children: ReactNode) {
  return render(
    <ChakraProvider value={system}>
      <PreferencesProvider>{children}</PreferencesProvider>
    </ChakraProvider>,
  );
}
