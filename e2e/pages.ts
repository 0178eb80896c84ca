import { expect, type Page } from '@playwright/test';

/** Pages of the library, each with a text that only it has, by which it is known to be there. */
export const OF_THE_LIBRARY = [
  ['species/abies-grandis', 'Into the vasculum'],
  ['species/abies-grandis/edit', 'copy what is empty from'],
  ['species/exchange', 'Import species'],
  ['species/character-list', 'Take the list as CSV'],
  ['species/side-by-side', 'this course’s list only'],
  ['species/sources', 'What is missing'],
  ['species/characters', 'Technical term'],
  ['species/populus-tremuloides/range', 'Does it grow here?'],
  ['species/populus-tremuloides/measuring', 'Photos and measurements'],
  ['species/populus-tremuloides/specimens', 'What the scores cannot show'],
] as const;

export const OF_LOOKALIKES = [
  ['lookalikes?taxa=', 'Your class mixes up'],
  ['lookalikes?taxa=abies-grandis,abies-lasiocarpa', 'strongest first'],
  ['lookalikes/map', 'The hard pairs'],
  ['lookalikes/marks', 'Print this list'],
  ['lookalikes/keys?only=abies-grandis,abies-lasiocarpa,acer-glabrum', 'Keep this key'],
  ['lookalikes/rules', 'What the list proposes'],
  ['lookalikes/identify', 'What it can be'],
] as const;

/** Pages of a course. */
export const OF_A_COURSE = [
  ['course', 'Week 7.'],
  ['course/term', 'Propose sets'],
  ['course/characters/leaf.teeth', 'Call it, 1 of 10'],
  ['course/sort', 'Make two piles'],
  ['course/sort?set=real', 'Save the twigs'],
  ['course/words', 'Back to the characters'],
  ['course/notebooks', 'Words of this class'],
  ['course/list', 'Save the list'],
  ['course/students', 'Personal code'],
  ['people', 'Add someone who teaches'],
  ['course/settings', 'Save settings'],
  ['course/history', 'Nothing yet'],
  ['grounds', 'Files and tags'],
  ['grounds/walks', 'Plan the walk'],
  ['grounds/collecting', 'Make the list'],
  ['quizzes', 'Plan a quiz'],
  ['quizzes/new?taxa=abies-grandis', 'Save the plan'],
  ['quizzes/marks', 'of the lowest quizzes are dropped'],
  ['confusions', 'errors it would have prevented'],
  ['confusions/pairs', 'Answers mixed up'],
  ['confusions/characters', 'Share of its worth used'],
  ['confusions/stations', 'Does the model know this class?'],
  ['confusions/students', 'Who should practice together'],
  ['confusions/trends', 'Share mixed up'],
  ['confusions/report', 'The figures as tables'],
  ['confusions/abies-grandis/abies-lasiocarpa', 'The answers behind it'],
  ['confusions/abies-grandis/abies-lasiocarpa/lesson', 'Which are these?'],
] as const;

/** Goes to a page of the workbench as a link of it does: opening the application anew for each takes seconds. */
export const follow = (page: Page, address: string) =>
  page.evaluate((to) => {
    history.pushState({}, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: {} }));
  }, address);

/**
 * Goes to a page and waits until it is there: a text that no page before it showed, and its heading. A text that the navigation has as well
 * would be found while the page is still on its way.
 */
export async function arrive(page: Page, address: string, ready: string) {
  const text = page.getByText(ready).filter({ visible: true });
  if (new URL(address, page.url()).href !== page.url())
    expect(await text.count(), `“${ready}” is there before ${address} is`).toBe(0);
  await follow(page, address);
  // A report on a class is worked out first, which takes its time on a busy machine.
  await expect(text.first()).toBeVisible();
  await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
}
