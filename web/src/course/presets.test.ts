import { courseSchema } from '@hurrow/contract/courses';
import { nextYear, PRESETS } from './presets.ts';

test.each(PRESETS.map(({ title, settings }) => [title, settings] as const))(
  '%s is a course as it stands',
  (_title, settings) => {
    const place = { latitude: 47, longitude: -116, elevation: 700 };
    const { error } = courseSchema.validate({
      name: 'A course',
      startsOn: '2026-08-31',
      ...place,
      ...settings,
    });
    expect(error).toBeUndefined();
  },
);
test('next year begins on the same weekday', () => {
  expect(nextYear('2026-08-31')).toBe('2027-08-30');
  expect(new Date(nextYear('2026-08-31')).getUTCDay()).toBe(new Date('2026-08-31').getUTCDay());
});
