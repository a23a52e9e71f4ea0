/** A screen as narrow as a phone's: the theme's `max-phone:`. */
export const PHONE = '(max-width: 56.311em)';
