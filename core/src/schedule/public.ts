// A door of its own: days are planned where they are shown, not with every page.
export * from './request';
export * from './answer';
export * from './day/by-hand';
export * from './day/day';
export * from './day/promise';
export * from './day/step-words';
export * from './day/steps';
