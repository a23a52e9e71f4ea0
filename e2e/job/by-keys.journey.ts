import type { Locator, Page } from '@playwright/test';
import { expect, test } from '../support/bench';

/** Stops of the Tab key that a page has at most, and some to spare. */
const MOST_STOPS = 120;

/** Goes on from stop to stop until a part has the focus, as a hand does that has no mouse. */
async function tabTo(page: Page, part: Locator, back = false): Promise<void> {
  await expect(part).toBeVisible();
  for (let i = 0; i < MOST_STOPS && !(await part.evaluate((one) => one === document.activeElement)); i++) await page.keyboard.press(back ? 'Shift+Tab' : 'Tab');
  await expect(part).toBeFocused();
}

test('a filling is chosen, set and put in order by keys alone, and what changes is read out', async ({ shop, page }) => {
  await shop.openJob('Conductor’s chair');
  await page.keyboard.press(']');
  await expect(shop.ticket().getByRole('heading', { level: 2 })).toHaveText('Back cushion');
  await page.keyboard.press('2');
  await expect(page).toHaveURL(/\/filling$/);

  // The drawing is told as a whole: its measures and the words beside its layers.
  const drawing = page.getByRole('group', { name: /^Filling of Back cushion, in section/ });
  await expect(drawing).toHaveAccessibleDescription(/layer 1 thickness 40 mm.*Eider.*Wren 22 soft.*core width \d/);
  await tabTo(page, drawing);
  await page.keyboard.press('+');
  await page.keyboard.press('0');

  // A layer is moved by its knob, stays in hand at its new place, and says where it is.
  await expect.poll(() => shop.layers()).toEqual(['eider-feather', 'wren-22-soft']);
  const knob = (n: number) => page.getByRole('button', { name: `Layer ${n}, drag up or down` });
  await expect(knob(1)).toHaveAccessibleDescription(/^Eider.*, 1 of 2 from the top$/);
  await tabTo(page, knob(1));
  await page.keyboard.press('ArrowDown');
  await expect.poll(() => shop.layers()).toEqual(['wren-22-soft', 'eider-feather']);
  await expect(knob(2)).toBeFocused();
  await expect(page.locator('yl-table').getByRole('status')).toContainText(/Eider.* 2 of 2 from the top$/);
  await page.keyboard.press('ArrowUp');
  await expect.poll(() => shop.layers()).toEqual(['eider-feather', 'wren-22-soft']);
  await expect(knob(1)).toBeFocused();

  // A thickness is typed on the drawing.
  const thickness = page.getByRole('button', { name: /^layer 2 thickness \d+.*type a new one$/ });
  await tabTo(page, thickness);
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-part=dim]').getByRole('textbox', { name: 'layer 2 thickness' })).toBeFocused();
  await page.keyboard.type('75');
  await page.keyboard.press('Enter');
  await expect(shop.tray().getByRole('textbox', { name: 'Layer 2, thickness' })).toHaveValue('75');

  // Another sitter: how it feels is read out in a sentence.
  const panel = page.getByRole('region', { name: 'How it feels' });
  const sitter = panel.getByRole('slider', { name: 'On it sits' });
  const told = panel.getByRole('status');
  await tabTo(page, sitter);
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowRight');
  await expect(sitter).toHaveAttribute('aria-valuetext', 'a child');
  await expect(told).toHaveText(/^Feels .*, sinks \d+ mm, the worst layer \d+ %\./);
  const child = await told.innerText();
  await page.keyboard.press('End');
  await expect(sitter).toHaveAttribute('aria-valuetext', 'heavy');
  await expect(told).not.toHaveText(child);

  // In the list the button stays in hand too: pressed again it takes the same layer back.
  await tabTo(page, shop.tray().getByRole('button', { name: 'Layer 1 down' }));
  await page.keyboard.press('Enter');
  await expect.poll(() => shop.layers()).toEqual(['wren-22-soft', 'eider-feather']);
  await expect(shop.tray().getByRole('button', { name: 'Layer 2 up' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect.poll(() => shop.layers()).toEqual(['eider-feather', 'wren-22-soft']);

  await tabTo(page, page.getByRole('button', { name: 'Choose for me' }));
  await page.keyboard.press('Enter');
  const choice = page.getByRole('dialog', { name: 'Choose for me' });
  const second = choice
    .locator('[data-part=ranking]')
    .getByRole('button', { name: /^Take / })
    .nth(1);
  await tabTo(page, second);
  await page.keyboard.press('Enter');
  await expect(choice).toBeHidden();
  await expect(page.getByRole('button', { name: /^Undo: Filling chosen/ })).toBeVisible();
  // The focus comes back to where the choice was asked for.
  await expect(page.getByRole('button', { name: 'Choose for me' })).toBeFocused();
  await shop.expectAccessible();
  await shop.saved();
});

test('a template is measured, drawn by its points and given ties by keys alone, each told where it lies', async ({ shop, page }) => {
  await shop.openJob('Gallery and box seats');
  await expect(shop.ticket().getByRole('heading', { level: 2 })).toBeVisible();
  for (let i = 0; i < 2; i++) await page.keyboard.press(']');
  await expect(shop.ticket().getByRole('heading', { level: 2 })).toHaveText('Box seat between arms');
  await page.keyboard.press('3');
  await expect(page).toHaveURL(/\/template$/);
  const drawing = page.getByRole('group', { name: /^Template of Box seat between arms, seen from above/ });
  await expect(drawing).toHaveAccessibleDescription(/width 640.*between the arms 500/);

  // A grip is a slider, a measure a field on the drawing.
  const grip = page.getByRole('slider', { name: 'Drag the width' });
  await tabTo(page, grip);
  await page.keyboard.press('ArrowRight');
  await expect(grip).toHaveAttribute('aria-valuetext', '641 mm');
  await shop.expectSize('Seat', '641 millimetres', '560 millimetres');
  await tabTo(page, page.getByRole('button', { name: /^between the arms 500/ }));
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-part=dim]').getByRole('textbox', { name: 'between the arms' })).toBeFocused();
  await page.keyboard.type('521');
  await page.keyboard.press('Enter');
  await expect(shop.tray().getByRole('textbox', { name: 'Between the arms' })).toHaveValue('521');

  // Its parts are one stop; the arrow keys go between them.
  const parts = shop.tray().locator('[data-part=tabs]');
  const part = async (name: string, key: string, back = false): Promise<void> => {
    await tabTo(page, parts.locator('input:checked'), back);
    for (let i = 0; i < 6 && !(await parts.getByRole('radio', { name, exact: true }).isChecked()); i++) await page.keyboard.press(key);
    await expect(parts.getByRole('radio', { name, exact: true })).toBeChecked();
  };
  await part('Points', 'ArrowRight');
  const point = page.getByRole('button', { name: 'Point 1', exact: true });
  await expect(point).toHaveAccessibleDescription('0 mm from the left, 0 mm from the front, sides 140 mm and 641 mm long');
  await tabTo(page, page.getByRole('button', { name: 'Point 3', exact: true }), true);
  await page.keyboard.press('Shift+ArrowUp');
  await expect(page.locator('yl-table').getByRole('status')).toHaveText(/^Point 3: 641 mm from the left, 150 mm from the front, sides 150 mm and /);
  await expect(page.getByRole('button', { name: 'Point 3', exact: true })).toBeFocused();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Point 3', exact: true })).toHaveAccessibleDescription(/ 140 mm from the front/);

  await part('Marks', 'ArrowRight');
  await tabTo(page, shop.tray().getByRole('button', { name: 'Set them' }));
  await page.keyboard.press('Enter');
  const tie = page.getByRole('button', { name: 'Tie 1, back' });
  await expect(tie).toHaveAccessibleDescription(/^\d+ mm of \d+ mm along it$/);
  const along = async (): Promise<number> => Number((await tie.getAttribute('aria-description'))?.match(/\d+/)?.[0]);
  const before = await along();
  await tabTo(page, tie, true);
  await page.keyboard.press('ArrowLeft');
  await expect.poll(along).toBe(before + 1);
  await expect(page.locator('yl-table').getByRole('status')).toHaveText(
    `Tie 1, back: ${before + 1} mm of ${(await tie.getAttribute('aria-description'))?.match(/of (\d+)/)?.[1]} mm along it`,
  );
  await shop.expectAccessible();
  await shop.saved();
});
