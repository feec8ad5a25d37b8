/** Of what guesses or makes accounts, so many a minute from one address. */
export const slowly = { default: { limit: Number(process.env.DEWPOT_SIGN_IN_LIMIT ?? 10), ttl: 60_000 } };
