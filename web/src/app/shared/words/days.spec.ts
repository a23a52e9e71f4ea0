import { daysUntil, dayWords, today } from './days';

describe('days', () => {
  it('count across months and clock changes', () => {
    expect(daysUntil('2026-12-03', '2026-11-23')).toBe(10);
    expect(daysUntil('2026-03-30', '2026-03-28')).toBe(2);
    expect(daysUntil('2026-11-20', '2026-11-23')).toBe(-3);
    expect(today(new Date(2026, 0, 5, 23, 59))).toBe('2026-01-05');
  });

  it('say the year only when it is another', () => {
    expect(dayWords('2026-12-03', '2026-11-23')).toBe('Thu 3 Dec');
    expect(dayWords('2027-01-03', '2026-11-23')).toBe('3 Jan 2027');
  });
});
