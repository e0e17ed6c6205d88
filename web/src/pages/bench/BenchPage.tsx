import { Box } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { useState } from 'react';
import { useParams } from 'react-router';
import { usePlanter } from '../../api/planters';
import { TopBar } from '../../components/TopBar';
import { Trouble } from '../../components/Trouble';
import { Waiting } from '../../components/Waiting';
import { BenchProvider } from './bench';
import { BenchLayout } from './BenchLayout';
import { createBenchStore } from './benchStore';
import { useAutosave } from './useAutosave';

/** The bench for the planter that the address names. */
export default function BenchPage() {
  const { id = '' } = useParams();
  const { data, error, isFetching, refetch } = usePlanter(id);
  // A planter that lies in the cache from before is not begun from: it may be old.
  if (data && !isFetching) return <OpenBench key={`${id}`} resource={data} />;
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

function OpenBench({ resource }: { resource: PlanterResource }) {
  const [store] = useState(() => createBenchStore(resource.design));
  const saving = useAutosave(resource, store);
  return (
    <BenchProvider store={store}>
      <BenchLayout saving={saving} />
    </BenchProvider>
  );
}
