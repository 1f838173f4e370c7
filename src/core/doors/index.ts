export { MAYS, may, mayNotWords, REST_AFTER_MIN, ROLES } from './roles';
export type { May, Role, Who } from './roles';
export { neededFor } from './places';
export type { Needed } from './places';
