export { boardFaults, MARKS, MOST_MINUTES, MOST_STEPS, PICTURES, SHIPPED_BOARD } from './board';
export type { Board, BoardFault, ExamMark, ExamStep, Penalty, Picture } from './board';
export { examFault, examState, forCandidate } from './exam';
export type { ExamEvent, ExamEventKind, ExamScore, ExamState } from './exam';
