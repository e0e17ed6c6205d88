import { Button, Dialog, Portal, Text } from '@chakra-ui/react';
import { MAX_FILE_BYTES, readPlanterFile } from '@huerta/core';
import { Upload } from 'lucide-react';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useCreatePlanter } from '../../api/planters';
import { notify } from '../../components/notices';

/** Takes in a planter file. What is wrong with one is said before anything is changed. */
export function ImportButton() {
  const input = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<{ file: string; reason: string } | null>(null);
  const create = useCreatePlanter();
  const navigate = useNavigate();

  const take = async (file: File) => {
    const refuse = (reason: string) => setRefusal({ file: file.name, reason });
    if (file.size > MAX_FILE_BYTES) {
      refuse('It is larger than 1 MB, and a planter file is a few kilobytes. Choose another file.');
      return;
    }
    const reading = readPlanterFile(await file.text());
    if (!reading.ok) {
      refuse(reading.message);
      return;
    }
    create.mutate(reading.design, {
      onSuccess: ({ id, design }) => {
        notify(`‘${design.name}’ is in the garden.`);
        void navigate(`/planters/${id}`);
      },
      onError: (error) => refuse(error.message),
    });
  };

  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        aria-label="Planter file"
        hidden
        onChange={(event) => {
          const file = event.target.files?.[0];
          // Emptied, so that the same file can be chosen again after it was mended.
          event.target.value = '';
          if (file) void take(file);
        }}
      />
      <Button onClick={() => input.current?.click()} disabled={create.isPending}>
        <Upload size={18} aria-hidden /> Import a file
      </Button>
      <Dialog.Root role="alertdialog" open={refusal !== null} onOpenChange={() => setRefusal(null)}>
        <Portal>
          <Dialog.Backdrop />
          <Dialog.Positioner>
            <Dialog.Content>
              <Dialog.Header>
                <Dialog.Title>This file was not taken in</Dialog.Title>
              </Dialog.Header>
              <Dialog.Body>
                <Text fontWeight="bold" overflowWrap="anywhere">
                  {refusal?.file}
                </Text>
                <Text mt="1">{refusal?.reason}</Text>
                <Text mt="2" color="faint">
                  The garden is as it was.
                </Text>
              </Dialog.Body>
              <Dialog.Footer>
                <Button
                  variant="solid"
                  onClick={() => {
                    setRefusal(null);
                    input.current?.click();
                  }}
                >
                  Choose another file
                </Button>
                <Button variant="ghost" onClick={() => setRefusal(null)}>
                  Close
                </Button>
              </Dialog.Footer>
            </Dialog.Content>
          </Dialog.Positioner>
        </Portal>
      </Dialog.Root>
    </>
  );
}
