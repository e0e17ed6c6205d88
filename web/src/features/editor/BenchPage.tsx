import { Box } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import { LaterError } from '../../data/api/client';
import { asResource } from '../../data/api/asLeft';
import { useStoredPlanter } from '../../data/api/planters';
import { TopBar } from '../../ui/TopBar';
import { Trouble } from '../../ui/Trouble';
import { Waiting } from '../../ui/Loading';
import { isOpen, keeper, type Kept } from '../../data/offline/pendingSaves';
import { BenchProvider } from './bench';
import { BenchLayout } from './BenchLayout';
import { benchStoreFor } from './benchStores';
import { WithMoisture } from './moisture';
import { useAutosave } from './useAutosave';

/** The bench for the planter that the address names. */
export default function BenchPage() {
  const { id = '' } = useParams();
  const { data, error, isFetching, refetch } = useStoredPlanter(id);
  const kept = useKept(id);
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
          <Waiting what="the planter" />
        )}
      </Box>
    </>
  );
}

/** What an earlier bench of this planter left unsent on this device; undefined until that is known. */
function useKept(planter: string): Kept<'planter'> | null | undefined {
  const [found, setFound] = useState<{ planter: string; kept: Kept<'planter'> | null } | null>(
    null,
  );
  useEffect(() => {
    let gone = false;
    void leftBehind(planter).then((kept) => {
      if (!gone) setFound({ planter, kept });
    });
    return () => {
      gone = true;
    };
  }, [planter]);
  return found?.planter === planter ? found.kept : undefined;
}

/** The newest that no open bench holds. */
async function leftBehind(planter: string): Promise<Kept<'planter'> | null> {
  for (const kept of (await keeper.of('planter', planter)) as Kept<'planter'>[]) {
    if (!(await isOpen(kept.holder))) return kept;
  }
  return null;
}

interface OpenBenchProps {
  resource: PlanterResource;
  kept: Kept<'planter'> | null;
}

function OpenBench({ resource, kept }: OpenBenchProps) {
  const [store] = useState(() => benchStoreFor(resource.id, resource.design, kept?.body.design));
  const saving = useAutosave(resource, store, kept);
  return (
    <BenchProvider store={store}>
      <WithMoisture>
        <BenchLayout saving={saving} />
      </WithMoisture>
    </BenchProvider>
  );
}
