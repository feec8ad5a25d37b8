/** The role the application works as: it owns nothing and cannot pass the row-level policies. */
export const APP_ROLE = 'dewpot_app';
