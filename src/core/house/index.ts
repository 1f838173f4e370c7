export { HOUSE_WAYS, houseWay, schoolsOf } from './ways';
export type { HouseWay, WayChoice } from './ways';
