export { keepOf, outcomesWithLine } from './keepLines';
