import { Box, Button, Text } from '@chakra-ui/react';
import { siteOf, type WeatherChoice } from '@huerta/core/physics/climate';
import type { PlanterDesign } from '@huerta/core/document';
import type { PriceBook } from '@huerta/core/fabrication';
import {
  headingOf,
  impossible,
  kindOf,
  speaksAgainst,
  reasonFor,
  wishOf,
  yearOfMonth,
  type GardenPlan,
  type PlansFound,
  type PlanSetting,
  type PlanWish,
} from '@huerta/core/planning/plans';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { usePlans } from '../../compute/plans';
import { usePriceBook } from '../../data/api/prices';
import { useCreatePlanter, usePlanter } from '../../data/api/planters';
import { useWeather } from '../../data/api/weather';
import { useGardenDay } from '../../data/gardenDay';
import { Fetched, Page } from '../../ui/Page';
import { useWords } from '../../ui/preferences';
import { Trouble } from '../../ui/Trouble';
import { drawnSize } from './PlanDrawing';
import { PlanColumn } from './PlanColumn';
import { HasQuestion, MattersQuestion, PlaceQuestion, WantsQuestion } from './Questions';
import { Strip, type QuestionId } from './Strip';
import { useWish } from './useWish';
import './plans.css';

/** What could I make? Whole plans from what one has and wants. */
export default function PlansPage() {
  const [search] = useSearchParams();
  const of = search.get('of');
  return (
    <Page title="What could I make?" className="plans">
      {of === null ? <Asked from={null} /> : <FromPlanter key={of} id={of} />}
    </Page>
  );
}

/** Another build for a planter that there is: what it has and wants is filled in. */
function FromPlanter({ id }: { id: string }) {
  const planter = usePlanter(id);
  return (
    <Fetched what="the planter" title="This planter cannot be fetched" queries={[planter]}>
      {({ design }) => <Asked from={design} />}
    </Fetched>
  );
}

function Asked({ from }: { from: PlanterDesign | null }) {
  const queries = [usePriceBook(), useWeather()] as const;
  return (
    <Fetched what="prices and weather" title="Plans cannot be looked for" queries={queries}>
      {({ book }, choice) => <Plans book={book} choice={choice} from={from} />}
    </Fetched>
  );
}

interface PlansProps {
  book: PriceBook;
  choice: WeatherChoice;
  from: PlanterDesign | null;
}

function Plans({ book, choice, from }: PlansProps) {
  const today = useGardenDay();
  const month = Number(today.slice(5, 7));
  const { wish, change, clear } = useWish(month, from && wishOf(from, month));
  const { units, tell } = useWords();
  const [open, setOpen] = useState<QuestionId | null>(wish.crops.length === 0 ? 'wants' : null);
  const site = useMemo(() => siteOf(choice), [choice]);
  const year = yearOfMonth(wish.month, today);
  const setting = useMemo(
    (): PlanSetting => ({ site, book, units, year }),
    [site, book, units, year],
  );
  const { value, current, working, trouble } = usePlans(
    wish.crops.length > 0 ? wish : null,
    setting,
  );
  const found = useDeferredValue(value);
  const shown = wish.crops.length > 0 ? found : null;
  const blocked = shown && current ? impossible(shown, wish) : null;
  return (
    <>
      <header className="plans-head">
        <Text className="plans-kicker">What could I make?</Text>
        <Text as="h1" fontSize="2xl">
          {wish.crops.length === 0
            ? 'Whole plans from what you have and want'
            : shown && shown.plans.length > 0
              ? tell(headingOf(shown, wish))
              : working
                ? 'Looking for plans'
                : 'Nothing holds that yet'}
        </Text>
        {blocked && <Text className="plans-blocked">{tell(blocked)}</Text>}
      </header>
      <Strip wish={wish} open={open} onOpen={setOpen}>
        <Question open={open} wish={wish} onChange={change} currency={book.currency} />
      </Strip>
      <Progress found={shown} working={working} />
      {trouble && <Trouble title="The search broke off" detail={trouble} />}
      {wish.crops.length === 0 ? (
        <Text maxW="40rem" mt="4">
          Say what you want to grow; all else can be left as it is. Huerta tries every build in the
          vessels that you have and in such as are easily bought, lets each stand through the month
          that you name, and shows the few that differ.
        </Text>
      ) : (
        shown && <Ledge found={shown} wish={wish} currency={book.currency} />
      )}
      {wish.crops.length > 0 && (
        <Button variant="ghost" mt="4" onClick={clear}>
          Begin anew
        </Button>
      )}
    </>
  );
}

interface AskedProps {
  open: QuestionId | null;
  wish: PlanWish;
  onChange(part: Partial<PlanWish>): void;
  currency: string;
}

function Question({ open, currency, ...rest }: AskedProps) {
  switch (open) {
    case 'has':
      return <HasQuestion {...rest} />;
    case 'wants':
      return <WantsQuestion {...rest} />;
    case 'place':
      return <PlaceQuestion {...rest} />;
    case 'matters':
      return <MattersQuestion {...rest} currency={currency} />;
    case null:
      return null;
  }
}

/** How far the search is, while it goes on. */
function Progress({ found, working }: { found: PlansFound | null; working: boolean }) {
  return (
    <div className="plans-progress" role="status">
      {working && (
        <>
          <span>Looking further</span>
          <progress
            value={found?.done ?? 0}
            max={Math.max(found?.of ?? 1, 1)}
            aria-label="Ways to share the crops out that were looked at"
          />
        </>
      )}
    </div>
  );
}

/** Widest that one plan is drawn, and highest, pixels. */
const WIDE = 300;
const HIGH = 190;
const MOST_SCALE = 240;

interface LedgeProps {
  found: PlansFound;
  wish: PlanWish;
  currency: string;
}

/** Plans side by side on one ledge, at one scale. */
function Ledge({ found: { plans }, wish, currency }: LedgeProps) {
  const [opened, setOpened] = useState<string | null>(null);
  const making = useMaking();
  const scale = useMemo(() => {
    const sizes = plans.map(drawnSize);
    return Math.min(
      ...sizes.map(({ wide, high }) => Math.min(WIDE / wide, HIGH / high)),
      MOST_SCALE,
    );
  }, [plans]);
  const days = Math.max(...plans.map((plan) => plan.days.short), wish.days, 1) * 1.08;
  const [first] = plans;
  const isOpen = ({ id }: GardenPlan): boolean =>
    opened === null ? id === first?.id : opened === id;
  return (
    <>
      <Made made={making.made} />
      {making.error && <Trouble title="The planters were not made" detail={making.error} />}
      <div className="plans-ledge" data-count={plans.length}>
        {plans.map((plan, i) => (
          <PlanColumn
            key={plan.id}
            {...{ plan, wish, scale, days, currency }}
            title={kindOf(plan, plans)}
            best={i === 0}
            open={isOpen(plan)}
            onOpen={() => setOpened(isOpen(plan) ? '' : plan.id)}
            stands={reasonFor(plan, plans, wish)}
            against={speaksAgainst(plan, plans, wish)}
            busy={making.busy}
            onMake={() => making.make(plan)}
          />
        ))}
      </div>
    </>
  );
}

interface MadePlanter {
  id: string;
  name: string;
}

/** Makes the planters of a plan: those that are alike as variants of the first. */
function useMaking() {
  const create = useCreatePlanter();
  const [made, setMade] = useState<readonly MadePlanter[]>([]);
  const [error, setError] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const make = async ({ planters }: GardenPlan): Promise<void> => {
    setBusy(true);
    setError(null);
    const done: MadePlanter[] = [];
    try {
      for (const { design, count } of planters)
        for (let n = 1; n <= count; n += 1) {
          const variant = n > 1 ? `${n} of ${count}` : '';
          const { id } = await create.mutateAsync({ ...design, variant });
          done.push({ id, name: variant ? `${design.name}, ${variant}` : design.name });
        }
    } catch (reason) {
      setError(reason instanceof Error ? reason.message : String(reason));
    }
    setMade(done);
    setBusy(false);
    window.scrollTo({ top: 0 });
  };
  return { made, error, busy, make: (plan: GardenPlan) => void make(plan) };
}

/** What was made, and what comes next. */
function Made({ made }: { made: readonly MadePlanter[] }) {
  if (made.length === 0) return null;
  const all = made.map(({ id }) => id).join(',');
  return (
    <Box className="plans-made" role="status">
      <Text>
        In your garden now:{' '}
        {made.map(({ id, name }, i) => (
          <span key={id}>
            {i > 0 && ', '}
            <Link to={`/planters/${id}`}>{name}</Link>
          </span>
        ))}
        .
      </Text>
      <div className="plans-row">
        <Button asChild variant="solid">
          <Link to={`/shopping?with=${all}`}>Shopping list</Link>
        </Button>
        {made[0] && (
          <Button asChild>
            <Link to={`/planters/${made[0].id}/build`}>Build the first</Link>
          </Button>
        )}
        <Button asChild>
          <Link to="/">To the garden</Link>
        </Button>
      </div>
    </Box>
  );
}
