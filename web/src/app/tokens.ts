import { defineSemanticTokens, defineTokens } from '@chakra-ui/react';

const rem = (steps: Record<string, number>) =>
  Object.fromEntries(Object.entries(steps).map(([k, v]) => [k, { value: `${v}rem` }]));

const SPACING = rem({
  '0': 0,
  '0.5': 0.125,
  '1': 0.25,
  '1.5': 0.375,
  '2': 0.5,
  '2.5': 0.625,
  '3': 0.75,
  '4': 1,
  '5': 1.25,
  '6': 1.5,
  '8': 2,
  '10': 2.5,
  '12': 3,
  '16': 4,
});

/** One scale of sizes; nothing is set smaller than 14 px. */
export const tokens = defineTokens({
  fonts: {
    heading: { value: "'Bitter Variable', Georgia, serif" },
    body: { value: "'Atkinson Hyperlegible Next Variable', Verdana, sans-serif" },
  },
  fontSizes: {
    xs: { value: '0.875rem' },
    sm: { value: '0.9375rem' },
    md: { value: '1.0625rem' },
    lg: { value: '1.25rem' },
    xl: { value: '1.625rem' },
    '2xl': { value: '2.125rem' },
    '3xl': { value: '2.75rem' },
  },
  fontWeights: {
    normal: { value: 400 },
    medium: { value: 550 },
    bold: { value: 700 },
  },
  lineHeights: { tight: { value: 1.15 }, normal: { value: 1.45 } },
  spacing: SPACING,
  sizes: { ...SPACING, full: { value: '100%' }, touch: { value: '2.75rem' } },
  radii: { none: { value: '0' }, edge: { value: '2px' } },
  zIndex: {
    base: { value: 0 },
    sticky: { value: 10 },
    popover: { value: 1500 },
    toast: { value: 1700 },
  },
  durations: { water: { value: '150ms' } },
});

const pair = (light: string, dark: string) => ({ value: { _light: light, _dark: dark } });

/** Limewash by day, the courtyard by night. */
export const semanticTokens = defineSemanticTokens({
  colors: {
    wall: pair('#f6f1e4', '#14201c'),
    sheet: pair('#fcf9f1', '#1a2924'),
    ink: pair('#1e2a22', '#efe8d6'),
    faint: pair('#4f5c52', '#b4bbaa'),
    rule: pair('#cdc4ae', '#3d4e46'),
    clay: pair('#a3441f', '#e98a5e'),
    clayInk: pair('#fffaf2', '#1c1008'),
    clayWash: pair('#f1ddd0', '#3a2a22'),
    water: pair('#a5cfdf', '#1f5a73'),
    waterInk: pair('#1c5c7d', '#8fd0ea'),
    straw: pair('#e6bd4a', '#d9b24a'),
    strawInk: pair('#6d5000', '#efcf78'),
    strawWash: pair('#f5e6b9', '#3a3320'),
    leaf: pair('#5f7d3a', '#93b568'),
    earth: pair('#d9c3a3', '#4a3a2c'),
    earthInk: pair('#5b3d28', '#d9bd9c'),
    harm: pair('#98161a', '#ff9c92'),
    harmWash: pair('#f6d9d4', '#45211f'),
  },
});
