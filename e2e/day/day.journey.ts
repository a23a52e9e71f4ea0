import type { ShownDay } from '@yardland/core';
import { expect, test } from '../support/bench';

test('today is a list for each person, and leads to the bench', async ({ page, shop }) => {
  await page.goto('/day');
  const ines = page.getByRole('region', { name: 'Ines' });
  await expect(ines.getByRole('listitem').first()).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText('Late:')).toBeVisible();
  await shop.expectAccessible();
  await page.getByRole('button', { name: 'The day after' }).click();
  await expect(page.getByRole('heading', { level: 2 })).not.toContainText('Today');
  // Over a weekend, to the next day on which she works.
  for (let i = 0; i < 4 && !(await ines.getByRole('link').count()); i++) await page.getByRole('button', { name: 'The day after' }).click();
  await ines.getByRole('link').first().click();
  await expect(page.locator('yl-tape a.here')).toContainText('Bench');
});

test('a bar is moved by keys and by hand, stays there, is said, and comes back', async ({ page, shop }) => {
  const plan = async (): Promise<ShownDay['day']> => ((await (await page.request.get('/api/day')).json()) as ShownDay).day;
  await page.goto('/day?read=weeks');
  const bars = page.locator('button.bar');
  await expect(bars.first()).toBeVisible({ timeout: 30_000 });
  // A quarter of an hour is narrower than a finger: the same is done with the buttons below (WCAG 2.5.8, equivalent).
  await shop.expectAccessible({ without: ['target-size'] });
  const hand = page.getByRole('region', { name: 'The steps in hand' });
  const first = await hand.getByRole('link').textContent();
  await hand.getByRole('button', { name: 'The bar after' }).click();
  await expect(hand).toContainText(/–/);
  await hand.getByRole('button', { name: 'The bar before' }).click();
  await expect(hand.getByRole('link')).toHaveText(first!);
  // To the next day on which they work, with the arrow keys.
  await bars.first().focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('status').filter({ hasText: /ends|No job ends/ })).toBeVisible({ timeout: 30_000 });
  await expect.poll(async () => (await plan()).steps.filter(({ pinned }) => pinned).length).toBeGreaterThan(0);
  const { from, steps: planned } = await plan();
  expect(planned.find((step) => step.pinned)!.parts[0]!.start.slice(0, 10) > from).toBe(true);
  await page.getByRole('button', { name: 'Take the last change back' }).click();
  await expect.poll(async () => (await plan()).steps.filter((step) => step.pinned).length).toBe(0);

  // Dragged a day to the right.
  const dragged = bars.first();
  await dragged.scrollIntoViewIfNeeded();
  const box = (await dragged.boundingBox())!;
  await page.mouse.move(box.x + 3, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 60, box.y + box.height / 2, { steps: 4 });
  await page.mouse.move(box.x + 190, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect.poll(async () => (await plan()).steps.filter((step) => step.pinned).length).toBeGreaterThan(0);
  const steps = page.getByRole('region', { name: 'The steps in hand' });
  await expect(steps).toContainText('put by hand');
  await steps.getByRole('button', { name: 'Let it go' }).click();
  await expect.poll(async () => (await plan()).steps.filter((step) => step.pinned).length).toBe(0);

  // Let go it stays where it is, for the plan goes on from what stands; made anew it is wherever it is best, and that is taken back too.
  const where = async (): Promise<string> => JSON.stringify((await plan()).steps.map(({ job, step: id, person }) => [job, id, person]));
  const stood = await where();
  await page.getByRole('button', { name: 'Plan anew' }).click();
  await expect(page.getByText(/^Planned anew\. /)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Take the last change back' }).click();
  await expect.poll(where).toBe(stood);
});

test('a job is promised with its reasons, and something is tried out before it is done', async ({ page, shop }) => {
  await page.goto('/day?read=promises');
  await page
    .getByLabel('For a job that is not at work yet')
    .selectOption({ label: (await page.getByRole('option', { name: /^Gallery and box seats/ }).textContent())!.trim() });
  await expect(page.getByRole('list', { name: 'Why then' })).toContainText('By the plan it is done', { timeout: 30_000 });
  await page.getByRole('button', { name: /^Promise it for/ }).click();
  await expect(page.getByText(/Gallery and box seats is promised for/)).toBeVisible();
  await page.getByLabel('A job waits').selectOption('Dressing room one');
  await page.getByLabel('until', { exact: true }).fill('2031-01-06');
  await page.getByRole('button', { name: 'Try it' }).last().click();
  await expect(page.getByRole('status', { name: 'What comes of it' })).toContainText('Dressing room one ends', { timeout: 30_000 });
  await page.getByRole('button', { name: 'Leave it' }).click();
  await shop.expectAccessible();
});

test('somebody’s hours change the plan at once, and foam that comes later holds its job', async ({ page, shop }) => {
  const endOf = async (name: string): Promise<string> => {
    const { day } = (await (await page.request.get('/api/day')).json()) as ShownDay;
    return day.jobs.find((job) => job.name === name)!.end;
  };
  await page.goto('/day?read=people');
  const odile = page.getByRole('textbox', { name: 'Odile, hours on Wed' });
  await odile.fill('6');
  await odile.press('Enter');
  await expect(odile).toHaveValue('6');
  await expect
    .poll(async () => ((await (await page.request.get('/api/day')).json()) as ShownDay).day.people.find(({ name }) => name === 'Odile')!.hours[2])
    .toBe(6);
  await shop.openJob('Queue benches, courtyard');
  await page.getByRole('button', { name: 'Queue benches, courtyard, the job’s own sheet' }).click();
  await page.getByLabel('Foam comes on').fill('2031-03-04');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect.poll(() => endOf('Queue benches, courtyard')).toContain('2031-03-');
});
