import { Box } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import type { PlanterDesign } from '@huerta/core/document';
import { useEffect, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { LaterError } from '../../data/offline/refusalErrors';
import { asResource } from '../../data/api/withPending';
import { usePlanterChanging, useStoredPlanter } from '../../data/api/planters';
import { useBegun } from '../../data/begun';
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
import { useSharedWater } from './useSharedWater';
import type { PendingSave } from '../../data/offline/types';

/** The bench for the planter that the address names. */
export default function EditorPage() {
  const { id = '' } = useParams();
  const changing = usePlanterChanging(id);
  const closed = useBenchesClosed(id);
  const { data, error, isFetching, refetch } = useStoredPlanter(id, closed);
  const kept = useKept(id, changing || !closed);
  const begun = useBegun(id);
  // A planter that lies in the cache from before is not begun from: it may be old.
  if (data && !isFetching && kept !== undefined) {
    return <OpenBench key={`${id}`} resource={data} kept={kept} />;
  }
  // The server is away, or has not been told of this planter yet, but the work lies here: go on with it.
  const here = kept && (error instanceof LaterError || (error && kept.base === 0));
  if (here && !isFetching) {
    return <OpenBench key={`${id} kept`} resource={asResource(kept)} kept={kept} />;
  }
  // It was begun here and is nowhere else yet.
  if (begun && kept === null && error && !isFetching) {
    return <OpenBench key={`${id} begun`} resource={newResource(id, begun)} kept={null} begun />;
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

const newResource = (id: string, design: PlanterDesign): PlanterResource => {
  const now = new Date().toISOString();
  return { id, revision: 0, createdAt: now, updatedAt: now, design };
};

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
  /** Whether it is not in the garden yet. */
  begun?: boolean;
}

function OpenBench({ resource, kept, begun = false }: OpenBenchProps) {
  const [store] = useState(() => editorStoreFor(resource.id, resource.design, kept?.body.design));
  const saving = useAutosave(resource, store, kept, begun);
  useSharedWater(resource.id, store);
  useForgetBegun(begun && saving.state.kind !== 'new');
  return (
    <EditorProvider store={store}>
      <WithMoisture>
        <EditorLayout saving={saving} />
      </WithMoisture>
    </EditorProvider>
  );
}

/** Takes what it was begun from out of the browser's history, once it is in the garden: its own design counts from then on. */
function useForgetBegun(kept: boolean): void {
  const navigate = useNavigate();
  useEffect(() => {
    if (!kept) return;
    const { pathname, search, hash } = window.location;
    void navigate({ pathname, search, hash }, { replace: true, state: null });
  }, [kept, navigate]);
}
