export { OwnPrice } from './OwnPrice';
export { useOwnPrices } from './useOwnPrices';
