import { Box, Button } from '@chakra-ui/react';
import { buildWords, cropWords, type GardenPlan, type PlanWish } from '@huerta/core/planning/plans';
import { durationText } from '@huerta/core/fabrication';
import { vesselName } from '@huerta/core/catalog';
import type { Message } from '@huerta/core/units';
import { Check, ChevronDown, Minus, Plus } from 'lucide-react';
import { useWords } from '../../ui/preferences';
import { amountOfMeans, meansWords } from './counts';
import { DaysWedge } from './DaysWedge';
import { PlanDrawing } from './PlanDrawing';

interface PlanColumnProps {
  plan: GardenPlan;
  title: string;
  wish: PlanWish;
  best: boolean;
  /** Whether all of it is shown on a phone. */
  open: boolean;
  onOpen(): void;
  /** Pixels per metre, and days that the wedge is wide. */
  scale: number;
  days: number;
  stands: Message;
  against: Message | null;
  currency: string;
  busy: boolean;
  onMake(): void;
}

/** One plan under the ledge. */
export function PlanColumn(props: PlanColumnProps) {
  const {
    plan,
    title,
    wish,
    best,
    open,
    onOpen,
    scale,
    days,
    stands,
    against,
    currency,
    busy,
    onMake,
  } = props;
  const words = useWords();
  const { tell, write, money, say } = words;
  return (
    <article className="plan" data-open={open} aria-label={say(title)}>
      <PlanDrawing plan={plan} scale={scale} />
      <div className="plan-words">
        <h2 className="plan-title">
          <Box hideBelow="md">{say(title)}</Box>
          <Box asChild hideFrom="md">
            <button type="button" aria-expanded={open} onClick={onOpen}>
              {say(title)}
              <ChevronDown size={18} aria-hidden className="plan-chevron" />
            </button>
          </Box>
        </h2>
        <p className="plan-days">
          <b>{write(plan.days.short, 'days')}</b> until plants go short
        </p>
        <DaysWedge days={plan.days} away={wish.days} most={days} />
        <p className="plan-figures">
          <span>
            <b>{money(plan.cost, currency)}</b> to buy
          </span>
          <span>
            <b>{durationText(plan.minutes)}</b> work
          </span>
          <span>
            <b>{write(plan.weight, 'mass')}</b> full
          </span>
        </p>
        <div className="plan-more">
          <ul className="plan-planters">
            {plan.planters.map((planter) => (
              <li key={`${planter.vessel} ${cropWords(planter.crops)}`}>
                {planter.count * planter.takes > 1 ? `${planter.count * planter.takes} × ` : ''}
                {say(planter.vessel)}
                {planter.bought ? ' (to buy)' : ''}: {say(cropWords(planter.crops))}.{' '}
                <span>{say(buildWords(planter))}.</span>
              </li>
            ))}
          </ul>
          <Taken plan={plan} wish={wish} />
          <ul className="plan-reasons">
            <li>
              <Plus size={16} aria-label="For it" /> {tell(stands)}
            </li>
            {against && (
              <li>
                <Minus size={16} aria-label="Against it" /> {tell(against)}
              </li>
            )}
          </ul>
          <Button variant={best ? 'solid' : 'outline'} disabled={busy} onClick={onMake}>
            Make this one
          </Button>
        </div>
      </div>
    </article>
  );
}

/** What there is, ticked where the plan takes it. */
function Taken({ plan, wish }: { plan: GardenPlan; wish: PlanWish }) {
  const words = useWords();
  const { units, say } = words;
  const taken = (name: string): number =>
    plan.planters.reduce(
      (sum, { vessel, bought, count, takes }) =>
        sum + (vessel === name && !bought ? count * takes : 0),
      0,
    );
  const rows = [
    ...wish.vessels.map(({ vessel, count }) => ({ name: vesselName(vessel, units), count })),
    ...wish.own,
  ].map(({ name, count }) => ({
    name: `${count} × ${name}`,
    used: taken(name) > 0 ? `${taken(name)}` : null,
  }));
  const things = wish.means.map((held, i) => {
    const used = plan.uses.find(({ means }) => means === i)?.used;
    return {
      name: meansWords(held, words),
      used: used === undefined ? null : amountOfMeans(held, used, words),
    };
  });
  if (rows.length + things.length === 0) return null;
  const all = [...rows, ...things];
  const free = all.filter(({ used }) => used === null);
  return (
    <div className="plan-taken">
      <ul aria-label="Of what there is it takes">
        {all
          .filter(({ used }) => used !== null)
          .map(({ name, used }) => (
            <li key={name}>
              <Check size={16} aria-hidden /> <b>{used}</b> of {say(name)}
            </li>
          ))}
      </ul>
      {free.length > 0 && <p>Stays free: {free.map(({ name }) => say(name)).join('; ')}.</p>}
    </div>
  );
}
