// A door of its own: what checks say is worked out where it is asked for, not with every page.
export * from './learn';
export * from './learn-request';
