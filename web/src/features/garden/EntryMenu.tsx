import { Button } from '@chakra-ui/react';
import type { PlanterSummary } from '@huerta/contract';
import { EllipsisVertical } from 'lucide-react';
import { Suspense, useState } from 'react';
import { onDemand } from '../../ui/onDemand';

const OpenEntryMenu = onDemand(() =>
  import('./OpenEntryMenu').then(({ OpenEntryMenu: part }) => part),
);

/** What can be done with a planter without opening it; the menu is fetched and made when it is asked for. */
export function EntryMenu({ entry }: { entry: PlanterSummary }) {
  const [asked, setAsked] = useState(false);
  const closed = (
    <Button
      variant="ghost"
      px="0"
      mt="-2"
      zIndex="1"
      aria-haspopup="menu"
      aria-label={`More for ${entry.name}`}
      onClick={() => setAsked(true)}
    >
      <EllipsisVertical size={20} />
    </Button>
  );
  if (!asked) return closed;
  return (
    <Suspense fallback={closed}>
      <OpenEntryMenu entry={entry} />
    </Suspense>
  );
}
