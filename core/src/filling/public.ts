// What is used outside the core.
export * from './choose';
export * from './choose-request';
export * from './drying';
export * from './feel';
export * from './layer';
export * from './load-curve';
export * from './long-core';
export * from './old-core';
export * from './press';
export * from './press-gauge';
export * from './quoted';
export * from './refresh';
export * from './sample';
export * from './sitters';
export * from './under-and-over';
