import { Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import type { TendedState } from '@huerta/core/journal';
import { memo, useState, type RefObject } from 'react';
import { Link } from 'react-router';
import { useWaterDrawing } from '../../compute/waterDrawing';
import { useGardenDay } from '../../data/gardenDay';
import { StandingPlanter } from '../../drawing/StandingPlanter';
import { verdictOf, type Verdict } from '../../ui/tended';
import { useNearView } from '../../ui/useNearView';
import { useWords } from '../../ui/preferences';
import { DipField } from './DipField';
import { useNoteWater } from './useNoteWater';
import type { LedgeLayout, Place } from './ledges';

interface CourtyardPlanterProps extends Place {
  form: LedgeLayout['form'];
  /** Undefined until it is known, null where nothing is planted yet. */
  state: TendedState | null | undefined;
  scale: number;
  height: number;
  /** Whether the marks of its glass are named. */
  named: boolean;
  draws: boolean;
  /** Gives it a row of its own. */
  onOpen(id: string): void;
}

const UNKNOWN: Verdict = { sign: null, head: '…', sub: '' };
const NOT_PLANTED: Verdict = { sign: null, head: 'Not planted yet', sub: '' };

/**
 * A planter in the courtyard: drawn with its water, with what it wants and one press for what is done most. It is drawn
 * anew only when its own planter, place or state is another: a round is told bit by bit.
 */
export const CourtyardPlanter = memo(function CourtyardPlanter(props: CourtyardPlanterProps) {
  const { planter, state, form, scale, wide, width, height, named, draws, onOpen } = props;
  const { id, design } = planter;
  const { write } = useWords();
  const today = useGardenDay();
  const [element, near] = useNearView<HTMLLIElement>();
  const drawing = useWaterDrawing(
    design,
    draws && near && state !== undefined ? (state?.forecast.level.middle ?? 0) : null,
  );
  const level = state?.forecast.level ?? { low: 0, middle: 0, high: 0 };
  const verdict = state ? verdictOf(state, today, write) : state === null ? NOT_PLANTED : UNKNOWN;
  return (
    <li
      ref={element as RefObject<HTMLLIElement>}
      {...(form === 'ledge'
        ? { style: { flexBasis: width, flexGrow: width, maxWidth: 1.7 * width } }
        : {})}
      data-sign={verdict.sign ?? undefined}
    >
      <Link to={`/planters/${id}/log`} tabIndex={-1} aria-hidden className="courtyard-picture">
        <StandingPlanter
          drawing={drawing}
          band={{ ...level, known: state?.certain ?? state === null }}
          sign={verdict.sign}
          glass={form === 'ledge' ? 'large' : 'small'}
          {...{ scale, wide, height, named }}
        />
      </Link>
      {form === 'shared' ? (
        <button type="button" className="courtyard-open" onClick={() => onOpen(id)}>
          <span className="courtyard-name">{design.name}</span>
          <span>{verdict.head}</span>
        </button>
      ) : (
        <Beneath planter={planter} verdict={verdict} tended={Boolean(state)} />
      )}
    </li>
  );
});

interface BeneathProps {
  planter: PlanterResource;
  verdict: Verdict;
  /** Whether something grows in it that can be watered. */
  tended: boolean;
}

/** Its name, what it wants, and the press. */
function Beneath({ planter, verdict, tended }: BeneathProps) {
  const { id, design } = planter;
  const [dipping, setDipping] = useState(false);
  const { filled, dipped } = useNoteWater(planter);
  return (
    <div className="courtyard-words">
      <Link to={`/planters/${id}/log`} className="courtyard-name">
        {design.name}
      </Link>
      <div className="courtyard-wants">
        <div>
          <Text className={verdict.sign ? 'courtyard-head' : undefined}>{verdict.head}</Text>
          <Text fontSize="sm" color="faint">
            {verdict.sub}
          </Text>
        </div>
        {tended && !dipping && (
          <span className="courtyard-acts not-printed">
            {verdict.sign === 'dip' && (
              <Button
                className="dip-press"
                aria-label={`Dip ${design.name}`}
                onClick={() => setDipping(true)}
              >
                Dip
              </Button>
            )}
            <Button
              variant={verdict.sign === 'fill' ? 'solid' : 'ghost'}
              {...(verdict.sign === 'fill' ? {} : { px: '1', textDecoration: 'underline' })}
              aria-label={`Filled to overflow: ${design.name}`}
              onClick={filled}
            >
              Filled
            </Button>
          </span>
        )}
      </div>
      {dipping && <DipField design={design} onDip={dipped} onClose={() => setDipping(false)} />}
    </div>
  );
}
