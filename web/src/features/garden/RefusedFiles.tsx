import { Box, Button, Dialog, Portal, Text } from '@chakra-ui/react';

export interface RefusedFile {
  file: string;
  reason: string;
}

interface RefusedFilesProps {
  refusals: readonly RefusedFile[];
  onClose: () => void;
  onChooseAnother: () => void;
}

/** Which files were not taken in, and why. */
export function RefusedFiles({ refusals, onClose, onChooseAnother }: RefusedFilesProps) {
  return (
    <Dialog.Root role="alertdialog" open onOpenChange={onClose}>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content>
            <Dialog.Header>
              <Dialog.Title>
                {refusals.length === 1
                  ? 'This file was not taken in'
                  : `${refusals.length} files were not taken in`}
              </Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              {refusals.map(({ file, reason }, i) => (
                <Box key={i} mb="2">
                  <Text fontWeight="bold" overflowWrap="anywhere">
                    {file}
                  </Text>
                  <Text mt="1">{reason}</Text>
                </Box>
              ))}
              <Text mt="2" color="faint">
                Nothing of {refusals.length === 1 ? 'it' : 'them'} is in the garden.
              </Text>
            </Dialog.Body>
            <Dialog.Footer>
              <Button variant="solid" onClick={onChooseAnother}>
                Choose another file
              </Button>
              <Button variant="ghost" onClick={onClose}>
                Close
              </Button>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
