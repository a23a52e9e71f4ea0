// A door of its own: days are planned where they are shown, not with every page.
export * from './request';
export * from './answer';
