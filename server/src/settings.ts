import { z } from 'zod';

/** What Huerta is told by its environment, read once at the start. */

const settingsSchema = z
  .object({
    HUERTA_DATA: z.string().min(1, 'is a folder').default('.data'),
    HUERTA_PORT: z
      .string()
      .regex(/^\d{1,5}$/, 'is a number such as 4700')
      .transform(Number)
      .refine((port) => port <= 65_535, 'is at most 65535')
      .default(4700),
    HUERTA_HOST: z
      .string()
      .regex(/^[a-z0-9.-]+$/i, 'is a name or an address of this machine, without a port')
      .optional(),
    HUERTA_DOOR_PORT: z
      .string()
      .regex(/^\d{1,5}$/, 'is a number such as 4743')
      .transform(Number)
      .refine((port) => port <= 65_535, 'is at most 65535')
      .optional(),
    HUERTA_CERT: z.string().min(1, 'is a file').optional(),
    HUERTA_KEY: z.string().min(1, 'is a file').optional(),
    HUERTA_RATE: z
      .string()
      .regex(/^\d{1,7}$/, 'is a number of requests a minute, 0 for no limit')
      .transform(Number)
      .default(6000),
    HUERTA_WEB: z.string().min(1, 'is a folder').default('web/dist'),
    HUERTA_DEMO: z.enum(['0', '1'], 'is 1 for the demo garden, or 0').default('0'),
    HUERTA_DEMO_UNITS: z.enum(['metric', 'us'], 'is metric, or us for inches').default('metric'),
    HUERTA_DEMO_DAY: z.iso.date('is a day such as 2026-07-15').optional(),
    HUERTA_LOG: z
      .enum(
        ['fatal', 'error', 'warn', 'info', 'debug', 'trace', 'silent'],
        'is a level such as info',
      )
      .default('info'),
  })
  .refine(
    ({ HUERTA_CERT: cert, HUERTA_KEY: key }) => (cert === undefined) === (key === undefined),
    {
      path: ['HUERTA_CERT'],
      message: 'goes with HUERTA_KEY: give both or none',
    },
  );

export interface Settings {
  folder: string;
  port: number;
  host: string | null;
  /** Where the house comes in, while the door is open. */
  doorPort: number;
  /** Files of a certificate of one's own. */
  own: { cert: string; key: string } | null;
  /** Requests a minute from one address; 0 for no limit. */
  rate: number;
  web: string;
  demo: boolean;
  /** In which units the demo's planters are built. */
  demoUnits: 'metric' | 'us';
  /** The day that the demo's log leads up to; today where it is left out. */
  demoDay: string | null;
  log: string;
}

/**
 * Reads the settings.
 *
 * @throws Error with a sentence that names the variable and what it may be
 */
export function readSettings(environment: Readonly<Record<string, string | undefined>>): Settings {
  const parsed = settingsSchema.safeParse(environment);
  if (!parsed.success) {
    const [first] = parsed.error.issues;
    const name = String(first?.path[0] ?? 'HUERTA');
    throw new Error(
      `${name} ${first?.message ?? 'cannot be read'}, and not ‘${environment[name] ?? ''}’.`,
    );
  }
  const read = parsed.data;
  return {
    folder: read.HUERTA_DATA,
    port: read.HUERTA_PORT,
    host: read.HUERTA_HOST ?? null,
    doorPort: read.HUERTA_DOOR_PORT ?? read.HUERTA_PORT + 43,
    own:
      read.HUERTA_CERT && read.HUERTA_KEY ? { cert: read.HUERTA_CERT, key: read.HUERTA_KEY } : null,
    rate: read.HUERTA_RATE,
    web: read.HUERTA_WEB,
    demo: read.HUERTA_DEMO === '1',
    demoUnits: read.HUERTA_DEMO_UNITS,
    demoDay: read.HUERTA_DEMO_DAY ?? null,
    log: read.HUERTA_LOG,
  };
}
