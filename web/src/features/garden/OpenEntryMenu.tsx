import { Button, Menu, Portal } from '@chakra-ui/react';
import type { PlanterSummary } from '@huerta/contract';
import { TILL_IT_RAN } from '@huerta/core/journal';
import type { PlanterDesign } from '@huerta/core/document';
import {
  Copy,
  Download,
  Droplets,
  EllipsisVertical,
  GitBranch,
  Hammer,
  NotebookPen,
  Pencil,
  Sun,
  Trash2,
} from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useWriteLog } from '../../data/api/log';
import {
  fetchPlanter,
  useChangePlanter,
  useCreatePlanter,
  useDeletePlanters,
  useRestorePlanters,
} from '../../data/api/planters';
import { exportPlanter } from '../../ui/exportPlanter';
import { NameDialog } from '../../ui/NameDialog';
import { notify } from '../../ui/notices';

/** The menu of a planter in the garden, open. */
export function OpenEntryMenu({ entry }: { entry: PlanterSummary }) {
  const [renaming, setRenaming] = useState(false);
  const log = useWriteLog();
  const create = useCreatePlanter();
  const remove = useDeletePlanters();
  const restore = useRestorePlanters();
  const navigate = useNavigate();
  const { id, name } = entry;
  const trouble = (error: Error) => notify(error.message);
  /** Does something with the whole design, which the list does not hold. */
  const withDesign = (use: (design: PlanterDesign) => void) => {
    fetchPlanter(id).then(({ design }) => use(design), trouble);
  };

  const choose = (value: string) => {
    if (value === 'rename') setRenaming(true);
    if (value === 'log') void navigate(`/planters/${id}/log`);
    if (value === 'filled')
      void log.write([id], { did: TILL_IT_RAN }).then(([filled]) =>
        notify(`‘${name}’: filled to overflow.`, {
          label: 'Undo',
          run: () => void (filled && log.takeOut(filled)),
        }),
      );
    if (value === 'season') void navigate(`/planters/${id}/season`);
    if (value === 'build') void navigate(`/planters/${id}/build`);
    if (value === 'export') withDesign((design) => void exportPlanter(design));
    if (value === 'duplicate') {
      withDesign((design) => {
        const copy = { ...design, name: `${design.name.slice(0, 112)} (copy)` };
        create.mutate(copy, {
          onSuccess: () => notify(`‘${copy.name}’ stands beside it now.`),
          onError: trouble,
        });
      });
    }
    if (value === 'variant') {
      withDesign((design) => {
        const variant = `${design.variant ? `${design.variant.slice(0, 45)}, ` : ''}another way`;
        create.mutate(
          { ...design, variant },
          {
            onSuccess: ({ id: made }) => {
              notify(`A variant of ‘${name}’ stands beside it now.`, {
                label: 'Compare',
                run: () => void navigate(`/compare?with=${id},${made}`),
              });
            },
            onError: trouble,
          },
        );
      });
    }
    if (value === 'delete') {
      remove.mutate([id], {
        onSuccess: () =>
          notify(`‘${name}’ is deleted.`, {
            label: 'Undo',
            run: () => restore.mutate([id], { onError: trouble }),
          }),
        onError: trouble,
      });
    }
  };

  return (
    <>
      <Menu.Root
        defaultOpen
        onSelect={({ value }) => choose(value)}
        positioning={{ placement: 'bottom-end' }}
      >
        <Menu.Trigger asChild>
          <Button variant="ghost" px="0" mt="-2" zIndex="1" aria-label={`More for ${name}`}>
            <EllipsisVertical size={20} />
          </Button>
        </Menu.Trigger>
        <Portal>
          <Menu.Positioner>
            <Menu.Content>
              <Menu.Item value="filled">
                <Droplets size={18} aria-hidden /> Filled to overflow
              </Menu.Item>
              <Menu.Item value="log">
                <NotebookPen size={18} aria-hidden /> The log
              </Menu.Item>
              <Menu.Item value="rename">
                <Pencil size={18} aria-hidden /> Rename
              </Menu.Item>
              <Menu.Item value="build">
                <Hammer size={18} aria-hidden /> Build sheet
              </Menu.Item>
              <Menu.Item value="season">
                <Sun size={18} aria-hidden /> The season ahead
              </Menu.Item>
              <Menu.Item value="variant">
                <GitBranch size={18} aria-hidden /> Make a variant
              </Menu.Item>
              <Menu.Item value="duplicate">
                <Copy size={18} aria-hidden /> Duplicate
              </Menu.Item>
              <Menu.Item value="export">
                <Download size={18} aria-hidden /> Export a file
              </Menu.Item>
              <Menu.Item value="delete" color="harm">
                <Trash2 size={18} aria-hidden /> Delete
              </Menu.Item>
            </Menu.Content>
          </Menu.Positioner>
        </Portal>
      </Menu.Root>
      {renaming && <RenameDialog entry={entry} onClose={() => setRenaming(false)} />}
    </>
  );
}

function RenameDialog({ entry, onClose }: { entry: PlanterSummary; onClose: () => void }) {
  const save = useChangePlanter();
  return (
    <NameDialog
      title="Rename"
      label="Name of the planter"
      name={entry.name}
      missing="Give it a name, such as what grows in it or where it stands."
      doIt="Rename"
      leaveIt="Leave it"
      onName={(name) => save.mutateAsync({ id: entry.id, change: (now) => ({ ...now, name }) })}
      onClose={onClose}
    />
  );
}
