import { Box, Button, Dialog, Portal } from '@chakra-ui/react';

const KEYS: readonly (readonly [string, string])[] = [
  ['1 to 6', 'Vessel, Water, Wick, Fill tube, Soil, Check'],
  ['O  P  S', 'Take hold of the overflow, the platform, the soil surface'],
  ['F', 'To the first finding that can be mended'],
  ['↑ ↓', 'Move what is held by 1 mm, or 1/16 in'],
  ['Shift with ↑ ↓', 'Ten times as far; Page up and Page down do the same'],
  ['Home, End', 'As low or as high as it goes'],
  ['Enter', 'Take over what is typed in a field'],
  ['Esc', 'Bring back what stood in the field'],
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z', 'Redo'],
  ['?', 'This list'],
];

export function ShortcutsDialog({ onClose }: { onClose: () => void }) {
  return (
    <Dialog.Root open onOpenChange={(event) => !event.open && onClose()}>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content>
            <Dialog.Header>
              <Dialog.Title>Keys of the bench</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              <Box as="dl" display="grid" gridTemplateColumns="auto 1fr" columnGap="5" rowGap="2">
                {KEYS.map(([keys, what]) => (
                  <Box key={keys} display="contents">
                    <Box as="dt" fontWeight="bold" whiteSpace="nowrap">
                      {keys}
                    </Box>
                    <Box as="dd">{what}</Box>
                  </Box>
                ))}
              </Box>
            </Dialog.Body>
            <Dialog.Footer>
              <Button onClick={onClose}>Close</Button>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
