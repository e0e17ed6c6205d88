import { defineRecipe, defineSlotRecipe } from '@chakra-ui/react';
import {
  checkboxAnatomy,
  dialogAnatomy,
  fieldAnatomy,
  menuAnatomy,
  nativeSelectAnatomy,
  toastAnatomy,
} from '@chakra-ui/react/anatomy';

/** How controls look: ink lines on limewash, square corners, clay for what the hand takes hold of. */

const FOCUS = {
  outline: '3px solid',
  outlineColor: 'waterInk',
  outlineOffset: '2px',
};

export const button = defineRecipe({
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    gap: '2',
    minH: 'touch',
    minW: 'touch',
    px: '3',
    fontFamily: 'body',
    fontSize: 'sm',
    fontWeight: 'medium',
    lineHeight: 'tight',
    borderRadius: 'edge',
    cursor: 'pointer',
    textAlign: 'left',
    borderWidth: '1.5px',
    borderStyle: 'solid',
    _focusVisible: FOCUS,
    _disabled: { opacity: 0.45, cursor: 'default' },
  },
  variants: {
    variant: {
      solid: {
        bg: 'clay',
        color: 'clayInk',
        borderColor: 'clay',
        _hover: { filter: 'brightness(0.92)' },
      },
      outline: {
        bg: 'transparent',
        color: 'ink',
        borderColor: 'ink',
        _hover: { bg: 'clayWash' },
      },
      ghost: {
        bg: 'transparent',
        color: 'ink',
        borderColor: 'transparent',
        _hover: { bg: 'clayWash' },
      },
    },
  },
  defaultVariants: { variant: 'outline' },
});

const entry = {
  w: 'full',
  minH: 'touch',
  px: '2.5',
  fontFamily: 'body',
  fontSize: 'md',
  fontVariantNumeric: 'tabular-nums',
  color: 'ink',
  bg: 'sheet',
  borderWidth: '0 0 1.5px 0',
  borderStyle: 'solid',
  borderColor: 'ink',
  borderRadius: 'none',
  _focusVisible: { ...FOCUS, outlineOffset: '0px' },
  _invalid: { borderColor: 'harm', borderBottomWidth: '3px' },
};

export const input = defineRecipe({ base: entry });
export const textarea = defineRecipe({
  base: { ...entry, borderWidth: '1.5px', py: '2', minH: '5rem', resize: 'vertical' },
});

export const field = defineSlotRecipe({
  slots: fieldAnatomy.keys(),
  base: {
    root: {
      display: 'flex',
      flexDirection: 'column',
      gap: '0.5',
      w: 'full',
      minW: 0,
      // A sentence about what is wrong gets the whole width of a pair.
      _invalid: { gridColumn: '1 / -1' },
    },
    label: { fontSize: 'xs', color: 'faint', lineHeight: 'tight' },
    helperText: { fontSize: 'xs', color: 'faint', lineHeight: 1.3 },
    errorText: { fontSize: 'xs', color: 'harm', fontWeight: 'medium', lineHeight: 1.3 },
  },
});

export const nativeSelect = defineSlotRecipe({
  slots: nativeSelectAnatomy.keys(),
  base: {
    root: { position: 'relative', w: 'full' },
    field: {
      ...entry,
      appearance: 'none',
      // As much room for the words as the arrow leaves.
      px: undefined,
      ps: '2',
      pe: '6',
      textOverflow: 'ellipsis',
      cursor: 'pointer',
    },
    indicator: {
      position: 'absolute',
      insetEnd: '1',
      top: '50%',
      transform: 'translateY(-50%)',
      pointerEvents: 'none',
      color: 'clay',
    },
  },
});

export const checkbox = defineSlotRecipe({
  slots: checkboxAnatomy.keys(),
  base: {
    root: {
      display: 'inline-flex',
      alignItems: 'center',
      gap: '2.5',
      minH: 'touch',
      cursor: 'pointer',
      position: 'relative',
    },
    control: {
      w: '1.4rem',
      h: '1.4rem',
      flexShrink: 0,
      display: 'inline-flex',
      alignItems: 'center',
      justifyContent: 'center',
      borderWidth: '1.5px',
      borderStyle: 'solid',
      borderColor: 'ink',
      bg: 'sheet',
      color: 'clayInk',
      _checked: { bg: 'clay', borderColor: 'clay' },
      _focusVisible: FOCUS,
    },
    label: { fontSize: 'sm', lineHeight: 1.3 },
  },
});

const raised = {
  bg: 'sheet',
  color: 'ink',
  borderWidth: '2px',
  borderStyle: 'solid',
  borderColor: 'ink',
  borderRadius: 'edge',
};

export const dialog = defineSlotRecipe({
  slots: dialogAnatomy.keys(),
  base: {
    backdrop: {
      bg: 'rgba(16, 26, 22, 0.55)',
      position: 'fixed',
      inset: 0,
      zIndex: 'popover',
    },
    positioner: {
      display: 'flex',
      position: 'fixed',
      inset: 0,
      zIndex: 'popover',
      justifyContent: 'center',
      alignItems: 'flex-start',
      overflow: 'auto',
      px: '4',
      py: { base: '4', md: '16' },
    },
    content: { ...raised, w: 'full', maxW: '34rem', outline: 0, position: 'relative' },
    header: { px: '6', pt: '5', pb: '2' },
    title: { fontFamily: 'heading', fontSize: 'xl', fontWeight: 'bold', lineHeight: 'tight' },
    body: { px: '6', py: '2' },
    footer: { px: '6', pt: '3', pb: '5', display: 'flex', flexWrap: 'wrap', gap: '3' },
  },
  variants: {
    size: {
      md: {},
      lg: { content: { maxW: '56rem' } },
      // Over the whole window, in which its content scrolls by itself.
      full: {
        positioner: { px: '0', py: { base: '0', md: '0' }, overflow: 'hidden' },
        content: {
          maxW: 'none',
          h: '100dvh',
          display: 'flex',
          flexDirection: 'column',
          border: 'none',
        },
      },
    },
  },
  defaultVariants: { size: 'md' },
});

export const menu = defineSlotRecipe({
  slots: menuAnatomy.keys(),
  base: {
    content: { ...raised, minW: '12rem', outline: 0, zIndex: 'popover', py: '1' },
    item: {
      display: 'flex',
      alignItems: 'center',
      gap: '2.5',
      minH: 'touch',
      px: '4',
      fontSize: 'sm',
      cursor: 'pointer',
      outline: 0,
      _highlighted: { bg: 'clayWash' },
    },
  },
});

export const toast = defineSlotRecipe({
  slots: toastAnatomy.keys(),
  base: {
    root: {
      ...raised,
      bg: 'ink',
      color: 'wall',
      width: 'min(28rem, calc(100vw - 2rem))',
      px: '4',
      py: '2',
      display: 'flex',
      alignItems: 'center',
      gap: '4',
      zIndex: 'toast',
      translate: 'var(--x) var(--y)',
      opacity: 'var(--opacity)',
      willChange: 'translate, opacity',
    },
    title: { fontSize: 'sm', flex: 1 },
    description: { fontSize: 'sm' },
    actionTrigger: {
      minH: 'touch',
      px: '2',
      fontSize: 'sm',
      fontWeight: 'bold',
      textDecoration: 'underline',
      cursor: 'pointer',
      color: 'inherit',
    },
  },
});
