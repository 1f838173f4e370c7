export { USUAL_POT } from './pot';
export { switchDown } from './ready';
