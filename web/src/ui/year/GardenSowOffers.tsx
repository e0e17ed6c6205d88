import { Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { applyPatch } from '@huerta/core/document';
import type { SowNow } from '@huerta/core/simulation/season';
import type { Site } from '@huerta/core/catalog';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useGardenSowNow } from '../../compute/gardenYear';
import { useGardenDay } from '../../data/gardenDay';
import { useChangePlanter } from '../../data/api/planters';
import { notify } from '../notices';
import { useWords } from '../preferences';
import { sayOffer } from './sayOffer';

/** A planter, and the day from which its crops are counted. */
interface SownPlanter {
  planter: PlanterResource;
  planted: string;
}

interface GardenSowOffersProps {
  rows: readonly SownPlanter[];
  site: Site;
}

/** What can be sown or planted in each planter of a garden now, planned in it by a press. */
export function GardenSowOffers({ rows, site }: GardenSowOffersProps) {
  const today = useGardenDay();
  const asked = useMemo(
    () => rows.map(({ planter: { id, design }, planted }) => ({ id, design, planted })),
    [rows],
  );
  const { value, working, trouble } = useGardenSowNow(asked, today, site);
  const known = value ?? {};
  const some = rows.filter(({ planter }) => (known[planter.id] ?? []).length > 0);
  const done = rows.filter(({ planter }) => planter.id in known).length;
  return (
    <>
      {trouble && <Text role="alert">{trouble}</Text>}
      <Text role="status" maxW="44rem" mb="2">
        {working
          ? `Looking into each planter: ${done} of ${rows.length}…`
          : some.length === 0
            ? 'Nothing has room, depth and time enough now. Look again when something is harvested.'
            : 'By room, depth of soil, frost and heat here; soonest harvest first.'}
      </Text>
      <ul className="garden-sow">
        {some.map((row) => (
          <PlanterOffers
            key={row.planter.id}
            row={row}
            offers={known[row.planter.id] ?? []}
            today={today}
          />
        ))}
      </ul>
    </>
  );
}

/** Offers of a planter that are shown here; its own year has them all. */
const SHOWN = 3;

interface PlanterOffersProps {
  row: SownPlanter;
  offers: readonly SowNow[];
  today: string;
}

function PlanterOffers({ row: { planter }, offers, today }: PlanterOffersProps) {
  const { id, design } = planter;
  const { say } = useWords();
  const change = useChangePlanter();
  // One that was planned takes room from the others: they are worked out anew.
  const [used, setUsed] = useState<readonly SowNow[] | null>(null);
  const name = [design.name, design.variant].filter(Boolean).join(', ');
  const plan = ({ crop, name: what, patch }: SowNow) =>
    change.mutate(
      { id, change: (now) => applyPatch(now, patch) },
      {
        onSuccess: () => {
          setUsed(offers);
          notify(`${say(what)} is planned in ${name}.`);
        },
        onError: (failed) => notify(`${crop}: ${failed.message}`),
      },
    );
  return (
    <li>
      <Link to={`/planters/${id}/season?view=year`}>{name}</Link>
      <ul className="sow-offers">
        {offers.slice(0, SHOWN).map((offer) => (
          <li key={offer.crop}>
            <span>
              <b>{say(offer.name)}</b>, {sayOffer(offer, today)}
            </span>
            <Button
              aria-label={`Plan ${say(offer.name)} in ${name}`}
              disabled={change.isPending || used === offers}
              onClick={() => plan(offer)}
            >
              Plan it
            </Button>
          </li>
        ))}
        {offers.length > SHOWN && (
          <li>
            <span>and {offers.length - SHOWN} more in its own year</span>
          </li>
        )}
      </ul>
    </li>
  );
}
