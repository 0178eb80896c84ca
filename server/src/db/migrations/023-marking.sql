-- Points and deductions of a quiz that were changed after it was opened; null where it is marked as it was opened with.
alter table quiz add column marking jsonb;

-- Students who see their result before all do, and until when a mark may be asked to be looked at again.
alter table quiz add column released_to jsonb not null default '[]';
alter table quiz add column regrade_until date;

-- A station that is left out: why, and whether everybody gets its points.
alter table station add column credited boolean not null default false;
alter table station add column void_reason text;

-- Whether four names are to choose from instead of one to write.
alter table station add column choose boolean not null default false;

-- What happened at a station during the quiz, as a cutting that was replaced: {note, by, at}, in order.
alter table station add column notes jsonb not null default '[]';

-- Who was absent or excused, and for whom a closed quiz is open still.
create table quiz_student (
  quiz_id    uuid not null references quiz on delete cascade,
  student_id uuid not null references student on delete cascade,
  was        text not null default 'there' check (was in ('there', 'absent', 'excused')),
  reopened   boolean not null default false,
  primary key (quiz_id, student_id)
);

-- A mark that a student asks to be looked at again, and what was answered.
create table regrade (
  id          uuid primary key,
  station_id  uuid not null references station on delete cascade,
  student_id  uuid not null references student on delete cascade,
  note        text not null,
  asked_at    timestamptz not null,
  answer      text,
  answered_by uuid references account,
  answered_at timestamptz,
  unique (station_id, student_id)
);

-- How the marks of a course become one: weights, what is dropped, what is given on top.
alter table course add column term_scheme jsonb;
