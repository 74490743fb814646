export { OwnPrice } from './OwnPrice';
