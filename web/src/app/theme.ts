import { createSystem, defaultBaseConfig } from '@chakra-ui/react';
import {
  button,
  checkbox,
  dialog,
  field,
  input,
  menu,
  nativeSelect,
  textarea,
  toast,
} from './recipes';
import { semanticTokens, tokens } from './tokens';

/** Huerta's own look on Chakra's machinery. Nothing of a stock theme is loaded. */
export const system = createSystem(defaultBaseConfig, {
  cssVarsPrefix: 'hu',
  preflight: true,
  theme: {
    breakpoints: { sm: '30rem', md: '48rem', lg: '64rem', xl: '80rem' },
    tokens,
    semanticTokens,
    recipes: { button, input, textarea },
    slotRecipes: { field, nativeSelect, checkbox, dialog, menu, toast },
  },
  globalCss: {
    'html, body, #root': { height: '100%' },
    html: { colorScheme: 'light', '&.dark': { colorScheme: 'dark' } },
    body: {
      bg: 'wall',
      color: 'ink',
      fontFamily: 'body',
      fontSize: 'md',
      lineHeight: 'normal',
      fontVariantNumeric: 'tabular-nums',
    },
    'h1, h2, h3': { fontFamily: 'heading', lineHeight: 'tight', fontWeight: 'bold' },
    'a:focus-visible, summary:focus-visible': {
      outline: '3px solid',
      outlineColor: 'waterInk',
      outlineOffset: '2px',
    },
  },
});
