export { FACTS, OUTCOMES } from './types';
export type {
  Clearance,
  Fact,
  FoundFact,
  Outcome,
  Override,
  Reason,
  Rule,
  RuleChange,
  SpotReason,
  Grounds,
} from './types';
export { forbidsNew, judge, mayOverride, isStopped, strictest } from './judge';
export type { Judgement, ZoneJudgement, ScreeningInput, ScreeningZone } from './judge';
export { NEEDS_CLEARANCE, RULES, PERSON_RULES, RULE_SET_VERSION } from './rules';
export { COMBINATIONS } from './combinations';
export type { Combination } from './combinations';
export { SPOT_RULES } from './spots';
export { checkRuleChange, isLoosening, ruleSetOf, SHIPPED_RULE_SET, waitOf } from './ruleSet';
export type { RuleSet } from './ruleSet';
export { referenceTable } from './referenceTable';
export type { ReferenceRow } from './referenceTable';
export { nextQuestions } from './nextQuestions';
export type { NextQuestion } from './nextQuestions';
export { QUESTIONS, isAnswered, factsOfAnswers } from './questions';
export type { Question, QuestionChoice, FormAnswers, QuestionAnswer } from './questions';
export { postponeMessage, referralNote } from './messages';
export { FACT_WORDS, ASKED_EACH_TIME, ASKED_ONCE, STAYS_ON_CARD } from './words';
