-- What students of a course may open beside their quizzes: profiles, contrasts, keys, recap.
alter table course add column opens jsonb not null default '[]';

-- Who wrote a source, when, which pages, about which region, and a note.
alter table source add column details jsonb not null default '{}';
