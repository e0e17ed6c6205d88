import { Button, Text } from '@chakra-ui/react';
import { Camera } from 'lucide-react';
import { useRef, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { useWriteLog } from '../../data/api/log';
import { photoTrouble } from '../../data/api/photos';
import { addPendingPhoto } from '../../data/offline/pendingPhotos';

/** Takes or chooses a photo for the log; it is kept on this device until the server has it. */
export function PhotoButton({ planter }: { planter: string }) {
  const input = useRef<HTMLInputElement>(null);
  const { write } = useWriteLog();
  const [trouble, setTrouble] = useState<string | null>(null);
  const take = async (file: File | undefined) => {
    if (!file) return;
    const wrong = await photoTrouble(file);
    setTrouble(wrong);
    if (wrong) return;
    const photo = uuid();
    await addPendingPhoto(photo, file);
    await write([planter], { did: { kind: 'photo', photo } });
  };
  return (
    <>
      <input
        ref={input}
        type="file"
        accept="image/*"
        hidden
        aria-label="A photo for the log"
        onChange={({ target }) => {
          void take(target.files?.[0]);
          target.value = '';
        }}
      />
      <Button size="lg" onClick={() => input.current?.click()}>
        <Camera size={20} aria-hidden /> Photo
      </Button>
      {trouble && (
        <Text role="alert" flexBasis="100%" color="clay">
          {trouble}
        </Text>
      )}
    </>
  );
}
