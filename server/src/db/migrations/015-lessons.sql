-- Weeks of a course without a lesson: holidays, excursions, examinations.
alter table course add column closed_weeks jsonb not null default '[]';

-- What an instructor has changed in the generated lesson of a set. The list of a course is written anew with each change, so that
-- a lesson names its set without depending on it.
create table lesson (
  set_id    uuid primary key,
  course_id uuid not null references course,
  edits     jsonb not null
);
