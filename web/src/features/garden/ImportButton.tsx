import { Button } from '@chakra-ui/react';
import type { FileReading } from '@huerta/core/assembly';
import { Upload } from 'lucide-react';
import { Suspense, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useCreatePlanter, type Made } from '../../data/api/planters';
import { notify } from '../../ui/notices';
import { onDemand } from '../../ui/onDemand';
import type { RefusedFile } from './RefusedFiles';

const RefusedFiles = onDemand(() =>
  import('./RefusedFiles').then(({ RefusedFiles: part }) => part),
);

/** Reads a planter file. @returns the design, or why it is none */
async function readFileOf(file: File): Promise<FileReading> {
  const { MAX_FILE_BYTES, readPlanterFile } = await import('../../ui/planterFile');
  if (file.size > MAX_FILE_BYTES) {
    const message =
      'It is larger than 1 MB, and a planter file is a few kilobytes. Choose another file.';
    return { ok: false, message };
  }
  return readPlanterFile(await file.text());
}

/** Takes in planter files, one or many. What is wrong with one is said, and the others come in. */
export function ImportButton() {
  const input = useRef<HTMLInputElement>(null);
  const [refusals, setRefusals] = useState<readonly RefusedFile[]>([]);
  const create = useCreatePlanter();
  const navigate = useNavigate();

  const take = async (files: readonly File[]) => {
    const refused: RefusedFile[] = [];
    const taken: Made[] = [];
    for (const file of files) {
      const reading = await readFileOf(file);
      if (!reading.ok) {
        refused.push({ file: file.name, reason: reading.message });
        continue;
      }
      try {
        taken.push(await create.mutateAsync(reading.design));
      } catch (error) {
        refused.push({ file: file.name, reason: (error as Error).message });
      }
    }
    setRefusals(refused);
    const [first] = taken;
    if (!first) return;
    notify(
      taken.length === 1
        ? `‘${first.design.name}’ is in the garden.`
        : `${taken.length} planters are in the garden.`,
    );
    if (files.length === 1) void navigate(`/planters/${first.id}`);
  };

  return (
    <>
      <input
        ref={input}
        type="file"
        multiple
        accept=".json,application/json"
        aria-label="Planter file"
        hidden
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          // Emptied, so that the same file can be chosen again after it was mended.
          event.target.value = '';
          void take(files);
        }}
      />
      <Button onClick={() => input.current?.click()} disabled={create.isPending}>
        <Upload size={18} aria-hidden /> Import files
      </Button>
      {refusals.length > 0 && (
        <Suspense>
          <RefusedFiles
            refusals={refusals}
            onClose={() => setRefusals([])}
            onChooseAnother={() => {
              setRefusals([]);
              input.current?.click();
            }}
          />
        </Suspense>
      )}
    </>
  );
}
