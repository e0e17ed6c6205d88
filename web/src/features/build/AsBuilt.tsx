import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { applyPatch } from '@huerta/core/document';
import { AS_BUILT, asBuilt, deviations, type Progress } from '@huerta/core/fabrication';
import { contradictions } from '@huerta/core/assembly';
import { evaluate, SHOWN, type Figures } from '@huerta/core/assessment';
import type { Step } from '@huerta/core/fabrication';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useLineShare } from '../../compute/line';
import { useChangePlanter, useCreatePlanter, useEntries } from '../../data/api/planters';
import { useWords } from '../../ui/preferences';
import { notify } from '../../ui/notices';
import { reportedSide } from '../../ui/reportedSide';
import { Table } from '../../ui/Table';

interface AsBuiltProps {
  resource: PlanterResource;
  steps: readonly Step[];
  progress: Progress;
}

/** What came out otherwise than planned, what that does, and a variant that holds it. */
export function AsBuilt({ resource, steps, progress }: AsBuiltProps) {
  const { write, tell } = useWords();
  const { data: garden } = useEntries();
  const create = useCreatePlanter();
  const save = useChangePlanter();
  const navigate = useNavigate();
  const { design } = resource;
  const share = useLineShare(resource);
  const differ = deviations(steps, progress);
  const built = useMemo(
    () => ({ ...applyPatch(design, asBuilt(steps, progress)), variant: AS_BUILT }),
    [design, steps, progress],
  );
  const broken = useMemo(() => contradictions(built), [built]);
  const figures = useMemo(
    () =>
      broken.length > 0
        ? null
        : ([evaluate(design, share), evaluate(built, share)].map(
            ({ assessment }) => assessment.figures,
          ) as [Figures, Figures]),
    [design, built, share, broken],
  );
  if (differ.length === 0) return null;
  const twin = garden?.find(
    ({ id, name, summary }) =>
      id !== resource.id && name === design.name && summary.variant === AS_BUILT,
  );
  const keep = () => {
    const say = {
      onSuccess: ({ id }: { id: string }) =>
        notify(`The variant ‘${AS_BUILT}’ stands in the garden.`, {
          label: 'Compare',
          run: () => void navigate(`/compare?with=${resource.id},${id}`),
        }),
      onError: (error: Error) => notify(error.message),
    };
    if (twin) save.mutate({ id: twin.id, change: () => built }, say);
    else create.mutate(built, say);
  };
  const changes = asBuilt(steps, progress).length > 0;
  return (
    <Box as="section" className="as-built" aria-label="As built">
      <Text as="h2" fontSize="lg">
        As built
      </Text>
      <Box as="ul" listStyleType="none" mt="1">
        {differ.map(({ step, measure, built: value }) => (
          <li key={`${step.id}/${measure.id}`}>
            {measure.label}: {write(value, measure.kind)}, planned{' '}
            {write(measure.planned, measure.kind)}
          </li>
        ))}
      </Box>
      {broken[0] && (
        <Text color="harm" mt="2">
          These measures contradict each other: {tell(broken[0].message)} Measure again.
        </Text>
      )}
      {changes && figures && (
        <>
          <Table
            head={['', 'Planned', 'As built']}
            rows={SHOWN.asBuilt.map((id) => {
              const { short, texts } = reportedSide(id, figures, write);
              return [id, short, ...texts];
            })}
          />
          <Button mt="3" disabled={create.isPending || save.isPending} onClick={keep}>
            {twin ? 'Put them into the variant ‘as built’' : 'Keep them as a variant ‘as built’'}
          </Button>
        </>
      )}
    </Box>
  );
}
