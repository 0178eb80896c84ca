import Joi from 'joi';

/** A day of the calendar, 1900 to 2200, as 2026-10-15. */
export const isoDate = () =>
  Joi.string()
    .pattern(/^\d{4}-\d{2}-\d{2}$/)
    .custom((value: string, helpers) => {
      const date = new Date(`${value}T00:00:00Z`);
      const year = Number(value.slice(0, 4));
      const real = !Number.isNaN(date.getTime()) && date.toISOString().slice(0, 10) === value;
      return real && year >= 1900 && year <= 2200 ? value : helpers.error('string.pattern.base');
    })
    .messages({ 'string.pattern.base': '{{#label}} is no date; write it like 2026-10-15' });
