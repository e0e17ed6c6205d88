import type { ReactNode } from 'react';
import { Fold } from '../Fold';
import './year.css';

/** What can be sown now, folded: worked out when somebody wants to know. */
export const SowNowFold = ({
  className,
  children,
}: {
  className?: string;
  children: ReactNode;
}) => (
  <Fold
    title="What to sow or plant now"
    className={['sow-now', className].filter(Boolean).join(' ')}
  >
    {children}
  </Fold>
);
