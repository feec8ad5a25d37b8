// What the first screen asks of roles: a file without the classes that check requests.

/**
 * What people may do in a workshop, from the least to the most: a guest looks, a helper also does the tasks of Today and the bench, a caster
 * also plans, keeps recipes and changes the record, an owner also lets people in and removes them.
 */
export const roles = ['guest', 'helper', 'caster', 'owner'] as const;
export type Role = (typeof roles)[number];

/** Whether a role may do what is for another one. */
export const mayActAs = (role: Role, least: Role): boolean => roles.indexOf(role) >= roles.indexOf(least);
