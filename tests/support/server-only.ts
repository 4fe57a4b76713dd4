/** Stands in for the `server-only` package, which throws outside a Next server. */
export {};
