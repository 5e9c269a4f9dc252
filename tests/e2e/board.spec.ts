import { accessible, expect, figure, loaded, saved, test } from './journey';

test('keyboard alone: choose, put, open, pin, leave, undo, redo, load and cancel', async ({
  page,
  rider,
}) => {
  await rider.open('load');
  const inHand = page.getByRole('region', { name: 'Thing in hand' });
  await page.keyboard.press('ArrowRight');
  await expect(inHand).toContainText('Down quilt');
  await page.keyboard.press('l');
  // The next thing comes to hand by itself.
  await expect(inHand).toContainText('Quilt pad straps');
  await page.keyboard.press('Shift+L');
  const inside = page.getByRole('listbox', { name: /In Seat pack, main/ });
  await expect(inside.getByRole('option')).toHaveText([/Down quilt/]);

  await page.keyboard.press('-');
  await expect(page.getByRole('region', { name: 'Left at home' })).toContainText('Quilt pad straps');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('region', { name: 'Left at home' })).not.toContainText('Quilt pad straps');
  await page.keyboard.press('Control+Shift+Z');
  await expect(page.getByRole('region', { name: 'Left at home' })).toContainText('Quilt pad straps');

  await page.keyboard.press('Control+k');
  await page.getByRole('textbox', { name: 'Find' }).fill('down quilt');
  await page.keyboard.press('Enter');
  await expect(inHand).toContainText('Down quilt');
  await page.keyboard.press('!');
  await expect(inHand.getByRole('button', { name: 'Unpin' })).toBeVisible();
  await page.keyboard.press('Delete');
  await expect(page.getByRole('region', { name: 'The floor' })).toContainText('Down quilt');

  await page.keyboard.press('.');
  await expect(page.getByRole('button', { name: 'Cancel' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Load for me' }).first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'The floor' })).toContainText('66 things');
  await page.keyboard.press('.');
  await loaded(page);
  await expect(page.getByRole('region', { name: 'The floor' })).toContainText('1 thing');
  await saved(page);

  await page.keyboard.press('Shift+?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('load for me');
});

test('dragging a thing to a bag and back shows its consequences at once', async ({ page, rider }) => {
  await rider.open('load');
  await expect(figure(page, 'Loaded bike')).toHaveText('15.6 kg');
  const tent = page.getByRole('option', { name: /Tent inner and fly/ });
  const row = page.getByRole('row', { name: /Bar roll/ });
  const hold = async (from: typeof tent, to: typeof row) => {
    await from.scrollIntoViewIfNeeded();
    const [a, b] = [(await from.boundingBox())!, (await to.boundingBox())!];
    await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2);
    await page.mouse.down();
    await page.mouse.move(a.x + a.width / 2 + 12, a.y + a.height / 2 + 12, { steps: 3 });
    await page.mouse.move(b.x + b.width / 3, b.y + b.height / 2, { steps: 8 });
  };
  const drag = async (from: typeof tent, to: typeof row) => {
    await hold(from, to);
    await page.mouse.up();
  };
  // Over a bag that cannot take it a thing says why; put back, nothing has changed.
  await hold(
    page.getByRole('option', { name: /Folding chair/ }),
    page.getByRole('row', { name: /Left stem bag/ }),
  );
  await expect(page.getByText(/^Folding chair: \d+ mm too long$/)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(figure(page, 'Loaded bike')).toHaveText('15.6 kg');
  await drag(tent, row);
  await expect(row).toContainText('3.26 l');
  await expect(figure(page, 'Loaded bike')).toHaveText('16.7 kg');
  await expect(page.getByText('Last change: Tent inner and fly to Bar roll')).toBeVisible();
  await expect(page.getByRole('complementary').getByText('+1.04 kg').first()).toBeVisible();
  await page.getByRole('button', { name: /^A Bar roll/ }).click();
  await drag(
    page.getByRole('option', { name: /Tent inner and fly/ }),
    page.getByRole('group', { name: 'sleep' }),
  );
  await expect(figure(page, 'Loaded bike')).toHaveText('15.6 kg');
});

test('undo and redo reach back over a reload', async ({ page, rider }) => {
  await rider.open('load');
  await page.getByRole('option', { name: /Paperback/ }).click();
  await page.getByRole('button', { name: 'Leave at home' }).click();
  await expect(page.getByRole('region', { name: 'Left at home' })).toContainText('Paperback');
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: 'Undo: Paperback left at home' }).click();
  await expect(page.getByRole('region', { name: 'Left at home' })).not.toContainText('Paperback');
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: 'Redo: Paperback left at home' }).click();
  await expect(page.getByRole('region', { name: 'Left at home' })).toContainText('Paperback');
});

test('a finding is mended in one press, and every figure can say why', async ({ page, rider }) => {
  await rider.open('load');
  await page.getByRole('option', { name: /Tent poles/ }).click();
  await page
    .getByRole('combobox', { name: 'Put Tent poles in' })
    .selectOption({ label: '✕ C Left stem bag: 205 mm too long' });
  const finding = page
    .getByRole('listitem')
    .filter({ hasText: 'Tent poles: 205 mm too long for Left stem bag' });
  await expect(finding).toContainText('stop');
  await finding
    .getByRole('button', { name: /Move Tent poles to/ })
    .first()
    .click();
  await expect(finding).toHaveCount(0);
  await page.getByRole('button', { name: 'Why: On front wheel' }).click();
  await expect(page.getByRole('dialog', { name: 'Why: On front wheel' })).toContainText('wheelbase');
});

test('gas beside food is told before it is put there and after, mended in one press, and no more where it is none', async ({
  page,
  rider,
}) => {
  await rider.open('load');
  const putIn = async (thing: string, bag: string) => {
    await page.getByRole('option', { name: thing }).first().click();
    const places = page.getByRole('combobox', { name: `Put ${thing} in` });
    const offer = places.locator('option').filter({ hasText: bag });
    await expect(offer).toContainText('left over');
    const words = await offer.textContent();
    await places.selectOption(await offer.getAttribute('value'));
    return words;
  };
  expect(await putIn('Hard cheese', 'Left fork bag')).toMatch(/left over$/);
  // The canister is in the pot.
  expect(await putIn('Pot 0.9 l', 'Left fork bag')).toMatch(/left over; gas beside food$/);
  const finding = page
    .getByRole('listitem')
    .filter({ hasText: 'Gas canister with food in Left fork bag: gas beside food.' });
  await expect(finding).toContainText('note');
  await finding.getByRole('button', { name: 'Put Gas canister in a dry sack' }).click();
  await expect(finding).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(finding).toHaveCount(1);

  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Kit/ }).click();
  const fuel = page
    .getByRole('group', { name: 'Needs care when packed' })
    .getByRole('checkbox', { name: 'sealed gas' });
  // The pot was in hand: until its fields are there, the rows below it still move.
  await expect(page.getByRole('textbox', { name: 'Mass of one' })).toBeVisible();
  await page.getByRole('button', { name: 'Gas canister', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('Gas canister');
  await page.getByText('Care and neighbours').click();
  await expect(fuel).toBeChecked();
  await accessible(page);
  await fuel.uncheck();
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Load/ }).click();
  await expect(page.getByRole('region', { name: 'The floor' })).toContainText('65 things');
  await expect(finding).toHaveCount(0);
  await saved(page);
});

// The dark views differ by their colours alone.
for (const [colorScheme, only] of [
  ['light', undefined],
  ['dark', ['color-contrast', 'link-in-text-block']],
] as const) {
  test(`every view is accessible, ${colorScheme}`, async ({ page, rider }) => {
    // A dozen whole pages through axe; only a hang is a failure.
    test.setTimeout(300_000);
    await page.emulateMedia({ colorScheme });
    for (const stage of ['trip', 'bike', 'kit', 'load']) {
      await rider.open(stage);
      await accessible(page, only);
    }
    await page.getByRole('option', { name: /Down quilt/ }).click();
    await page.keyboard.press('l');
    await page.keyboard.press('Shift+L');
    await accessible(page, only);
    await rider.open('kit');
    await page.getByRole('button', { name: 'Inflatable mat' }).click();
    await accessible(page, only);
    await rider.open('bike');
    await page.getByRole('button', { name: /Half frame bag/ }).click();
    await accessible(page, only);
    await page.goto('/');
    await accessible(page, only);
  });
}

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('nothing is wider than the screen, and a thing is packed by touch', async ({ page, rider }) => {
    for (const stage of ['trip', 'bike', 'kit', 'load']) {
      await rider.open(stage);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    }
    await page.getByRole('option', { name: /Down quilt/ }).tap();
    await page
      .getByRole('combobox', { name: 'Put Down quilt in' })
      .selectOption({ label: 'L Seat pack, main: 4.38 l left over' });
    await expect(page.getByRole('row', { name: /Seat pack, main/ })).toContainText('4.42 l');
    await saved(page);
  });

  test('what came of loading has room, closed and opened, and is read whole', async ({ page, rider }) => {
    await rider.open('load');
    await page.getByRole('button', { name: 'Load for me' }).first().tap();
    await loaded(page);
    const widest = () => page.evaluate(() => document.documentElement.scrollWidth);
    expect(await widest()).toBeLessThanOrEqual(390);
    for (const name of ['How this load scores', 'What limits it', 'Its moves, one by one']) {
      await page.getByText(name, { exact: true }).tap();
      expect(await widest()).toBeLessThanOrEqual(390);
    }
    for (const name of ['Leave it at home', 'What would let it fit?', 'Keep searching']) {
      const label = page.getByRole('button', { name, exact: true }).getByText(name, { exact: true });
      expect(await label.evaluate((own) => own.scrollWidth - own.clientWidth)).toBeLessThanOrEqual(0);
    }
    await saved(page);
  });
});

test('the loader’s moves are listed with reasons, each can be put back, and the distance to the best possible stands', async ({
  page,
  rider,
}) => {
  await rider.open('load');
  await page.getByRole('button', { name: 'Load for me' }).first().click();
  await loaded(page);
  await page.getByText('How this load scores').click();
  await expect(page.getByText('at most from the best possible')).toBeVisible();
  await page.getByText('How this load scores').click();
  await page.getByText('What limits it').click();
  await expect(page.getByRole('listitem').filter({ hasText: 'too little is left of its 8.48 l' })).toHaveText(
    /^Bar roll: .* Better there: .*Folding chair/,
  );
  await accessible(page);
  await page.getByText('What limits it').click();
  await page.getByText('Its moves, one by one').click();
  const quilt = page.getByRole('listitem').filter({ hasText: 'Down quilt: the floor →' });
  await expect(quilt).toContainText('(');
  await quilt.getByRole('button', { name: 'Put back Down quilt' }).click();
  await expect(quilt).toHaveCount(0);
  await expect(page.getByText(/still on the floor: Down quilt|Still on the floor: Down quilt/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo: Down quilt to the floor' }).click();
  await saved(page);
});
