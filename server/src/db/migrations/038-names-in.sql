-- The language in which a course says common names; null for that of the library.
alter table course add column names_in text;
