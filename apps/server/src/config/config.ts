import * as v from 'valibot';

const yesOrNo = (usual: 'yes' | 'no') =>
  v.pipe(
    v.optional(v.picklist(['yes', 'no'], 'is yes or no'), usual),
    v.transform((word) => word === 'yes'),
  );

const whole = (usual: string, least: number, most: number) =>
  v.pipe(
    v.optional(v.string(), usual),
    v.regex(/^\d{1,9}$/, 'is a whole number'),
    v.transform(Number),
    v.minValue(least, `is at least ${least}`),
    v.maxValue(most, `is at most ${most}`),
  );

const databaseUrl = v.pipe(
  v.string('is missing'),
  v.regex(/^postgres(ql)?:\/\//, 'begins with postgres://'),
);

/** How many, or addresses and ranges of them. */
const PROXY = String.raw`(?:loopback|linklocal|uniquelocal|\d{1,3}(?:\.\d{1,3}){3}(?:/\d{1,2})?|[\da-fA-F]*:[\da-fA-F:]+(?:/\d{1,3})?)`;
const PROXIES = new RegExp(`^(?:\\d{1,2}|${PROXY}(?:,\\s*${PROXY})*)$`);

const LOOPBACK = ['127.0.0.1', '::1', 'localhost'];

/** Every setting of the server, by the name of its environment variable. The README lists them. */
const Environment = v.pipe(
  v.object(
    {
      DATABASE_URL: databaseUrl,
      APPLICATION_DATABASE_URL: v.optional(databaseUrl),
      SECRET: v.pipe(v.string('is missing'), v.minLength(32, 'has at least 32 characters')),
      HOST: v.optional(v.string(), '127.0.0.1'),
      PORT: whole('0', 0, 65_535),
      PUBLIC_ADDRESS: v.optional(
        v.pipe(
          v.string(),
          v.regex(/^https?:\/\/[^/\s]+$/, 'is like https://books.example, without a path'),
        ),
      ),
      TRUSTED_PROXY: v.optional(
        v.pipe(
          v.string(),
          v.regex(PROXIES, 'names addresses of proxies, or loopback, or how many'),
        ),
      ),
      DEMO: yesOrNo('no'),
      LOG: v.optional(v.picklist(['fatal', 'error', 'warn', 'info', 'debug', 'silent']), 'info'),
      LOG_FILE: v.optional(v.string()),
      ADDRESS_FILE: v.optional(v.string()),
      SESSION_HOURS: whole('12', 1, 720),
      SESSION_IDLE_MINUTES: whole('180', 5, 43_200),
      CONNECTIONS: whole('10', 2, 200),
      WORKERS: whole('2', 1, 32),
      TASK_SECONDS: whole('60', 5, 900),
      STATEMENT_SECONDS: whole('30', 1, 600),
    },
    'is missing',
  ),
  v.forward(
    v.check(
      ({ HOST, PUBLIC_ADDRESS }) => LOOPBACK.includes(HOST) || PUBLIC_ADDRESS !== undefined,
      'is needed where HOST is not loopback: the address that people type',
    ),
    ['PUBLIC_ADDRESS'],
  ),
);
export type Config = v.InferOutput<typeof Environment>;

/** Settings that are wrong or missing: each with what is asked of it. */
export class ConfigError extends Error {}

const withoutEmpty = (
  environment: Readonly<Record<string, string | undefined>>,
): Record<string, string> =>
  Object.fromEntries(
    Object.entries(environment).flatMap(([name, value]) =>
      value === undefined || value === '' ? [] : [[name, value]],
    ),
  );

/** Reads the settings. Throws `ConfigError` that names every one that is wrong, and its rule. */
export const readConfig = (environment: Readonly<Record<string, string | undefined>>): Config => {
  const result = v.safeParse(Environment, withoutEmpty(environment));
  if (result.success) return result.output;
  const told = result.issues.map((issue) => `${v.getDotPath(issue) ?? ''} ${issue.message}`);
  throw new ConfigError(`${told.join('. ')}. The README lists every setting.`);
};
