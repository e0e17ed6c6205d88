import { Box, Button, Text } from '@chakra-ui/react';
import { assemble } from '@huerta/core/assembly';
import type { Site } from '@huerta/core/catalog';
import type { Patch, PlanterDesign } from '@huerta/core/document';
import { sowNow } from '@huerta/core/simulation/season';
import { useMemo, useState } from 'react';
import { useGardenDay } from '../../data/gardenDay';
import { sayOffer } from '../../ui/year/sayOffer';
import { SowNowFold } from '../../ui/year/SowNowFold';

interface SowNowProps {
  design: PlanterDesign;
  planted: string;
  site: Site;
  onChange(patch: Patch): void;
}

/** Offers that are shown before more are asked for. */
const SHOWN = 8;

/** What can go into the planter now, worked out when somebody wants to know. */
export function SowNow(props: SowNowProps) {
  return (
    <SowNowFold>
      <Offers {...props} />
    </SowNowFold>
  );
}

function Offers({ design, planted, site, onChange }: SowNowProps) {
  const today = useGardenDay();
  const [all, setAll] = useState(false);
  const offers = useMemo(
    () => sowNow(assemble(design), planted, today, site),
    [design, planted, today, site],
  );
  if (offers.length === 0)
    return (
      <Text maxW="44rem">
        Nothing has room, depth and time enough in it now. Clear something, or look again when it is
        harvested.
      </Text>
    );
  return (
    <>
      <Text maxW="44rem" mb="2">
        By room, depth of soil, frost and heat here; soonest harvest first.
      </Text>
      <ul className="sow-offers">
        {(all ? offers : offers.slice(0, SHOWN)).map((offer) => (
          <li key={offer.crop}>
            <span>
              <b>{offer.name}</b>, {sayOffer(offer, today)}
            </span>
            <Button
              className="not-printed"
              aria-label={`Plan ${offer.name}`}
              onClick={() => onChange(offer.patch)}
            >
              Plan it
            </Button>
          </li>
        ))}
      </ul>
      {!all && offers.length > SHOWN && (
        <Box mt="2">
          <Button variant="ghost" px="2" onClick={() => setAll(true)}>
            Show {offers.length - SHOWN} more
          </Button>
        </Box>
      )}
    </>
  );
}
