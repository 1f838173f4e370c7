export { howMuchFor, howMuchInWords, offeredChoice } from './howMuch';
export type { HowMuch } from './howMuch';
export { SHIPPED_SERVICES, servicesIn, zonesOf } from './services';
export type { Service, ServiceZone } from './services';
export { CONSENT_TEXT, consentTextOf } from './consentText';
export type { ConsentText } from './consentText';
export { FIRST_VISIT_MIN, minutesOfService, minutesOfServices } from './serviceMinutes';
