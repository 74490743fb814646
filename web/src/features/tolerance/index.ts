export { HowFarOff } from './HowFarOff';
