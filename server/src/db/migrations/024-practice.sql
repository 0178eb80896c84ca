-- What students answered to practice cards, each once by the id that the phone made; never changed.
create table practice_review (
  id          uuid primary key,
  student_id  uuid not null references student on delete cascade,
  -- Tree and what was shown of it, as “abies-grandis bareTwig”.
  card        text not null,
  way         text not null,
  rating      smallint not null check (rating between 1 and 4),
  -- The tree that was named, where it was another one.
  named       text,
  took_ms     integer not null check (took_ms >= 0),
  answered_at timestamptz not null,
  device      text not null,
  sequence    integer not null,
  received_at timestamptz not null
);
create index practice_review_student on practice_review (student_id, answered_at);

-- Whether those who teach see each slip of practice, or use and what is known alone.
alter table course add column sees_slips boolean not null default false;

-- The schedule's weights as they were fitted to a course: {weights, answers, loss}, and of how many reviews.
create table practice_fit (
  course_id uuid primary key references course on delete cascade,
  reviews   integer not null,
  fit       jsonb
);

-- A contrast of two trees sent to students after a finding, to learn from and to practice.
create table mini_lesson (
  id           uuid primary key,
  course_id    uuid not null references course on delete cascade,
  a            text not null,
  b            text not null,
  -- The character that it is about; null where it is about the pair.
  character_id text,
  note         text not null default '',
  sent_on      date not null,
  account_id   uuid references account
);
create table mini_lesson_student (
  mini_lesson_id uuid not null references mini_lesson on delete cascade,
  student_id     uuid not null references student on delete cascade,
  opened_at      timestamptz,
  primary key (mini_lesson_id, student_id)
);

-- Whom a pair was taught again to: ids of students, null for the whole class.
alter table reteaching add column students jsonb;

-- What is to be said to a student in an advising talk; for those who teach.
alter table student add column advising_note text not null default '';
