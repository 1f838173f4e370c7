export { matchZone, heatOfOption } from './matchZone';
export type { MatchInput } from './matchZone';
export { chooseTogether } from './chooseTogether';
export { exclusionSentence, choiceReasons, noChoiceReasons, WAY_WORDS } from './sentences';
export { lengthRange, sugarWayFor } from './eligibility';
export { scoreOf, SHIPPED_WEIGHTS } from './score';
export type { Option, Schools, StripFacts } from './types';
