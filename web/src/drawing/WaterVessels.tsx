import './waterVessels.css';

/** A watering can, and how full it is to be. @param share of it, from 0 to 1 */
function Can({ share }: { share: number }) {
  const top = 44 - 30 * share;
  return (
    <svg className="can" width="62" height="50" viewBox="0 0 62 50" aria-hidden>
      <path className="can-handle" d="M16 14C14 2 36 2 34 14" />
      <path className="can-handle" d="M12 18C-1 18 0 40 12 38" />
      <path className="can-body" d="M14 14H36L40 44H10Z" />
      <path
        className="can-water"
        d={`M${10 + (44 - top) * 0.133} ${top}H${40 - (44 - top) * 0.133}L40 44H10Z`}
      />
      <path className="can-wall" d="M14 14H36L40 44H10Z" />
      <path className="can-spout" d="M39 36L54 18M50 15L58 22" />
    </svg>
  );
}

/** Cans that are drawn at the most; the words beside them tell all. */
const DRAWN = 4;

/** What is to be carried, in cans. @param cans as many as it takes, with a part for the last one */
export function Cans({ cans }: { cans: number }) {
  const drawn = Math.min(Math.ceil(cans), DRAWN);
  return (
    <span className="cans">
      {Array.from({ length: drawn }, (_, i) => (
        <Can key={i} share={Math.min(Math.max(cans - i, 0.15), 1)} />
      ))}
      {Math.ceil(cans) > DRAWN && <b>× {Math.ceil(cans)}</b>}
    </span>
  );
}

/** A tank with its water. @param share of it that is full, from 0 to 1 */
export function TankPicture({ share }: { share: number }) {
  const top = 92 - 72 * Math.min(Math.max(share, 0), 1);
  return (
    <svg className="tank-picture" width="96" height="100" viewBox="0 0 96 100" aria-hidden>
      <path className="tank-pipe" d="M2 4H44V18M2 9H39V18" />
      <rect className="can-water" x="18" y={top} width="58" height={92 - top} />
      <path className="can-wall" d={`M18 18V92H76V18Z`} />
      <path className="tank-level" d={`M18 ${top}H76M54 ${top - 8}h12l-6 8z`} />
      <path className="can-spout" d="M76 82H90V90" />
    </svg>
  );
}
