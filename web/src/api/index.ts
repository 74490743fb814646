export * from './client';
export * from './queries';
export * from './pages';
