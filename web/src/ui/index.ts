export * from './AlignedFigure';
export * from './Choice';
export * from './QuantityField';
export * from './TextField';
export * from './VerdictMark';
export * from './useWidth';
export * from './useNarrow';
