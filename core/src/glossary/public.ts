// Words of the trade, told to a newcomer; a door of its own, since no page needs them before a word is asked for.
export * from './words';
