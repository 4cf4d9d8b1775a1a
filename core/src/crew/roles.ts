/** What somebody may do: look at one site, work, or say who else may. Each may do what those before may. */
export const roles = ['viewer', 'installer', 'owner'] as const;
export type Role = (typeof roles)[number];

/** Those of the crew: a viewer belongs to a customer. */
export const memberRoles = ['installer', 'owner'] as const;
export type MemberRole = (typeof memberRoles)[number];

/**
 * May somebody with this role do what asks for that one?
 *
 * @example mayAs('owner', 'installer') // true
 * @example mayAs('viewer', 'installer') // false
 */
export const mayAs = (role: Role, needed: Role): boolean => roles.indexOf(role) >= roles.indexOf(needed);
