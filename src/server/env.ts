import { z } from 'zod';

const LOOPBACK = ['127.0.0.1', 'localhost', '::1'];
const port = z.coerce.number().int().min(1).max(65_535);
const isSet = z
  .enum(['on', 'off'])
  .optional()
  .transform((word) => (word === undefined ? null : word === 'on'));

/** What can be set, and what counts where nothing is. */
export const settings = z
  .object({
    DATABASE_URL: z.string().min(1).default('file:./data/keen-spiral.db'),
    /** What a database on a server asks for. */
    DATABASE_TOKEN: z.string().default(''),
    LOG_LEVEL: z.enum(['debug', 'info', 'warn', 'error', 'silent']).default('info'),
    NODE_ENV: z.string().default('development'),
    /** Further host names the server answers to, comma-separated, beside 127.0.0.1 and localhost. */
    ALLOWED_HOSTS: z.string().default(''),
    /** Minutes between copies of the database; 0 takes none. */
    COPY_EVERY_MIN: z.coerce.number().int().min(0).max(10_080).default(60),
    /** Where the door of this computer is. */
    HOST: z.string().min(1).default('127.0.0.1'),
    PORT: port.default(3000),
    /** Whether phones on the studio's network are let in; left out, as was chosen on the page of the studio. */
    LAN: isSet,
    HTTPS_PORT: port.default(3443),
    /** Where the authority is offered to phones, in the clear. */
    OFFER_PORT: port.default(3080),
    /** Whether a proxy with HTTPS of its own stands before it. */
    BEHIND_PROXY: isSet,
    /** Who signs in: whoever comes from the network, or everybody. */
    SIGN_IN: z.enum(['network', 'always']).default('network'),
  })
  .superRefine(({ HOST, BEHIND_PROXY }, context) => {
    if (!LOOPBACK.includes(HOST) && !BEHIND_PROXY)
      context.addIssue({
        code: 'custom',
        path: ['HOST'],
        message:
          'beyond this computer pages would go unencrypted; set LAN=on for the network of a studio, or BEHIND_PROXY=on where a proxy with HTTPS stands before it',
      });
  });

const parsed = settings.safeParse(process.env);
if (!parsed.success) {
  const lines = parsed.error.issues.map((issue) => `  ${issue.path.join('.')}: ${issue.message}`);
  throw new Error(`Settings in the environment are wrong:\n${lines.join('\n')}`);
}

/** The settings, read once at start. The only place that looks at the environment. */
export const env = {
  databaseUrl: parsed.data.DATABASE_URL,
  databaseToken: parsed.data.DATABASE_TOKEN,
  /** Whether other processes may write to the database meanwhile. */
  isShared: !parsed.data.DATABASE_URL.startsWith('file:'),
  logLevel: parsed.data.LOG_LEVEL,
  copyEveryMin: parsed.data.COPY_EVERY_MIN,
  host: parsed.data.HOST,
  port: parsed.data.PORT,
  isLoopback: LOOPBACK.includes(parsed.data.HOST),
  /** Whether the network is let in; null where that is decided on the page of the studio. */
  lan: parsed.data.LAN,
  httpsPort: parsed.data.HTTPS_PORT,
  offerPort: parsed.data.OFFER_PORT,
  isBehindProxy: parsed.data.BEHIND_PROXY ?? false,
  alwaysSignIn: parsed.data.SIGN_IN === 'always',
  /** What a process started by this one is given. */
  forChildren: process.env,
  isProduction: parsed.data.NODE_ENV === 'production',
  allowedHosts: parsed.data.ALLOWED_HOSTS.split(',')
    .map((host) => host.trim().toLowerCase())
    .filter(Boolean),
};
