import { Box } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import { LaterError } from '../../data/offline/refusalErrors';
import { asResource } from '../../data/api/withPending';
import { usePlanterChanging, useStoredPlanter } from '../../data/api/planters';
import { TopBar } from '../../ui/TopBar';
import { Trouble } from '../../ui/Trouble';
import { Loading } from '../../ui/Loading';
import { isOpen, pendingSaves } from '../../data/offline/pendingSaves';
import { useBenchesClosed } from './closingBenches';
import { EditorProvider } from './editorState';
import { EditorLayout } from './EditorLayout';
import { editorStoreFor } from './editorStores';
import { WithMoisture } from './moisture';
import { useAutosave } from './useAutosave';
import type { PendingSave } from '../../data/offline/types';

/** The bench for the planter that the address names. */
export default function EditorPage() {
  const { id = '' } = useParams();
  const changing = usePlanterChanging(id);
  const closed = useBenchesClosed(id);
  const { data, error, isFetching, refetch } = useStoredPlanter(id, closed);
  const kept = useKept(id, changing || !closed);
  // A planter that lies in the cache from before is not begun from: it may be old.
  if (data && !isFetching && kept !== undefined) {
    return <OpenBench key={`${id}`} resource={data} kept={kept} />;
  }
  // The server is away, or has not been told of this planter yet, but the work lies here: go on with it.
  const here = kept && (error instanceof LaterError || (error && kept.base === 0));
  if (here && !isFetching) {
    return <OpenBench key={`${id} kept`} resource={asResource(kept)} kept={kept} />;
  }
  return (
    <>
      <TopBar />
      <Box p={{ base: '4', md: '8' }}>
        {error && !isFetching ? (
          <Trouble
            title="This planter cannot be opened"
            detail={error.message}
            retry={() => void refetch()}
          />
        ) : (
          <Loading what="the planter" />
        )}
      </Box>
    </>
  );
}

/** What an earlier bench of this planter left unsent on this device; undefined until that is known. */
function useKept(planter: string, changing: boolean): PendingSave<'planter'> | null | undefined {
  const [found, setFound] = useState<{
    planter: string;
    kept: PendingSave<'planter'> | null;
  } | null>(null);
  useEffect(() => {
    if (changing) return undefined;
    let gone = false;
    void leftBehind(planter).then((kept) => {
      if (!gone) setFound({ planter, kept });
    });
    return () => {
      gone = true;
    };
  }, [planter, changing]);
  return found?.planter === planter ? found.kept : undefined;
}

/** The newest that no open bench holds. */
async function leftBehind(planter: string): Promise<PendingSave<'planter'> | null> {
  for (const kept of (await pendingSaves.of('planter', planter)) as PendingSave<'planter'>[]) {
    if (!(await isOpen(kept.holder))) return kept;
  }
  return null;
}

interface OpenBenchProps {
  resource: PlanterResource;
  kept: PendingSave<'planter'> | null;
}

function OpenBench({ resource, kept }: OpenBenchProps) {
  const [store] = useState(() => editorStoreFor(resource.id, resource.design, kept?.body.design));
  const saving = useAutosave(resource, store, kept);
  return (
    <EditorProvider store={store}>
      <WithMoisture>
        <EditorLayout saving={saving} />
      </WithMoisture>
    </EditorProvider>
  );
}
