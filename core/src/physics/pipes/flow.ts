/** Water that runs through a hose from one level to another. SI; water of 20 °C. */

const GRAVITY = 9.80665;
/** Kinematic viscosity, m²/s. */
const VISCOSITY = 1.004e-6;
/** Smooth plastic, metres (Moody 1944: drawn tubing). */
const ROUGHNESS = 1.5e-6;
/** Up to which Reynolds number it runs in layers, and from which it is turbulent. */
const LAMINAR = 2000;
const TURBULENT = 4000;
/** Coefficients of what a hose loses besides: its entrance and its exit (Idelchik 1986). */
const ENTRANCE = 0.5;
const EXIT = 1;
/** Discharge coefficient of a valve’s seat. */
const DISCHARGE = 0.6;

export interface Hose {
  /** Metres. */
  length: number;
  /** Inside diameter, metres. */
  bore: number;
}

const areaOf = (bore: number): number => (Math.PI / 4) * bore ** 2;

/** Darcy’s friction factor: 64/Re in layers, Swamee and Jain (1976) when turbulent, between the two in a straight line. */
function friction(reynolds: number, bore: number): number {
  const turbulent = (re: number): number =>
    0.25 / Math.log10(ROUGHNESS / bore / 3.7 + 5.74 / re ** 0.9) ** 2;
  if (reynolds <= LAMINAR) return 64 / reynolds;
  if (reynolds >= TURBULENT) return turbulent(reynolds);
  const u = (reynolds - LAMINAR) / (TURBULENT - LAMINAR);
  return (1 - u) * (64 / LAMINAR) + u * turbulent(TURBULENT);
}

/**
 * The head that a flow takes through a hose: Hagen–Poiseuille in layers, else Darcy–Weisbach, with what is lost at both
 * ends.
 *
 * @param flow m³/s
 * @returns metres of water
 */
export function headLoss(flow: number, { length, bore }: Hose): number {
  if (flow <= 0) return 0;
  const speed = flow / areaOf(bore);
  const reynolds = (speed * bore) / VISCOSITY;
  const along = (friction(reynolds, bore) * length) / bore;
  return ((along + ENTRANCE + EXIT) * speed ** 2) / (2 * GRAVITY);
}

/**
 * The flow that a head drives.
 *
 * @param loss head that is lost at a flow, metres; rises with it
 * @param most a flow that takes more than the head, m³/s
 */
function flowBy(loss: (flow: number) => number, head: number, most: number): number {
  let [low, high] = [0, most];
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2;
    if (loss(middle) < head) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** The flow through a hose between two levels that stand so far apart, m³/s. @param head metres */
export function flowUnder(head: number, hose: Hose): number {
  if (head <= 0) return 0;
  // Without friction nothing would be quicker (Torricelli).
  return flowBy(
    (flow) => headLoss(flow, hose),
    head,
    areaOf(hose.bore) * Math.sqrt(2 * GRAVITY * head),
  );
}

/**
 * What a float valve lets in while it is open, through the hose before it.
 *
 * @param head of the water above the valve’s level, metres
 * @param seat the valve’s opening, metres across
 * @returns m³/s
 */
export function valveFlow(head: number, seat: number, hose: Hose): number {
  if (head <= 0) return 0;
  const through = (flow: number): number =>
    headLoss(flow, hose) + (flow / (DISCHARGE * areaOf(seat))) ** 2 / (2 * GRAVITY);
  return flowBy(through, head, areaOf(seat) * Math.sqrt(2 * GRAVITY * head));
}

/** Steps of the sum, evenly in the logarithm of what is left. */
const STEPS = 60;

/**
 * How long two reservoirs take until a difference of their levels has shrunk, through one hose. In layers it falls as
 * e to the minus t over τ, τ = 128·ν·L/(π·g·d⁴) · A₁A₂/(A₁+A₂).
 *
 * @param from and @param to differences of level, metres
 * @param areas of the water in the two, m²
 * @returns seconds
 */
export function secondsToFollow(
  from: number,
  to: number,
  areas: readonly [number, number],
  hose: Hose,
): number {
  const [a, b] = areas;
  const area = (a * b) / (a + b);
  const ratio = (to / from) ** (1 / STEPS);
  let seconds = 0;
  for (let i = 0, head = from; i < STEPS; i += 1) {
    const next = head * ratio;
    seconds += (area * (head - next)) / flowUnder(Math.sqrt(head * next), hose);
    head = next;
  }
  return seconds;
}
