/** Finding anything from any page, by keyboard and by thumb, also while the server is away; help and papers beside it. */
import { setting } from './setting';
import { PHONE, Visitor, WIDE } from './visitor';

const here = setting();
const { studio } = here;

const rows = (me: Visitor): Promise<string[]> =>
  me.page.$$eval('[data-testid="find"] [role="link"]', (found) => found.map((row) => (row as HTMLElement).innerText.split('\n')[0]));

const typed = async (me: Visitor, words: string): Promise<void> => {
  await me.type('find-field', words);
};

test('by keyboard: / opens it on any page, arrows go through what is found, Enter goes there, Escape goes back', async () => {
  const me = await Visitor.open(here.browser, WIDE);
  await me.page.goto(`${studio.address}/kiln`);
  await me.heading(/^Kiln$/);
  await me.page.keyboard.press('/');
  await me.find('find-field');
  await me.page.keyboard.type('basin mold');
  await me.sees('found-basin-mould', /^Basin mould, the deep one/);
  await me.expectSound('what is found');
  await me.page.keyboard.press('ArrowDown');
  expect(await me.page.evaluate(() => (document.activeElement as HTMLElement).dataset.testid)).toBe('found-basin-mould');
  await me.page.keyboard.press('Enter');
  await me.heading(/Basin mould, the deep one/);
  await me.page.keyboard.press('/');
  await me.find('find-field');
  await me.page.keyboard.press('Escape');
  await me.gone('find');
  await me.heading(/Basin mould, the deep one/);
  // The first of what is found is taken by Enter in the field.
  await me.page.keyboard.press('/');
  await me.find('find-field');
  await me.page.keyboard.type('back up');
  await me.find('found-backup');
  await me.page.keyboard.press('Enter');
  await me.sees('last-backup', /^Last: /);
  await me.leave();
});

test('by thumb: pieces, firings, acts and help, with slips and other names forgiven; what is not there is said', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await me.page.goto(`${studio.address}/notebook`);
  await me.press('open-find');
  await typed(me, 'sundail');
  await me.sees('find', /Pieces.*Sundial disc/);
  await typed(me, 'fahrenheit');
  await me.sees('found-units', /^Units$/);
  await typed(me, 'kiln wash');
  await me.sees('find', /Shelf primer/);
  await typed(me, 'Reckon');
  await me.find('found-calculate');
  await typed(me, 'nobodycalledonethis');
  await me.sees('find-nothing', /No match for ‘nobodycalledonethis’/);
  await typed(me, 'seeds rim');
  await me.sees('find', /Firings.*Bird-bath basin.*Seeds near the rim/);
  await me.page.tap('[data-testid="find"] [role="link"]');
  await me.heading(/Bird-bath basin/);
  // New piece is one touch away from anywhere.
  await me.press('open-find');
  await me.press('found-new-piece');
  await me.find('save-piece');
  await me.leave();
});

test('while the server is away what the browser holds is found, and the help that ships', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await me.page.goto(`${studio.address}/pieces`);
  await me.find('piece-link');
  await me.press('open-find');
  await typed(me, 'annealing');
  await me.sees('find', /Help/);
  await studio.away(async () => {
    await typed(me, 'lamp panl');
    await me.find('find-offline');
    expect(await rows(me)).toEqual(expect.arrayContaining(['Lamp panel, left', 'Lamp panel, right']));
    await typed(me, 'anealing');
    await me.sees('find', /Help.*Stress/);
  });
  await me.leave();
});

test('help says what the page is for and leads into the papers, which open at the heading', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await me.goToPiece('Lamp panel, right', studio.address);
  await me.press('open-help');
  await me.sees('help-what', /^The piece and its steps/);
  await me.sees('help', /Words.*lay-up/);
  await me.press('help-more-model');
  await me.heading(/What is calculated/);
  await me.page.waitForFunction(() => {
    const heading = [...document.querySelectorAll('h2')].find((node) => node.innerText === 'Body');
    const top = heading?.getBoundingClientRect().top ?? Infinity;
    return top >= 0 && top < innerHeight;
  });
  await me.page.goto(`${studio.address}/help`);
  await me.sees('about', /Version \d+\.\d+\.\d+.*data lies in/);
  await me.press('licences');
  await me.reads('react-native-web');
  await me.leave();
});
