import { z } from 'zod';

const schema = z.object({
  DATABASE_URL: z.string().min(1).default('file:./data/keen-spiral.db'),
  LOG_LEVEL: z.enum(['debug', 'info', 'warn', 'error', 'silent']).default('info'),
  NODE_ENV: z.string().default('development'),
  /** Further host names the server answers to, comma-separated, beside 127.0.0.1 and localhost. */
  ALLOWED_HOSTS: z.string().default(''),
  /** Minutes between copies of the database; 0 takes none. */
  COPY_EVERY_MIN: z.coerce.number().int().min(0).max(10_080).default(60),
});

const parsed = schema.safeParse(process.env);
if (!parsed.success) {
  const lines = parsed.error.issues.map((issue) => `  ${issue.path.join('.')}: ${issue.message}`);
  throw new Error(`Settings in the environment are wrong:\n${lines.join('\n')}`);
}

/** The settings, read once at start. The only place that looks at the environment. */
export const env = {
  databaseUrl: parsed.data.DATABASE_URL,
  logLevel: parsed.data.LOG_LEVEL,
  copyEveryMin: parsed.data.COPY_EVERY_MIN,
  /** What a process started by this one is given. */
  forChildren: process.env,
  isProduction: parsed.data.NODE_ENV === 'production',
  allowedHosts: parsed.data.ALLOWED_HOSTS.split(',')
    .map((host) => host.trim())
    .filter(Boolean),
};
