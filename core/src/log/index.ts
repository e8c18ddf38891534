export * from './alarm';
export * from './dayCounts';
export * from './lineThrough';
export * from './loadTrend';
export * from './resistanceTrend';
export * from './routine';
export * from './startsTrend';
export * from './trendsOf';
