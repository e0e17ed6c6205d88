import { Button, Text } from '@chakra-ui/react';
import type { PlanterSummary } from '@huerta/contract';
import { TILL_IT_RAN } from '@huerta/core/journal';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useWriteLog } from '../../data/api/log';
import { useChangePlanter, useDeletePlanters, useRestorePlanters } from '../../data/api/planters';
import { onDemand } from '../../ui/onDemand';
import { notify } from '../../ui/notices';
import { answersIn } from './found';

const NameDialog = onDemand(() =>
  import('../../ui/NameDialog').then(({ NameDialog: part }) => part),
);

/** Planters that can stand side by side in a comparison. */
const MOST_COMPARED = 4;

interface ChosenProps {
  /** All that are shown, and those of them that are chosen. */
  shown: readonly PlanterSummary[];
  chosen: readonly PlanterSummary[];
  onAll(ids: readonly string[]): void;
  onDone(): void;
}

/** What can be done with several planters at once. */
export function Chosen({ shown, chosen, onAll, onDone }: ChosenProps) {
  const navigate = useNavigate();
  const remove = useDeletePlanters();
  const restore = useRestorePlanters();
  const [placing, setPlacing] = useState(false);
  const ids = chosen.map(({ id }) => id);
  const none = ids.length === 0;
  const many = ids.length === 1 ? 'One planter is' : `${ids.length} planters are`;
  const log = useWriteLog();
  const fill = () =>
    void log.write(ids, { did: TILL_IT_RAN }).then((entries) => {
      notify(`${many} filled till ${ids.length === 1 ? 'it' : 'they'} ran.`, {
        label: 'Undo',
        run: () => entries.forEach((entry) => void log.takeOut(entry)),
      });
      onDone();
    });
  const discard = () =>
    remove.mutate(ids, {
      onSuccess: () => {
        notify(`${many} deleted.`, {
          label: 'Undo',
          run: () => restore.mutate(ids, { onError: (error) => notify(error.message) }),
        });
        onDone();
      },
      onError: (error) => notify(error.message),
    });
  return (
    <div className="garden-chosen" role="region" aria-label="What is chosen">
      <Text fontWeight="bold" role="status">
        {none ? 'Choose planters' : `${ids.length} chosen`}
      </Text>
      <Button onClick={() => onAll(shown.map(({ id }) => id))}>All {shown.length} shown</Button>
      <Button
        disabled={ids.length < 2 || ids.length > MOST_COMPARED}
        onClick={() => void navigate(`/compare?with=${ids.join()}`)}
      >
        Compare
      </Button>
      <Button disabled={none} onClick={() => void navigate(`/shopping?with=${ids.join()}`)}>
        Shopping list
      </Button>
      <Button disabled={none} onClick={fill}>
        Filled to overflow
      </Button>
      <Button disabled={none} onClick={() => setPlacing(true)}>
        Put in a place
      </Button>
      <Button disabled={none || remove.isPending} color="harm" onClick={discard}>
        Delete
      </Button>
      <Button variant="ghost" onClick={onDone}>
        Done
      </Button>
      {placing && (
        <PlaceDialog
          ids={ids}
          places={answersIn(shown, ({ summary }) => summary.place)}
          onClose={() => setPlacing(false)}
        />
      )}
    </div>
  );
}

interface PlaceDialogProps {
  ids: readonly string[];
  places: readonly string[];
  onClose(): void;
}

/** Says of several planters that they stand in one place. */
function PlaceDialog({ ids, places, onClose }: PlaceDialogProps) {
  const change = useChangePlanter();
  const put = async (place: string) => {
    for (const id of ids) {
      await change.mutateAsync({
        id,
        change: (now) => ({ ...now, place: { ...now.place, name: place } }),
      });
    }
    notify(
      ids.length === 1 ? `It stands at ‘${place}’.` : `All ${ids.length} stand at ‘${place}’.`,
    );
  };
  return (
    <NameDialog
      title="Put in a place"
      label="Where they stand"
      name=""
      missing="Name the place, such as North wall."
      known={places}
      help="Only the name of the place changes. Wind, sun and rain stay as each planter has them."
      doIt="Put them there"
      leaveIt="Leave them"
      onName={put}
      onClose={onClose}
    />
  );
}
