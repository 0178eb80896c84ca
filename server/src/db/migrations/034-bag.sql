-- Real twigs that a course sorts by their tags.
create table course_bag (
  course_id uuid primary key references course on delete cascade,
  twigs     jsonb not null
);
