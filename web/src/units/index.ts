export * from './bandPlan';
export * from './day';
export * from './figures';
export * from './quantity';
export * from './ranges';
export * from './reading';
